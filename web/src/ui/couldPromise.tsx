import { Box, chakra } from "@chakra-ui/react";
import { useCouldPromise } from "../api/week";
import { day as named, today } from "./day";
import { Press } from "./press";
import { spent } from "./spent";

/** `styles` of something new, or an `order` of the bench whose day is moved. */
type CouldPromiseProps = { styles?: string[]; order?: string; day: string; take: (day: string) => void };

/** Beside the day: whether it can be promised as the work stands, else the first day that can. */
export function CouldPromise({ styles = [], order, day, take }: CouldPromiseProps) {
  const { data } = useCouldPromise({ styles, order: order ?? null }, day, day >= today());
  if (!data || day < today()) return null;
  const { can, done_on, left_over, first } = data;
  return (
    <Box role="status" fontSize="16px" display="flex" flexWrap="wrap" gap="8" alignItems="center" minHeight="48px">
      {can ? (
        <chakra.span color="moss">
          {done_on && `It is done on ${named(done_on)}, `}
          {left_over ? `${spent(left_over)} of work are left over then.` : "with nothing left over."}
        </chakra.span>
      ) : (
        <>
          <chakra.span color="madder">
            That day cannot be kept as the work stands{first ? `: the first is ${named(first)}.` : "."}
          </chakra.span>
          {first && <Press onClick={() => take(first)}>Promise that</Press>}
        </>
      )}
    </Box>
  );
}
