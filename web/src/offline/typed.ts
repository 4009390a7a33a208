/** What was typed and not yet taken by the server waits in this browser, by the place of its field. */
import type { Unit } from "../lengths/units";

const TYPED = "typed:";

/** `id` stays the same while the same text is tried again; `unit` is that of lengths without one when it was typed. */
export type Waiting = { typed: string; id: string; unit?: Unit };

export function typedAt(place: string): Waiting | null {
  try {
    const kept = JSON.parse(localStorage.getItem(TYPED + place) ?? "null") as Partial<Waiting> | null;
    return typeof kept?.typed === "string" && typeof kept.id === "string" ? (kept as Waiting) : null;
  } catch {
    return null;
  }
}

export const keepTyped = (place: string, kept: Waiting) => localStorage.setItem(TYPED + place, JSON.stringify(kept));
export const dropTyped = (place: string) => localStorage.removeItem(TYPED + place);

/** Nothing that was typed stays. */
export function forgetTyped() {
  for (const key of Object.keys(localStorage)) if (key.startsWith(TYPED)) localStorage.removeItem(key);
}
