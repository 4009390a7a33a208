import { chakra } from "@chakra-ui/react";
import { Link } from "react-router";

const ALONE = {
  display: "inline-flex",
  alignItems: "center",
  minHeight: "44px",
  minWidth: "44px",
  color: "dye",
  textDecoration: "underline",
} as const;

/** A link that is not part of a sentence: as high as a finger. */
export const Way = chakra(Link, { base: ALONE });

/** The same to a file. */
export const FileWay = chakra("a", { base: ALONE });
