import type { Piece } from "../api/plans";
import { boxOf, type Frame, onCloth, type Placing } from "./frame";
import { panelName } from "./names";
import { Strokes } from "./Strokes";

type Props = {
  piece: Piece;
  placing: Placing;
  draw: Frame;
  line: string;
  px: number;
  /** done: firm; now: being marked; later: only hinted at. */
  state: "done" | "now" | "later";
  label?: string;
  /** Beneath another layer: its name keeps out of the way of what is over it. */
  under?: boolean;
};

/** A piece on the cloth: cut line firm, net line thin and dashed, grain, notches, name. */
export function PieceOn({ piece, placing, draw, line, px, state, label, under = false }: Props) {
  const cut = piece.cut.map((point) => onCloth(placing, point));
  const [x, y, width, height] = boxOf(cut);
  const name = lettering(label ?? panelName(piece.panel), draw.upright ? [height, width] : [width, height], px);
  const [tx, ty] = draw.at([x + width * (under ? 0.4 : 0.56), y + height * (under ? 0.72 : 0.5)]);
  const faint = { done: 1, now: 0.62, later: 0.3 }[state];
  return (
    <g stroke={line} fill="none" strokeOpacity={faint}>
      <g transform={draw.placed(placing)} strokeLinejoin="round">
        <Strokes
          strokes={piece.strokes}
          px={px}
          cut={state === "done" ? 1 : 0.68}
          only={(role) => state !== "later" || role === "cut"}
        />
      </g>
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
