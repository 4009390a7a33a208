import { Box, chakra } from "@chakra-ui/react";
import { useEffect, useRef } from "react";
import { inWords } from "../../api/client";
import { useMay } from "../../api/session";
import { useClientDay, useOrderTasks } from "../../api/week";
import { day, today } from "../../ui/day";
import { field, Label } from "../../ui/field";
import { Press } from "../../ui/press";
import type { Put } from "./Board";
import { MoveTicket } from "./MoveTicket";
import { Rows, Under } from "../../ui/rows";
import { Way } from "../../ui/way";
import { Says } from "../../ui/words";
import { spent } from "../../ui/spent";

const on = (iso: string) =>
  new Date(iso).toLocaleDateString("en-GB", { weekday: "short", day: "numeric", month: "short" });
const clock = (iso: string) => iso.slice(11, 16);

/** "Mon 30 Nov, 08:00\u201308:32", or from one day to another. */
function when(start: string, end: string): string {
  const same = start.slice(0, 10) === end.slice(0, 10);
  return same
    ? `${on(start)}, ${clock(start)}\u2013${clock(end)}`
    : `${on(start)}, ${clock(start)}, to ${on(end)}, ${clock(end)}`;
}

type OfOrderProps = {
  id: string;
  people: { person: string; name: string }[];
  /** A ticket of it that is being moved: where to. */
  put: Put | null;
  setPut: (put: Put | null) => void;
};

/** What is still to be done of one order, by whom and when; the day its client comes to be fitted. */
export function OfOrder({ id, people, put, setPut }: OfOrderProps) {
  const order = useOrderTasks(id);
  const write = useClientDay();
  const may = useMay()("orders");
  // On a phone it is above the tickets: whoever chose one is brought to it.
  const head = useRef<HTMLHeadingElement>(null);
  const here = order.data !== undefined;
  useEffect(() => head.current?.focus(), [here]);
  if (order.error) return <Says tone="wrong">{order.error.message}</Says>;
  if (!order.data) return null;
  const { title, client_name, promised_on, done_on, tasks, days } = order.data;
  const fit = days.find((one) => one.kind === "fit");
  const from = (one: (typeof tasks)[number]): Put => ({
    order: id,
    kinds: [one.kind],
    person: people.find(({ name }) => name === one.by)?.person ?? people[0]?.person ?? "",
    day: one.start?.slice(0, 10) ?? today(),
  });
  const comes = (on: string, removed = false) =>
    write.mutate({
      id: fit?.id ?? crypto.randomUUID(),
      version: fit?.version ?? 0,
      order: id,
      kind: "fit",
      day: on,
      removed,
    });
  return (
    <Box as="section" aria-label="The order" display="grid" gap="8">
      <chakra.h2 ref={head} tabIndex={-1} fontSize="20px" fontWeight={600} overflowWrap="anywhere">
        {title}, {client_name}
      </chakra.h2>
      <p>
        Promised for {day(promised_on)}
        {done_on && `, done on ${day(done_on)}`}. <Way to={`/orders/${id}/measure`}>Open it</Way>
      </p>
      {put && (
        <MoveTicket
          key={put.kinds.join()}
          put={put}
          setPut={setPut}
          people={people}
          name={tasks
            .filter((one) => put.kinds.includes(one.kind))
            .map((one) => one.name)
            .join(", ")}
        />
      )}
      <Rows
        caption="What is still to be done"
        columns={["task", "takes", ...(may ? [""] : [])].map((head) => ({ head }))}
        rows={tasks.map((one) => ({
          key: one.kind,
          cells: [
            <>
              {one.name}
              <Under>
                {one.by || "nobody"}
                {one.start && one.end && `, ${when(one.start, one.end)}`}
              </Under>
            </>,
            <>
              {spent(one.minutes)}
              {one.summed && <Under>{one.summed}</Under>}
            </>,
            ...(may
              ? [
                  <Press key="move" aria-label={`Move: ${one.name}`} onClick={() => setPut(from(one))}>
                    Move
                  </Press>,
                ]
              : []),
          ],
        }))}
      />
      {write.error && <Says tone="wrong">{inWords(write.error)}</Says>}
      {may && (
        <Box display="flex" gap="12" alignItems="end" flexWrap="wrap">
          <Label text="The client comes to be fitted on">
            <chakra.input
              {...field}
              type="date"
              min={today()}
              value={fit?.day ?? ""}
              onChange={(event) => event.target.value && comes(event.target.value)}
            />
          </Label>
          {fit && <Press onClick={() => comes(fit.day, true)}>No fitting</Press>}
        </Box>
      )}
    </Box>
  );
}
