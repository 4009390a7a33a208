/** What a page is called: in the browser's tab, by a screen reader, at the foot of its printed sheets. */
import { useEffect } from "react";

export function useTitle(title: string) {
  useEffect(() => {
    document.title = title ? `${title} · Plavet` : "Plavet";
    const sheet = new CSSStyleSheet();
    const said = title.replace(/["\\\n]/g, " ");
    sheet.replaceSync(`@page { @bottom-left { content: "${said}"; font-size: 10pt; } }`);
    document.adoptedStyleSheets = [...document.adoptedStyleSheets, sheet];
    return () => {
      document.adoptedStyleSheets = document.adoptedStyleSheets.filter((one) => one !== sheet);
    };
  }, [title]);
}
