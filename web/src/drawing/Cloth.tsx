import { type CSSProperties, type ReactNode, useId } from "react";
import type { Plan } from "../api/plans";
import type { Unit } from "../lengths/units";
import { clothColours } from "./colour";
import { type Frame, frame, pathOf } from "./frame";

export type View = { x: number; y: number; width: number; height: number };

export type Section = NonNullable<Plan["lay"]>["sections"][number];

type Props = {
  section: Section;
  colour: string;
  unit: Unit;
  view: View;
  upright?: boolean;
  label: string;
  /** mm on the cloth for one px on the screen: keeps lines and letters the same size at every zoom. */
  px: number;
  children: (draw: Frame, line: string) => ReactNode;
};

/** The cloth on the table: folds, selvedges, cut ends, weave, rulers along two edges; what is on it is drawn inside. */
export function Cloth({ section, colour, unit, view, upright = false, label, px, children }: Props) {
  const weave = useId();
  const { extent_mm: length, depth_mm: depth } = section;
  const draw = frame(depth, upright);
  const { cloth: ground, line } = clothColours(colour, section.layers.length);
  const zones = zonesOf(section);
  const across = section.crosswise;
  const thread = Math.max(2.4, 3 * px);
  return (
    <svg
      viewBox={`${view.x} ${view.y} ${view.width} ${view.height}`}
      width="100%"
      height="100%"
      preserveAspectRatio="xMidYMid meet"
      role="img"
      aria-label={label}
      style={{ "--ground": ground } as CSSProperties}
    >
      <defs>
        <pattern id={weave} width={thread} height={thread} patternUnits="userSpaceOnUse">
          <path d={`M0 0H${thread}M0 0V${thread}`} stroke={line} strokeOpacity="0.05" strokeWidth={thread * 0.34} />
        </pattern>
      </defs>
      {zones.map(({ from, to, layers }) => {
        const { cloth } = clothColours(colour, layers);
        return (
          <path
            key={from}
            d={pathOf([...raw(0, from, to, px), ...raw(length, from, to, px).reverse()], draw.at, true)}
            fill={cloth}
            stroke={cloth}
            strokeWidth={px}
          />
        );
      })}
      <path
        d={pathOf(
          [
            [0, 0],
            [length, 0],
            [length, depth],
            [0, depth],
          ],
          draw.at,
          true,
        )}
        fill={`url(#${weave})`}
      />
      {edgesOf(section).map((edge) =>
        edge.fold ? (
          <FoldEdge
            key={`f${edge.at}`}
            at={edge.at}
            inward={edge.inward}
            length={length}
            draw={draw}
            line={line}
            px={px}
          />
        ) : (
          <Selvedge
            key={`s${edge.at}`}
            at={edge.at}
            inward={edge.inward}
            length={length}
            draw={draw}
            line={line}
            px={px}
          />
        ),
      )}
      {across && <Ends at={[0, length]} depth={depth} draw={draw} line={line} px={px} />}
      {section.fold === "folded-twice" && (
        <path
          d={pathOf(
            [
              [3.4 * px, 0],
              [3.4 * px, depth],
            ],
            draw.at,
          )}
          stroke={line}
          strokeOpacity="0.5"
          strokeWidth={1.6 * px}
        />
      )}
      {edgesOf(section).map((edge, k, all) => (
        <EdgeName key={`n${edge.at}`} name={nameOf(edge, k, all)} {...{ edge, draw, px, view }} />
      ))}
      {children(draw, line)}
      <Rulers length={length} depth={depth} unit={unit} draw={draw} px={px} view={view} />
    </svg>
  );
}

/** A cut end, wavering, from one depth to another. */
const raw = (x: number, from: number, to: number, px: number) =>
  Array.from({ length: Math.ceil((to - from) / (6 * px)) + 1 }, (_, k) => [
    x + (k % 2 ? 1.6 : -0.6) * px + (k % 3) * 0.5 * px,
    Math.min(to, from + k * 6 * px),
  ]);

/** Bands of the table with the same number of layers, from the fold on. */
export function zonesOf(section: Section): { from: number; to: number; layers: number }[] {
  if (section.crosswise) return [{ from: 0, to: section.depth_mm, layers: 2 }];
  const cuts = [...new Set(section.layers.flatMap((layer) => [layer.from_mm, layer.to_mm]))].sort((a, b) => a - b);
  return cuts.slice(1).map((to, k) => {
    const from = cuts[k]!;
    return { from, to, layers: section.layers.filter((layer) => layer.from_mm <= from && layer.to_mm >= to).length };
  });
}

/** Where folds and selvedges run along the table, and to which side their cloth is. */
function edgesOf(section: Section): { at: number; inward: 1 | -1; fold: boolean }[] {
  const { depth_mm: depth, folds_mm: folds } = section;
  if (section.crosswise) return [{ at: 0, inward: 1, fold: true }];
  const ends = new Set(section.layers.flatMap((layer) => [layer.from_mm, layer.to_mm]));
  return [...ends].map((at) => ({
    at,
    inward: at === 0 ? 1 : -1,
    fold: folds.includes(at) && (at === 0 || at === depth),
  }));
}

type Edge = ReturnType<typeof edgesOf>[number];

/** What an edge of the table is called, as the calls call it. */
function nameOf({ fold }: Edge, k: number, all: Edge[]): string {
  const which = k ? "far" : "near";
  if (all.length < 2 || all.some((one) => one.fold !== fold)) return fold ? "fold" : "selvedge";
  return `${which} ${fold ? "fold" : "selvedge"}`;
}

/** Between the cloth's edge and the ruler along it, in px. */
const ROOM_FOR_NAME = 26;

type EdgeNameProps = { name: string; edge: Edge; draw: Frame; px: number; view: View };

/** The name of an edge, beside it, between cloth and ruler. */
function EdgeName({ name, edge, draw, px, view }: EdgeNameProps) {
  const along = Math.max(0, draw.upright ? view.y : view.x) + 72 * px;
  const [x, y] = draw.at([along, edge.at - edge.inward * 13 * px]);
  return (
    <text
      x={x}
      y={y}
      transform={draw.upright ? `rotate(90 ${x} ${y})` : undefined}
      fontSize={14 * px}
      fill="currentColor"
      textAnchor="middle"
      dominantBaseline="central"
    >
      {name}
    </text>
  );
}

type EdgeProps = { at: number; inward: 1 | -1; length: number; draw: Frame; line: string; px: number };

/** Cloth turning over: a rounded double line. */
function FoldEdge({ at, inward, length, draw, line, px }: EdgeProps) {
  const along = (y: number, over: number) => pathOf([[-over, y], [length + over, y]], draw.at); // prettier-ignore
  return (
    <g strokeLinecap="round">
      <path d={along(at, 2 * px)} stroke={line} strokeOpacity="0.18" strokeWidth={8 * px} />
      <path d={along(at, 2 * px)} stroke={line} strokeOpacity="0.75" strokeWidth={1.6 * px} />
      <path d={along(at + inward * 3.4 * px, 0)} stroke={line} strokeOpacity="0.35" strokeWidth={px} />
    </g>
  );
}

/** The selvedges where the fold runs across: they close the table at both sides. */
function Ends({ at, depth, draw, line, px }: { at: number[]; depth: number; draw: Frame; line: string; px: number }) {
  const inner = at.map((x, k) => x + (k ? -5 : 5) * px);
  return (
    <g stroke={line} strokeOpacity="0.45" strokeWidth={px} fill="none">
      {inner.map((x) => (
        <path
          key={x}
          d={pathOf(
            [
              [x, 0],
              [x, depth],
            ],
            draw.at,
          )}
        />
      ))}
    </g>
  );
}

function Selvedge({ at, inward, length, draw, line, px }: EdgeProps) {
  const inner = at + inward * 5 * px;
  const ticks: string[] = [];
  for (let x = 6 * px; x < length; x += 10 * px)
    ticks.push(
      pathOf(
        [
          [x, at],
          [x, inner],
        ],
        draw.at,
      ),
    );
  return (
    <g stroke={line} strokeOpacity="0.45" strokeWidth={px} fill="none">
      <path
        d={pathOf(
          [
            [0, inner],
            [length, inner],
          ],
          draw.at,
        )}
      />
      <path d={ticks.join("")} />
    </g>
  );
}

/** A tape along the cloth's length and one across its depth, counted from the cut end and from the fold. */
function Rulers(props: { length: number; depth: number; unit: Unit; draw: Frame; px: number; view: View }) {
  const { length, depth, unit, draw, px, view } = props;
  const one = unit === "in" ? 25.4 : 10;
  const every = [1, 2, 4, 6, 12, 24].find((n) => (n * one) / px >= (unit === "in" ? 30 : 36)) ?? 24;
  const wide = 20 * px;
  const gap = 11 * px;

  // The ruler across the depth stays in sight when the cloth's end is out of it; so does the one along the length.
  const sight = draw.upright ? view.y : view.x;
  const side = draw.upright ? depth - (view.x + view.width) : view.y;
  const end = Math.max(-gap, sight + wide + 2 * px);
  const top = Math.max(-ROOM_FOR_NAME * px, side + wide + 2 * px);
  const parts: ReactNode[] = [];
  const strip = (name: string, corners: number[][]) => (
    <path key={name} d={pathOf(corners, draw.at, true)} fill="#F2E2A6" stroke="#857A61" strokeWidth={0.75 * px} />
  );
  parts.push(
    strip("x", [
      [0, top - wide],
      [length, top - wide],
      [length, top],
      [0, top],
    ]),
  );
  parts.push(
    strip("y", [
      [end - wide, 0],
      [end, 0],
      [end, depth],
      [end - wide, depth],
    ]),
  );
  const text = (name: string, point: number[], value: number) => {
    const [x, y] = draw.at(point);
    return (
      <text
        key={name}
        x={x}
        y={y}
        fontSize={14 * px}
        fill="#2A2410"
        textAnchor="middle"
        dominantBaseline="central"
        fontWeight="600"
      >
        {value}
      </text>
    );
  };
  const ticks: string[] = [];
  for (let n = 1; n * one <= Math.max(length, depth); n++) {
    const [at, size] = [n * one, n % every === 0 ? 6 * px : 3 * px];
    if (n % every && one / px < 5) continue;
    if (at <= length)
      ticks.push(
        pathOf(
          [
            [at, top],
            [at, top - size],
          ],
          draw.at,
        ),
      );
    if (at <= depth)
      ticks.push(
        pathOf(
          [
            [end, at],
            [end - size, at],
          ],
          draw.at,
        ),
      );
    if (n % every === 0 && at < length - 4 * px) parts.push(text(`x${n}`, [at, top - wide + 7.5 * px], n));
    if (n % every === 0 && at < depth - 4 * px) parts.push(text(`y${n}`, [end - wide + 7.5 * px, at], n));
  }
  return (
    <g>
      {parts}
      <path d={ticks.join("")} stroke="#2A2410" strokeWidth={px} fill="none" />
    </g>
  );
}
