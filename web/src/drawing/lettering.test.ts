import { describe, expect, it } from "vitest";
import { lettering } from "./PieceOn";

describe("a piece's name on the cloth", () => {
  it("stays on the piece: in two lines, without its count, across, or not at all; never under 14 px", () => {
    const whole = { lines: ["Front, 2 at once"], size: 15, stands: false };
    expect(lettering("Front, 2 at once", [900, 400], 1)).toMatchObject(whole);
    const two = { lines: ["Front,", "Oskar Lindqvist,", "2 at once"], size: 14, stands: false };
    expect(lettering("Front, Oskar Lindqvist, 2 at once", [126, 60], 1)).toMatchObject(two);
    expect(lettering("Pocket bag, 2 at once", [90, 30], 1)).toMatchObject({ lines: ["Pocket bag"], stands: false });
    expect(lettering("Back band, 2 at once", [30, 300], 1)).toMatchObject({
      lines: ["Back band, 2 at once"],
      stands: true,
    });
    expect(lettering("Pocket facing", [30, 30], 1)).toBeNull();
  });
});
