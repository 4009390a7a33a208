import { expect, it } from "vitest";
import { taken } from "./taped";

/** Words as they are, numbers as [shown, said]. */
const read = (text: string) =>
  taken(text).map((part) =>
    "words" in part
      ? part.words
      : [`${part.whole}${part.over && `|${part.over}/${part.under}`}${part.unit && ` ${part.unit}`}`, part.said],
  );

it("takes fractions and units out of a sentence, with how they are said", () => {
  expect(read("Fold it 22 1/2 in deep.")).toEqual(["Fold it ", ["22|1/2 in", "22 and a half inches"], " deep."]);
  expect(read("1 in side seam")).toEqual([["1 in", "1 inch"], " side seam"]);
  expect(read("adds 2 in at the hip")).toEqual(["adds ", ["2 in", "2 inches"], " at the hip"]);
  expect(read("57.2 cm deep")).toEqual([["57.2 cm", "57.2 centimetres"], " deep"]);
  expect(read("a term of 7/10 of it")).toEqual(["a term of ", ["|7/10", "7 over 10"], " of it"]);
  expect(read("3/8")).toEqual([["|3/8", "3 eighths"]]);
  expect(read("38 1/2")).toEqual([["38|1/2", "38 and a half"]]);
});

it("leaves alone what is no length", () => {
  for (const text of ["cut 2, left and right", "in 3 days", "on 4 December 2026", "12/11/2026", "hip-4/5x", "v1/2a"])
    expect(read(text), text).toEqual([text]);
});

it("writes the signs of a sum so that none is taken for a fraction, a letter or a hyphen", () => {
  expect(read("hip / 4 - 1 1/2 in band + 1/2 in waist seam")).toEqual([
    "hip ÷ 4 − ",
    ["1|1/2 in", "1 and a half inches"],
    " band + ",
    ["|1/2 in", "a half of an inch"],
    " waist seam",
  ]);
  expect(read("(22 in - 1 in that the back is wider) / 4")).toEqual([
    "(",
    ["22 in", "22 inches"],
    " − ",
    ["1 in", "1 inch"],
    " that the back is wider) ÷ 4",
  ]);
  expect(read("41 3/8 / 4")).toEqual([["41|3/8", "41 and 3 eighths"], " ÷ 4"]);
  expect(read("5 x half-yard")).toEqual(["5 × half-yard"]);
  expect(read("a well-made seam - and more")).toEqual(["a well-made seam − and more"]);
});
