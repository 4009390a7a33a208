import { Fragment } from "react";
import type { Piece } from "../api/plans";
import { boxOf, type Frame, onCloth, type Placing } from "./frame";
import { LETTER, panelName } from "./names";
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
          y={ty + (name.thin ? 5 : -12) * px - (name.lines.length - 1) * 0.6 * name.size * px}
          fontSize={name.size * px}
          fontWeight={under ? 400 : 600}
          fill={line}
          fillOpacity={under ? 0.7 : Math.max(faint, 0.8)}
          stroke="var(--ground)"
          strokeOpacity="1"
          strokeWidth={4 * px}
          paintOrder="stroke"
          textAnchor="middle"
          transform={name.stands ? `rotate(-90 ${tx} ${ty})` : undefined}
        >
          {name.lines.map((line_, k) => (
            <Fragment key={line_}>
              {k > 0 && " "}
              <tspan x={tx} dy={k && 1.2 * name.size * px}>
                {line_}
              </tspan>
            </Fragment>
          ))}
        </text>
      )}
    </g>
  );
}

/** How a piece's name is written so that it stays on the piece, never under 14 px: in one line or one under the other,
 *  whole or without what is said last, along or across; or not.
 */
export function lettering(label: string, [wide, high]: [number, number], px: number) {
  const parts = label.split(", ");
  const ways = parts.flatMap((_, k) => {
    const said = parts.slice(0, parts.length - k);
    return said.length > 1
      ? [[said.join(", ")], said.map((one, n) => (n < said.length - 1 ? `${one},` : one))]
      : [said];
  });
  for (const lines of ways) {
    const longest = Math.max(...lines.map((line) => line.length));
    for (const [long, short, stands] of [
      [wide, high, false],
      [high, wide, true],
    ] as const) {
      for (const size of [15, 14]) {
        if (longest * size * LETTER * px <= long && lines.length * size * 1.2 * px <= short) {
          return { lines, size, stands, thin: short < 64 * px };
        }
      }
    }
  }
  return null;
}
