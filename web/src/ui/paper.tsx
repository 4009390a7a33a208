/** What every printed page has: the workshop's paper and heading, and a number. */
import { chakra } from "@chakra-ui/react";
import { useEffect } from "react";
import { useMe } from "../api/session";

const MARGIN = "12mm 12mm 16mm";

/** Every page is printed on the workshop's paper, its sheets numbered; `title.ts` says of each what it is. */
export function usePaper() {
  const paper = useMe().data?.paper ?? "A4";
  useEffect(() => {
    const sheet = new CSSStyleSheet();
    const number = `@bottom-right { content: counter(page) " of " counter(pages); font-size: 10pt; }`;
    sheet.replaceSync(`@page { size: ${paper}; margin: ${MARGIN}; ${number} }`);
    document.adoptedStyleSheets = [...document.adoptedStyleSheets, sheet];
    return () => {
      document.adoptedStyleSheets = document.adoptedStyleSheets.filter((one) => one !== sheet);
    };
  }, [paper]);
}

/** Whose card it is: the workshop and its heading. */
export function PaperHeading() {
  const me = useMe().data;
  if (!me) return null;
  return (
    <chakra.p fontSize="14px" marginBottom="8">
      <b>{me.workshop}</b>
      {me.heading && `, ${me.heading}`}
    </chakra.p>
  );
}
