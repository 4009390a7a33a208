/** What the browser's tab and a screen reader call the page. */
import { useEffect } from "react";

export function useTitle(title: string) {
  useEffect(() => {
    document.title = title ? `${title} · Plavet` : "Plavet";
  }, [title]);
}
