import type { Mark, Piece, Plan } from "../../api/plans";
import { boxOf, frame, type Placing } from "../../drawing/frame";
import { pieceName } from "../../drawing/names";
import { asTransform, type Homography } from "../../geometry/homography";
import type { Turned } from "./shown";

/** Strokes on cloth, in mm: what is cut heaviest, what is sewn broken. */
const CUT = 2;
const FINE = 1.2;
const DASH: Record<string, string | undefined> = { net: "9 6", grain: "18 6 3 6", chalk: "2 6" };
const LYING = frame(0, false);
const CHALK = "#FBF8EF";
const MARIGOLD = "#F0B22E";
const GROWN = 12_000;

type ThrownProps = {
  thrown: Homography;
  /** Where the middle of the screen is on the cloth, in mm: there the middle of the drawing comes. */
  middle: readonly [number, number];
  turned: Turned;
  plan: Plan;
  /** One piece; the lay of a section where there is none. */
  piece: Piece | null;
  section: number;
  mark: Mark | undefined;
};

/** A piece or a lay in true size on the cloth. */
export function Thrown({ thrown, middle, turned, plan, piece, section, mark }: ThrownProps) {
  const shown = piece ? [] : (plan.lay?.placements.filter((one) => one.section === section) ?? []);
  const [x, y, wide, deep] = piece ? boxOf(piece.cut) : layBox(plan, section);
  const quarter = `rotate(${90 * turned.quarters}) scale(${turned.flipped ? -1 : 1} 1)`;
  const place = `translate(${middle[0] + turned.across} ${middle[1] + turned.down}) ${quarter} translate(${-x - wide / 2} ${-y - deep / 2})`;
  const line = piece ? mark?.local_mm : mark?.cloth_mm;
  return (
    <svg
      width={GROWN}
      height={GROWN}
      viewBox={`0 0 ${GROWN} ${GROWN}`}
      style={{
        position: "absolute",
        left: 0,
        top: 0,
        overflow: "visible",
        transformOrigin: "0 0",
        transform: asTransform(thrown),
        pointerEvents: "none",
      }}
      role="img"
      aria-label={piece ? `${pieceName(plan, piece)}, in true size` : "The lay, in true size"}
    >
      <g transform={place} stroke={CHALK} fill="none" strokeLinejoin="round">
        {piece ? (
          <Lines piece={piece} />
        ) : (
          <>
            <rect x={x} y={y} width={wide} height={deep} strokeWidth={FINE} strokeDasharray="30 10" />
            {shown.map((placing: Placing & { piece: string }, k) => {
              const own = plan.pieces.find((one) => one.id === placing.piece)!;
              return (
                <g key={k} transform={LYING.placed(placing)}>
                  <Lines piece={own} />
                </g>
              );
            })}
          </>
        )}
        {line && (
          <g stroke={MARIGOLD} strokeWidth={CUT}>
            <path d={`M${line[0]!.join(",")}L${line[1]!.join(",")}`} />
            <circle cx={line[1]![0]} cy={line[1]![1]} r="6" />
          </g>
        )}
      </g>
    </svg>
  );
}

function Lines({ piece }: { piece: Piece }) {
  return piece.strokes.map(({ role, d }, k) => (
    <path
      key={k}
      d={d}
      data-role={role}
      strokeWidth={role === "cut" || role === "fold" ? CUT : FINE}
      strokeDasharray={DASH[role]}
    />
  ));
}

/** The cloth of a section: [x, y, along, across], mm. */
function layBox(plan: Plan, section: number): [number, number, number, number] {
  const own = plan.lay?.sections[section];
  return own ? [own.from_mm, 0, own.to_mm - own.from_mm, own.depth_mm] : [0, 0, 100, 100];
}
