import type { Unit } from "../lengths/units";
import { type Frame, pathOf, type XY } from "./frame";
import { RingOn } from "./RingOn";

/** The tape from the datum to the mark, drawn from the mark's own two points; its length on the cloth is its number. */
export function TapeOn({ from, to, draw, px, unit }: { from: XY; to: XY; draw: Frame; px: number; unit: Unit }) {
  const [[ax, ay], [bx, by]] = [draw.at(from), draw.at(to)];
  const size = Math.hypot(bx - ax, by - ay);
  const angle = (Math.atan2(by - ay, bx - ax) * 180) / Math.PI;
  const one = unit === "in" ? 25.4 : 10;
  const wide = 11 * px;
  // A short tape must not vanish under its own ring.
  const r = size < 44 * px ? 6 : 12;
  const heavy = size < 44 * px ? 0.6 : 1;
  const ticks: string[] = [];
  for (let n = 1; n * one < size; n++)
    ticks.push(
      pathOf(
        [
          [n * one, 0],
          [n * one, wide * (n % 6 ? 0.45 : 0.8)],
        ],
        ([x = 0, y = 0]) => [x, y],
      ),
    );
  return (
    <g data-tape={size.toFixed(3)}>
      <g style={{ transition: "transform 200ms" }} transform={`translate(${ax} ${ay}) rotate(${angle})`}>
        <rect x={0} y={0} width={Math.max(size, 0.01)} height={wide} fill="#F2E2A6" stroke="#2A2410" strokeWidth={px} />
        <path d={ticks.join("")} stroke="#2A2410" strokeWidth={px} fill="none" />
        <path d={`M0 ${-5 * px}V${wide + 5 * px}`} stroke="#2A2410" strokeWidth={3 * px} />
      </g>
      <RingOn at={[bx, by]} px={px} r={r} heavy={heavy} />
    </g>
  );
}
