/** Moving pieces of a lay by hand: what is possible, and where a piece comes to rest. No piece is ever on another. */
import type { Plan } from "../../api/plans";
import { bounds, overlaps, type Ring } from "../../geometry/overlap";
import { onCloth } from "../../drawing/frame";

export type Lay = NonNullable<Plan["lay"]>;
export type Placing = Lay["placements"][number];

/** A piece that has slid against another stays this far from it, in mm. */
const AIR = 0.01;

/** What the moves need to know of a plan: outlines, and which pieces are on the fold. */
export type Cutting = {
  outlines: Map<string, Ring>;
  onFold: Set<string>;
  section: Lay["sections"][number];
  oneWay: boolean;
};

export function cuttingOf(plan: Plan, section: Lay["sections"][number], oneWay: boolean): Cutting {
  const outlines = new Map(plan.pieces.map((piece) => [piece.id, piece.cut.slice(0, -1) as unknown as Ring]));
  const onFold = new Set(plan.pieces.filter((piece) => piece.on_fold).map((piece) => piece.id));
  return { outlines, onFold: section.folds_mm.length ? onFold : new Set(), section, oneWay };
}

export const outlineOf = (placing: Placing, cutting: Cutting): Ring =>
  cutting.outlines.get(placing.piece)!.map((point) => onCloth(placing, point));

/** How far along the table the pieces reach, in mm. */
export function reachOf(placings: readonly Placing[], cutting: Cutting): number {
  const far = cutting.section.crosswise ? 3 : 2;
  return Math.max(...placings.map((placing) => bounds(outlineOf(placing, cutting))[far]));
}

/** Whether a piece is within its layers and on no other piece. */
export function free(placing: Placing, index: number, placings: readonly Placing[], cutting: Cutting): boolean {
  const { section } = cutting;
  const ring = outlineOf(placing, cutting);
  const [left, top, right, bottom] = bounds(ring);
  const layers = section.layers.filter((layer) => placing.layers.includes(layer.number));
  const [low, high] = [Math.max(...layers.map((one) => one.from_mm)), Math.min(...layers.map((one) => one.to_mm))];
  const crosswise = section.crosswise;
  const [start, from, to] = crosswise ? [top, left, right] : [left, top, bottom];
  if (start < -1e-6 || from < low - 1e-6 || to > high + 1e-6) return false;
  return placings.every(
    (other, k) =>
      k === index ||
      !other.layers.some((layer) => placing.layers.includes(layer)) ||
      !overlaps(ring, outlineOf(other, cutting)),
  );
}

/** The placings with one piece moved by (dx, dy): as far as it can go, until it touches what is in its way. */
export function moved(
  placings: readonly Placing[],
  index: number,
  [dx, dy]: readonly [number, number],
  cutting: Cutting,
): readonly Placing[] {
  const placing = placings[index]!;
  const held = cutting.onFold.has(placing.piece);
  // What is on the fold stays on it: it can only go along, and a fold is along x whichever way it runs.
  const by: [number, number] = [dx, held ? 0 : dy];
  const at = (share: number): Placing => ({
    ...placing,
    x_mm: placing.x_mm + share * by[0],
    y_mm: placing.y_mm + share * by[1],
  });
  const can = (share: number) => free(at(share), index, placings, cutting);
  let share = 1;
  if (!can(1)) {
    let [good, bad] = [0, 1];
    for (let k = 0; k < 24; k++) {
      const half = (good + bad) / 2;
      if (can(half)) good = half;
      else bad = half;
    }
    const far = Math.hypot(...by);
    share = Math.max(0, good - AIR / Math.max(AIR, far));
    if (share * far < AIR / 10 || !can(share)) return placings;
  }
  return placings.map((one, k) => (k === index ? at(share) : one));
}

/** The pinned pieces found again in a lay of the same pieces that lists them in another order. */
export const samePins = (was: readonly Placing[], pins: readonly number[], is: readonly Placing[]): number[] =>
  pins
    .map((pin) => is.findIndex((one) => one.piece === was[pin]!.piece && apart(one, was[pin]!) < 0.01))
    .filter((k) => k >= 0);

const apart = (a: Placing, b: Placing) => Math.abs(a.x_mm - b.x_mm) + Math.abs(a.y_mm - b.y_mm);

export type Turn = "turn" | "flip";

/** Whether a piece may be turned by half, or flipped, at all. */
export function may(turn: Turn, placing: Placing, cutting: Cutting): boolean {
  if (turn === "turn") return !cutting.oneWay;
  return placing.layers.length > 1 && !cutting.onFold.has(placing.piece);
}

/** The placings with one piece turned or flipped where it is; null where there is no room for it. */
export function turned(
  placings: readonly Placing[],
  index: number,
  turn: Turn,
  cutting: Cutting,
): readonly Placing[] | null {
  const placing = placings[index]!;
  if (!may(turn, placing, cutting)) return null;
  const held = cutting.onFold.has(placing.piece);
  const next: Placing =
    turn === "turn"
      ? { ...placing, turned: !placing.turned, mirrored: held ? !placing.mirrored : placing.mirrored }
      : { ...placing, mirrored: !placing.mirrored };
  const [was, is] = [bounds(outlineOf(placing, cutting)), bounds(outlineOf(next, cutting))];
  const there = { ...next, x_mm: next.x_mm + was[0] - is[0], y_mm: next.y_mm + was[1] - is[1] };
  if (!free(there, index, placings, cutting)) return null;
  return placings.map((one, k) => (k === index ? there : one));
}
