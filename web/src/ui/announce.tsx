/** What a screen reader is to say of a change that is seen elsewhere on the page. */
import { useSyncExternalStore } from "react";
import { Unseen } from "./unseen";

let said = "";
const listeners = new Set<() => void>();

/** Say it once, after what is being read. */
export function announce(text: string) {
  said = text;
  for (const listener of listeners) listener();
}

function listen(listener: () => void) {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** Where announcements are made; once on a page. */
export function Announcements() {
  return (
    <Unseen aria-live="polite" data-announced>
      {useSyncExternalStore(listen, () => said)}
    </Unseen>
  );
}
