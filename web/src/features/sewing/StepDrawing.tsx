import { chakra } from "@chakra-ui/react";
import type { Plan } from "../../api/plans";
import { boxOf, pathOf } from "../../drawing/frame";
import { panelName, sideOf } from "../../drawing/names";

type Operation = Plan["sewing"][number];
type Panel = Plan["panels"][number];

/** No more panels than these are drawn of a step, of two sides that differ; how far they are apart, in mm of their own. */
const [MOST, MOST_OF_TWO_SIDES, APART] = [4, 6, 60];
/** A line that says the side, in CSS px. */
const LINE = 20;
const flat = ([x = 0, y = 0]: readonly number[]): [number, number] => [x, y];

/** The edges that a step sews, by panel. */
function sewnBy(step: Operation): Map<string, Set<string>> {
  const sewn = new Map<string, Set<string>>();
  for (const { panel, edge } of step.edges) sewn.set(panel, (sewn.get(panel) ?? new Set()).add(edge));
  return sewn;
}

/** The panels of a step side by side, what is sewn in thick lines; nothing where no edge and no dart is. */
export function StepDrawing({ plan, step }: { plan: Plan; step: Operation }) {
  const sewn = sewnBy(step);
  const under = plan.panels.filter((panel) => sewn.has(`${panel.garment}.${panel.name}`));
  if (!under.length) return null;
  const sideBy = (panel: Panel) => sideOf(plan, { garment: panel.garment, panel: panel.name });
  const sided = under.some(sideBy);
  const panels = under.slice(0, sided ? MOST_OF_TWO_SIDES : MOST);
  const boxes = panels.map((panel) => boxOf(panel.net));
  const placed = panels.map((panel, k) => {
    const [x, y] = boxes[k]!;
    const left = boxes.slice(0, k).reduce((sum, box) => sum + box[2] + APART, 0);
    return { panel, x: left - x, y: -y };
  });
  const wide = boxes.reduce((sum, box) => sum + box[2] + APART, -APART);
  const high = Math.max(...boxes.map((box) => box[3]));
  const px = Math.max(wide / 300, high / 130);
  const named = panels.map((panel) => `${sideBy(panel)} ${panelName(panel.name).toLowerCase()}`.trim()).join(", ");
  const top = sided ? LINE : 6;
  return (
    <chakra.svg
      width={`${wide / px + 24}px`}
      height={`${high / px + top + 6}px`}
      maxWidth="100%"
      viewBox={`${-12 * px} ${-top * px} ${wide + 24 * px} ${high + (top + 6) * px}`}
      role="img"
      aria-label={`${named}: ${step.title.toLowerCase()}`}
      fill="none"
      stroke="ink"
    >
      {placed.map(({ panel, x, y }, k) => (
        <g key={panel.name + panel.garment} transform={`translate(${x} ${y})`}>
          <path d={pathOf(panel.net, flat, true)} strokeWidth={px} strokeDasharray={`${5 * px} ${4 * px}`} />
          {sideBy(panel) !== (k > 0 ? sideBy(panels[k - 1]!) : "") && (
            <chakra.text x={boxes[k]![0]} y={boxes[k]![1] - 6 * px} fontSize={`${15 * px}px`} fill="ink" stroke="none">
              {sideBy(panel)}
            </chakra.text>
          )}
          <Sewn panel={panel} edges={sewn.get(`${panel.garment}.${panel.name}`)!} px={px} />
        </g>
      ))}
    </chakra.svg>
  );
}

function Sewn({ panel, edges, px }: { panel: Panel; edges: Set<string>; px: number }) {
  const lines = Object.entries(panel.lines ?? {}).filter(([name]) => edges.has(name));
  return (
    <chakra.g stroke="madder" strokeWidth={4 * px} strokeLinecap="round">
      {panel.segments.map((part, k) =>
        edges.has(String(part["edge"])) ? <path key={k} d={segment(part["points"] as [number, number][])} /> : null,
      )}
      {lines.map(([name, points]) => (
        <path key={name} d={pathOf(points, flat)} />
      ))}
      {edges.has("darts") &&
        panel.darts.map((dart, k) => <path key={`dart ${k}`} d={pathOf([dart.near, dart.tip, dart.far], flat)} />)}
    </chakra.g>
  );
}

/** A part of an edge by its two points, or a curve by its four. */
const segment = ([a, ...more]: [number, number][]) =>
  `M${a!.join(" ")}${more.length === 3 ? "C" : "L"}${more.map((point) => point.join(" ")).join(" ")}`;
