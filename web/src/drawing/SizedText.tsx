import { type Part, taken } from "../lengths/taped";

type Props = {
  text: string;
  /** Its middle. */
  x: number;
  y: number;
  /** How high the smallest of its letters are: those of a fraction. */
  least: number;
  fill: string;
};

/** How wide a figure is and a sign of another kind, as shares of the letters' size: near enough to centre by. */
const FIGURE = 0.64;
const SIGN = 0.5;
/** How much larger the letters are than a fraction's. */
const LARGER = 1.25;

type Placed = { part: Part; left: number; over: number; unit: number; end: number };

/** Where the parts of a text begin and end when its first begins at 0: a number, its fraction, its unit. */
function placed(parts: Part[], size: number, least: number): Placed[] {
  let at = 0;
  return parts.map((part) => {
    const left = at;
    if ("words" in part) {
      at += part.words.length * SIGN * size;
      return { part, left, over: at, unit: at, end: at };
    }
    const over = left + (part.whole.length * FIGURE + (part.over ? 0.1 : 0)) * size;
    const unit = over + (part.over ? Math.max(part.over.length, part.under.length) * FIGURE * least : 0);
    at = unit + unitOf(part).length * SIGN * size;
    return { part, left, over, unit, end: at };
  });
}

const unitOf = (part: Part) => ("words" in part || !part.unit ? "" : part.unit === "in" ? "″" : ` ${part.unit}`);

/** A text with lengths in it on a drawing, about its middle: fractions stacked, an inch as ″. */
export function SizedText({ text, x, y, least, fill }: Props) {
  const size = LARGER * least;
  const parts = placed(taken(text), size, least);
  const start = x - (parts.at(-1)?.end ?? 0) / 2;
  return (
    <g fontSize={size} fill={fill} stroke="none" data-sized={text}>
      {parts.map(({ part, left, over, unit, end }, k) => (
        <g key={k}>
          <text x={start + left} y={y} textLength={"words" in part ? end - left : undefined} xmlSpace="preserve">
            {"words" in part ? part.words : part.whole}
          </text>
          {!("words" in part) && part.over && (
            <g fontSize={least} textAnchor="middle">
              <text x={start + (over + unit) / 2} y={y - 0.48 * size}>
                {part.over}
              </text>
              <path d={`M${start + over} ${y - 0.33 * size}H${start + unit}`} stroke={fill} strokeWidth={0.07 * size} />
              <text x={start + (over + unit) / 2} y={y + 0.4 * size}>
                {part.under}
              </text>
            </g>
          )}
          <text x={start + unit} y={y}>
            {unitOf(part)}
          </text>
        </g>
      ))}
    </g>
  );
}
