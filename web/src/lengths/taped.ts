/** A sentence or a sum of the server taken apart, so that its numbers are shown as a tape shows them. */
import { spoken, type Unit } from "./units";

export type Part =
  | { words: string }
  /** A number with a fraction, or with a unit; `said` is how a person says it. */
  | { whole: string; over: string; under: string; unit: Unit | ""; said: string };

const NUMBER = /(?<![\w./])(?:(\d+(?:\.\d+)?) )?(?:(\d+)\/(\d+)|(?<= )(?=(?:in|cm)\b))(?: ?(in|cm)\b)?(?![\w/])/g;

/** The numbers of a text that have a fraction or a unit, and the words between them, with the signs of a sum as signs. */
export function taken(text: string): Part[] {
  const parts: Part[] = [];
  let at = 0;
  for (const found of text.matchAll(NUMBER)) {
    const [all, whole = "", over = "", under = "", unit = ""] = found;
    if (!whole && !over) continue;
    if (found.index > at) parts.push({ words: signs(text.slice(at, found.index)) });
    parts.push({ whole, over, under, unit: unit as Unit | "", said: saidOf(whole, over, under, unit as Unit | "") });
    at = found.index + all.length;
  }
  if (at < text.length) parts.push({ words: signs(text.slice(at)) });
  return parts;
}

/** The same where nothing can be stacked, as in a list that opens: an inch as ″, the signs of a sum as signs. */
export function plainly(text: string): string {
  return taken(text)
    .map((part) => {
      if ("words" in part) return part.words;
      const number = [part.whole, part.over && `${part.over}/${part.under}`].filter(Boolean).join(" ");
      return part.unit === "in" ? `${number}″` : [number, part.unit].filter(Boolean).join(" ");
    })
    .join("");
}

/** Divided by, times, less: never to be taken for a fraction, a letter or a hyphen. */
function signs(words: string): string {
  return words
    .replace(/(^|[\w)”]) \/ (?=[\d(]|$)/g, "$1 ÷ ")
    .replace(/(^|[\w)”]) x (?=[\w(]|$)/g, "$1 × ")
    .replace(/(^|[\w)”]) - (?=[\w(]|$)/g, "$1 − ");
}

function saidOf(whole: string, over: string, under: string, unit: Unit | ""): string {
  const known = ["2", "4", "8", "16"].includes(under);
  if (unit && (!over || known)) {
    if (whole.includes(".")) return `${whole} ${unit === "in" ? "inches" : "centimetres"}`;
    return spoken({
      negative: false, exact: true, unit, whole: Number(whole), over: Number(over), under: Number(under),
    }); // prettier-ignore
  }
  const part = known ? spoken({ negative: false, exact: true, unit: "in", whole: 0, over: Number(over), under: Number(under) }).replace(" of an inch", "") : `${over} over ${under}`; // prettier-ignore
  return whole ? `${whole} and ${part}` : part;
}
