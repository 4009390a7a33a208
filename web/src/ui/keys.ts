/** Every key of the product in one table; keys.test.ts finds doubles. */
import { useEffect, useLayoutEffect, useRef } from "react";

export type Where = "job" | "mark" | "lay" | "methods" | "projector";
export type KeyRow = { where: Where; keys: string[]; does: string; words: string };

export const KEYS: KeyRow[] = [
  { where: "job", keys: ["1", "2", "3", "4", "5", "6", "7", "8"], does: "station", words: "go to that station" },
  { where: "job", keys: ["?"], does: "keys", words: "show these keys" },
  {
    where: "mark",
    keys: [" ", "PageDown"],
    does: "chalked",
    words: "chalked, next mark; also by a pedal that sends Page Down",
  },
  { where: "mark", keys: ["t"], does: "tick", words: "this mark is chalked, or is not" },
  { where: "mark", keys: ["ArrowRight"], does: "next", words: "look at the next mark" },
  { where: "mark", keys: ["Shift+ ", "ArrowLeft", "PageUp"], does: "previous", words: "previous mark" },
  { where: "mark", keys: ["Home"], does: "first", words: "first mark" },
  { where: "mark", keys: ["End"], does: "last", words: "last mark" },
  { where: "mark", keys: ["l"], does: "far", words: "far view" },
  { where: "mark", keys: ["h"], does: "hide", words: "hide the number, for practice" },
  { where: "mark", keys: ["a"], does: "all", words: "all calls as a list" },
  { where: "mark", keys: ["u"], does: "unit", words: "inches or centimetres" },
  { where: "mark", keys: ["r"], does: "aloud", words: "read the calls aloud" },
  { where: "mark", keys: ["+", "="], does: "closer", words: "closer" },
  { where: "mark", keys: ["-"], does: "further", words: "further away" },
  { where: "mark", keys: ["0"], does: "whole", words: "the whole panel" },
  { where: "lay", keys: ["ArrowLeft"], does: "back", words: "the piece in hand back towards the cut end" },
  { where: "lay", keys: ["ArrowRight"], does: "on", words: "on along the cloth; with Shift each goes further" },
  { where: "lay", keys: ["ArrowUp"], does: "in", words: "towards the fold" },
  { where: "lay", keys: ["ArrowDown"], does: "out", words: "away from the fold" },
  { where: "lay", keys: ["r"], does: "turn", words: "turn it" },
  { where: "lay", keys: ["f"], does: "flip", words: "flip it" },
  { where: "lay", keys: ["k"], does: "pin", words: "pin it, or take the pin out" },
  { where: "lay", keys: ["m"], does: "match", words: "to the next stripe that matches" },
  { where: "projector", keys: ["ArrowLeft"], does: "left", words: "to the left; with Shift each goes further" },
  { where: "projector", keys: ["ArrowRight"], does: "right", words: "to the right" },
  { where: "projector", keys: ["ArrowUp"], does: "up", words: "up" },
  { where: "projector", keys: ["ArrowDown"], does: "down", words: "down" },
  { where: "projector", keys: ["r"], does: "turn", words: "turn it a quarter" },
  { where: "projector", keys: ["f"], does: "flip", words: "flip it" },
  { where: "projector", keys: ["n"], does: "piece", words: "next piece" },
  { where: "projector", keys: ["p"], does: "before", words: "the piece before" },
  { where: "projector", keys: ["l"], does: "lay", words: "one piece, or the whole lay" },
  { where: "projector", keys: [" ", "PageDown"], does: "call", words: "next call" },
  { where: "projector", keys: ["PageUp"], does: "callBefore", words: "the call before" },
  { where: "projector", keys: ["c"], does: "calibrate", words: "calibrate" },
  { where: "projector", keys: ["b"], does: "bar", words: "hide the buttons, or show them" },
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
  ArrowUp: "Up",
  ArrowDown: "Down",
  PageDown: "Page Down",
  PageUp: "Page Up",
};
export const keyName = (key: string) => KEY_NAMES[key] ?? (key.length === 1 ? key.toUpperCase() : key);

/** What the places are called where keys do something. */
export const PLACES: [Where, string][] = [
  ["job", "Everywhere in an order"],
  ["mark", "On Mark"],
  ["lay", "On Lay, a piece moved by hand"],
  ["projector", "On the projector page, from Files"],
];

/** What a key does at a place; nothing where it means nothing there. */
export function doesAt(where: Where, event: { key: string; shiftKey: boolean }): string | undefined {
  const key =
    event.shiftKey && event.key === " " ? "Shift+ " : event.key.length === 1 ? event.key.toLowerCase() : event.key;
  return KEYS.find((one) => one.where === where && one.keys.includes(key))?.does;
}

/** True where the focus has a use of its own for this key. */
function busy(target: EventTarget | null, key: string): boolean {
  if (!(target instanceof HTMLElement)) return false;
  if (target.closest("input, select, textarea, [role=radio], dialog")) return true;
  return (key === " " || key === "Enter") && target.closest("button, a, summary") !== null;
}

let singleKeys = true;

/** Whether a letter, digit or sign by itself does something; arrows, Space and Page Down always do. */
export function letKeys(on: boolean) {
  singleKeys = on;
}

/** Listen for the keys of one place while it is on the screen. Escape leaves a field. */
export function useKeys(where: Where, handle: (does: string, key: string, shift: boolean) => void) {
  const latest = useRef(handle);
  useLayoutEffect(() => {
    latest.current = handle;
  });
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.altKey || event.metaKey) return;
      if (event.key === "Escape" && event.target instanceof HTMLElement) return event.target.blur();
      if (!singleKeys && event.key.length === 1 && event.key !== " ") return;
      if (busy(event.target, event.key)) return;
      const does = doesAt(where, event);
      if (!does) return;
      event.preventDefault();
      latest.current(does, event.key, event.shiftKey);
    };
    window.addEventListener("keydown", listen);
    return () => window.removeEventListener("keydown", listen);
  }, [where]);
}
