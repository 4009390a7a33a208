import { type RefObject, useEffect, useRef, useState } from "react";

/** So far outside the window, in px, is as good as in it: one scrolls there next. */
const NEAR = "200px";

/** A place on the page, and whether it is in sight; always where a browser cannot say. */
export function useInSight<Place extends HTMLElement>(): [RefObject<Place | null>, boolean] {
  const place = useRef<Place>(null);
  const [inSight, setInSight] = useState(typeof IntersectionObserver === "undefined");
  useEffect(() => {
    if (!place.current || typeof IntersectionObserver === "undefined") return;
    const watch = new IntersectionObserver((found) => setInSight(found.at(-1)!.isIntersecting), { rootMargin: NEAR });
    watch.observe(place.current);
    return () => watch.disconnect();
  }, []);
  return [place, inSight];
}
