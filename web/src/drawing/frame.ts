/** Where things of the cloth are on the picture. The cloth's frame: x along the selvedge, y from the fold, in mm. */
export type XY = readonly [number, number] | readonly number[];

export type Frame = {
  /** A point of the cloth on the picture. */
  at: (point: XY) => [number, number];
  /** Where a piece is placed, as a transform of its own drawing. */
  placed: (placing: Placing) => string;
  /** True where the cloth's length runs down the picture (a phone held upright). */
  upright: boolean;
};

/** Lying: fold at the top, length to the right. Upright: turned a quarter, fold at the right, length down. */
export function frame(depth: number, upright: boolean): Frame {
  const at = ([x = 0, y = 0]: XY): [number, number] => (upright ? [depth - y, x] : [x, y]);
  return {
    upright,
    at,
    placed: (placing) => {
      const [zero, across, down] = [
        [0, 0],
        [1, 0],
        [0, 1],
      ].map((point) => at(onCloth(placing, point)));
      const [[e, f], [ax, ay], [dx, dy]] = [zero!, across!, down!];
      return `matrix(${ax - e} ${ay - f} ${dx - e} ${dy - f} ${e} ${f})`;
    },
  };
}

export function pathOf(points: readonly XY[], to: Frame["at"], closed = false): string {
  const steps = points.map((point) =>
    to(point)
      .map((value) => value.toFixed(2))
      .join(","),
  );
  return `M${steps.join("L")}${closed ? "Z" : ""}`;
}

export type Placing = { x_mm: number; y_mm: number; turned: boolean; mirrored: boolean };

/** A draft point (across, down) of a placed piece in the cloth's frame. */
export function onCloth(placing: Placing, [across = 0, down = 0]: XY): [number, number] {
  const [t, m] = [placing.turned ? -1 : 1, placing.mirrored ? -1 : 1];
  return [placing.x_mm + t * down, placing.y_mm + t * m * across];
}

/** The least box around points: [x, y, width, height]. */
export function boxOf(points: readonly XY[]): [number, number, number, number] {
  const xs = points.map((p) => p[0] ?? 0);
  const ys = points.map((p) => p[1] ?? 0);
  const [x, y] = [Math.min(...xs), Math.min(...ys)];
  return [x, y, Math.max(...xs) - x, Math.max(...ys) - y];
}

/** How far each outline moves across to stand beside the one before, `gap` mm apart; and the whole width. */
export function sideBySide(outlines: readonly (readonly XY[])[], gap: number): { shifts: number[]; width: number } {
  const boxes = outlines.map(boxOf);
  const starts = boxes.map((_, k) => boxes.slice(0, k).reduce((sum, box) => sum + box[2] + gap, 0));
  const last = boxes.at(-1);
  return { shifts: boxes.map((box, k) => starts[k]! - box[0]), width: last ? starts.at(-1)! + last[2] : 0 };
}
