/** What a screen reader is to say of a change that is seen elsewhere on the page. */
import { chakra } from "@chakra-ui/react";
import { useSyncExternalStore } from "react";

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

/** Seen by nobody, read by a screen reader. */
export const Unseen = chakra(
  "span",
  {
    base: {
      position: "absolute",
      width: "1px",
      height: "1px",
      overflow: "hidden",
      clipPath: "inset(50%)",
      whiteSpace: "nowrap",
    },
  },
  { defaultProps: { "data-unseen": true } },
);

/** Where announcements are made; once on a page. */
export function Announcements() {
  return (
    <Unseen aria-live="polite" data-announced>
      {useSyncExternalStore(listen, () => said)}
    </Unseen>
  );
}
