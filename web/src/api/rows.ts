/** Writing a row that others may be writing too. */
import { useMutation } from "@tanstack/react-query";
import { useState } from "react";
import { Refused } from "./client";

export type Stale<Row> = { mine: Row; theirs: Row };
type Versioned = { version?: number };

/**
 * One write after the other in `scope`, each on the newest version this browser knows (`known`).
 * A row that somebody else changed meanwhile is shown as `stale`, with both values, until one is chosen.
 */
export function useRowWrite<Row extends Versioned>(
  scope: string,
  known: () => Row,
  remember: (row: Row) => void,
  send: (row: Row) => Promise<Row>,
) {
  const [stale, setStale] = useState<Stale<Row> | null>(null);
  const write = useMutation({
    scope: { id: scope },
    mutationFn: async (change: (row: Row) => Row) => {
      const mine = change(known());
      try {
        const done = await send(mine);
        remember(done);
        return done;
      } catch (error) {
        if (!(error instanceof Refused) || error.status !== 409 || !error.theirs) throw error;
        const row = error.theirs as Record<string, unknown>;
        const theirs = Object.fromEntries(Object.entries(mine).map(([key, value]) => [key, row[key] ?? value])) as Row;
        setStale({ mine, theirs });
        return null;
      }
    },
  });
  /** Keep mine, or take theirs: the row as it stands then. */
  const settle = async (keepMine: boolean): Promise<Row | null> => {
    if (!stale) return null;
    remember(stale.theirs);
    setStale(null);
    return keepMine ? write.mutateAsync(() => ({ ...stale.mine, version: stale.theirs.version })) : stale.theirs;
  };
  /** The row as it was kept, or null where somebody else was quicker. */
  const keep = write.mutateAsync;
  return { keep, error: write.error, busy: write.isPending, stale, settle };
}
