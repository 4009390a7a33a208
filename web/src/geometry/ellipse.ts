/** An ellipse as wide as a girth goes round: half its width and half its depth, in the girth's unit. */

/** Depth of a body over its width, by the level of the ledger. From memory, no source. */
const DEPTH: Record<string, number> = { bust: 0.75, waist: 0.72, hip: 0.74, thigh: 0.95, knee: 0.95, upper_arm: 0.95 };

/** Ramanujan's first rule for the way round an ellipse (1914), turned about: it is off by less than a ten thousandth. */
export function roundAs(girth: number, level: string): { rx: number; ry: number } {
  const r = DEPTH[level] ?? 0.8;
  const rx = girth / (Math.PI * (3 * (1 + r) - Math.sqrt((3 + r) * (1 + 3 * r))));
  return { rx, ry: rx * r };
}

/** Whether a level is of the body or of a limb, and so has a cross-section. */
export const hasSection = (level: string) => level in DEPTH;
