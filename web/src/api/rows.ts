/** Writing a row that others may be writing too. */
import { useMutation } from "@tanstack/react-query";
import { useState } from "react";
import { Refused } from "./client";

export type Stale<Row> = { mine: Row; theirs: Row };
type Versioned = { id: string; version?: number };
type Change<Row> = (row: Row) => Row;
type Write<Row> = { change: Change<Row>; press: boolean };

/** Where a row is kept: as this browser knows it, and as it is shown. */
type Place<Row> = {
  /** One write after the other. */
  scope: string;
  /** Undefined for one that is made by its first write. */
  known: () => Row | undefined;
  /** The row as the server has it. */
  remember: (row: Row) => void;
  /** The row as it is shown. */
  show?: (row: Row) => void;
};

/** Rows that are shown as they will be: how the server has them, and what is on its way there. */
const ahead = new Map<string, { kept: Versioned; changes: Change<Versioned>[] }>();

/** A row as the server has it, with what is on its way there from this browser. */
export function withAhead<Row extends Versioned>(scope: string, row: Row): Row {
  const key = `${scope} ${row.id}`;
  const one = ahead.get(key);
  if (!one) return row;
  ahead.set(key, { ...one, kept: row });
  return one.changes.reduce<Versioned>((was, change) => change(was), row) as Row;
}

/**
 * One write after the other, each on the newest version this browser knows. What is pressed is shown as chosen at once,
 * and as it was where it is refused; what is typed stays in its field until it is kept.
 * A row that somebody else changed meanwhile is shown as `stale`, with both values, until one is chosen.
 */
export function useRowWrite<Row extends Versioned>(place: Place<Row>, send: (row: Row) => Promise<Row>) {
  const [stale, setStale] = useState<Stale<Row> | null>(null);
  const { scope, known, remember, show = remember } = place;
  const keyOf = (row: Row) => `${scope} ${row.id}`;
  /** As the server has it, as far as this browser knows. */
  const kept = (): Row => {
    const row = known();
    return ((row && ahead.get(keyOf(row))?.kept) ?? row) as Row;
  };
  const showWith = (row: Row, changes: Change<Row>[]) => show(changes.reduce((was, change) => change(was), row));
  const begin = (change: Change<Row>) => {
    const row = kept();
    const key = keyOf(row);
    const changes = [...(ahead.get(key)?.changes ?? []), change as unknown as Change<Versioned>];
    ahead.set(key, { kept: row, changes });
    showWith(row, changes as unknown as Change<Row>[]);
  };
  /** A write is over: what is still on its way is shown on top of what the server has. */
  const end = ({ change, press }: Write<Row>, row: Row, done: boolean) => {
    const key = keyOf(row);
    const changes = (ahead.get(key)?.changes ?? []) as unknown as Change<Row>[];
    const left = press ? changes.filter((one) => one !== change) : changes;
    if (left.length) ahead.set(key, { kept: row, changes: left as unknown as Change<Versioned>[] });
    else ahead.delete(key);
    if (done) remember(row);
    if (left.length || !done) showWith(row, left);
  };
  const write = useMutation({
    scope: { id: scope },
    mutationFn: async (one: Write<Row>) => {
      const was = kept();
      const mine = one.change(was);
      try {
        const done = await send(mine);
        end(one, done, true);
        return done;
      } catch (error) {
        end(one, was, false);
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
    return keepMine ? keep(() => ({ ...stale.mine, version: stale.theirs.version })) : stale.theirs;
  };
  /** The row as it was kept, or null where somebody else was quicker. */
  const keep = (change: Change<Row>) => write.mutateAsync({ change, press: false });
  const press = (change: Change<Row>) => {
    begin(change);
    return write.mutateAsync({ change, press: true });
  };
  return { keep, press, error: write.error, busy: write.isPending, stale, settle };
}
