import { chakra } from "@chakra-ui/react";
import type { ReactNode } from "react";

/** The look of every field. */
export const field = {
  minHeight: "touch",
  width: "100%",
  paddingInline: "12",
  background: "sheet",
  color: "ink",
  border: "1.5px solid {colors.edge}",
  borderRadius: "cut",
} as const;

export function Label({ text, children }: { text: string; children: ReactNode }) {
  return (
    <chakra.label display="grid" gap="4" fontWeight={600}>
      {text}
      {children}
    </chakra.label>
  );
}
