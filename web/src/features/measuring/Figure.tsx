import type { Point } from "../../api/measuring";
import { figure, HEIGHT, type Shape, tapeOn, WIDTH } from "./figure";

/** The figure in the posture of the point in hand, with the tape where it is taken. */
export function Figure({ point, shape }: { point: Point; shape: Shape }) {
  const drawn = figure(point.view, shape);
  const tape = tapeOn(point.tape, drawn);
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT - 10}`}
      width="100%"
      height="100%"
      role="img"
      aria-label={`Where the tape runs: ${point.name}. ${point.posture}.`}
    >
      <g fill="none" stroke="currentColor" strokeLinecap="round" strokeLinejoin="round">
        {drawn.outline.map((d) => (
          <path key={d} d={d} strokeWidth="2" />
        ))}
        {drawn.faint.map((d) => (
          <path key={d} d={d} strokeWidth="1.2" strokeOpacity="0.5" />
        ))}
      </g>
      {tape && (
        <g data-tape-path fill="none" strokeLinecap="round" strokeLinejoin="round">
          <path d={tape.behind} stroke="#2A2410" strokeWidth="1.5" strokeDasharray="4 4" />
          <path d={tape.front} stroke="#2A2410" strokeWidth="8" />
          <path d={tape.front} stroke="#F0B22E" strokeWidth="5" />
        </g>
      )}
    </svg>
  );
}
