import { describe, expect, it } from "vitest";
import { colours } from "./theme";

/** Relative luminance and contrast as WCAG 2.2 defines them. */
function luminance(hex: string): number {
  const part = (at: number) => {
    const value = parseInt(hex.slice(at, at + 2), 16) / 255;
    return value <= 0.04045 ? value / 12.92 : ((value + 0.055) / 1.055) ** 2.4;
  };
  return 0.2126 * part(1) + 0.7152 * part(3) + 0.0722 * part(5);
}
function contrast(one: string, two: string): number {
  const [light, dark] = [luminance(one), luminance(two)].sort((a, b) => b - a) as [number, number];
  return (light + 0.05) / (dark + 0.05);
}

const text: [string, string, number][] = [
  ...["calico", "sheet", "well"].flatMap((ground): [string, string, number][] => [
    ["ink", ground, 11],
    ["ink2", ground, 6],
    ["madder", ground, 5],
    ["moss", ground, 5],
    ["edge", ground, 3],
  ]),
  ["onDye", "dye", 9],
  ["ink", "dyeSoft", 9],
  ["onMarigold", "marigold", 8],
  ["marigoldDeep", "sheet", 6],
  ["madder", "madderSoft", 5.5],
  ["moss", "mossSoft", 5.5],
  ["tapeInk", "tape", 9],
];

describe.each(["light", "dim"] as const)("the %s theme", (light) => {
  it.each(text)("%s on %s is at least %d", (over, under, least) => {
    expect(contrast(colours[over]![light], colours[under]![light])).toBeGreaterThanOrEqual(least);
  });
});
