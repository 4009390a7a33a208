import { Box } from "@chakra-ui/react";
import type { ReactNode } from "react";
import { Taped } from "./taped";

/** A message that stands where it belongs: wrong (madder), checked (moss) or simply said. */
export function Says({ tone, children, id }: { tone: "wrong" | "good" | "plain"; children: ReactNode; id?: string }) {
  const look = { wrong: ["madderSoft", "madder"], good: ["mossSoft", "moss"], plain: ["well", "ink"] } as const;
  const [ground, text] = look[tone];
  return (
    <Box
      id={id}
      role={tone === "wrong" ? "alert" : "status"}
      background={ground}
      color={text}
      padding="8"
      paddingInline="12"
      borderRadius="cut"
    >
      <Taped>{children}</Taped>
    </Box>
  );
}
