import { chakra } from "@chakra-ui/react";
import { type ReactNode, useEffect, useRef, useState } from "react";
import { flushSync } from "react-dom";

type FoldedProps = { title: string; first?: boolean; onOpen?: (open: boolean) => void; children: ReactNode };

/** Folded away until it is wanted; what is in it is made when it is first looked at, or printed. */
export function Folded({ title, first = false, onOpen, children }: FoldedProps) {
  const [open, setOpen] = useState(first);
  const [seen, setSeen] = useState(first);
  const turn = (to: boolean) => {
    setOpen(to);
    setSeen(seen || to);
    onOpen?.(to);
  };
  usePrinted(() => turn(true));
  return (
    <chakra.details
      open={open}
      borderTop="1px solid {colors.hairline}"
      paddingTop="8"
      onToggle={(event) => turn(event.currentTarget.open)}
    >
      <chakra.summary fontSize="20px" fontWeight={600}>
        {title}
      </chakra.summary>
      {seen && children}
    </chakra.details>
  );
}

/** What is done before the page is printed, such as to unfold what is on it. */
function usePrinted(unfold: () => void) {
  const what = useRef(unfold);
  useEffect(() => {
    what.current = unfold;
  });
  useEffect(() => {
    const now = () => flushSync(() => what.current());
    window.addEventListener("beforeprint", now);
    return () => window.removeEventListener("beforeprint", now);
  }, []);
}
