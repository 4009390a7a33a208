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

const query = "(min-width: 800px)";
const listen = (tell: () => void) => {
  const media = window.matchMedia(query);
  media.addEventListener("change", tell);
  return () => media.removeEventListener("change", tell);
};

/** True on a screen wide enough for the margin beside the sheet. */
export const useWide = () => useSyncExternalStore(listen, () => window.matchMedia(query).matches);
