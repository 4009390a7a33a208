import { Box, chakra } from "@chakra-ui/react";
import { useQueryClient } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import { answered, Refused, server } from "../api/client";
import { sendWaiting, useOutbox } from "../api/outbox";
import { isForgotten, keptFor, used } from "../offline/device";
import { lineIs, useLine } from "../offline/line";
import type { Row } from "../offline/store";
import { Press } from "../ui/press";

/** While the line is lost, and while something waits, the server is asked so often, in ms. */
const OFTEN = 3_000;
const SAID_FOR = 6_000;

const NAMES: Record<Row["kind"], [string, string]> = {
  tick: ["tick", "ticks"],
  reading: ["reading", "readings"],
  tape: ["control tape", "control tapes"],
  sewn: ["step", "steps"],
};

/** "3 ticks, 1 reading and 2 steps" */
function counted(rows: Row[]): string {
  const kinds = (Object.keys(NAMES) as Row["kind"][]).flatMap((kind) => {
    const n = rows.filter((row) => row.kind === kind).length;
    return n ? [`${n} ${NAMES[kind][n === 1 ? 0 : 1]}`] : [];
  });
  return [kinds.slice(0, -1).join(", "), ...kinds.slice(-1)].filter(Boolean).join(" and ");
}

/** That the line is lost, what waits on this device, and what the server would not have: said once, at the top. */
export function Line() {
  const memory = useQueryClient();
  const line = useLine();
  const { waits, refused, aside } = useOutbox();
  const [sent, setSent] = useState(0);
  const open = !line || waits.length > 0;

  useEffect(() => {
    const lost = () => lineIs(false);
    const back = () => void answered(server.GET("/api/session")).catch(() => undefined);
    const seen = () => isForgotten(Date.now()) && void memory.resetQueries({ queryKey: ["me"] });
    const touched = () => used(Date.now());
    window.addEventListener("pointerdown", touched);
    window.addEventListener("keydown", touched);
    window.addEventListener("offline", lost);
    window.addEventListener("online", back);
    document.addEventListener("visibilitychange", seen);
    return () => {
      window.removeEventListener("pointerdown", touched);
      window.removeEventListener("keydown", touched);
      window.removeEventListener("offline", lost);
      window.removeEventListener("online", back);
      document.removeEventListener("visibilitychange", seen);
    };
  }, [memory]);

  useEffect(() => {
    if (!open) return;
    const ask = async () => {
      try {
        await answered(server.GET("/api/session"));
      } catch (error) {
        if (error instanceof Refused && error.status === 401) await memory.resetQueries({ queryKey: ["me"] });
        return;
      }
      setSent(await sendWaiting());
      await memory.invalidateQueries();
    };
    const often = setInterval(() => void ask(), OFTEN);
    return () => clearInterval(often);
  }, [open, memory]);

  const waited = useRef(0);
  useEffect(() => {
    // What waited is with the server, or was refused by it: the pages show what it made of it.
    if (line && waited.current > waits.length) void memory.invalidateQueries();
    waited.current = waits.length;
  }, [line, waits.length, memory]);

  useEffect(() => {
    if (!sent) return;
    const over = setTimeout(() => setSent(0), SAID_FOR);
    return () => clearTimeout(over);
  }, [sent]);

  const keeps = keptFor() !== null;
  const said = !line
    ? keeps
      ? `The line to the workshop’s server is lost. Measuring, marking and sewing go on from what this device keeps${
          waits.length ? `; ${counted(waits)} wait${waits.length === 1 ? "s" : ""} to be sent` : ""
        }.`
      : "The line to the workshop’s server is lost. What is shown here stays; nothing new is kept until it is back."
    : waits.length
      ? `Sending ${counted(waits)}…`
      : sent
        ? `The line is back: all is sent, ${sent} in number.`
        : "";
  if (!said && !refused.length) return null;
  return (
    <Box
      aria-live="polite"
      aria-label="The line"
      as="section"
      background={!line || refused.length ? "madderSoft" : "mossSoft"}
      color={!line || refused.length ? "madder" : "moss"}
      paddingBlock="8"
      paddingInline="16"
      fontSize="16px"
      fontWeight={600}
    >
      {said && <p>{said}</p>}
      {refused.length > 0 && (
        <>
          <p>Your workshop would not take {counted(refused)} that waited to be sent:</p>
          <chakra.ul maxHeight="30vh" overflowY="auto" fontWeight="400">
            {refused.map((row) => (
              <li key={row.id}>
                {row.says}. {row.refused}
              </li>
            ))}
          </chakra.ul>
          <Press marginTop="4" onClick={() => void aside()}>
            I have seen it, put it aside
          </Press>
        </>
      )}
    </Box>
  );
}
