import { describe, expect, it } from "vitest";
import { boxOf, frame, onCloth, pathOf, sideBySide } from "./frame";

describe("a placed piece", () => {
  it.each([
    [false, false, [103, 207]],
    [true, false, [97, 193]],
    [false, true, [103, 193]],
    [true, true, [97, 207]],
  ])("turned %s, mirrored %s is at x + t down, y + t m across", (turned, mirrored, wanted) => {
    expect(onCloth({ x_mm: 100, y_mm: 200, turned, mirrored }, [7, 3])).toEqual(wanted);
  });
});

describe("a piece's own drawing", () => {
  it.each([
    [false, false, false],
    [true, false, false],
    [false, true, true],
    [true, true, true],
  ])("is put where its points are: turned %s, mirrored %s, upright %s", (turned, mirrored, upright) => {
    const placing = { x_mm: 100, y_mm: 200, turned, mirrored };
    const draw = frame(500, upright);
    const [a, b, c, d, e, f] = draw.placed(placing).slice(7, -1).split(" ").map(Number) as number[];
    const point = [7, 3];
    const moved = [a! * 7 + c! * 3 + e!, b! * 7 + d! * 3 + f!];
    expect(moved).toEqual(draw.at(onCloth(placing, point)));
    expect(Math.abs(a! * d! - b! * c!)).toBe(1);
  });
});

describe("the picture", () => {
  it("is with the fold at the top, or stands with the fold at the right", () => {
    expect(frame(500, false).at([30, 40])).toEqual([30, 40]);
    expect(frame(500, true).at([30, 40])).toEqual([460, 30]);
  });
  it("keeps every distance when it is turned", () => {
    const [a, b] = [frame(500, true).at([0, 0]), frame(500, true).at([3, 4])];
    expect(Math.hypot(b[0] - a[0], b[1] - a[1])).toBe(5);
  });
  it("draws closed and open paths", () => {
    const at = frame(10, false).at;
    expect(
      pathOf(
        [
          [0, 0],
          [1, 2],
        ],
        at,
        true,
      ),
    ).toBe("M0.00,0.00L1.00,2.00Z");
    expect(
      pathOf(
        [
          [0, 0],
          [1, 2],
        ],
        at,
      ),
    ).toBe("M0.00,0.00L1.00,2.00");
  });
  it("sets outlines side by side", () => {
    const one = [
      [5, 0],
      [15, 9],
    ];
    expect(boxOf(one)).toEqual([5, 0, 10, 9]);
    expect(sideBySide([one, one], 4)).toEqual({ shifts: [-5, 9], width: 24 });
    expect(sideBySide([], 4)).toEqual({ shifts: [], width: 0 });
  });
});
