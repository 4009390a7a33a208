import { chakra } from "@chakra-ui/react";
import { Children, Fragment, type ReactNode } from "react";
import { taken } from "../lengths/taped";
import { Fraction } from "./length";

/** Texts among the children with their numbers as a tape shows them: fractions stacked, an inch as ″, never over two lines. */
export function Taped({ children }: { children: ReactNode }) {
  return Children.map(children, (child) => (typeof child === "string" ? <Text text={child} /> : child));
}

function Text({ text }: { text: string }) {
  return taken(text).map((part, k) =>
    "words" in part ? (
      <Fragment key={k}>{part.words}</Fragment>
    ) : (
      <chakra.span key={k} role="img" aria-label={part.said} whiteSpace="nowrap">
        {part.whole}
        {part.over && <Fraction over={part.over} under={part.under} after={part.whole !== ""} />}
        {part.unit === "in" ? "″" : part.unit && ` ${part.unit}`}
      </chakra.span>
    ),
  );
}
