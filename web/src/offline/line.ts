/** Whether the line to the workshop's server is there: what the last request came to. */
import { useSyncExternalStore } from "react";

let here = true;
const listeners = new Set<() => void>();

export function lineIs(now: boolean): void {
  if (now === here) return;
  here = now;
  for (const one of listeners) one();
}

export const hasLine = () => here;

const listen = (one: () => void) => {
  listeners.add(one);
  return () => void listeners.delete(one);
};

export const useLine = () => useSyncExternalStore(listen, hasLine);
