import { useCallback, useEffect, useState } from "react";
import type { Mark as Call } from "../../api/plans";
import { show, spoken, type Unit } from "../../lengths/units";

export const RATES = [0.8, 1, 1.2] as const;

/** A call as one says it: its name, the number in words, from where and along what. */
export function sentence(mark: Call, unit: Unit, hidden = false): string {
  const number = mark.shown && !hidden ? spoken(show(mark.reads_mm, unit)) : "";
  const from = mark.from && `from ${mark.from}`;
  const said = [number, from, mark.along].filter(Boolean).join(", ");
  return `${mark.name}. ${said}.`.replace(/[“”]/g, "");
}

const KEPT = "calls-aloud";

/** How fast calls are read aloud by the browser's own voice; null where they are not, as it is at first. */
export function useAloud(text: string): [number | null, (rate: number | null) => void, boolean] {
  const able = typeof window.speechSynthesis !== "undefined";
  const [rate, setRate] = useState<number | null>(() => Number(localStorage.getItem(KEPT)) || null);
  useEffect(() => {
    if (!able || rate === null) return;
    const speech = window.speechSynthesis;
    const voice = new SpeechSynthesisUtterance(text);
    voice.rate = rate;
    voice.lang = "en";
    speech.cancel();
    speech.speak(voice);
    return () => speech.cancel();
  }, [able, rate, text]);
  const change = useCallback((next: number | null) => {
    localStorage.setItem(KEPT, next === null ? "" : String(next));
    setRate(next);
  }, []);
  return [rate, change, able];
}
