/** The figure in each view, drawn to the client's own proportions, and where every landmark and level of it is. */
export type XY = [number, number];
export type Shape = { chest: number; waist: number; hip: number };
/** `rounds` are the two ends of a tape that runs round; `marks` are what a tape along the body passes. */
export type Drawn = { outline: string[]; faint: string[]; marks: Record<string, XY>; rounds: Record<string, [XY, XY]> };

export const WIDTH = 200;
export const HEIGHT = 436;

/** Bodies to start from, before a girth is taken. */
export const SHAPES: Record<string, { name: string; shape: Shape }> = {
  even: { name: "even", shape: { chest: 1, waist: 1, hip: 1 } },
  slim: { name: "slim", shape: { chest: 0.88, waist: 0.86, hip: 0.88 } },
  seat: { name: "full below", shape: { chest: 0.95, waist: 1, hip: 1.22 } },
  chest: { name: "full above", shape: { chest: 1.22, waist: 1.08, hip: 0.98 } },
  middle: { name: "full in the middle", shape: { chest: 1.12, waist: 1.36, hip: 1.1 } },
  full: { name: "full", shape: { chest: 1.25, waist: 1.3, hip: 1.28 } },
};

/** How wide this client is drawn: from the girths taken so far, against 92, 76 and 100 cm; else from a body to start from. */
export function shapeOf(mm: (key: string) => number | undefined, start = SHAPES.even!.shape): Shape {
  const share = (key: string, usual: number, drawn: number) => {
    const taken = mm(key);
    return taken === undefined ? drawn : Math.min(1.45, Math.max(0.78, taken / usual));
  };
  return {
    chest: share(mm("bust") ? "bust" : "chest", 920, start.chest),
    waist: share("waist", 760, start.waist),
    hip: share("hip", 1000, start.hip),
  };
}

/** A soft line through points. */
function through(points: XY[]): string {
  const at = (k: number) => points[Math.min(points.length - 1, Math.max(0, k))]!;
  let d = `M${at(0).join(" ")}`;
  for (let k = 0; k < points.length - 1; k++) {
    const [a, b, c, e] = [at(k - 1), at(k), at(k + 1), at(k + 2)];
    const one = [b[0] + (c[0] - a[0]) / 6, b[1] + (c[1] - a[1]) / 6];
    const two = [c[0] - (e[0] - b[0]) / 6, c[1] - (e[1] - b[1]) / 6];
    d += `C${[...one, ...two, ...c].map((n) => n.toFixed(1)).join(" ")}`;
  }
  return d;
}

const flip = ([x, y]: XY): XY => [WIDTH - x, y];
const HEAD = "M100 12c14 0 22 10 22 25s-9 27-22 27-22-12-22-27 8-25 22-25z";
const MIDDLE = 100;

function standing({ chest, waist, hip }: Shape, view: "front" | "back" | "bent"): Drawn {
  const half = {
    shoulder: 36 + 5 * chest,
    chest: 34 * chest,
    under: 30 * chest,
    waist: 28 * waist,
    low: 17 * waist + 18 * hip,
    hip: 42 * hip,
  };
  const right = (w: number, y: number): XY => [MIDDLE + w, y];
  const leg = { thigh: half.hip * 0.95, knee: 26 + 5 * hip, calf: 27 + 5 * hip, ankle: 23 };
  const neck = [right(11, 62), right(12, 74), right(half.shoulder * 0.7, 84), right(half.shoulder, 92)];
  const flank = [
    right(half.chest, 120), right(half.under, 142), right(half.waist, 168), right(half.low, 190), right(half.hip, 214),
    right(leg.thigh, 248), right(leg.knee, 318), right(leg.calf, 346), right(leg.ankle, 404), right(leg.ankle + 8, 418),
  ]; // prettier-ignore
  const inner = [right(9, 418), right(10, 404), right(10, 350), right(8, 318), right(4, 262), right(0, 240)];
  const tip = half.shoulder;
  const hanging = (out: number): XY[] => [
    right(tip, 92), right(tip + 8 + out, 132), right(tip + 12 + out, 176), right(tip + 17 + out, 226), right(tip + 15 + out, 246),
    right(tip + 7 + out, 246), right(tip + 8 + out, 224), right(tip + out, 178), right(half.chest, 122),
  ]; // prettier-ignore
  const bent: XY[] = [
    right(tip, 92), right(tip + 18, 126), right(tip + 36, 164), right(tip + 26, 178), right(half.waist + 18, 196),
    right(half.waist + 6, 186), right(half.waist + 14, 180), right(tip + 16, 158), right(half.chest, 122),
  ]; // prettier-ignore
  const arm = view === "bent" ? bent : hanging(0);
  const lines = [neck, flank, inner];
  const outline = [
    HEAD,
    ...lines.flatMap((line) => [through(line), through(line.map(flip))]),
    through(arm),
    through(hanging(0).map(flip)),
  ];
  const faint =
    view === "back" ? ["M100 78V206", `M${MIDDLE - 20 * hip} 236q20 14 ${20 * hip} 0q20 14 ${20 * hip} 0`] : [];
  const marks: Record<string, XY> = {
    neck_point: right(12, 75), shoulder_tip: right(tip, 92), level_tip: right(tip, 75), shoulder_middle: right(tip * 0.62, 82),
    chest_left: right(-half.chest, 112), chest_right: right(half.chest, 112), chest_point: right(12, 120),
    bust_left: right(-17 * chest, 124), bust_point: right(17 * chest, 124), bust_under: right(17 * chest, 142),
    front_waist: right(11, 168), side_front_waist: right(20 * waist, 168), front_tummy: right(13, 194),
    crotch: right(1, 240), inner_knee: right(8, 318), inner_ankle: right(10, 402),
    tip_left: right(-tip, 92), back_left: right(-half.chest, 112), back_right: right(half.chest, 112),
    nape: right(0, 76), back_armhole: right(0, 120), back_middle_waist: right(0, 168), back_middle_hip: right(0, 204),
    elbow: right(tip + 36, 164), wrist: right(half.waist + 16, 190),
  }; // prettier-ignore
  const round = (w: number, y: number): [XY, XY] => [right(-w, y), right(w, y)];
  const ofLeg = (y: number, outer: number, inside: number): [XY, XY] => [right(inside, y), right(outer, y)];
  const rounds: Record<string, [XY, XY]> = {
    head: round(22, 34), neck: round(12, 73), chest: round(half.chest, 122), bust: round(half.chest, 124),
    under_bust: round(half.under, 142), waist: round(half.waist, 168), low_waist: round(half.low, 188), tummy: round((half.waist + half.low) / 2 + 2, 194), hip: round(half.hip, 214),
    thigh: ofLeg(250, leg.thigh, 3), knee: ofLeg(318, leg.knee, 8), calf: ofLeg(346, leg.calf, 10),
    high_ankle: ofLeg(378, leg.ankle + 3, 10), ankle: ofLeg(402, leg.ankle, 10), instep: ofLeg(410, leg.ankle + 5, 8),
    upper_arm: [right(half.chest + 6, 136), right(tip + 20, 128)],
    sleeve_edge: [right(tip + 8, 168), right(tip + 22, 184)], wrist: [right(half.waist + 12, 178), right(half.waist + 22, 198)],
  }; // prettier-ignore
  return { outline, faint, marks, rounds };
}

function aside({ chest, waist, hip }: Shape): Drawn {
  const front = (w: number, y: number): XY => [100 + w, y];
  const belly = [
    front(9, 64), front(11, 78), front(22 * chest, 116), front(18 * chest, 140), front(17 * waist, 168), front(21 * waist, 192),
    front(17 * hip, 216), front(19, 250), front(13, 318), front(8, 400), front(30, 412), front(30, 418),
  ]; // prettier-ignore
  const behind = [
    front(-9, 62), front(-11, 76), front(-22 * chest, 112), front(-15 * waist, 166), front(-29 * hip, 214), front(-21 * hip, 242),
    front(-12, 316), front(-17, 348), front(-12, 400), front(-13, 418),
  ]; // prettier-ignore
  return {
    outline: ["M102 12c15 0 23 10 23 25s-9 27-22 27-22-12-22-27 7-25 21-25z", through(belly), through(behind), "M87 418H130"],
    faint: [through([front(-8, 92), front(-12, 132), front(-8, 176), front(2, 226)]), through([front(8, 94), front(6, 132), front(5, 176), front(12, 224)])],
    marks: {
      side_waist: front(1, 168), side_hip: front(-4, 214), side_knee: front(1, 318), side_ankle: front(-2, 400), side_floor: front(-2, 418),
      crown_wall: [58, 12], floor_wall: [58, 418], heel_top: front(-20, 398), heel_floor: front(-20, 418),
      shoulder_side: front(0, 88), armpit: front(0, 124), shoulder_top: front(0, 84), bust_side: front(22 * chest, 116),
      belly_waist: front(17 * waist, 168), under_crotch: front(-3, 246), seat: front(-29 * hip, 216), back_waist: front(-15 * waist, 168),
    },
    rounds: {},
  }; // prettier-ignore
}

const SEATED: Drawn = {
  outline: [
    "M84 40c13 0 21 10 21 24s-8 25-21 25-21-11-21-25 8-24 21-24z",
    "M76 88c-16 10-22 30-23 58-1 34-4 62-4 92 0 16 10 24 26 24h82c8 0 12 4 12 14v96h26",
    "M94 90c10 12 12 32 12 54 0 28-4 44-2 66l58 2c22 1 34 12 34 34v126",
  ],
  faint: ["M28 268h118v138M36 268v138M28 268V150"],
  marks: { seated_waist: [92, 150], seated_seat: [92, 264] },
  rounds: {},
};

/** The figure of a view. */
export function figure(view: string, shape: Shape): Drawn {
  if (view === "side") return aside(shape);
  if (view === "seated") return SEATED;
  return standing(shape, view === "back" || view === "bent" ? view : "front");
}

export type Laid = { front: string; behind: string };

/** How the tape of a point is on the drawn figure; null where the figure lacks a landmark. */
export function tapeOn(tape: string[], { marks, rounds }: Drawn): Laid | null {
  const [kind, ...names] = tape;
  const ends = kind === "round" ? rounds[names[0]!] : undefined;
  if (ends) {
    const [[ax, ay], [bx, by]] = ends;
    const deep = Math.min(16, Math.hypot(bx - ax, by - ay) * 0.22);
    const [nx, ny] = [-(by - ay), bx - ax].map((n) => n / (Math.hypot(bx - ax, by - ay) || 1)) as XY;
    const bow = (by_: number) => `M${ax} ${ay}Q${(ax + bx) / 2 + nx * by_} ${(ay + by) / 2 + ny * by_} ${bx} ${by}`;
    return { front: bow(deep), behind: bow(-deep * 0.6) };
  }
  const points = names.map((name) => marks[name]);
  if (points.length < 2 || points.some((point) => point === undefined)) return null;
  if (kind === "loop") {
    const [[ax, ay], [bx, by]] = points as [XY, XY];
    const [cx, cy, ry] = [(ax + bx) / 2, (ay + by) / 2, Math.abs(by - ay) / 2];
    return { front: `M${cx} ${cy - ry}a12 ${ry} 0 1 1 -.1 0`, behind: "" };
  }
  return { front: through(points as XY[]), behind: "" };
}
