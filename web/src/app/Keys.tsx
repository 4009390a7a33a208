import { Box, chakra } from "@chakra-ui/react";
import { Fragment, useEffect, useRef } from "react";
import { KEYS, keyName, PLACES } from "../ui/keys";
import { Press } from "../ui/press";

/** Every key; the focus is in it until it is closed, by Escape too, and goes back to where it was. */
export function Keys({ close }: { close: () => void }) {
  const box = useRef<HTMLDialogElement>(null);
  useEffect(() => {
    const there = document.activeElement;
    box.current?.showModal();
    return () => {
      if (there instanceof HTMLElement) there.focus({ preventScroll: true });
    };
  }, []);
  return (
    <chakra.dialog
      ref={box}
      aria-label="Keys"
      onClose={close}
      background="sheet"
      color="ink"
      border="1px solid {colors.edge}"
      margin="auto"
      padding="16"
      maxWidth="720px"
      maxHeight="90dvh"
      overflowY="auto"
    >
      <Box display="flex" justifyContent="space-between" alignItems="center">
        <chakra.h2 fontSize="26px" fontWeight={600}>
          Keys
        </chakra.h2>
        <Press autoFocus onClick={close}>
          Close
        </Press>
      </Box>
      {PLACES.map(([where, name]) => (
        <Fragment key={where}>
          <chakra.h3 fontSize="20px" fontWeight={600} marginTop="12">
            {name}
          </chakra.h3>
          <chakra.dl display="grid" gridTemplateColumns={{ base: "1fr 2fr", sm: "240px 1fr" }} columnGap="16">
            {KEYS.filter((row) => row.where === where).map((row) => (
              <Box key={row.does} display="contents">
                <chakra.dt fontWeight={600}>{row.keys.map(keyName).join(", ")}</chakra.dt>
                <dd>{row.words}</dd>
              </Box>
            ))}
          </chakra.dl>
        </Fragment>
      ))}
    </chakra.dialog>
  );
}
