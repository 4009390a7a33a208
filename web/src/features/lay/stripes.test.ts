import { describe, expect, it } from "vitest";
import type { Plan } from "../../api/plans";
import type { Lay, Placing } from "./moves";
import { meetings, onStripe, past, toMatch } from "./stripes";

const notch = (code: string, down: number) => ({ edge: "side", code, net: [90, down], cut: [100, down] });
const piece = (panel: string, ...downs: number[]) => ({
  id: `t.${panel}`,
  garment: "t",
  panel,
  notches: downs.map((down, k) => notch(["hip", "knee"][k]!, down)),
});
const plan = { pieces: [piece("front", 200, 600), piece("back", 230, 600), piece("band")] } as unknown as Plan;
const placed = (name: string, x_mm: number, more: Partial<Placing> = {}): Placing => ({
  piece: `t.${name}`,
  copies: 2,
  layers: [1, 2],
  section: 0,
  x_mm,
  y_mm: 0,
  turned: false,
  mirrored: false,
  under: false,
  ...more,
});
const folded = [{ fold: "lengthwise-centre" }] as unknown as Lay["sections"];

describe("past", () => {
  it.each([
    [0, 0],
    [100, 0],
    [130, 30],
    [170, -30],
    [-30, -30],
    [-170, 30],
  ])("%d mm is %d past a stripe of 100", (mm, off) => expect(past(mm, 100)).toBeCloseTo(off));
});

describe("meetings", () => {
  it("compares front and back at their hip notches, along the cloth", () => {
    const lay = [placed("front", 0), placed("back", 1000), placed("band", 50)];
    // The front's hip is at 200, the back's at 1230: 1030 apart, 30 past a stripe of 100.
    const met = meetings(plan, lay, folded, 100);
    expect(met).toHaveLength(1);
    expect(met[0]).toMatchObject({ one: 0, other: 1, code: "hip" });
    expect(met[0]!.off).toBeCloseTo(30);
    expect(toMatch(met, 1)).toBeCloseTo(-30);
    expect(toMatch(met, 0)).toBeCloseTo(30);
    expect(toMatch(met, 2)).toBeNull();
    const moved = [lay[0]!, placed("back", 970), lay[2]!];
    expect(onStripe(meetings(plan, moved, folded, 100)[0]!.off)).toBe(true);
  });
  it("knows a piece that is turned about", () => {
    // Turned, the back's hip is at 1000 - 230 = 770: 570 from the front's.
    const met = meetings(plan, [placed("front", 0), placed("back", 1000, { turned: true })], folded, 100);
    expect(met[0]!.off).toBeCloseTo(-30);
  });
  it("lets a front meet the back of its own side where all are by themselves", () => {
    const one = { copies: 1, layers: [1] };
    const lay = [
      placed("front", 0, one),
      placed("front", 500, { ...one, mirrored: true }),
      placed("back", 1000, one),
      placed("back", 1510, { ...one, mirrored: true }),
    ];
    const met = meetings(plan, lay, [{ crosswise: false }] as unknown as Lay["sections"], 100);
    expect(met.map(({ one: front, other }) => [front, other])).toEqual([
      [0, 3],
      [1, 2],
    ]);
    expect(met.map(({ off }) => Math.round(off))).toEqual([40, 30]);
  });
  it("says nothing without stripes, and where they run the other way", () => {
    const lay = [placed("front", 0), placed("back", 1000)];
    expect(meetings(plan, lay, folded, 0)).toEqual([]);
    expect(meetings(plan, lay, [{ crosswise: true }] as unknown as Lay["sections"], 100)).toEqual([]);
  });
});
