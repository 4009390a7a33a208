import { Box, chakra } from "@chakra-ui/react";
import type { Plan } from "../../api/shop";
import { boxOf, pathOf, sideBySide } from "../../drawing/frame";

const flat = ([x = 0, y = 0]: readonly number[]): [number, number] => [x, y];

/** The panels side by side as they are drafted now: sewing line dashed, cut line firm. */
export function LiveDraft({ plan }: { plan: Plan }) {
  const panels = plan.panels.filter((panel) => panel.name !== "band");
  const { shifts, width } = sideBySide(
    panels.map((panel) => panel.cut),
    70,
  );
  const boxes = panels.map((panel) => boxOf(panel.cut));
  const top = Math.min(...boxes.map((box) => box[1]));
  const height = Math.max(...boxes.map((box) => box[1] + box[3])) - top;
  return (
    <Box as="figure" height="100%" minHeight="320px" display="flex" flexDirection="column">
      <chakra.svg
        flex="1"
        minHeight="0"
        viewBox={`-20 ${top - 20} ${width + 40} ${height + 40}`}
        role="img"
        aria-label="The draft as it stands"
        color="ink"
      >
        {panels.map((panel, k) => (
          <g
            key={panel.name}
            transform={`translate(${shifts[k]} 0)`}
            fill="none"
            stroke="currentColor"
            strokeLinejoin="round"
          >
            <path d={pathOf(panel.cut, flat, true)} strokeWidth="4" fill="var(--chakra-colors-sheet)" />
            <path d={pathOf(panel.net, flat, true)} strokeWidth="2" strokeDasharray="10 8" />
            {panel.darts.map((dart, n) => (
              <path key={n} d={pathOf([dart.near, dart.tip, dart.far], flat)} strokeWidth="2" />
            ))}
            {["H", "C", "K"].map((name) => {
              const point = panel.points[name];
              const [x, , width] = boxOf(panel.cut);
              return point && <path key={name} d={`M${x} ${point[1]}h${width}`} strokeWidth="1" strokeOpacity="0.35" />;
            })}
            <text
              x={(panel.points.M ?? panel.points.C1 ?? [100])[0]! - 60}
              y={panel.points.K![1]! + 60}
              fontSize="34"
              fontWeight="600"
              fill="currentColor"
              stroke="none"
            >
              {panel.name === "front" ? "Front" : "Back"}
            </text>
          </g>
        ))}
      </chakra.svg>
    </Box>
  );
}
