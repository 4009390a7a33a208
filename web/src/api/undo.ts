/** What was changed on Design and Cloth, to be taken back and put again: of each order, as long as the page is open. */
import { useCallback, useSyncExternalStore } from "react";

/** A change: writes the row as it was before, and as it was after. */
export type Step = { undo: () => Promise<unknown>; redo: () => Promise<unknown> };
type Stacks = { done: Step[]; undone: Step[] };

const MOST = 100;
const NOTHING: Stacks = { done: [], undone: [] };
const orders = new Map<string, Stacks>();
const listeners = new Set<() => void>();

function put(order: string, stacks: Stacks) {
  orders.set(order, stacks);
  listeners.forEach((one) => one());
}

/** Something new was changed: what was taken back before cannot be put again. */
export function changedBy(order: string, step: Step): void {
  const { done } = orders.get(order) ?? NOTHING;
  put(order, { done: [...done, step].slice(-MOST), undone: [] });
}

/** It was not changed after all. */
export function forget(order: string, step: Step): void {
  const { done, undone } = orders.get(order) ?? NOTHING;
  put(order, { done: done.filter((one) => one !== step), undone: undone.filter((one) => one !== step) });
}

/** Take the last change back, or put again the last that was taken back; false where there is none. */
export async function back(order: string, way: "undo" | "redo"): Promise<boolean> {
  const { done, undone } = orders.get(order) ?? NOTHING;
  const step = way === "undo" ? done.at(-1) : undone.at(-1);
  if (!step) return false;
  put(
    order,
    way === "undo"
      ? { done: done.slice(0, -1), undone: [...undone, step] }
      : { done: [...done, step], undone: undone.slice(0, -1) },
  );
  await step[way]();
  return true;
}

const listen = (one: () => void) => {
  listeners.add(one);
  return () => void listeners.delete(one);
};

export function useUndo(order: string) {
  const { done, undone } = useSyncExternalStore(
    listen,
    useCallback(() => orders.get(order) ?? NOTHING, [order]),
  );
  return { canUndo: done.length > 0, canRedo: undone.length > 0 };
}
