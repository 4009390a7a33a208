/** What every printed page has: the workshop's paper and heading, and a number. */
import { Box, chakra } from "@chakra-ui/react";
import { type ReactNode, useEffect } from "react";
import { useMe } from "../api/session";
import { Press } from "./press";

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

/** A card as it is printed: black on white in any light, over it what is not printed. */
export function Paper({ bar, children }: { bar?: ReactNode; children: ReactNode }) {
  return (
    <Box
      as="main"
      background="white"
      color="black"
      minHeight="100dvh"
      padding="24"
      css={{ "@media print": { padding: 0 } }}
    >
      <Box display="flex" gap="8" marginBottom="16" css={{ "@media print": { display: "none" } }}>
        <Press kind="main" onClick={() => window.print()}>
          Print
        </Press>
        {bar}
      </Box>
      {children}
    </Box>
  );
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
