import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { inWords } from "../../api/client";
import { type Plot, usePlotter, useTellPlotter } from "../../api/plotter";
import { useMay } from "../../api/session";
import { Press } from "../../ui/press";
import { Says } from "../../ui/words";
import { Card } from "./Card";

/** The pieces sent to the plotter: how far it is, and what to do where it stopped. Nothing where there is none. */
export function Plotter({ plan }: { plan: string }) {
  const plotter = usePlotter(plan);
  const tell = useTellPlotter(plan);
  const may = useMay();
  // The same press twice is one: the id changes when it was taken.
  const [id, setId] = useState(() => crypto.randomUUID());
  if (!plotter.data?.there) return null;
  const { plot } = plotter.data;
  const open = plot?.state === "running" || plot?.state === "waiting";
  return (
    <Card
      title="Plotter"
      says="The pieces in true size, one after the other. Where it stops, it goes on at that piece."
    >
      <Box role="status" marginBlock="8">
        {plot && <State plot={plot} />}
      </Box>
      {may("lays") && (
        <Box display="flex" flexWrap="wrap" gap="8">
          {plot?.state === "waiting" && (
            <Press kind="main" disabled={tell.isPending} onClick={() => tell.mutate({ on: plot.id })}>
              Go on
            </Press>
          )}
          {open ? (
            <Press disabled={tell.isPending} onClick={() => tell.mutate({ stop: plot.id })}>
              Stop
            </Press>
          ) : (
            <Press
              disabled={tell.isPending}
              onClick={() => tell.mutate({ start: id }, { onSuccess: () => setId(crypto.randomUUID()) })}
            >
              {plot ? "Plot it again" : "Plot the pieces"}
            </Press>
          )}
        </Box>
      )}
      {tell.error && <Says tone="wrong">{inWords(tell.error)}</Says>}
    </Card>
  );
}

function State({ plot }: { plot: Plot }) {
  const { drawn, pieces, state, trouble } = plot;
  const next = `piece ${drawn + 1} of ${pieces.length} (${pieces[drawn]})`;
  if (state === "waiting") return <Says tone="wrong">{TROUBLE[trouble || "line"](next)}</Says>;
  return (
    <chakra.p fontVariantNumeric="tabular-nums">
      {state === "running" && `Drawing ${next}.`}
      {state === "done" && `All ${pieces.length} pieces are drawn.`}
      {state === "stopped" && `Stopped: ${drawn} of ${pieces.length} pieces are drawn.`}
    </chakra.p>
  );
}

const TROUBLE = {
  jam: (next: string) =>
    `The paper is jammed at ${next}. Take it out, then go on: that piece is drawn anew, none before it.`,
  empty: (next: string) => `There is no paper for ${next}. Put some in, then go on.`,
  line: (next: string) => `The plotter does not answer, at ${next}. Look whether it is on, then go on.`,
};
