import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { inWords } from "../../api/client";
import { type Due, type Reminder, useReminders, useReminderWrites } from "../../api/reminders";
import { useMay } from "../../api/session";
import { announce } from "../../ui/announce";
import { Chips } from "../../ui/chips";
import { moment } from "../../ui/day";
import { Press } from "../../ui/press";
import { Way } from "../../ui/way";
import { Says } from "../../ui/words";

const KINDS: Record<Due["kind"], string> = { fitting: "Fitting", ready: "Ready", balance: "To be paid" };
const STATES: Record<Reminder["state"], string> = {
  waiting: "waits",
  sent: "sent",
  refused: "refused: the gateway does not deliver there. Correct the number on the client’s card, then send it again.",
  given_up: "given up: the gateway was down each time",
  held_back: "held back: the client does not agree any more",
};

/** Of what clients are to be reminded, and how what was sent went. */
export function Reminders() {
  const [page, setPage] = useState(1);
  const reminders = useReminders(page);
  const may = useMay();
  const { automatic } = useReminderWrites();
  const data = reminders.data;
  return (
    <Box padding={{ base: "12", md: "24" }} overflowY="auto" height="100%" display="grid" gap="24" alignContent="start">
      <Box display="flex" gap="16" alignItems="center" flexWrap="wrap">
        <chakra.h1 fontSize="26px" fontWeight={600} flex="1">
          Reminders
        </chakra.h1>
        <Way to="/week">Week</Way>
        <Way to="/money">Money</Way>
      </Box>
      {reminders.error && <Says tone="wrong">{inWords(reminders.error)}</Says>}
      {data && !data.gateway && (
        <Says tone="plain">No gateway is set up that delivers messages: what is put in the outbox waits.</Says>
      )}
      {data && (
        <Box
          display="grid"
          gap={{ base: "24", lg: "48" }}
          gridTemplateColumns={{ base: "minmax(0, 1fr)", lg: "minmax(0, 1fr) minmax(0, 1fr)" }}
          alignItems="start"
        >
          <Box as="section" aria-label="Due" display="grid" gap="12">
            <chakra.h2 fontSize="20px" fontWeight={600}>
              Due
            </chakra.h2>
            {may("workshop") && (
              <Chips
                legend="Sent"
                hint="never at night, and only to who has agreed"
                value={data.automatic ? "itself" : "hand"}
                options={[
                  { value: "hand", label: "by hand" },
                  { value: "itself", label: "by itself" },
                ]}
                onChoose={(value) => automatic.mutate(value === "itself")}
              />
            )}
            {automatic.error && <Says tone="wrong">{inWords(automatic.error)}</Says>}
            {data.due.length === 0 && (
              <p>
                Nothing is due. Fittings of tomorrow, what is ready and what is not paid a week after are listed here.
              </p>
            )}
            <chakra.ul listStyleType="none">
              {data.due.map((one) => (
                <DueRow key={`${one.order}${one.kind}`} one={one} />
              ))}
            </chakra.ul>
          </Box>
          <Box as="section" aria-label="Outbox" display="grid" gap="12">
            <chakra.h2 fontSize="20px" fontWeight={600}>
              Outbox
            </chakra.h2>
            {data.outbox.length === 0 && <p>Nothing was sent yet.</p>}
            <chakra.ul listStyleType="none">
              {data.outbox.map((one) => (
                <SentRow key={one.id} one={one} />
              ))}
            </chakra.ul>
            {(page > 1 || data.more) && (
              <Box display="flex" gap="12">
                <Press disabled={page === 1} onClick={() => setPage(page - 1)}>
                  Newer ones
                </Press>
                <Press disabled={!data.more} onClick={() => setPage(page + 1)}>
                  Older ones
                </Press>
              </Box>
            )}
          </Box>
        </Box>
      )}
    </Box>
  );
}

const row = { borderTop: "1px solid {colors.hairline}", paddingBlock: "8", display: "grid", gap: "4" } as const;

function DueRow({ one }: { one: Due }) {
  const { put } = useReminderWrites();
  // The same reminder however often it is pressed.
  const [id] = useState(() => crypto.randomUUID());
  return (
    <chakra.li {...row}>
      <span>
        <b>{KINDS[one.kind]}</b>: {one.client_name}
        {one.to && <chakra.span color="ink2">, {one.to}</chakra.span>}
      </span>
      <chakra.span color="ink2" overflowWrap="anywhere">
        {one.text}
      </chakra.span>
      {one.why ? (
        <chakra.span>
          Not sent: {one.why}. <Way to={`/clients/${one.client}`}>The card</Way>
        </chakra.span>
      ) : (
        <Box>
          <Press
            aria-label={`Remind ${one.client_name}`}
            disabled={put.isPending}
            onClick={() =>
              put.mutate(
                { id, order: one.order, kind: one.kind },
                { onSuccess: () => announce(`${one.client_name}: in the outbox`) },
              )
            }
          >
            Remind
          </Press>
        </Box>
      )}
      {put.error && <Says tone="wrong">{inWords(put.error)}</Says>}
    </chakra.li>
  );
}

/** "sent 29 Nov, 10:41", "waits until 30 Nov, 08:00, tried twice" */
function howItWent(one: Reminder): string {
  if (one.state === "sent" && one.sent_at) return `sent ${moment(one.sent_at)}`;
  if (one.state !== "waiting") return STATES[one.state];
  const tried = one.tries ? `, the gateway was down ${one.tries === 1 ? "once" : `${one.tries} times`}` : "";
  return `waits until ${moment(one.next_at)}${tried}`;
}

function SentRow({ one }: { one: Reminder }) {
  const { again } = useReminderWrites();
  const stopped = !["sent", "waiting"].includes(one.state);
  return (
    <chakra.li {...row}>
      <span>
        <b>{KINDS[one.kind]}</b>: {one.client_name}
        <chakra.span color="ink2">, {one.to}</chakra.span>
      </span>
      <chakra.span color="ink2" overflowWrap="anywhere">
        {one.text}
      </chakra.span>
      <chakra.span color={stopped ? "madder" : "ink"}>{howItWent(one)}</chakra.span>
      {stopped && (
        <Box>
          <Press
            aria-label={`Send it again: ${one.client_name}`}
            disabled={again.isPending}
            onClick={() => again.mutate(one.id)}
          >
            Send it again
          </Press>
        </Box>
      )}
      {again.error && <Says tone="wrong">{inWords(again.error)}</Says>}
    </chakra.li>
  );
}
