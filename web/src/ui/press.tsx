import { chakra } from "@chakra-ui/react";
import type { ComponentProps } from "react";

const Button = chakra("button", {
  base: {
    minHeight: "touch",
    paddingInline: "16",
    borderRadius: "cut",
    border: "1.5px solid {colors.edge}",
    background: "sheet",
    color: "ink",
    fontWeight: 600,
    cursor: "pointer",
    _hover: { borderColor: "ink" },
    _disabled: { color: "ink2", cursor: "default", borderColor: "hairline" },
  },
  variants: {
    kind: {
      main: { background: "dye", color: "onDye", borderColor: "dye", _disabled: { background: "well", color: "ink2" } },
      plain: {},
      quiet: { background: "transparent", borderColor: "transparent", color: "dye", paddingInline: "8" },
    },
  },
  defaultVariants: { kind: "plain" },
});

/** What one presses. `main` for the one thing to do next. */
export function Press(props: ComponentProps<typeof Button>) {
  return <Button type="button" {...props} />;
}
