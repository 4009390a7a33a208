import { Box, chakra } from "@chakra-ui/react";
import { inWords } from "../../api/client";
import { type Sewn, useAlterations } from "../../api/sewing";
import { day, moment } from "../../ui/day";
import { Press } from "../../ui/press";
import { Taped } from "../../ui/taped";
import { Says } from "../../ui/words";

type AlterationsProps = {
  order: string;
  done: Map<string, Sewn>;
  /** Ticks one, or takes its tick off; nothing for who may not. */
  turn: ((operation: string, title: string) => void) | undefined;
  /** What was wrong with a tick, and with which. */
  wrong: { operation: string; error: Error } | null;
};

/** What is altered on these garments after their fittings: each by how much, ticked like a step. */
export function Alterations({ order, done, turn, wrong }: AlterationsProps) {
  const list = useAlterations(order).data ?? [];
  if (list.length === 0) return null;
  return (
    <Box as="section" aria-label="After the fitting" display="grid" gap="12" maxWidth="1100px">
      <chakra.h2 fontSize="20px" fontWeight={600}>
        After the fitting: {list.filter((one) => done.has(one.id)).length} of {list.length} done
      </chakra.h2>
      <chakra.ul listStyleType="none" display="grid" gap="12">
        {list.map((one) => {
          const tick = done.get(one.id);
          return (
            <chakra.li
              key={one.id}
              display="grid"
              gap="4"
              padding="12"
              background={tick ? "well" : "sheet"}
              border="1px solid {colors.hairline}"
              borderRadius="cut"
            >
              <Box display="flex" flexWrap="wrap" gap="12" alignItems="center">
                <Press
                  aria-pressed={!!tick}
                  aria-label={`${one.title}: ${tick ? "take the tick off" : "done"}`}
                  disabled={!turn}
                  onClick={() => turn?.(one.id, one.title)}
                >
                  {tick ? "Not done" : "Done"}
                </Press>
                <chakra.b fontSize="18px">{one.title}</chakra.b>
                {one.garment && <chakra.span color="ink2">{one.garment}</chakra.span>}
              </Box>
              {wrong?.operation === one.id && <Says tone="wrong">{inWords(wrong.error)}</Says>}
              <p>
                <Taped>{one.says}</Taped>
              </p>
              <chakra.p color="ink2" fontSize="16px">
                {tick
                  ? `Done by ${tick.by || "somebody"}, ${moment(tick.at)}`
                  : `Seen on ${day(one.fitted_on)}: ${one.seen}`}
              </chakra.p>
            </chakra.li>
          );
        })}
      </chakra.ul>
    </Box>
  );
}
