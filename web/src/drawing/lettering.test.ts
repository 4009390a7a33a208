import { describe, expect, it } from "vitest";
import { lettering } from "./PieceOn";

describe("a piece's name on the cloth", () => {
  it("stays on the piece: smaller, without its count, across, or not at all", () => {
    expect(lettering("Front, 2 at once", [900, 400], 1)).toMatchObject({
      text: "Front, 2 at once",
      size: 15,
      stands: false,
    });
    expect(lettering("Pocket bag, 2 at once", [140, 30], 1)).toMatchObject({ text: "Pocket bag, 2 at once", size: 11 });
    expect(lettering("Pocket bag, 2 at once", [90, 30], 1)).toMatchObject({ text: "Pocket bag", stands: false });
    expect(lettering("Back band, 2 at once", [30, 300], 1)).toMatchObject({
      text: "Back band, 2 at once",
      stands: true,
    });
    expect(lettering("Pocket facing", [30, 30], 1)).toBeNull();
  });
});
