/** Files are shown in groups of cards: what it is, what for, what one presses. */
import { Box, chakra } from "@chakra-ui/react";
import type { ReactNode } from "react";
import { Taped } from "../../ui/taped";

export function Group({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section>
      <chakra.h2 fontSize="20px" fontWeight={600}>
        {title}
      </chakra.h2>
      <chakra.ul
        listStyleType="none"
        display="grid"
        gap="12"
        marginTop="8"
        gridTemplateColumns="repeat(auto-fill, minmax(min(100%, 340px), 1fr))"
      >
        {children}
      </chakra.ul>
    </section>
  );
}

type CardProps = { title: string; says: string; picture?: ReactNode; size?: ReactNode; children: ReactNode };

export function Card({ title, says, picture, size, children }: CardProps) {
  return (
    <chakra.li
      background="sheet"
      border="1px solid {colors.hairline}"
      borderRadius="cut"
      padding="12"
      display="flex"
      gap="12"
      alignItems="flex-start"
    >
      {picture}
      <Box minWidth="0">
        <chakra.b display="block">{title}</chakra.b>
        {size !== undefined && (
          <chakra.span display="block" minHeight="26px" fontVariantNumeric="tabular-nums">
            {size}
          </chakra.span>
        )}
        <chakra.p color="ink2" fontSize="16px">
          <Taped>{says}</Taped>
        </chakra.p>
        {children}
      </Box>
    </chakra.li>
  );
}
