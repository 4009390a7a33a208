/** Where the keyboard goes on when what it was in is gone. */
import { type RefObject, useEffect, useRef } from "react";

/** When what has the focus in a region is taken away, or can no longer be pressed, the region itself has it. */
export function useKeptFocus(region: RefObject<HTMLElement | null>) {
  const inside = useRef(false);
  // At every drawing: the region itself may be another.
  useEffect(() => {
    const here = region.current;
    if (!here) return;
    const moved = (event: FocusEvent) => {
      inside.current = event.target instanceof Node && here.contains(event.target);
    };
    const lost = new MutationObserver(() => {
      if (inside.current && document.activeElement === document.body) here.focus({ preventScroll: true });
    });
    document.addEventListener("focusin", moved);
    lost.observe(here, { childList: true, subtree: true, attributeFilter: ["disabled"] });
    return () => {
      document.removeEventListener("focusin", moved);
      lost.disconnect();
    };
  });
}
