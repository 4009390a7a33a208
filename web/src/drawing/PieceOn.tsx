import type { Piece, Plan } from "../api/shop";
import { boxOf, type Frame, onCloth, pathOf, type Placing } from "./frame";

const PANELS: Record<string, string> = { front: "Front", back: "Back", band: "Band" };
export const panelName = (panel: string) => PANELS[panel] ?? panel;

/** The darts of the panel a piece is cut as. */
export const dartsOf = (plan: Plan, piece: Piece) =>
  plan.panels.find((panel) => panel.garment === piece.garment && panel.name === piece.panel)?.darts ?? [];

type Props = {
  piece: Piece;
  placing: Placing;
  draw: Frame;
  line: string;
  px: number;
  /** done: firm; now: being marked; later: only hinted at. */
  state: "done" | "now" | "later";
  label?: string;
  darts?: Plan["panels"][number]["darts"];
};

/** A piece on the cloth: cut line firm, net line thin and dashed, grain, notches, name. */
export function PieceOn({ piece, placing, draw, line, px, state, label, darts = [] }: Props) {
  const put = (points: readonly (readonly number[])[]) => points.map((point) => onCloth(placing, point));
  const cut = put(piece.cut);
  const [x, y, width, height] = boxOf(cut);
  const [tx, ty] = draw.at([x + width * 0.56, y + height / 2]);
  const thin = Math.min(width, height) < 64 * px;
  const faint = { done: 1, now: 0.62, later: 0.3 }[state];
  return (
    <g stroke={line} fill="none" strokeOpacity={faint}>
      <path d={pathOf(cut, draw.at, true)} strokeWidth={(state === "done" ? 2.2 : 1.5) * px} strokeLinejoin="round" />
      {state !== "later" && (
        <>
          <path d={pathOf(put(piece.net), draw.at, true)} strokeWidth={px} strokeDasharray={`${5 * px} ${4 * px}`} />
          <path
            d={pathOf(put(piece.grain), draw.at)}
            strokeWidth={px}
            strokeDasharray={`${14 * px} ${4 * px} ${2 * px} ${4 * px}`}
          />
          {darts.map((dart, k) => (
            <path key={`d${k}`} d={pathOf(put([dart.near, dart.tip, dart.far]), draw.at)} strokeWidth={px} />
          ))}
          {piece.notches.map((notch, k) => (
            <path key={k} d={pathOf(put([notch.net, notch.cut]), draw.at)} strokeWidth={1.5 * px} />
          ))}
        </>
      )}
      <text
        x={tx}
        y={thin ? ty + 5 * px : ty - 12 * px}
        fontSize={(thin ? 13 : 15) * px}
        fontWeight="600"
        fill={line}
        fillOpacity={Math.max(faint, 0.8)}
        stroke="none"
        textAnchor="middle"
      >
        {label ?? panelName(piece.panel)}
      </text>
    </g>
  );
}
