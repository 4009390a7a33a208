import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import type { WeekRow, WeekTicket } from "../../api/week";
import { spent } from "../../ui/spent";

/** A ticket, or some of its tasks, put on somebody's day. */
export type Put = { order: string; kinds: string[]; person: string; day: string };
type BoardProps = {
  rows: WeekRow[];
  chosen: string;
  choose: (order: string) => void;
  /** Where a ticket was dropped; nothing for who may not move any. */
  put: ((put: Put) => void) | undefined;
};

const named = (iso: string) =>
  new Date(`${iso}T12:00:00`).toLocaleDateString("en-GB", { weekday: "short", day: "numeric", month: "short" });

/** A row a person, the days across, made of tickets; on a phone the days of each one under the other. */
export function Board({ rows, chosen, choose, put }: BoardProps) {
  const [held, setHeld] = useState<WeekTicket | null>(null);
  const [over, setOver] = useState("");
  const days = rows[0]?.days ?? [];
  return (
    <Box as="section" aria-label="Who does what when" minWidth="0">
      <Box display={{ base: "none", lg: "grid" }} {...columns} aria-hidden>
        <span />
        {days.map((one) => (
          <chakra.span key={one.day} fontWeight={600} fontSize="16px" paddingInline="4">
            {named(one.day)}
          </chakra.span>
        ))}
      </Box>
      {rows.map((row) => (
        <Box
          key={row.person}
          as="section"
          aria-label={row.name}
          display="grid"
          {...columns}
          borderTop="1px solid {colors.edge}"
          paddingBlock="8"
        >
          <chakra.h2 fontSize="18px" fontWeight={600} overflowWrap="anywhere">
            {row.name}
          </chakra.h2>
          {row.days.map((one) => (
            <Box
              key={one.day}
              minWidth="0"
              display={{ base: one.worked || one.away ? "block" : "none", lg: "block" }}
              background={held && over === row.person + one.day ? "dyeSoft" : undefined}
              onDragOver={(event) => {
                if (!held) return;
                event.preventDefault();
                setOver(row.person + one.day);
              }}
              onDrop={(event) => {
                event.preventDefault();
                if (held) put?.({ order: held.order, kinds: held.kinds, person: row.person, day: one.day });
                setHeld(null);
              }}
            >
              <chakra.p display={{ lg: "none" }} fontWeight={600} fontSize="16px">
                {named(one.day)}
              </chakra.p>
              <chakra.ul
                listStyleType="none"
                display="grid"
                gap="4"
                css={{ "@media print": { gridTemplateColumns: "repeat(4, minmax(0, 1fr))" } }}
              >
                {one.tickets.map((ticket) => (
                  <li key={`${ticket.order}${ticket.start}`}>
                    <Tag
                      ticket={ticket}
                      chosen={chosen === ticket.order}
                      choose={() => choose(ticket.order)}
                      hold={put && (() => setHeld(ticket))}
                      leave={() => setHeld(null)}
                    />
                  </li>
                ))}
              </chakra.ul>
              <chakra.p color="ink2" fontSize="14px" paddingInline="4">
                {one.away ? "away" : one.worked === 0 ? "" : one.free === 0 ? "full" : `${spent(one.free)} free`}
              </chakra.p>
            </Box>
          ))}
        </Box>
      ))}
    </Box>
  );
}

const columns = { gridTemplateColumns: { base: "1fr", lg: "72px repeat(7, minmax(0, 1fr))" }, gap: "4" } as const;

type TagProps = {
  ticket: WeekTicket;
  chosen: boolean;
  choose: () => void;
  hold: (() => void) | undefined;
  leave: () => void;
};

/** A task of an order as a small ticket: what, for whom, from when to when. */
function Tag({ ticket, chosen, choose, hold, leave }: TagProps) {
  const { names, client_name, title, start, end, minutes, late } = ticket;
  return (
    <chakra.button
      type="button"
      data-paper
      onClick={choose}
      draggable={hold !== undefined}
      onDragStart={(event) => {
        event.dataTransfer.effectAllowed = "move";
        hold?.();
      }}
      onDragEnd={leave}
      aria-pressed={chosen}
      title={`${title}: ${spent(minutes)}`}
      textAlign="left"
      width="100%"
      minHeight="48px"
      padding="4"
      fontSize="14px"
      lineHeight="1.25"
      cursor="pointer"
      background={chosen ? "dyeSoft" : "sheet"}
      border="1px solid {colors.edge}"
      borderColor={late ? "madder" : chosen ? "dye" : "hairline"}
      borderRadius="cut"
      overflowWrap="anywhere"
    >
      <chakra.b display="block">
        {client_name}
        {late && <chakra.span color="madder"> late</chakra.span>}
      </chakra.b>
      {names.join(", ")}
      <chakra.span display="block" color="ink2">
        {start}–{end}
      </chakra.span>
    </chakra.button>
  );
}
