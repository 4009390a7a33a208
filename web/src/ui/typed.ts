/** What is typed in a field and not yet taken by the server: it is there again after the page was read anew. */
import { useEffect, useState } from "react";
import { type Unit, withUnit } from "../lengths/units";
import { dropTyped, keepTyped, typedAt, type Waiting } from "../offline/typed";

export type Typed = {
  typed: string;
  type: (text: string) => void;
  /** Whether something was typed that the server did not take. */
  waits: () => boolean;
  /** What this text is sent with, so that sent twice it is one writing. */
  id: () => string;
  taken: () => void;
};

/** What waits, as it is read now: a length that was typed in another unit has that written out. */
const asRead = ({ typed, unit: was }: Waiting, unit?: Unit) =>
  was && unit && was !== unit ? withUnit(typed, was) : typed;

/**
 * The text of a field whose saved text is `saved`; `place` is where the unsaved one waits in this browser. Of a length,
 * `unit` is what it is read in without one: where that changes, what was typed before gets its own written out.
 */
export function useTyped(place: string, saved: string, unit?: Unit): Typed {
  const [typed, setTyped] = useState(() => {
    const own = typedAt(place);
    return own ? asRead(own, unit) : saved;
  });
  const taken = () => dropTyped(place);
  const id = () => typedAt(place)?.id ?? crypto.randomUUID();
  const [last, setLast] = useState(saved);
  const isSaved = () => [undefined, saved].includes(typedAt(place)?.typed.trim());
  if (saved !== last) {
    setLast(saved);
    if (isSaved()) setTyped(saved);
  }
  const [readIn, setReadIn] = useState(unit);
  if (unit !== readIn) {
    setReadIn(unit);
    const own = typedAt(place);
    if (own) setTyped(asRead(own, unit));
  }
  useEffect(() => {
    if (isSaved()) taken();
    const own = typedAt(place);
    if (own?.unit && unit && own.unit !== unit) keepTyped(place, { ...own, typed: asRead(own, unit), unit });
  });
  const type = (text: string) => {
    setTyped(text);
    const own = typedAt(place);
    const id = own?.typed === text ? own.id : crypto.randomUUID();
    if (text === saved) taken();
    else keepTyped(place, { typed: text, id, unit });
  };
  return { typed, type, waits: () => typedAt(place) !== null, id, taken };
}
