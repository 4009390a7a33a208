import { chakra } from "@chakra-ui/react";
import type { Plan } from "../api/plans";
import { LEGS, LETTER, panelName } from "./names";
import { boxOf, sideBySide } from "./frame";
import { panelStrokes, Strokes } from "./Strokes";

type Panel = Plan["panels"][number];
const GAP = 70;

/** How large the letters of a leg's name are at least, and of a part's, in mm; in px none is under 14. */
const [OF_LEG, OF_PART, LEAST] = [34, 26, 14];

/** Small parts in rows under the legs, each row no wider than they are; each has room for its name in letters so large. */
function shelved(parts: Panel[], width: number, top: number, letters: number) {
  const placed: { panel: Panel; x: number; y: number }[] = [];
  let [x, y, tall] = [0, top, 0];
  for (const panel of parts) {
    const [left, up, wide, high] = boxOf(panel.cut);
    // A long strip is laid down.
    const lying = high > 2 * wide && high > 400;
    const [w, h] = lying ? [high, wide] : [wide, high];
    const room = Math.max(w, panelName(panel.name).length * LETTER * letters);
    if (x > 0 && x + room > width) [x, y, tall] = [0, y + tall + Math.max(90, 1.6 * letters), 0];
    placed.push({ panel, x: lying ? x + up + high : x - left, y: lying ? y - left : y - up });
    x += room + GAP;
    tall = Math.max(tall, h);
  }
  return { placed, bottom: y + tall };
}

type PanelsProps = { panels: Panel[]; label: string; room: { width: number; height: number } };

/** Where the panels are on a sheet of so much room, and how many mm there are to a px. */
function arranged(panels: Panel[], room: PanelsProps["room"]) {
  const legs = panels.filter((panel) => LEGS.includes(panel.name));
  const parts = panels.filter((panel) => !LEGS.includes(panel.name));
  const { shifts, width } = sideBySide(
    legs.map((panel) => panel.cut),
    GAP,
  );
  const boxes = legs.map((panel) => boxOf(panel.cut));
  const top = Math.min(...boxes.map((box) => box[1]));
  const low = Math.max(...boxes.map((box) => box[1] + box[3]));
  const longest = parts.map((panel) => Math.max(...boxOf(panel.cut).slice(2)));
  const wide = Math.max(width, 900, ...longest);
  const scaled = (px: number) => {
    const { placed, bottom } = shelved(parts, wide, low + 130, Math.max(OF_PART, LEAST * px));
    const height = (parts.length ? bottom : low) - top;
    return {
      placed,
      height,
      px: Math.max((wide + 40) / Math.max(1, room.width), (height + 40) / Math.max(1, room.height)),
    };
  };
  // The smaller everything is drawn the more room its names take, which may make it smaller once more.
  const last = scaled(scaled(scaled(0).px).px);
  return { legs, shifts, top, wide, ...last };
}

/** Drafted panels on one sheet of so much `room` in px: sewing line dashed, cut line firm, lines inside them thin. */
export function Panels({ panels, label, room }: PanelsProps) {
  const { legs, shifts, placed, top, wide, height, px } = arranged(panels, room);
  return (
    <chakra.svg
      flex="1"
      minHeight="0"
      width="100%"
      viewBox={`-20 ${top - 20} ${wide + 40} ${height + 40}`}
      role="img"
      aria-label={label}
      color="ink"
    >
      {legs.map((panel, k) => (
        <g key={panel.garment + panel.name} transform={`translate(${shifts[k]} 0)`}>
          <Drawn panel={panel} />
          {["H", "C", "K", "B"].map((name) => {
            const point = panel.points[name];
            const [x, , reach] = boxOf(panel.cut);
            return (
              point && <path key={name} d={`M${x} ${point[1]}h${reach}`} stroke="currentColor" strokeOpacity="0.3" />
            );
          })}
          <text
            x={(panel.points.M ?? panel.points.C1 ?? [100])[0]! - (panel.name === "sleeve" ? 150 : 60)}
            y={(panel.points.C?.[1] ?? panel.points.U?.[1] ?? 300) + 110}
            fontSize={Math.max(OF_LEG, LEAST * px)}
            fontWeight="600"
            fill="currentColor"
          >
            {panelName(panel.name)}
          </text>
        </g>
      ))}
      {placed.map(({ panel, x, y }) => {
        const [left, up, w, h] = boxOf(panel.cut);
        const lying = h > 2 * w && h > 400;
        return (
          <g key={panel.garment + panel.name}>
            <g transform={lying ? `translate(${x} ${y}) rotate(90)` : `translate(${x} ${y})`}>
              <Drawn panel={panel} />
            </g>
            <text
              x={lying ? x - up - h : x + left}
              y={(lying ? y + left : y + up) - 10}
              fontSize={Math.max(OF_PART, LEAST * px)}
              fill="currentColor"
            >
              {panelName(panel.name)}
            </text>
          </g>
        );
      })}
    </chakra.svg>
  );
}

function Drawn({ panel }: { panel: Panel }) {
  return (
    <g stroke="currentColor" strokeLinejoin="round">
      <Strokes strokes={panelStrokes(panel)} px={2} fill="var(--chakra-colors-sheet)" />
    </g>
  );
}
