import { Box, chakra } from "@chakra-ui/react";
import { useEffect, useRef } from "react";
import { inWords } from "../../api/client";
import { useMay } from "../../api/session";
import { useClientDay, useOrderTasks } from "../../api/week";
import { day, today } from "../../ui/day";
import { field, Label } from "../../ui/field";
import { Press } from "../../ui/press";
import { Taped } from "../../ui/taped";
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

/** What is still to be done of one order, by whom and when; the day its client comes to be fitted. */
export function OfOrder({ id }: { id: string }) {
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
  const put = (on: string, removed = false) =>
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
      <chakra.table fontSize="16px" aria-label="What is still to be done">
        <thead>
          <tr>
            {["task", "takes", "by", "when"].map((head) => (
              <chakra.th key={head} {...cell} color="ink2" fontWeight={600}>
                {head}
              </chakra.th>
            ))}
          </tr>
        </thead>
        <tbody>
          {tasks.map((one) => (
            <chakra.tr key={one.kind} borderTop="1px solid {colors.hairline}">
              <chakra.th scope="row" {...cell} fontWeight={400}>
                {one.name}
              </chakra.th>
              <chakra.td {...cell}>
                {spent(one.minutes)}
                {one.summed && (
                  <chakra.span display="block" color="ink2" fontSize="14px">
                    <Taped>{one.summed}</Taped>
                  </chakra.span>
                )}
              </chakra.td>
              <chakra.td {...cell}>{one.by || "nobody"}</chakra.td>
              <chakra.td {...cell}>{one.start && one.end && when(one.start, one.end)}</chakra.td>
            </chakra.tr>
          ))}
        </tbody>
      </chakra.table>
      {write.error && <Says tone="wrong">{inWords(write.error)}</Says>}
      {may && (
        <Box display="flex" gap="12" alignItems="end" flexWrap="wrap">
          <Label text="The client comes to be fitted on">
            <chakra.input
              {...field}
              type="date"
              min={today()}
              value={fit?.day ?? ""}
              onChange={(event) => event.target.value && put(event.target.value)}
            />
          </Label>
          {fit && <Press onClick={() => put(fit.day, true)}>No fitting</Press>}
        </Box>
      )}
    </Box>
  );
}

const cell = { paddingBlock: "4", paddingInlineEnd: "12", textAlign: "left", verticalAlign: "top" } as const;
