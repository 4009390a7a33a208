/** Every answer that an opened order needs is kept, and given again where the line is lost. */
import type { Query, QueryClient, QueryFunction, QueryFunctionContext } from "@tanstack/react-query";
import { keptFor } from "./device";
import { hasLine, lineIs } from "./line";
import { keepAnswer, keptAnswer } from "./store";

/** Kept are these; lists of clients, people and who saw what are not. */
const KEPT = new Set([
  "me",
  "trade",
  "bench",
  "order",
  "design",
  "plan",
  "chalk",
  "sewn",
  "tapes",
  "points",
  "advice",
  "readings",
]);
const isKept = (key: readonly unknown[]) => keptFor() !== null && KEPT.has(String(key[0]));

/** So long, in ms, is waited for an answer before the one that is kept is shown. */
const WAITS = { small: 4_000, any: 20_000, lost: 1_500 };
const SMALL = new Set(["me", "chalk", "sewn", "order", "readings"]);
const SLOW = Symbol("slow");

export const isLost = (error: unknown) => (error as { status?: number } | null)?.status === 0;

/** Ask the server; where the line is lost, or hangs, what it said last. */
export async function orKept<T>(ask: QueryFunction<T>, context: QueryFunctionContext, query: Query): Promise<T> {
  if (!isKept(query.queryKey)) return ask(context);
  const known = async () => (query.state.data ?? (await keptAnswer(query.queryHash))) as T | undefined;
  const waits = !hasLine() ? WAITS.lost : SMALL.has(String(query.queryKey[0])) ? WAITS.small : WAITS.any;
  const answer = Promise.resolve(ask(context));
  try {
    const first = await Promise.race([answer, new Promise<typeof SLOW>((go) => setTimeout(go, waits, SLOW))]);
    if (first !== SLOW) return first;
  } catch (error) {
    const was = isLost(error) ? await known() : undefined;
    if (was === undefined) throw error;
    return was;
  }
  const was = await known();
  if (was === undefined) return answer;
  answer.catch(() => undefined);
  lineIs(false);
  return was;
}

/** Keep what the pages hold already: the device was only told now. */
export async function keepWhatIsHere(memory: QueryClient): Promise<void> {
  for (const { queryKey, queryHash, state } of memory.getQueryCache().getAll()) {
    if (isKept(queryKey) && state.data !== undefined) await keepAnswer(queryHash, state.data);
  }
}

/** Keep what comes in, and what a page puts in its place before it is sent. */
export function keepWhatComes(memory: QueryClient): () => void {
  return memory.getQueryCache().subscribe((event) => {
    if (event.type !== "updated" || event.action.type !== "success" || !isKept(event.query.queryKey)) return;
    void keepAnswer(event.query.queryHash, event.query.state.data).catch(() => undefined);
  });
}
