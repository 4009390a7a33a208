import { type ComponentType, createElement, lazy, useState } from "react";

/** A page whose script comes apart from the rest; it can be begun before the page is shown. */
export type Early<P extends object> = ComponentType<P> & { begin: () => void };

/**
 * A page from its own script. Once that is there, the page is drawn at once: what React shows instead of a page that it
 * waits for stays for 300 ms at least.
 */
export function early<P extends object>(load: () => Promise<ComponentType<P>>): Early<P> {
  let there: ComponentType<P> | null = null;
  let coming: Promise<{ default: ComponentType<P> }> | null = null;
  const begun = () =>
    (coming ??= load().then((page) => {
      there = page;
      return { default: page };
    }));
  const Awaited = lazy(begun) as unknown as ComponentType<P>;
  function Page(props: P) {
    // What was shown first stays: the other would begin anew.
    const [Shown] = useState(() => there ?? Awaited);
    return createElement(Shown, props);
  }
  return Object.assign(Page, { begin: () => void begun().catch(() => undefined) });
}
