import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { inWords } from "../../api/client";
import { useNewSchedule } from "../../api/week";
import { announce } from "../../ui/announce";
import { Press } from "../../ui/press";
import { Says } from "../../ui/words";
import { Moves } from "./Moves";

const promises = (count: number) => (count === 1 ? "1 promise" : `${count} promises`);

/** A better schedule is looked for; what it moves is shown before it is kept. */
export function NewSchedule() {
  const [id, setId] = useState<string | null>(null);
  const { made, ask, keep } = useNewSchedule(id);
  const begin = () => {
    const one = crypto.randomUUID();
    ask.mutate(one, { onSuccess: () => setId(one) });
  };
  const schedule = made.data;
  const wrong = ask.error ?? made.error ?? keep.error;
  const isNew = schedule?.state === "done" && !schedule.kept;
  return (
    <Box as="section" aria-label="A new schedule" display="grid" gap="12" justifyItems="start">
      <chakra.h2 fontSize="20px" fontWeight={600}>
        A new schedule
      </chakra.h2>
      <p>It keeps as many promises as it can, then is late by least, then changes least.</p>
      {wrong && <Says tone="wrong">{inWords(wrong)}</Says>}
      {schedule?.state === "queued" && <chakra.p role="status">It is being made.</chakra.p>}
      {schedule?.state === "failed" && <Says tone="wrong">It broke off. Try once more.</Says>}
      {isNew && (
        <>
          <p>
            It breaks <b>{promises(schedule.breaks)}</b>. What you go by now breaks {schedule.stands_breaks}; what is
            promised first done first, {schedule.habit_breaks}. No schedule breaks fewer than {schedule.least}.
          </p>
          {schedule.moves.length === 0 && <p>It moves nothing.</p>}
          <Moves moves={schedule.moves} caption="What it moves" />
        </>
      )}
      {schedule?.kept && <Says tone="good">This is what you go by now.</Says>}
      <Box display="flex" gap="12" flexWrap="wrap">
        {isNew && (
          <Press
            kind="main"
            disabled={keep.isPending}
            onClick={() => keep.mutate(undefined, { onSuccess: () => announce("The new schedule is kept") })}
          >
            Go by it
          </Press>
        )}
        {isNew && <Press onClick={() => setId(null)}>Leave it as it is</Press>}
        {!isNew && (
          <Press disabled={ask.isPending || schedule?.state === "queued"} onClick={begin}>
            Make one
          </Press>
        )}
      </Box>
    </Box>
  );
}
