import { Box } from "@chakra-ui/react";
import type { ReactNode } from "react";
import { Later } from "./later";

/** A station's sheet with its margin at the right; below it on a phone, where the page scrolls as one. */
export function WithMargin({ children }: { children: ReactNode }) {
  return (
    <Box height={{ md: "100%" }} display="flex" flexDirection={{ base: "column", md: "row" }} minHeight="0">
      {children}
    </Box>
  );
}

/** The column at the right: what the numbers mean now. */
export function Margin({ children }: { children: ReactNode }) {
  return (
    <Box
      as="aside"
      aria-label="Margin"
      background="sheet"
      borderLeft={{ md: "1px solid {colors.hairline}" }}
      borderTop={{ base: "1px solid {colors.hairline}", md: "0" }}
      padding="16"
      width={{ md: "margin" }}
      flexShrink="0"
      overflowY={{ md: "auto" }}
      display="grid"
      gap="16"
      alignContent="start"
    >
      <Later>{children}</Later>
    </Box>
  );
}
