import { type ReactNode, useDeferredValue } from "react";

/**
 * What is drawn in a pass of its own, after what is around it, in steps so short that keys and touches are heard between
 * them. What comes from the memory of answers would otherwise be drawn in one go.
 */
export function Later({ children }: { children: ReactNode }) {
  const due = useDeferredValue(true, false);
  return due && children;
}
