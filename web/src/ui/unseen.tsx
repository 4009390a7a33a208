import { chakra } from "@chakra-ui/react";

/** Seen by nobody, read by a screen reader. */
export const Unseen = chakra(
  "span",
  {
    base: {
      position: "absolute",
      width: "1px",
      height: "1px",
      overflow: "hidden",
      clipPath: "inset(50%)",
      whiteSpace: "nowrap",
    },
  },
  { defaultProps: { "data-unseen": true } },
);
