import { taken } from "../lengths/taped";

type Props = {
  text: string;
  /** Its middle. */
  x: number;
  y: number;
  size: number;
  fill: string;
};

/** How wide a sign is, and how much smaller a fraction's are, as shares of the letters' size: near enough to centre by. */
const SIGN = 0.54;
const SMALL = 0.72;

/** A text with lengths in it on a drawing, about its middle: fractions stacked, an inch as ″. */
export function SizedText({ text, x, y, size, fill }: Props) {
  const parts = taken(text);
  const wide = parts.map((part) => {
    if ("words" in part) return part.words.length * SIGN * size;
    const fraction = Math.max(part.over.length, part.under.length) * SIGN * SMALL * size;
    return part.whole.length * SIGN * size + fraction + 0.15 * size;
  });
  const after = parts.map((part) => ("words" in part ? "" : part.unit === "in" ? "″" : part.unit && ` ${part.unit}`));
  const whole = wide.map((one, k) => one + after[k]!.length * SIGN * size);
  const start = x - whole.reduce((sum, one) => sum + one, 0) / 2;
  return (
    <g fontSize={size} fill={fill} stroke="none" data-sized={text}>
      {parts.map((part, k) => {
        const left = start + whole.slice(0, k).reduce((sum, one) => sum + one, 0);
        if ("words" in part) {
          return (
            <text key={k} x={left} y={y} xmlSpace="preserve">
              {part.words}
            </text>
          );
        }
        const [from, end] = [left + part.whole.length * SIGN * size + 0.06 * size, left + wide[k]!];
        const middle = (from + end) / 2;
        return (
          <g key={k}>
            <text x={left} y={y}>
              {part.whole}
            </text>
            {part.over && (
              <g fontSize={SMALL * size} textAnchor="middle">
                <text x={middle} y={y - 0.44 * size}>
                  {part.over}
                </text>
                <path d={`M${from} ${y - 0.36 * size}H${end}`} stroke={fill} strokeWidth={0.07 * size} />
                <text x={middle} y={y + 0.26 * size}>
                  {part.under}
                </text>
              </g>
            )}
            <text x={end} y={y}>
              {after[k]}
            </text>
          </g>
        );
      })}
    </g>
  );
}
