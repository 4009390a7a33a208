/** Reading lengths as typed and showing them as a tape does: the twin of cutting/lengths/units.py. */
export type Unit = "in" | "cm";

const MM: Record<string, number> = { in: 25.4, yd: 914.4, cm: 10, mm: 1, m: 1000 };
const GLYPHS: Record<string, string> = {
  "½": "1/2",
  "¼": "1/4",
  "¾": "3/4",
  "⅛": "1/8",
  "⅜": "3/8",
  "⅝": "5/8",
  "⅞": "7/8",
  "⅓": "1/3",
  "⅔": "2/3",
};
const NAMES: Record<string, string> = {
  in: "in",
  inch: "in",
  inches: "in",
  '"': "in",
  "''": "in",
  cm: "cm",
  centimetre: "cm",
  centimetres: "cm",
  centimeter: "cm",
  centimeters: "cm",
  mm: "mm",
  millimetre: "mm",
  millimetres: "mm",
  m: "m",
  yd: "yd",
  yard: "yd",
  yards: "yd",
};
const FEET = /^([0-9]{1,2}) ?(?:'(?!')|ft|feet|foot) ?(.*)$/;
const FRACTION = /^(?:([0-9]{1,9})(?:[ -]|$))?([0-9]{1,4})\/([0-9]{1,4})$/;
const DECIMAL = /^([0-9]{1,9}(?:[.,][0-9]{1,9})?|[.,][0-9]{1,9})$/;
const TAPES = [2, 3, 4, 8, 16, 32, 64];
const LETTER = /(?<![a-z])(?=[ol]*[0-9])[0-9ol]*[ol][0-9ol]*(?![a-z])/;
const LESS = /^(.+?) (less|-) (.+)$/;
const PART = /^[0-9]{1,4}\//;
const WITH_UNIT = /^(.*?) ?([a-z]+|"|'')$/;

/** A length that cannot be read; `code` is one of the core's. */
export class Unreadable extends Error {
  constructor(readonly code: string) {
    super(code);
  }
}

function size(text: string): number {
  const decimal = DECIMAL.exec(text);
  if (decimal) return Number(decimal[1]!.replace(",", "."));
  const fraction = FRACTION.exec(text);
  if (!fraction) throw new Unreadable("length.unreadable");
  const [over, under] = [Number(fraction[2]), Number(fraction[3])];
  if (!TAPES.includes(under) || over >= under) throw new Unreadable("length.fraction");
  return Number(fraction[1] ?? 0) + over / under;
}

/** A length as typed, with the unit where that was left out. */
export const withUnit = (typed: string, unit: Unit) =>
  typed && !/[^\d\s.,/½¼¾⅛⅜⅝⅞⅓⅔-]/.test(typed.replace(/ less /i, " ")) ? `${typed} ${unit}` : typed;

/** The millimetres of a length as typed, or of a reading less the ease in it; bare numbers are in `unit`. Throws Unreadable. */
export function read(typed: string, unit: Unit): number {
  let text = typed
    .trim()
    .toLowerCase()
    .replaceAll("\u00a0", " ")
    .replace(/[″”]/g, '"')
    .replace(/[’′]/g, "'")
    .replaceAll("\u2044", "/")
    .replaceAll("\u2212", "-");
  for (const [glyph, plain] of Object.entries(GLYPHS)) text = text.replaceAll(glyph, ` ${plain}`);
  text = text
    .replace(/ ?\/ ?/g, "/")
    .replace(/\s+/g, " ")
    .trim();
  if (!text) throw new Unreadable("length.empty");
  if (text.length > 40) throw new Unreadable("length.unreadable");
  if (LETTER.test(text)) throw new Unreadable("length.letter");
  if (/^- ?[0-9.,]/.test(text)) throw new Unreadable("length.negative");
  const less = LESS.exec(text);
  if (!less) return one(text, unit);
  if (less[2] === "-" && PART.test(less[3]!)) throw new Unreadable("length.less_or_half");
  const there = unitOf(less[1]!) ?? unitOf(less[3]!) ?? unit;
  const left = one(less[1]!, there) - one(less[3]!, there);
  if (left <= 0) throw new Unreadable("length.less");
  return left;
}

/** The unit that one length has of its own; feet are of inches. */
function unitOf(text: string): string | undefined {
  if (FEET.test(text)) return "in";
  return NAMES[WITH_UNIT.exec(text)?.[2] ?? ""];
}

/** One length: feet and inches, a number and its unit, or a bare number in `unit`. */
function one(text: string, unit: string): number {
  const feet = FEET.exec(text);
  if (feet) {
    const rest = feet[2]!.replace(/(inches|inch|in|''|")$/, "").trim();
    const inches = rest ? size(rest) : 0;
    if (inches >= 12) throw new Unreadable("length.feet");
    return (Number(feet[1]) * 12 + inches) * 25.4;
  }
  const own = WITH_UNIT.exec(text);
  if (own) {
    const name = NAMES[own[2]!];
    if (!name) throw new Unreadable(/^[0-9]/.test(own[1]!) ? "length.unit" : "length.unreadable");
    return size(own[1]!) * MM[name]!;
  }
  return size(text) * MM[unit]!;
}

/** What a unit is called, and what is beside a field. */
export const UNIT: Record<Unit, { name: string; beside: string }> = {
  in: { name: "inches", beside: "inches" },
  cm: { name: "centimetres", beside: "cm" },
};

export type Shown = { negative: boolean; whole: number; over: number; under: number; exact: boolean; unit: Unit };

/** `mm` at the nearest mark of the tape: sixteenths of an inch, or millimetres. Exact within 0.01 mm. */
export function show(mm: number, unit: Unit): Shown {
  const [mark, parts] = unit === "in" ? [25.4 / 16, 16] : [1, 10];
  const marks = Math.floor(Math.abs(mm) / mark + 0.5 + 1e-9);
  const exact = Math.abs(Math.abs(mm) - marks * mark) <= 0.01;
  let [over, under] = [marks % parts, parts];
  while (unit === "in" && over % 2 === 0 && under > 1) [over, under] = [over / 2, under / 2];
  return { negative: mm < 0 && marks > 0, whole: Math.floor(marks / parts), over, under, exact, unit };
}

/** How much longer one length is than another as both are shown, in mm. */
export function apart(one: number, other: number, unit: Unit): number {
  const mark = unit === "in" ? 25.4 / 16 : 1;
  return (Math.round(one / mark) - Math.round(other / mark)) * mark;
}

/** `11 3/4 in`, `29.8 cm`. */
export function text(shown: Shown): string {
  const sign = shown.negative ? "-" : "";
  if (!shown.over) return `${sign}${shown.whole} ${shown.unit}`;
  if (shown.unit === "cm") return `${sign}${shown.whole}.${shown.over} cm`;
  return `${sign}${shown.whole ? `${shown.whole} ` : ""}${shown.over}/${shown.under} in`;
}

const PARTS: Record<number, string> = { 2: "half", 4: "quarter", 8: "eighth", 16: "sixteenth" };

/** How a person says it: "11 and a half inches". */
export function spoken(shown: Shown): string {
  if (shown.unit === "cm") return `${text(shown).replace(" cm", "")} centimetres`;
  const unit = shown.whole === 1 && !shown.over ? "inch" : "inches";
  if (!shown.over) return `${shown.whole} ${unit}`;
  const part = PARTS[shown.under] ?? "";
  const plural = part === "half" ? "halves" : `${part}s`;
  const fraction = shown.over === 1 ? `a${part === "eighth" ? "n" : ""} ${part}` : `${shown.over} ${plural}`;
  return shown.whole ? `${shown.whole} and ${fraction} ${unit}` : `${fraction} of an inch`;
}
