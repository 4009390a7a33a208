/** The cloth's own colour on the screen, and whether chalk or pencil is seen on it. */
const CHALK = "#FBF8EF";
const PENCIL = "#141830";
/** No cloth is shown darker than of this luminance. */
const DARKEST = 0.06;

function channels(hex: string): [number, number, number] {
  return [1, 3, 5].map((at) => parseInt(hex.slice(at, at + 2), 16)) as [number, number, number];
}

function luminance(hex: string): number {
  const [r, g, b] = channels(hex).map((value) => {
    const part = value / 255;
    return part <= 0.04045 ? part / 12.92 : ((part + 0.055) / 1.055) ** 2.4;
  }) as [number, number, number];
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}

/** The contrast of two colours as WCAG 2.2 counts it. */
export function contrast(one: string, two: string): number {
  const [high, low] = [luminance(one), luminance(two)].sort((a, b) => b - a) as [number, number];
  return (high + 0.05) / (low + 0.05);
}

export function mix(hex: string, other: string, share: number): string {
  const [a, b] = [channels(hex), channels(other)];
  return `#${a
    .map((value, k) =>
      Math.round(value + (b[k]! - value) * share)
        .toString(16)
        .padStart(2, "0"),
    )
    .join("")}`;
}

/** A little lighter, of the same hue. */
function lighter(hex: string): string {
  const parts = channels(hex).map((value) => Math.min(255, Math.round(value * 1.06 + 2)));
  return `#${parts.map((value) => value.toString(16).padStart(2, "0")).join("")}`;
}

/** The cloth as shown with `layers` layers, and the line that is seen on it: at least 4.5 to 1. */
export function clothColours(colour: string, layers: number): { cloth: string; line: string } {
  // A cloth near black is shown a little lighter: as cloth on a table, not as a night.
  let one = colour;
  for (let step = 0; step < 40 && luminance(one) < DARKEST; step++) one = lighter(one);
  let cloth = mix(one, PENCIL, layers > 1 ? 0.12 : 0);
  const line = contrast(cloth, CHALK) >= contrast(cloth, PENCIL) ? CHALK : PENCIL;
  const away = line === CHALK ? PENCIL : "#FFFFFF";
  for (let step = 0; step < 20 && contrast(cloth, line) < 4.5; step++) cloth = mix(cloth, away, 0.08);
  return { cloth, line };
}
