import { useCallback, useState, useSyncExternalStore } from "react";

/** The size of an element in px, kept up to date; [ref, size]. */
export function useSize(): [(element: HTMLElement | null) => void, { width: number; height: number }] {
  const [size, setSize] = useState({ width: 800, height: 480 });
  const ref = useCallback((element: HTMLElement | null) => {
    if (!element) return;
    const look = () => {
      const { clientWidth: width, clientHeight: height } = element;
      setSize((was) => (was.width === width && was.height === height ? was : { width, height }));
    };
    look();
    const watch = new ResizeObserver(look);
    watch.observe(element);
    return () => watch.disconnect();
  }, []);
  return [ref, size];
}

/** Whether something holds of the screen, kept up to date. */
function of(query: string) {
  const listen = (tell: () => void) => {
    const media = window.matchMedia(query);
    media.addEventListener("change", tell);
    return () => media.removeEventListener("change", tell);
  };
  return () => useSyncExternalStore(listen, () => window.matchMedia(query).matches);
}

/** True on a screen wide enough for the margin beside the sheet. */
export const useWide = of("(min-width: 800px)");

/** True on a screen wide enough for a drawing beside its list, within the sheet. */
export const useRoomy = of("(min-width: 1024px)");

/** True on a screen that is higher than wide. */
export const useTall = of("(orientation: portrait)");
