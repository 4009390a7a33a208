import type { Piece, Plan } from "../api/plans";
import { pathOf } from "./frame";

export type Stroke = Piece["strokes"][number];
type Role = Stroke["role"];

/** How thick and how broken a stroke of each role is on the screen, in px. */
const PENS: Record<Role, { width: number; dash?: number[]; round?: boolean } | null> = {
  cut: { width: 2.2 },
  net: { width: 1, dash: [5, 4] },
  grain: { width: 1, dash: [14, 4, 2, 4] },
  dart: { width: 1 },
  chalk: { width: 1.5, dash: [1, 4], round: true },
  notch: { width: 1.5 },
  // The cloth draws its own fold.
  fold: null,
};

type Props = { strokes: readonly Stroke[]; px: number; only?: (role: Role) => boolean; fill?: string; cut?: number };

/** The strokes of a drawing; `px` is how many units of it one px of the screen is, `cut` how heavy its cut line is. */
export function Strokes({ strokes, px, only = () => true, fill = "none", cut = 1 }: Props) {
  return strokes.map(({ role, d }, k) => {
    const pen = PENS[role];
    if (!pen || !only(role)) return null;
    return (
      <path
        key={k}
        d={d}
        data-role={role}
        fill={role === "cut" ? fill : "none"}
        strokeWidth={pen.width * px * (role === "cut" ? cut : 1)}
        strokeDasharray={pen.dash?.map((size) => size * px).join(" ")}
        strokeLinecap={pen.round ? "round" : undefined}
      />
    );
  });
}

const flat = ([x = 0, y = 0]: readonly number[]): [number, number] => [x, y];

/** A panel as it is drafted: a piece may be half of it. */
export function panelStrokes(panel: Plan["panels"][number]): Stroke[] {
  return [
    { role: "cut", d: pathOf(panel.cut, flat, true) },
    { role: "net", d: pathOf(panel.net, flat, true) },
    ...panel.darts.map((dart): Stroke => ({ role: "dart", d: pathOf([dart.near, dart.tip, dart.far], flat) })),
    ...Object.values(panel.lines ?? {}).map((points): Stroke => ({ role: "chalk", d: pathOf(points, flat) })),
  ];
}
