import { Box, chakra } from "@chakra-ui/react";
import { memo, type ReactNode, useDeferredValue, useState } from "react";
import { Link } from "react-router";
import { type Ticket, useBench } from "../../api/orders";
import { useMay, useMe } from "../../api/session";
import { type End, useEnds } from "../../api/week";
import { styleName, type Trade, useTrade } from "../../api/trade";
import { daysTo, until } from "../../ui/day";
import { field } from "../../ui/field";
import { spent } from "../../ui/spent";
import { Way } from "../../ui/way";
import { Says } from "../../ui/words";
import { GONE, More, STATES } from "./More";

/** Orders by promised day, each a ticket that hangs from a line. */
export function Bench() {
  const [find, setFind] = useState("");
  const bench = useBench(find.trim());
  const me = useMe();
  const may = useMay();
  const [now] = useState(() => Date.now());
  // Drawn in short steps, after what is around them.
  const tickets = useDeferredValue(bench.data);
  const ends = useDeferredValue(useEnds().data);
  const trade = useDeferredValue(useTrade());
  return (
    <Box padding={{ base: "12", md: "24" }} overflowY="auto" height="100%">
      <Box display="flex" justifyContent="space-between" alignItems="center" gap="12" marginBottom="16">
        <chakra.h1 fontSize="26px" fontWeight={600} flex="1">
          Bench
          <chakra.span
            display={{ base: "none", md: "inline" }}
            fontWeight="400"
            color="ink2"
            fontSize="17px"
            marginLeft="12"
          >
            {me.data?.workshop}
          </chakra.span>
        </chakra.h1>
        <Way to="/week">Week</Way>
        {may("money") && <Way to="/money">Money</Way>}
        {may("orders") && <LinkPress to="/new">Add an order</LinkPress>}
      </Box>
      <chakra.input
        {...field}
        type="search"
        maxWidth="420px"
        marginBottom="16"
        aria-label="Find an order"
        placeholder="Title or client; handed over ones too"
        maxLength={80}
        value={find}
        onChange={(event) => setFind(event.target.value)}
      />
      {bench.isError && <Says tone="wrong">{bench.error.message}</Says>}
      {bench.data?.length === 0 && (
        <Says tone="plain">
          {find.trim()
            ? `No order has “${find.trim()}” in its title or its client’s name.`
            : "Nothing waits. Add an order: a client, a garment and a day."}
        </Says>
      )}
      {!tickets && !bench.isError && <p>Fetching the orders…</p>}
      {tickets && <Tickets {...{ tickets, ends, trade, now }} />}
    </Box>
  );
}

type AllProps = { tickets: Ticket[]; ends: End[] | undefined; trade: Trade; now: number };

/** All that hang from the line; drawn anew only when one of them changes. */
const Tickets = memo(function Tickets({ tickets, ends, trade, now }: AllProps) {
  const promised = (ticket: Ticket) => (
    <Promised ticket={ticket} now={now} end={ends?.find((one) => one.order === ticket.id)} known={ends !== undefined} />
  );
  return (
    <chakra.ul
      listStyleType="none"
      display="grid"
      gap="24"
      gridTemplateColumns="repeat(auto-fill, minmax(270px, 1fr))"
      borderTop={{ md: "2px solid {colors.edge}" }}
    >
      {together(tickets).map((some) =>
        some.length > 1 ? (
          <HangingGroup key={some[0]!.group} tickets={some} trade={trade} promised={promised(some[0]!)} />
        ) : (
          <Hanging key={some[0]!.id} ticket={some[0]!} trade={trade} promised={promised(some[0]!)} />
        ),
      )}
    </chakra.ul>
  );
});

/** The tickets by groups, each where its first one hangs. */
function together(tickets: Ticket[]): Ticket[][] {
  const groups = new Map<string, Ticket[]>();
  for (const ticket of tickets) {
    const key = ticket.group ?? ticket.id;
    groups.set(key, [...(groups.get(key) ?? []), ticket]);
  }
  return [...groups.values()];
}

function LinkPress({ to, children, kind = "main" }: { to: string; children: string; kind?: "main" | "plain" }) {
  return (
    <chakra.span
      data-screen
      display="inline-flex"
      css={{
        "& a": {
          minHeight: "touch",
          display: "inline-flex",
          alignItems: "center",
          paddingInline: "16",
          borderRadius: "cut",
          fontWeight: 600,
          textDecoration: "none",
          background: kind === "main" ? "dye" : "sheet",
          color: kind === "main" ? "onDye" : "ink",
          border: "1.5px solid {colors.dye}",
        },
      }}
    >
      <Link to={to}>{children}</Link>
    </chakra.span>
  );
}

/** The first station that nobody passed yet; what is cut is sewn, what is ready is looked at. */
function waitsAt(ticket: Ticket): { station: string; name: string } {
  if (["ready", ...GONE].includes(ticket.state)) return { station: "check", name: "Check" };
  if (["cut", "sewing", "finishing"].includes(ticket.state)) return { station: "sewing", name: "Sew" };
  if (ticket.state === "fitting") return { station: "fitting", name: "Fit" };
  if (ticket.state === "chalked") return { station: "mark", name: "Mark" };
  if (ticket.state !== "measured") return { station: "measure", name: "Measure" };
  const left = (["design", "cloth", "lay"] as const).find((one) => !ticket.passed.includes(one));
  return left
    ? { station: left, name: { design: "Design", cloth: "Cloth", lay: "Lay" }[left] }
    : { station: "mark", name: "Mark" };
}

const WEEKDAY = new Intl.DateTimeFormat("en-GB", { weekday: "short", day: "numeric", month: "long" });

function day(iso: string): string {
  return WEEKDAY.format(new Date(`${iso}T12:00:00`));
}

/** "3 measured, 4 asked for" */
function counted(tickets: Ticket[]): string {
  const states = [...new Set(tickets.map((ticket) => ticket.state))];
  return states.map((state) => `${tickets.filter((one) => one.state === state).length} ${STATES[state]}`).join(", ");
}

/** The same outfit for several clients: one ticket, with a line for each. */
function HangingGroup({ tickets, trade, promised }: { tickets: Ticket[]; trade: Trade; promised: ReactNode }) {
  const first = tickets[0]!;
  return (
    <Hook ticket={first} promised={promised}>
      <p>
        {tickets.length} clients
        <chakra.span color="ink2">, {first.styles.map((style) => styleName(trade, style)).join(", ")}</chakra.span>
      </p>
      <chakra.p color="ink2" fontSize="16px">
        {counted(tickets)}
      </chakra.p>
      <LinkPress to={`/orders/${first.id}/others`}>All of them</LinkPress>
      <details>
        <chakra.summary fontWeight={600}>One by one</chakra.summary>
        <chakra.ul listStyleType="none" display="grid" gap="12">
          {tickets.map((ticket) => {
            const next = waitsAt(ticket);
            return (
              <li key={ticket.id}>
                <chakra.span display="flex" justifyContent="space-between" gap="8" css={{ "& a": { color: "dye" } }}>
                  <span>
                    {ticket.client_name}
                    <chakra.span color="ink2">, {STATES[ticket.state]}</chakra.span>
                  </span>
                  <Link to={`/orders/${ticket.id}/${next.station}`} aria-label={`${next.name}, ${ticket.client_name}`}>
                    {next.name}
                  </Link>
                </chakra.span>
                <More ticket={ticket} />
              </li>
            );
          })}
        </chakra.ul>
      </details>
    </Hook>
  );
}

type PromisedProps = { ticket: Ticket; now: number; end: End | undefined; known: boolean };

function Promised({ ticket, now, end, known }: PromisedProps) {
  const due = daysTo(ticket.promised_on, new Date(now));
  return (
    <>
      <chakra.p color={due <= 3 && !GONE.includes(ticket.state) ? "madder" : "ink2"} fontSize="16px">
        {day(ticket.promised_on)}
        {!GONE.includes(ticket.state) && `, ${until(due)}`}
      </chakra.p>
      {/* Its line is there before it is known, so that nothing moves. */}
      {(!known || end?.done_on) && !GONE.includes(ticket.state) && (
        <chakra.p color={end?.late ? "madder" : "ink2"} fontSize="16px">
          {end?.done_on ? `${spent(end.minutes)} to do, done ${day(end.done_on)}` : "\u00a0"}
        </chakra.p>
      )}
    </>
  );
}

type HookProps = { ticket: Ticket; promised: ReactNode; children: ReactNode };

/** A ticket that hangs from the line: the day it is promised for and its title, then what is said of it. */
function Hook({ ticket, promised, children }: HookProps) {
  return (
    <chakra.li position="relative" paddingTop={{ md: "24" }}>
      <Box display={{ base: "none", md: "block" }} position="absolute" top="0" left="24px" color="edge" lineHeight="0">
        <svg
          width="16"
          height="26"
          viewBox="0 0 16 26"
          fill="none"
          stroke="currentColor"
          strokeWidth="1.75"
          aria-hidden="true"
        >
          <path d="M8 0v12M8 12a5 6 0 1 0 .1 0" />
        </svg>
      </Box>
      <Box
        background="sheet"
        border="1px solid {colors.hairline}"
        borderRadius="cut"
        padding="16"
        display="grid"
        gap="8"
      >
        {promised}
        <chakra.h2 fontSize="20px" fontWeight={600} lineHeight="1.25" overflowWrap="anywhere">
          {ticket.title}
        </chakra.h2>
        {children}
      </Box>
    </chakra.li>
  );
}

function Hanging({ ticket, trade, promised }: { ticket: Ticket; trade: Trade; promised: ReactNode }) {
  const may = useMay();
  const next = waitsAt(ticket);
  return (
    <Hook ticket={ticket} promised={promised}>
      <p>
        {ticket.client_name}
        <chakra.span color="ink2">, {ticket.styles.map((style) => styleName(trade, style)).join(", ")}</chakra.span>
      </p>
      <chakra.p color="ink2" fontSize="16px">
        {STATES[ticket.state]}
      </chakra.p>
      <LinkPress to={`/orders/${ticket.id}/${next.station}`}>
        {next.station === "measure" && !may("measure") ? "Look" : next.name}
      </LinkPress>
      <More ticket={ticket} />
    </Hook>
  );
}
