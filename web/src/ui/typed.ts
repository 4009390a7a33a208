/** What is typed in a field and not yet taken by the server: it is there again after the page was read anew. */
import { useEffect, useState } from "react";

/** `id` stays the same while the same text is tried again. */
type Waiting = { typed: string; id: string };

function waiting(place: string): Waiting | null {
  try {
    const kept = JSON.parse(localStorage.getItem(place) ?? "null") as Partial<Waiting> | null;
    return typeof kept?.typed === "string" && typeof kept.id === "string" ? { typed: kept.typed, id: kept.id } : null;
  } catch {
    return null;
  }
}

export type Typed = {
  typed: string;
  type: (text: string) => void;
  /** Whether something was typed that the server did not take. */
  waits: () => boolean;
  /** What this text is sent with, so that sent twice it is one writing. */
  id: () => string;
  taken: () => void;
};

/** The text of a field whose saved text is `saved`; `place` is where the unsaved one waits in this browser. */
export function useTyped(place: string, saved: string): Typed {
  const [typed, setTyped] = useState(() => waiting(place)?.typed ?? saved);
  const taken = () => localStorage.removeItem(place);
  const id = () => waiting(place)?.id ?? crypto.randomUUID();
  const [last, setLast] = useState(saved);
  const isSaved = () => [undefined, saved].includes(waiting(place)?.typed.trim());
  if (saved !== last) {
    setLast(saved);
    if (isSaved()) setTyped(saved);
  }
  useEffect(() => {
    if (isSaved()) localStorage.removeItem(place);
  });
  const type = (text: string) => {
    setTyped(text);
    const own = waiting(place);
    if (text === saved) taken();
    else
      localStorage.setItem(
        place,
        JSON.stringify({ typed: text, id: own?.typed === text ? own.id : crypto.randomUUID() }),
      );
  };
  return { typed, type, waits: () => waiting(place) !== null, id, taken };
}
