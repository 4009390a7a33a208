import { describe, expect, it } from "vitest";
import { overlaps, type Ring } from "./overlap";

const box = (x: number, y: number, wide: number, high: number): Ring => [
  [x, y],
  [x + wide, y],
  [x + wide, y + high],
  [x, y + high],
];
/** A square with a notch cut into its right side, where a smaller one fits. */
const notched: Ring = [[0, 0], [100, 0], [100, 30], [60, 30], [60, 70], [100, 70], [100, 100], [0, 100]]; // prettier-ignore
const circle = (x: number, y: number, radius: number): Ring =>
  Array.from({ length: 60 }, (_, k) => [
    x + radius * Math.cos((k * Math.PI) / 30),
    y + radius * Math.sin((k * Math.PI) / 30),
  ]);

describe("overlaps", () => {
  it.each([
    ["apart", box(0, 0, 10, 10), box(20, 0, 10, 10), false],
    ["edge on edge", box(0, 0, 10, 10), box(10, 0, 10, 10), false],
    ["corner on corner", box(0, 0, 10, 10), box(10, 10, 10, 10), false],
    ["a tenth of a mm in", box(0, 0, 10, 10), box(9.9, 0, 10, 10), true],
    ["the same", box(0, 0, 10, 10), box(0, 0, 10, 10), true],
    ["one within the other", box(0, 0, 100, 100), box(40, 40, 10, 10), true],
    ["a cross with no corner inside", box(0, 40, 100, 20), box(40, 0, 20, 100), true],
    ["in the notch, not on the cloth", notched, box(65, 35, 30, 30), false],
    ["filling the notch exactly", notched, box(60, 30, 40, 40), false],
    ["out of the notch into its floor", notched, box(59.9, 35, 30, 30), true],
    ["circles that touch", circle(0, 0, 50), circle(100, 0, 50), false],
    ["circles a mm into one another", circle(0, 0, 50), circle(99, 0, 50), true],
  ])("%s", (_, one, other, expected) => {
    expect(overlaps(one, other)).toBe(expected);
    expect(overlaps(other, one)).toBe(expected);
  });
});
