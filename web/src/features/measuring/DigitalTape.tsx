import { Box, chakra } from "@chakra-ui/react";
import { useEffect, useRef, useState } from "react";
import { usePairing, useTape } from "../../api/tape";
import { Press } from "../../ui/press";
import { Says } from "../../ui/words";

const SILENT = 15_000;

/** An outside device: what it reads fills the field in hand, to be looked at and kept like anything typed. */
export function DigitalTape({ fill }: { fill: (typed: string) => void }) {
  const [on, setOn] = useState(false);
  const { pair, unpair } = usePairing();
  const tape = useTape(on);
  const heard = useRef<number | null>(null);
  const now = tape.data;
  useEffect(() => {
    if (!on || !now) return;
    if (heard.current !== null && now.seq > heard.current) fill(now.typed);
    heard.current = now.seq;
  }, [on, now, fill]);
  const start = () =>
    pair.mutate(undefined, {
      onSuccess: (made) => {
        heard.current = made.seq;
        setOn(true);
      },
    });
  /** Away once the server has let it go, or cannot be reached: until then the device could still send. */
  const stop = () =>
    unpair.mutate(undefined, {
      onSettled: () => {
        setOn(false);
        heard.current = null;
      },
    });
  const silent = now?.heard_at ? tape.dataUpdatedAt - new Date(now.heard_at).getTime() > SILENT : true;
  return (
    <chakra.details>
      <chakra.summary>Digital tape</chakra.summary>
      {!on ? (
        <Press onClick={start}>Pair a tape</Press>
      ) : (
        <Box display="grid" gap="8">
          <p>
            It sends to the code <b>{now?.code}</b>.{" "}
            <chakra.span color="ink2">
              {tape.isError
                ? "The line is lost; type by hand."
                : silent
                  ? "It is silent now; type by hand."
                  : `Heard: ${now?.typed}`}
            </chakra.span>
          </p>
          <Press onClick={stop}>Put it away</Press>
        </Box>
      )}
      {pair.error && <Says tone="wrong">{pair.error.message}</Says>}
    </chakra.details>
  );
}
