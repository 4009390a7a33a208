/** Every key of the product in one table; keys.test.ts finds doubles. */
import { useEffect, useLayoutEffect, useRef } from "react";

export type Where = "job" | "mark" | "methods";
export type KeyRow = { where: Where; keys: string[]; does: string; words: string };

export const KEYS: KeyRow[] = [
  { where: "job", keys: ["1", "2", "3", "4", "5", "6"], does: "station", words: "go to that station" },
  { where: "job", keys: ["?"], does: "keys", words: "show these keys" },
  { where: "mark", keys: [" ", "ArrowRight"], does: "next", words: "next mark" },
  { where: "mark", keys: ["Shift+ ", "ArrowLeft"], does: "previous", words: "previous mark" },
  { where: "mark", keys: ["Home"], does: "first", words: "first mark" },
  { where: "mark", keys: ["End"], does: "last", words: "last mark" },
  { where: "mark", keys: ["l"], does: "far", words: "far view" },
  { where: "mark", keys: ["h"], does: "hide", words: "hide the number, for practice" },
  { where: "mark", keys: ["a"], does: "all", words: "all calls as a list" },
  { where: "mark", keys: ["u"], does: "unit", words: "inches or centimetres" },
  { where: "mark", keys: ["+", "="], does: "closer", words: "closer" },
  { where: "mark", keys: ["-"], does: "further", words: "further away" },
  { where: "mark", keys: ["0"], does: "whole", words: "the whole panel" },
  { where: "methods", keys: [" ", "ArrowRight"], does: "next", words: "next step" },
  { where: "methods", keys: ["Shift+ ", "ArrowLeft"], does: "previous", words: "step back" },
  { where: "methods", keys: ["Home"], does: "first", words: "first step" },
  { where: "methods", keys: ["End"], does: "last", words: "last step" },
];

const KEY_NAMES: Record<string, string> = {
  " ": "Space",
  "Shift+ ": "Shift Space",
  ArrowRight: "Right",
  ArrowLeft: "Left",
};
export const keyName = (key: string) => KEY_NAMES[key] ?? key.toUpperCase();

/** True where the focus has a use of its own for this key. */
function busy(target: EventTarget | null, key: string): boolean {
  if (!(target instanceof HTMLElement)) return false;
  if (target.closest("input, select, textarea, [role=radio], dialog")) return true;
  return (key === " " || key === "Enter") && target.closest("button, a, summary") !== null;
}

/** Listen for the keys of one place while it is on the screen. Escape leaves a field. */
export function useKeys(where: Where, handle: (does: string, key: string) => void) {
  const latest = useRef(handle);
  useLayoutEffect(() => {
    latest.current = handle;
  });
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.altKey || event.metaKey) return;
      if (event.key === "Escape" && event.target instanceof HTMLElement) return event.target.blur();
      if (busy(event.target, event.key)) return;
      const key =
        event.shiftKey && event.key === " " ? "Shift+ " : event.key.length === 1 ? event.key.toLowerCase() : event.key;
      const row = KEYS.find((one) => one.where === where && one.keys.includes(key));
      if (!row) return;
      event.preventDefault();
      latest.current(row.does, key);
    };
    window.addEventListener("keydown", listen);
    return () => window.removeEventListener("keydown", listen);
  }, [where]);
}
