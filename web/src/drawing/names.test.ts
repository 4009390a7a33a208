import { expect, test } from "vitest";
import { garmentName, pieceName } from "./names";

const of = (garment: string, panel: string) => ({ garment, panel });

test("a piece says its side where the other side has its own", () => {
  const pieces = [of("trousers", "front"), of("trousers", "band"), of("trousers.left_side", "front")];
  expect(pieces.map((piece) => pieceName({ pieces }, piece))).toEqual(["Right front", "Band", "Left front"]);
  expect(pieceName({ pieces: pieces.slice(0, 2) }, pieces[0]!)).toBe("Front");
});

test("a piece says its garment where there are several, and its side with it", () => {
  const pieces = [of("suit.top", "front"), of("suit.lower", "front"), of("suit.lower.left_side", "front")];
  expect(pieces.map((piece) => pieceName({ pieces }, piece))).toEqual([
    "Front, top",
    "Right front, trousers",
    "Left front, trousers",
  ]);
  expect(garmentName("suit.lower.left_side")).toBe("Trousers, left side");
});
