import { Box, chakra } from "@chakra-ui/react";
import { useEffect, useRef } from "react";
import { inWords } from "../../api/client";
import { type TicketMove, useTicketMove, useWouldMove } from "../../api/week";
import { announce } from "../../ui/announce";
import { day, today } from "../../ui/day";
import { field, Label } from "../../ui/field";
import { Press } from "../../ui/press";
import { useTyped } from "../../ui/typed";
import { Says } from "../../ui/words";
import type { Put } from "./Board";
import { Moves } from "./Moves";
import { NotKept } from "./NotKept";

type MoveTicketProps = {
  put: Put;
  setPut: (put: Put | null) => void;
  people: { person: string; name: string }[];
  /** What is moved. */
  name: string;
};

/** Tasks of an order given to somebody else or put on another day: what would move, then going by it. */
export function MoveTicket({ put, setPut, people, name }: MoveTicketProps) {
  const asked = put as TicketMove;
  const would = useWouldMove(asked);
  const keep = useTicketMove();
  // The same move until the server has it, however often it is pressed.
  const fresh = useTyped(`move:${put.order}`, "");
  const answer = would.data;
  const head = useRef<HTMLHeadingElement>(null);
  useEffect(() => head.current?.focus(), []);
  const go = () => {
    if (!answer) return;
    fresh.type(answer.stamp);
    keep.mutate(
      { ...asked, id: fresh.id(), stamp: answer.stamp },
      {
        onSuccess: () => {
          fresh.taken();
          announce(`${name}: moved to ${answer.by}${answer.on ? `, ${day(answer.on)}` : ""}`);
          setPut(null);
        },
      },
    );
  };
  const wrong = keep.error ?? would.error;
  return (
    <Box as="section" aria-label="Move it" display="grid" gap="8" border="1px solid {colors.edge}" padding="12">
      <chakra.h3 ref={head} tabIndex={-1} fontSize="18px" fontWeight={600}>
        Move: {name}
      </chakra.h3>
      <Box display="flex" gap="12" flexWrap="wrap" alignItems="end">
        <Label text="To">
          <chakra.select
            {...field}
            value={put.person}
            onChange={(event) => setPut({ ...put, person: event.target.value })}
          >
            {people.map((one) => (
              <option key={one.person} value={one.person}>
                {one.name}
              </option>
            ))}
          </chakra.select>
        </Label>
        <Label text="No sooner than">
          <chakra.input
            {...field}
            type="date"
            min={today()}
            value={put.day}
            onChange={(event) => event.target.value && setPut({ ...put, day: event.target.value })}
          />
        </Label>
      </Box>
      {wrong && <Says tone="wrong">{inWords(wrong)}</Says>}
      {answer && (
        <>
          <Says tone={answer.on === put.day ? "good" : "plain"}>
            {answer.on
              ? `${answer.by} has it done on ${day(answer.on)}${answer.on === put.day ? "" : ", no sooner"}.`
              : "Nobody has so many hours then. Give somebody more, under Hours, or choose another day."}
          </Says>
          {answer.moves.length === 0 && <p>Nothing else moves.</p>}
          <Moves moves={answer.moves} caption="What moves" />
          {answer.broken.length > 0 && <NotKept broken={answer.broken} caption="Promises that would not be kept" />}
        </>
      )}
      <Box display="flex" gap="12" flexWrap="wrap">
        {answer?.on && (
          <Press kind="main" disabled={keep.isPending} onClick={go}>
            Move it
          </Press>
        )}
        <Press onClick={() => setPut(null)}>Leave it where it is</Press>
      </Box>
    </Box>
  );
}
