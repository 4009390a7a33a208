/** Whether two outlines share cloth. Plain geometry in mm; outlines are rings of points, the last joined to the first. */
export type Ring = readonly (readonly [number, number])[];

/** Outlines that reach into one another by no more than this only touch. */
const TOUCH = 0.002;

/** The least box around a ring: left, top, right, bottom. */
export function bounds(ring: Ring): [number, number, number, number] {
  let [left, top, right, bottom] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const [x, y] of ring) {
    left = Math.min(left, x);
    right = Math.max(right, x);
    top = Math.min(top, y);
    bottom = Math.max(bottom, y);
  }
  return [left, top, right, bottom];
}

/** True where the two share more than their edges. */
export function overlaps(one: Ring, other: Ring): boolean {
  const [a, b] = [bounds(one), bounds(other)];
  if (a[0] >= b[2] - TOUCH || b[0] >= a[2] - TOUCH || a[1] >= b[3] - TOUCH || b[1] >= a[3] - TOUCH) return false;
  if (onto(one).some((point) => within(point, other)) || onto(other).some((point) => within(point, one))) return true;
  const near = edges(other).filter(([p, q]) => Math.max(p[0], q[0]) > a[0] && Math.min(p[0], q[0]) < a[2]);
  return edges(one).some(([p, q]) => near.some(([r, s]) => cross(p, q, r, s))) || within(middle(one), other);
}

type Point = readonly [number, number];

const edges = (ring: Ring): [Point, Point][] => ring.map((point, k) => [point, ring[(k + 1) % ring.length]!]);

/** Corners and the middles of edges: where edges are on one line, no corner need be inside. */
const onto = (ring: Ring): Point[] => [
  ...ring,
  ...edges(ring).map(([a, b]): Point => [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2]),
];

/** How far c is to the left of the line from a to b. */
function left(a: Point, b: Point, c: Point): number {
  const long = Math.hypot(b[0] - a[0], b[1] - a[1]);
  return long ? ((b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0])) / long : 0;
}

/** Two edges that pass through one another. */
function cross(p: Point, q: Point, r: Point, s: Point): boolean {
  const [a, b, c, d] = [left(p, q, r), left(p, q, s), left(r, s, p), left(r, s, q)];
  const apart = (one: number, other: number) => Math.min(one, other) < -TOUCH && Math.max(one, other) > TOUCH;
  return apart(a, b) && apart(c, d);
}

/** A point inside a ring, further from its edge than touching. */
function within(point: Point, ring: Ring): boolean {
  let inside = false;
  for (const [a, b] of edges(ring)) {
    if (a[1] > point[1] !== b[1] > point[1] && point[0] < ((b[0] - a[0]) * (point[1] - a[1])) / (b[1] - a[1]) + a[0])
      inside = !inside;
  }
  return inside && edges(ring).every(([a, b]) => away(point, a, b) > TOUCH);
}

/** The distance of a point from an edge. */
function away(point: Point, a: Point, b: Point): number {
  const [x, y] = [b[0] - a[0], b[1] - a[1]];
  const share = Math.max(0, Math.min(1, ((point[0] - a[0]) * x + (point[1] - a[1]) * y) / (x * x + y * y || 1)));
  return Math.hypot(point[0] - a[0] - share * x, point[1] - a[1] - share * y);
}

/** Some point well inside: half way through the widest stretch of the level at half its height. */
function middle(ring: Ring): Point {
  const [, top, , bottom] = bounds(ring);
  const y = (top + bottom) / 2 + 1e-7;
  const xs = edges(ring)
    .filter(([a, b]) => a[1] > y !== b[1] > y)
    .map(([a, b]) => a[0] + ((b[0] - a[0]) * (y - a[1])) / (b[1] - a[1]))
    .sort((a, b) => a - b);
  const pairs = Array.from({ length: Math.floor(xs.length / 2) }, (_, k) => [xs[2 * k]!, xs[2 * k + 1]!] as const);
  const widest = pairs.reduce(
    (best, pair) => (pair[1] - pair[0] > best[1] - best[0] ? pair : best),
    pairs[0] ?? [0, 0],
  );
  return [(widest[0] + widest[1]) / 2, y];
}
