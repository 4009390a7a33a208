import { PATHS, SEATED, STANDING } from "./figure";

/** The figure with the tape where the point in hand is taken. */
export function Figure({ point, name }: { point: string; name: string }) {
  const path = PATHS[point];
  const d = path?.line ? `M${path.line.map((p) => p.join(" ")).join("L")}` : "";
  const [y, left, right] = path?.round ?? [0, 0, 0];
  const middle = (left + right) / 2;
  return (
    <svg viewBox="14 4 182 424" width="100%" height="100%" role="img" aria-label={`Where the tape runs: ${name}`}>
      <path
        d={path?.pose === "seated" ? SEATED : STANDING}
        fill="none"
        stroke="currentColor"
        strokeWidth="2"
        strokeLinecap="round"
        strokeLinejoin="round"
      />
      {path?.round && (
        <g fill="none" strokeLinecap="round">
          <path d={`M${left - 2} ${y}Q${middle} ${y + 16} ${right + 2} ${y}`} stroke="#2A2410" strokeWidth="9" />
          <path d={`M${left - 2} ${y}Q${middle} ${y + 16} ${right + 2} ${y}`} stroke="#F0B22E" strokeWidth="6" />
          <path
            d={`M${left - 2} ${y}Q${middle} ${y - 9} ${right + 2} ${y}`}
            stroke="#2A2410"
            strokeWidth="1.5"
            strokeDasharray="4 4"
          />
        </g>
      )}
      {d && (
        <g fill="none" strokeLinecap="round" strokeLinejoin="round">
          <path d={d} stroke="#2A2410" strokeWidth="9" />
          <path d={d} stroke="#F0B22E" strokeWidth="6" />
        </g>
      )}
    </svg>
  );
}
