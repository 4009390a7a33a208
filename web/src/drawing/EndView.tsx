/** Folded cloth seen from its end: one line that turns back on itself, its layers numbered from the top. */

const TOP = 8;
const STEP = 16;

/** The line of a fold, `deep` px long where it is deepest; `upper` is how far the upper layer reaches. */
export function endLine(fold: string, deep: number, upper: number): { lines: string[]; layers: [number, number][] } {
  const [a, b] = [TOP, TOP + STEP];
  const turn = (y: number, to: number) => `C-6 ${y} -6 ${to} 10 ${to}`;
  const middle = deep / 2;
  switch (fold) {
    case "open":
      return { lines: [`M0 ${b}H${deep}`], layers: [[deep, b]] };
    case "lengthwise-partial":
      return { lines: [`M${upper} ${a}H10${turn(a, b)}H${deep}`], layers: [[upper, a], [deep, b]] }; // prettier-ignore
    case "selvedges-to-middle": {
      const back = `C${deep + 6} ${b} ${deep + 6} ${a} ${deep - 10} ${a}`;
      const line = `M${middle - 4} ${a}H10${turn(a, b)}H${deep - 10}${back}H${middle + 4}`;
      return { lines: [line], layers: [[middle / 2 - 10, a - 14], [middle * 1.5 - 10, a - 14], [middle - 10, b + 12]] }; // prettier-ignore
    }
    case "folded-twice": {
      const [c, d] = [b + STEP, b + 2 * STEP];
      const lines = [
        `M${deep} ${a}H16C-10 ${a} -10 ${d} 16 ${d}H${deep}`,
        `M${deep} ${b}H18C8 ${b} 8 ${c} 18 ${c}H${deep}`,
      ];
      return { lines, layers: [[deep, a], [deep, b], [deep, c], [deep, d]] }; // prettier-ignore
    }
    case "sections": {
      const [first, next] = [deep * 0.42, deep * 0.58];
      return { lines: [`M${first} ${a}H10${turn(a, b)}H${first}`, `M${next} ${b}H${deep}`], layers: [[first, a], [first, b], [deep, b]] }; // prettier-ignore
    }
    default:
      return { lines: [`M${deep} ${a}H10${turn(a, b)}H${deep}`], layers: [[deep, a], [deep, b]] }; // prettier-ignore
  }
}

type Props = {
  fold: string;
  deep: number;
  upper: number;
  colour: string;
  thick?: number;
  numbered?: boolean;
  /** How high its numbers are, in the units of the svg. */
  letters?: number;
};

/** Drawn into an svg of the caller's. */
export function EndView({ fold, deep, upper, colour, thick = 7, numbered = true, letters = 15 }: Props) {
  const { lines, layers } = endLine(fold, deep, upper);
  return (
    <g>
      {lines.map((line) => (
        <g key={line} fill="none" strokeLinecap="round">
          <path d={line} stroke="currentColor" strokeWidth={thick + 1.5} />
          <path d={line} stroke={colour} strokeWidth={thick} />
        </g>
      ))}
      {numbered &&
        layers.map(([x, y], k) => (
          <text
            key={k}
            x={x + 12}
            y={y + 5 + (k - (layers.length - 1) / 2) * Math.max(0, 0.9 * letters - STEP)}
            fontSize={letters}
            fill="currentColor"
          >
            {k + 1}
          </text>
        ))}
    </g>
  );
}
