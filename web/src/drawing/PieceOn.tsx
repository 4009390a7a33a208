import type { Piece, Plan } from "../api/shop";
import { panelName } from "./names";
import { boxOf, type Frame, onCloth, pathOf, type Placing } from "./frame";

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
  /** Beneath another layer: its name keeps out of the way of what lies over it. */
  under?: boolean;
  darts?: Plan["panels"][number]["darts"];
};

/** A piece on the cloth: cut line firm, net line thin and dashed, grain, notches, name. */
export function PieceOn({ piece, placing, draw, line, px, state, label, under = false, darts = [] }: Props) {
  const put = (points: readonly (readonly number[])[]) => points.map((point) => onCloth(placing, point));
  const cut = put(piece.cut);
  const [x, y, width, height] = boxOf(cut);
  const name = lettering(label ?? panelName(piece.panel), draw.upright ? [height, width] : [width, height], px);
  const [tx, ty] = draw.at([x + width * (under ? 0.4 : 0.56), y + height * (under ? 0.72 : 0.5)]);
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
          {Object.entries(piece.lines ?? {}).map(([inside, points]) => (
            <path
              key={inside}
              d={pathOf(put(points), draw.at)}
              strokeWidth={1.5 * px}
              strokeDasharray={`${px} ${4 * px}`}
              strokeLinecap="round"
            />
          ))}
          {piece.notches.map((notch, k) => (
            <path key={k} d={pathOf(put([notch.net, notch.cut]), draw.at)} strokeWidth={1.5 * px} />
          ))}
        </>
      )}
      {name && (
        <text
          x={tx}
          y={name.thin ? ty + 5 * px : ty - 12 * px}
          fontSize={name.size * px}
          fontWeight={under ? 400 : 600}
          fill={line}
          fillOpacity={under ? 0.7 : Math.max(faint, 0.8)}
          stroke="none"
          textAnchor="middle"
          transform={name.stands ? `rotate(-90 ${tx} ${ty})` : undefined}
        >
          {name.text}
        </text>
      )}
    </g>
  );
}

/** How a piece's name is written so that it stays on the piece: whole or without its count, along or across; or not. */
export function lettering(label: string, [wide, high]: [number, number], px: number) {
  for (const text of [label, label.split(",")[0]!]) {
    for (const [long, short, stands] of [
      [wide, high, false],
      [high, wide, true],
    ] as const) {
      for (const size of [15, 13, 11]) {
        if (text.length * size * 0.56 * px <= long && size * 1.2 * px <= short) {
          return { text, size, stands, thin: short < 64 * px };
        }
      }
    }
  }
  return null;
}
