import { describe, expect, it } from "vitest";
import type { Plan } from "../../api/plans";
import { cuttingOf, free, type Lay, may, moved, outlineOf, type Placing, reachOf, samePins, turned } from "./moves";

const square = (wide: number, long: number) => [[0, 0], [wide, 0], [wide, long], [0, long], [0, 0]]; // prettier-ignore
const wedge = [[0, 0], [200, 0], [0, 300], [0, 0]]; // prettier-ignore
const plan = {
  pieces: [
    { id: "leg", cut: square(200, 400), on_fold: false },
    { id: "band", cut: square(50, 300), on_fold: true },
    { id: "wedge", cut: wedge, on_fold: false },
  ],
} as unknown as Plan;
const placing = (piece: string, x_mm: number, y_mm: number, more: Partial<Placing> = {}): Placing => ({
  piece,
  copies: 2,
  layers: [1, 2],
  section: 0,
  x_mm,
  y_mm,
  turned: false,
  mirrored: false,
  under: false,
  ...more,
});
const layer = (number: number, to_mm: number) => ({ number, from_mm: 0, to_mm });
const lay = {
  sections: [
    { fold: "lengthwise-centre", depth_mm: 500, extent_mm: 900, layers: [layer(1, 500), layer(2, 500)], folds_mm: [0] },
  ],
} as unknown as Lay;
const cutting = cuttingOf(plan, lay.sections[0]!, false);
const start = [placing("leg", 0, 100), placing("band", 0, 0), placing("wedge", 500, 100)];

describe("moved", () => {
  it("goes all the way where nothing is in it", () => {
    expect(moved(start, 0, [25, 5], cutting)[0]).toMatchObject({ x_mm: 25, y_mm: 105 });
  });
  it("stops at what it touches, and can be no nearer", () => {
    const next = moved(start, 0, [200, 0], cutting);
    expect(next[0]!.x_mm).toBeCloseTo(99.99, 2);
    expect(free(next[0]!, 0, next, cutting)).toBe(true);
    expect(moved(next, 0, [5, 0], cutting)[0]!.x_mm).toBeLessThan(100);
  });
  it("stops at the cloth's edges", () => {
    expect(moved(start, 0, [-50, 0], cutting)).toBe(start);
    expect(moved(start, 0, [0, 500], cutting)[0]!.y_mm).toBeCloseTo(299.99, 2);
  });
  it("keeps on the fold what is there", () => {
    expect(moved(start, 1, [25, 25], cutting)[1]).toMatchObject({ x_mm: 25, y_mm: 0 });
  });
  it("passes by what is in another layer", () => {
    const single = start.map((one, k) => (k === 0 ? { ...one, layers: [1] } : k === 2 ? { ...one, layers: [2] } : one));
    expect(moved(single, 0, [400, 0], cutting)[0]!.x_mm).toBe(400);
  });
});

describe("turned", () => {
  it("turns a piece where it is, and back again", () => {
    const once = turned(start, 2, "turn", cutting)!;
    expect(once[2]!.turned).toBe(true);
    const [was, is] = [start, once].map((placings) => outlineOf(placings[2]!, cutting));
    expect(Math.min(...is!.map(([x]) => x))).toBeCloseTo(Math.min(...was!.map(([x]) => x)), 6);
    expect(turned(once, 2, "turn", cutting)![2]).toMatchObject({ turned: false, x_mm: 500, y_mm: 100 });
  });
  it("keeps a piece that is turned on the fold there", () => {
    const next = turned(start, 1, "turn", cutting)!;
    expect(next[1]).toMatchObject({ turned: true, mirrored: true });
    expect(Math.min(...outlineOf(next[1]!, cutting).map(([, y]) => y))).toBeCloseTo(0, 9);
  });
  it("turns nothing on one-way cloth, and flips neither what is on the fold nor one alone", () => {
    expect(may("turn", start[0]!, { ...cutting, oneWay: true })).toBe(false);
    expect(may("flip", start[1]!, cutting)).toBe(false);
    expect(may("flip", { ...start[0]!, layers: [1] }, cutting)).toBe(false);
    expect(may("flip", start[0]!, cutting)).toBe(true);
  });
  it("says no where there is no room", () => {
    const tight = [start[2]!, { ...placing("leg", 600, 160), layers: [1, 2] }];
    const off = { ...cutting, onFold: new Set<string>() };
    const fits = free(tight[0]!, 0, tight, off) ? turned(tight, 0, "turn", off) : null;
    expect(fits).toBeNull();
  });
});

it("finds pinned pieces again in a lay that lists them in another order", () => {
  const twin = placing("leg", 900, 100);
  const was = [...start, twin];
  const is = [twin, start[2]!, { ...start[0]!, x_mm: 3 }, start[1]!];
  expect(samePins(was, [3, 2], is)).toEqual([0, 1]);
  expect(samePins(was, [0], is)).toEqual([]);
});

it("knows how far the pieces reach", () => {
  expect(reachOf(start, cutting)).toBe(800);
});
