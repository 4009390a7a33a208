import { describe, expect, it } from "vitest";
import { type Section, zonesOf } from "./Cloth";
import { endLine } from "./EndView";

const section = (fold: string, depth_mm: number, layers: [number, number][], folds_mm: number[]): Section => ({
  part: "all",
  cut: "",
  bound_mm: 0,
  bound_steps: [],
  counted: true,
  fold,
  crosswise: fold === "crosswise",
  name: "",
  say: "",
  prepare: [],
  depth_mm,
  extent_mm: 1000,
  from_mm: 0,
  to_mm: 1000,
  layers: layers.map(([from_mm, to_mm], k) => ({ number: k + 1, from_mm, to_mm })),
  folds_mm,
});

describe("zonesOf", () => {
  it.each([
    ["one layer", section("open", 1000, [[0, 1000]], []), [[0, 1000, 1]]],
    [
      "partly folded: two layers as deep as the fold, then one",
      section(
        "lengthwise-partial",
        700,
        [
          [0, 300],
          [0, 700],
        ],
        [0],
      ),
      [
        [0, 300, 2],
        [300, 700, 1],
      ],
    ],
    [
      "selvedges meeting in the middle: two layers all over",
      section(
        "selvedges-to-middle",
        500,
        [
          [0, 250],
          [0, 500],
          [250, 500],
        ],
        [0, 500],
      ),
      [
        [0, 250, 2],
        [250, 500, 2],
      ],
    ],
    [
      "across: as deep as the pieces reach, whatever the fold's length",
      section(
        "crosswise",
        800,
        [
          [0, 1000],
          [0, 1000],
        ],
        [0],
      ),
      [[0, 800, 2]],
    ],
  ])("%s", (_, given, zones) => {
    expect(zonesOf(given).map(({ from, to, layers }) => [from, to, layers])).toEqual(zones);
  });
});

it.each([
  ["open", 1, 1],
  ["lengthwise-centre", 2, 1],
  ["lengthwise-partial", 2, 1],
  ["selvedges-to-middle", 3, 1],
  ["crosswise", 2, 1],
  ["folded-twice", 4, 2],
])("draws %s with its layers as one line, or two for four layers", (fold, layers, lines) => {
  const drawn = endLine(fold, 100, 60);
  expect([drawn.layers.length, drawn.lines.length]).toEqual([layers, lines]);
});
