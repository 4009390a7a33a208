import { chakra } from "@chakra-ui/react";
import type { Mark, Plan } from "../../api/plans";
import { LEGS, panelName } from "../../drawing/names";
import { boxOf, pathOf } from "../../drawing/frame";

const flat = ([x = 0, y = 0]: readonly number[]): [number, number] => [x, y];

type OverlayProps = { one: Plan; other: Plan | undefined; mark: Mark | undefined };

/** The legs of one draft, those of another over them, both from the guide line and the top; the tape of the call. */
export function Overlay({ one, other, mark }: OverlayProps) {
  const legs = one.panels.filter((panel) => LEGS.includes(panel.name));
  const against = (name: string) => other?.panels.find((panel) => panel.name === name);
  const boxes = legs.map((panel) => {
    const both = [...panel.net, ...(against(panel.name)?.net ?? [])];
    return boxOf(both);
  });
  const starts = boxes.map((_, k) => boxes.slice(0, k).reduce((sum, box) => sum + box[2] + 90, 0));
  const width = starts.at(-1)! + boxes.at(-1)![2];
  const top = Math.min(...boxes.map((box) => box[1]));
  const height = Math.max(...boxes.map((box) => box[1] + box[3])) - top;
  const said = other ? "Two drafts of one body, over each other" : "The draft";
  return (
    <chakra.svg
      flex="1"
      minHeight="0"
      width="100%"
      viewBox={`-20 ${top - height * 0.07} ${width + 40} ${height * 1.12}`}
      role="img"
      aria-label={said}
      color="ink"
    >
      {legs.map((panel, k) => {
        const over = against(panel.name);
        const tape = mark?.panel === panel.name ? mark.local_mm : null;
        return (
          <g
            key={panel.name}
            transform={`translate(${starts[k]! - boxes[k]![0]} 0)`}
            fill="none"
            strokeLinejoin="round"
          >
            <path
              d={pathOf(panel.net, flat, true)}
              stroke="currentColor"
              strokeWidth="2.5"
              vectorEffect="non-scaling-stroke"
              fill="var(--chakra-colors-sheet)"
            />
            {over && (
              <path
                d={pathOf(over.net, flat, true)}
                stroke="var(--chakra-colors-dye)"
                strokeWidth="2"
                strokeDasharray="10 6"
                vectorEffect="non-scaling-stroke"
              />
            )}
            {[panel, ...(over ? [over] : [])].map((drawn, n) =>
              drawn.darts.map((dart, d) => (
                <path
                  key={`${n}.${d}`}
                  d={pathOf([dart.near, dart.tip, dart.far], flat)}
                  stroke={n ? "var(--chakra-colors-dye)" : "currentColor"}
                  strokeWidth="1.25"
                  vectorEffect="non-scaling-stroke"
                />
              )),
            )}
            {tape && (
              <g strokeLinecap="round">
                <path d={pathOf(tape, flat)} stroke="#2A2410" strokeWidth="9" vectorEffect="non-scaling-stroke" />
                <path d={pathOf(tape, flat)} stroke="#F0B22E" strokeWidth="6" vectorEffect="non-scaling-stroke" />
                <circle
                  cx={tape[1][0]}
                  cy={tape[1][1]}
                  r={height * 0.014}
                  fill="#F0B22E"
                  stroke="#1B2038"
                  strokeWidth="2.5"
                  vectorEffect="non-scaling-stroke"
                />
              </g>
            )}
            <text
              x={boxes[k]![0] + boxes[k]![2] / 2}
              y={top - height * 0.022}
              fontSize={height * 0.036}
              fontWeight="600"
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
