import { expect, it } from "vitest";
import { homography, seen, type XY } from "./homography";

const SQUARE: XY[] = [
  [0, 0],
  [254, 0],
  [254, 254],
  [0, 254],
];

it("takes its four points to the four others, and a straight line to a straight line", () => {
  const askew: XY[] = [
    [103, 88],
    [871, 131],
    [790, 702],
    [164, 640],
  ];
  const h = homography(SQUARE, askew)!;
  SQUARE.forEach((point, k) => {
    const [x, y] = seen(h, point);
    expect(x).toBeCloseTo(askew[k]![0], 6);
    expect(y).toBeCloseTo(askew[k]![1], 6);
  });
  const [a, b, c] = [seen(h, [0, 40]), seen(h, [80, 90]), seen(h, [160, 140])];
  expect((b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0])).toBeCloseTo(0, 4);
  // The two middle lines of a square cross where the lines between its seen corners do.
  const [p, q, r, s] = askew as [XY, XY, XY, XY];
  const across = crossing(p, r, q, s);
  const middle = seen(h, [127, 127]);
  expect(middle[0]).toBeCloseTo(across[0], 6);
  expect(middle[1]).toBeCloseTo(across[1], 6);
});

it("keeps lengths where the projector hangs straight", () => {
  const h = homography(
    SQUARE,
    SQUARE.map(([x, y]): XY => [40 + 3 * x, 25 + 3 * y]),
  )!;
  expect(Math.hypot(...minus(seen(h, [800, 1100]), seen(h, [300, 1100])))).toBeCloseTo(1500, 6);
});

it("answers nothing where the points are in one line", () => {
  const line: XY[] = [
    [0, 0],
    [10, 0],
    [20, 0],
    [30, 0],
  ];
  expect(homography(line, SQUARE)).toBeNull();
});

const minus = (a: readonly number[], b: readonly number[]): [number, number] => [a[0]! - b[0]!, a[1]! - b[1]!];

function crossing(a: XY, b: XY, c: XY, d: XY): [number, number] {
  const [u, v, w] = [minus(b, a), minus(d, c), minus(c, a)];
  const t = (w[0] * v[1] - w[1] * v[0]) / (u[0] * v[1] - u[1] * v[0]);
  return [a[0] + t * u[0], a[1] + t * u[1]];
}
