/** What is written at the table goes to the server as soon as the line is there: kept first, then sent, in order. */
import { useCallback, useEffect, useState } from "react";
import { keptFor } from "../offline/device";
import { isLost } from "../offline/answers";
import { putRow, refuseRow, type Row, rowsOf, takeRow } from "../offline/store";
import { put, Refused } from "./client";

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

/**
 * Send something with its id. On a device that keeps, it is kept until the server has it: null then means that it waits.
 * Throws Refused as `send` does.
 */
export async function orWait<T>(row: Written, send: () => Promise<T>): Promise<T | null> {
  const who = keptFor();
  if (who === null) return send();
  const before = await waiting();
  await putRow({ ...row, who, at: Date.now() });
  if (before.length) {
    changed();
    return null;
  }
  const sent = send().then(async (done) => {
    await takeRow(row.id);
    return done;
  });
  try {
    return await Promise.race([sent, new Promise<null>((go) => setTimeout(go, WAITS, null))]);
  } catch (error) {
    if (!isLost(error)) {
      await takeRow(row.id);
      throw error;
    }
    return null;
  } finally {
    changed();
  }
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

async function sendAll(): Promise<number> {
  let took = 0;
  for (const row of await waiting()) {
    try {
      await put(row.path, row.kind === "tick" ? { ...row.body, waited: true } : row.body);
      await takeRow(row.id);
      took += 1;
    } catch (error) {
      const refused = error as Refused;
      // Who is logged out, or asked too often, sends them later.
      if (refused.status === 0 || [401, 429].includes(refused.status) || refused.status >= 500) break;
      const first = refused.problems?.[0];
      await refuseRow(row, first ? `${first.what}. ${first.mend}` : refused.message);
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
