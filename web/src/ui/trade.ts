/** What styles and methods are called on every page. */

export const STYLES: Record<string, string> = {
  "very-short-shorts": "Very short shorts",
  shorts: "Shorts",
  "knee-shorts": "Knee shorts",
  "straight-trousers": "Straight trousers",
  "close-trousers": "Close trousers",
  "boot-cut": "Boot cut",
  palazzo: "Palazzo",
  "wide-gathered": "Wide gathered",
  "paper-bag": "Paper-bag",
  boxers: "Boxers",
  "loose-trousers": "Loose trousers",
};

/** What is worn above the waist. */
export const TOPS: Record<string, string> = {
  bodice: "Bodice",
  "straight-top": "Straight top",
  "loose-top": "Loose top",
  "cropped-top": "Cropped top",
};
export const JUMPSUIT = "jumpsuit";

/** What has to be taken for an outfit of such styles. */
export function sessionOf(styles: string[]): "trousers" | "top" | "jumpsuit" {
  const tops = styles.filter((style) => style in TOPS).length;
  if (tops > 0 && tops === styles.length) return "top";
  return tops > 0 || styles.includes(JUMPSUIT) ? "jumpsuit" : "trousers";
}

/** What any style is called. */
export const styleName = (style: string): string =>
  STYLES[style] ?? TOPS[style] ?? (style === JUMPSUIT ? "Jumpsuit" : style);

/** Each method: its name, and how it goes about it. */
export const METHODS: Record<string, { name: string; says: string }> = {
  "quarter-hip": {
    name: "Quarter hip",
    says: "A quarter of the hip makes the panel; the back comes from the front by known additions. The commonest.",
  },
  "half-thigh": {
    name: "Half thigh",
    says: "The front is half the thigh wide on the crotch line; the centre front drops by what the back rises.",
  },
  "twentieth-tenth": {
    name: "Twentieth and tenth",
    says: "hip / 20 in front, hip / 10 behind; the curve swings outside the centre line.",
  },
  "sixteenth-eighth": {
    name: "Sixteenth and eighth",
    says: "A quarter of the panel in front and half of it behind; the waist gathered on elastic.",
  },
  "centre-crease": {
    name: "Centre crease",
    says: "Close trousers on one crease: front and back share a budget of cut widths.",
  },
  "third-hip": { name: "Third of the hip", says: "Very loose: 7 in of ease, the depth from a third of the hip." },
  "one-piece-leg": { name: "One-piece leg", says: "No side seam: front and back of a leg in one piece." },
  "four-layer": { name: "Four layers", says: "A quick cut through cloth folded twice; it uses no hip." },
  "quarter-plus-one": {
    name: "Quarter plus one",
    says: "As quarter hip, its extension by size from 2 to 3 in.",
  },
  "multiplied-quarter": {
    name: "Multiplied quarter",
    says: "Panels two to three times a quarter of the hip, gathered at the waist.",
  },
  "quarter-bust": {
    name: "Quarter bust",
    says: "A quarter of the bust and of its ease makes front and back; the sleeve is fitted to their armholes.",
  },
};

/** A text of the server's with every method by its name. */
export const called = (text: string): string =>
  Object.entries(METHODS).reduce((said, [key, { name }]) => said.replaceAll(key, name.toLowerCase()), text);

/** Kinds of cloth, as one asks for them. */
export const KINDS = ["cotton", "linen", "wool", "denim", "viscose", "polyester", "silk", "velvet", "twill", "lining"];
