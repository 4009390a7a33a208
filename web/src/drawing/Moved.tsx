import { chakra } from "@chakra-ui/react";
import type { Move } from "../api/design";

type Drawn = Pick<Move, "panel" | "lines" | "was" | "view">;
import { pathOf } from "./frame";
import { panelName } from "./names";

const flat = ([x = 0, y = 0]: readonly number[]): [number, number] => [x, y];
const drawn = (lines: Move["lines"]) => lines.map((line) => pathOf(line, flat)).join("");

/** The part of a panel that a choice would move: firm as it would be, broken as it stands. */
export function Moved({ move, size = 80 }: { move: Drawn; size?: number }) {
  return (
    <chakra.span display="inline-flex" flexDirection="column" alignItems="center" flexShrink="0" lineHeight="1.2">
      <svg
        viewBox={move.view.join(" ")}
        width={size}
        height={size}
        fill="none"
        aria-hidden="true"
        data-moved={move.panel}
      >
        <path
          d={drawn(move.was)}
          stroke="currentColor"
          strokeWidth="1.25"
          strokeDasharray="4 3"
          vectorEffect="non-scaling-stroke"
        />
        <path
          d={drawn(move.lines)}
          stroke="var(--chakra-colors-dye)"
          strokeWidth="1.75"
          strokeLinejoin="round"
          vectorEffect="non-scaling-stroke"
        />
      </svg>
      <chakra.span fontSize="14px" fontWeight="400" color="ink2">
        {panelName(move.panel).toLowerCase()}
      </chakra.span>
    </chakra.span>
  );
}
