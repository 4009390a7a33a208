import { beforeEach, expect, it } from "vitest";
import { seen, type XY } from "../../geometry/homography";
import { begun, type Corners, keep, kept, known, movedTo, SIDE, throwOf } from "./calibration";

beforeEach(() => localStorage.clear());
const between = (a: readonly number[], b: readonly number[]) => Math.hypot(a[0]! - b[0]!, a[1]! - b[1]!);

it("throws 10 in between its two marks, whichever of them is moved", () => {
  let corners = begun(1280, 800);
  const places: [number, XY][] = [
    [1, [1104.5, 331]],
    [0, [212, 95.25]],
  ];
  for (const [which, to] of places) {
    corners = movedTo(corners, which, to);
    const thrown = throwOf(corners)!;
    expect(between(seen(thrown, [0, 0]), corners[0])).toBeCloseTo(0, 6);
    expect(between(seen(thrown, [SIDE, 0]), corners[1])).toBeCloseTo(0, 6);
    // Still square: twice as far along the cloth is twice as far on the screen, and square to it as far.
    const one = between(corners[0], corners[1]);
    expect(between(seen(thrown, [0, 0]), seen(thrown, [2 * SIDE, 0]))).toBeCloseTo(2 * one, 5);
    expect(between(seen(thrown, [0, 0]), seen(thrown, [0, SIDE]))).toBeCloseTo(one, 5);
  }
});

it("keeps what was done for the shape when the marks are moved again", () => {
  const askew = movedTo(begun(1280, 800), 2, [900, 640]);
  const moved = movedTo(askew, 1, [1000, 120]);
  const shape = (c: Corners) => [between(c[2], c[3]), between(c[1], c[2])].map((size) => size / between(c[0], c[1]));
  shape(moved).forEach((value, k) => expect(value).toBeCloseTo(shape(askew)[k]!, 9));
});

it("is kept by the projector's name, and nothing that makes no sense is taken", () => {
  const corners = movedTo(begun(1280, 800), 1, [1000, 300]);
  keep("Over the long table", corners);
  expect(known()).toEqual(["Over the long table"]);
  expect(kept("Over the long table")).toEqual(corners);
  for (const wrong of ["{", "[[0,0],[1,0]]", "[[0,0],[1,0],[2,0],[3,0]]", '[[0,0],["a",0],[2,9],[3,8]]', "null"]) {
    localStorage.setItem("projector:wrong", wrong);
    expect(kept("wrong"), wrong).toBeNull();
  }
});
