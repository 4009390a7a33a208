import { Box, chakra } from "@chakra-ui/react";
import type { Learned } from "../../api/practice";

/** Rule by rule: how the last answers were, what it looks like where they were wrong. */
export function LearnedTable({ rows }: { rows: Learned[] }) {
  if (!rows.length) return <chakra.p color="ink2">Nothing is answered yet.</chakra.p>;
  return (
    <chakra.ul listStyleType="none">
      {rows.map((row) => (
        <chakra.li key={row.rule} paddingBlock="8" borderBottom="1px solid {colors.hairline}">
          <Box display="flex" justifyContent="space-between" gap="8">
            <span>{row.name}</span>
            <Last last={row.last} of={row.in_a_row} />
          </Box>
          <chakra.p color={row.learned ? "moss" : "ink2"} fontSize="15px">
            {row.right} of {row.asked} right
            {row.learned && ", learned"}
            {row.slip && !row.learned && `; mostly ${row.slip}`}
          </chakra.p>
        </chakra.li>
      ))}
    </chakra.ul>
  );
}

/** The last answers, the last one at the right: a stroke for a right one, a cross for a wrong one. */
function Last({ last, of }: { last: boolean[]; of: number }) {
  const size = 14;
  const told = last.map((right) => (right ? "right" : "wrong")).join(", ");
  return (
    <chakra.svg
      width={`${of * size}px`}
      height={`${size}px`}
      viewBox={`0 0 ${of * size} ${size}`}
      fill="none"
      strokeWidth="1.75"
      role="img"
      aria-label={`the last first: ${told}`}
      flexShrink="0"
    >
      {last.map((right, k) => {
        const x = (of - 1 - k) * size;
        return (
          <path
            key={k}
            stroke={right ? "var(--chakra-colors-moss)" : "var(--chakra-colors-madder)"}
            d={right ? `M${x + 7} 2V12` : `M${x + 3} 3L${x + 11} 11M${x + 11} 3L${x + 3} 11`}
          />
        );
      })}
    </chakra.svg>
  );
}
