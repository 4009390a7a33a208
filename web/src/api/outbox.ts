/** What is written at the table goes to the server as soon as the line is there: kept first, then sent, in order. */
import { useCallback, useEffect, useState } from "react";
import { keptFor } from "../offline/device";
import { isLost } from "../offline/answers";
import { hasLine } from "../offline/line";
import { changeRow, putRow, type Row, rowsOf, takeRow } from "../offline/store";
import { inWords, put, type Refused } from "./client";

/** So long, in ms, a page waits for the server to take something; it is sent all the same. */
const WAITS = 6_000;

const listeners = new Set<() => void>();
const changed = () => listeners.forEach((one) => one());

type Written = Pick<Row, "id" | "kind" | "path" | "body" | "says">;

/** What waits to be sent, of one kind; nothing where this device keeps nothing. */
export async function waiting(kind?: Row["kind"]): Promise<Row[]> {
  const who = keptFor();
  if (who === null) return [];
  return (await rowsOf(who)).filter((row) => !row.refused && (!kind || row.kind === kind));
}

/** Sent, and not yet answered: not sent a second time meanwhile. */
const underWay = new Set<string>();

/**
 * Send something with its id. On a device that keeps, it is kept until the server has it: null then means that it waits.
 * Throws Refused as `send` does; what is refused only after the wait is kept with the reason.
 */
export async function orWait<T>(row: Written, send: () => Promise<T>): Promise<T | null> {
  const who = keptFor();
  if (who === null) return send();
  const before = await waiting();
  const kept = { ...row, who, at: Date.now(), lost: before.some((one) => one.lost) };
  await putRow(kept);
  if (before.length) {
    changed();
    return null;
  }
  let late = false;
  underWay.add(row.id);
  const sent = send()
    .then(async (done) => {
      await takeRow(row.id);
      return done;
    })
    .catch(async (error: unknown) => {
      if (isLost(error)) {
        await changeRow(row.id, { lost: true });
        return null;
      }
      if (!late) {
        await takeRow(row.id);
        throw error;
      }
      if (!isForLater(error as Refused)) await changeRow(row.id, { refused: inWords(error as Refused) });
      return null;
    })
    .finally(async () => {
      underWay.delete(row.id);
      changed();
      // What was written meanwhile goes at once.
      if (hasLine() && (await waiting()).length) void sendWaiting().catch(() => undefined);
    });
  const wait = new Promise<null>((go) =>
    setTimeout(() => {
      late = true;
      go(null);
    }, WAITS),
  );
  return Promise.race([sent, wait]).finally(changed);
}

let sending: Promise<number> | null = null;

/** Send what waits, one after the other, until the line is lost again. Answers how many the server took. */
export function sendWaiting(): Promise<number> {
  sending ??= sendAll().finally(() => {
    sending = null;
    changed();
  });
  return sending;
}

/** Who is logged out, or asked too often, or finds the server in trouble or the unit being changed, sends it later. */
const isForLater = ({ status, code }: Refused) =>
  status === 0 || [401, 429].includes(status) || status >= 500 || code === "turning";

async function sendAll(): Promise<number> {
  let took = 0;
  for (const row of await waiting()) {
    if (underWay.has(row.id)) break;
    try {
      // The server takes a tick by the plan that the page had only where the page could not ask it.
      await put(row.path, row.kind === "tick" ? { ...row.body, waited: row.lost === true } : row.body);
      await takeRow(row.id);
      took += 1;
    } catch (error) {
      const refused = error as Refused;
      if (isForLater(refused)) {
        if (isLost(refused)) for (const one of await waiting()) await changeRow(one.id, { lost: true });
        break;
      }
      await changeRow(row.id, { refused: inWords(refused) });
    }
  }
  return took;
}

/** What waits and what was refused; `aside` puts the refused ones away. */
export function useOutbox() {
  const [rows, setRows] = useState<Row[]>([]);
  const look = useCallback(() => {
    const who = keptFor();
    void (who === null ? Promise.resolve([]) : rowsOf(who)).then(setRows).catch(() => undefined);
  }, []);
  useEffect(() => {
    look();
    listeners.add(look);
    return () => void listeners.delete(look);
  }, [look]);
  const refused = rows.filter((row) => row.refused);
  const aside = async () => {
    for (const row of refused) await takeRow(row.id);
    changed();
  };
  return { waits: rows.filter((row) => !row.refused), refused, aside };
}
