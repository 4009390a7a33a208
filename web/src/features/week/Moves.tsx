import { Box, chakra } from "@chakra-ui/react";
import type { TaskMoved } from "../../api/week";

const SHOWN = 12;
const day = (iso: string) =>
  new Date(`${iso}T12:00:00`).toLocaleDateString("en-GB", { weekday: "short", day: "numeric", month: "short" });

/** The tasks that are done by somebody else, or ready on another day. */
export function Moves({ moves, caption }: { moves: TaskMoved[]; caption: string }) {
  if (moves.length === 0) return null;
  return (
    <Box>
      <chakra.h3 fontSize="17px" fontWeight={600}>
        {caption}
      </chakra.h3>
      <chakra.ul listStyleType="none" fontSize="16px">
        {moves.slice(0, SHOWN).map((one) => (
          <chakra.li key={one.order + one.name} borderTop="1px solid {colors.hairline}" paddingBlock="4">
            {one.title}, {one.client_name}, {one.name}: {one.was_by} on {day(one.was_on)}, now {one.by} on {day(one.on)}
          </chakra.li>
        ))}
      </chakra.ul>
      {moves.length > SHOWN && <p>And {moves.length - SHOWN} more.</p>}
    </Box>
  );
}
