/** What is kept on this device, in its IndexedDB: the last answers of the server, and what waits to be sent to it. */
import { clear, createStore, del, entries, get, set, type UseStore } from "idb-keyval";

type Answer = { at: number; build: string; data: unknown };

/** Something that somebody wrote: sent with the id it was made with, as often as it takes. */
export type Row = {
  id: string;
  /** Rows go in the order in which they were made. */
  n: number;
  who: string;
  at: number;
  kind: "tick" | "reading" | "tape" | "sewn";
  path: string;
  body: Record<string, unknown>;
  /** What it is, for the eye. */
  says: string;
  /** The line was lost when it was written, or before it was answered. */
  lost?: boolean;
  /** Why the server will not have it. */
  refused?: string;
};

/** A later build of the pages may expect other answers: those of before are not shown to it. */
const BUILD = import.meta.url;
const MOST = 400;

let answers: UseStore | undefined;
let rows: UseStore | undefined;
const ofAnswers = () => (answers ??= createStore("plavet-answers", "answers"));
const ofRows = () => (rows ??= createStore("plavet-outbox", "rows"));

export const keepAnswer = (key: string, data: unknown) =>
  set(key, { at: Date.now(), build: BUILD, data } satisfies Answer, ofAnswers());

export async function keptAnswer(key: string): Promise<unknown> {
  const found = await get<Answer>(key, ofAnswers());
  return found?.build === BUILD ? found.data : undefined;
}

export const forgetAnswers = () => clear(ofAnswers());

/** The oldest go where there are many. */
export async function thinOut(): Promise<void> {
  const all = await entries<string, Answer>(ofAnswers());
  const over = all.sort(([, a], [, b]) => a.at - b.at).slice(0, Math.max(0, all.length - MOST));
  for (const [key] of over) await del(key, ofAnswers());
}

let made = 0;

export const putRow = (row: Omit<Row, "n">) =>
  set(row.id, { ...row, n: row.at * 1000 + (made++ % 1000) } satisfies Row, ofRows());
/** Nothing happens where the row went meanwhile. */
export async function changeRow(id: string, more: Pick<Row, "lost"> | Pick<Row, "refused">): Promise<void> {
  const row = await get<Row>(id, ofRows());
  if (row) await set(id, { ...row, ...more } satisfies Row, ofRows());
}
export const takeRow = (id: string) => del(id, ofRows());

/** What somebody wrote that is not sent, in the order of writing. */
export async function rowsOf(who: string): Promise<Row[]> {
  const all = await entries<string, Row>(ofRows());
  return all
    .map(([, row]) => row)
    .filter((row) => row.who === who)
    .sort((a, b) => a.n - b.n);
}

export async function forgetRows(who: string): Promise<void> {
  for (const row of await rowsOf(who)) await takeRow(row.id);
}
