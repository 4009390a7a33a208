import { describe, expect, it } from "vitest";
import { figure, shapeOf, SHAPES, tapeOn } from "./figure";

const VIEWS = ["front", "back", "side", "bent", "seated"];
const usual = shapeOf(() => undefined);

describe("the figure", () => {
  it("stands in the middle and is the same on both sides", () => {
    const [left, right] = figure("front", usual).rounds.hip!;
    expect(left[0] + right[0]).toBeCloseTo(200);
  });

  it("is drawn to the client's own proportions, within reason", () => {
    const broad = shapeOf((key) => ({ waist: 1000, hip: 1200, bust: 950 })[key]);
    const width = (shape: typeof usual, level: string) => {
      const [a, b] = figure("front", shape).rounds[level]!;
      return b[0] - a[0];
    };
    expect(width(broad, "waist")).toBeGreaterThan(width(usual, "waist"));
    expect(width(broad, "hip")).toBeGreaterThan(width(usual, "hip"));
    expect(shapeOf(() => 1e6).hip).toBe(1.45);
    expect(shapeOf(() => 1).hip).toBe(0.78);
  });

  it("starts from a body that was chosen, and follows each girth as it is taken", () => {
    const start = SHAPES.middle!.shape;
    expect(shapeOf(() => undefined, start)).toEqual(start);
    const taken = shapeOf((key) => (key === "waist" ? 760 : undefined), start);
    expect(taken).toEqual({ ...start, waist: 1 });
  });

  it.each(VIEWS)("keeps every landmark of the view %s on the sheet", (view) => {
    const widest = shapeOf(() => 1e6);
    for (const shape of [usual, widest, ...Object.values(SHAPES).map((one) => one.shape)]) {
      const { marks, rounds } = figure(view, shape);
      for (const [x, y] of [...Object.values(marks), ...Object.values(rounds).flat()]) {
        expect(x).toBeGreaterThan(10);
        expect(x).toBeLessThan(190);
        expect(y).toBeGreaterThan(5);
        expect(y).toBeLessThan(430);
      }
    }
  });

  it("lays the tape through its landmarks, and none where one is unknown", () => {
    const front = figure("front", usual);
    const tape = tapeOn(["along", "neck_point", "bust_point", "front_waist"], front)!;
    expect(tape.front).toMatch(new RegExp(`^M${front.marks.neck_point!.join(" ")}C`));
    expect(tape.front.endsWith(front.marks.front_waist!.map((n) => n.toFixed(1)).join(" "))).toBe(true);
    expect(tapeOn(["along", "neck_point", "third_elbow"], front)).toBeNull();
    expect(tapeOn(["round", "waist"], front)!.behind).not.toBe("");
  });
});
