/** How a flat surface is seen by something that looks at it from aside, such as a projector that hangs askew. */
export type XY = readonly [number, number];
/** Nine numbers, row by row; the last is 1. */
export type Homography = readonly number[];

/** What takes four points, no three of them in one line, to four others; null where there is no one answer. */
export function homography(from: readonly XY[], to: readonly XY[]): Homography | null {
  const rows: number[][] = [];
  from.forEach(([x, y], k) => {
    const [u, v] = to[k]!;
    rows.push([x, y, 1, 0, 0, 0, -u * x, -u * y, u], [0, 0, 0, x, y, 1, -v * x, -v * y, v]);
  });
  const found = solved(rows);
  return found && [...found, 1];
}

/** Where a point comes to. */
export function seen(h: Homography, [x, y]: XY): [number, number] {
  const [a, b, c, d, e, f, g, k, l] = h as [number, number, number, number, number, number, number, number, number];
  const by = g * x + k * y + l;
  return [(a * x + b * y + c) / by, (d * x + e * y + f) / by];
}

/** The same as a transform of a page. */
export function asTransform(h: Homography): string {
  const [a, b, c, d, e, f, g, k, l] = h;
  return `matrix3d(${[a, d, 0, g, b, e, 0, k, 0, 0, 1, 0, c, f, 0, l].join(",")})`;
}

/** Linear equations, each with its right side last, by Gauss with the largest pivot; null where they have no one answer. */
function solved(equations: number[][]): number[] | null {
  const rows = equations.map((row) => [...row]);
  const n = rows.length;
  for (let k = 0; k < n; k++) {
    const best = rows.slice(k).reduce((at, row, m) => (Math.abs(row[k]!) > Math.abs(rows[at]![k]!) ? k + m : at), k);
    [rows[k], rows[best]] = [rows[best]!, rows[k]!];
    const pivot = rows[k]!;
    if (Math.abs(pivot[k]!) < 1e-9) return null;
    for (const row of rows) {
      if (row === pivot) continue;
      const times = row[k]! / pivot[k]!;
      for (let m = k; m <= n; m++) row[m]! -= times * pivot[m]!;
    }
  }
  return rows.map((row, k) => row[n]! / row[k]!);
}
