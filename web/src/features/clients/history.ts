/** The small line of a point's values over time, in a box of 88 by 22: level in the middle where nothing changed. */
export function line(values: number[]): string {
  const [low, high] = [Math.min(...values), Math.max(...values)];
  const span = Math.max(high - low, 12.7);
  const middle = (low + high) / 2;
  const step = 84 / Math.max(1, values.length - 1);
  return values
    .map(
      (value, k) => `${k ? "L" : "M"}${(2 + k * step).toFixed(1)} ${(11 - ((value - middle) / span) * 18).toFixed(1)}`,
    )
    .join("");
}
