import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import type { Point, Reading, useSheetWrites } from "../../api/measuring";
import { Press } from "../../ui/press";
import { Says } from "../../ui/words";

const REASONS = ["Would rather not", "Not now", "Not needed"];

type SkipProps = {
  point: Point;
  writes: ReturnType<typeof useSheetWrites>;
  onward: () => void;
  skipped: Reading[];
};

/** Leaving a point out, with the reason; it can be taken later all the same. */
export function Skip({ point, writes, onward, skipped }: SkipProps) {
  const [open, setOpen] = useState(false);
  const before = skipped.find((one) => one.key === point.key);
  const skip = (note: string) =>
    writes.read.mutate({ id: crypto.randomUUID(), key: point.key, typed: "", note }, { onSuccess: onward });
  return (
    <Box marginTop="8">
      {before && <chakra.p color="ink2">Skipped: {before.note.toLowerCase()}. It can be taken all the same.</chakra.p>}
      {!open ? (
        <Press kind="quiet" onClick={() => setOpen(true)}>
          Skip this point
        </Press>
      ) : (
        <Box display="flex" gap="8" flexWrap="wrap" role="group" aria-label="Why it is skipped">
          {REASONS.map((reason, k) => (
            <Press key={reason} autoFocus={k === 0} onClick={() => skip(reason)}>
              {reason}
            </Press>
          ))}
        </Box>
      )}
      {writes.read.error && open && <Says tone="wrong">{writes.read.error.message}</Says>}
    </Box>
  );
}
