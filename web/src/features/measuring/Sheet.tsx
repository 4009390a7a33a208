import { Box, chakra } from "@chakra-ui/react";
import type { Advice, Point, Session, useSheetWrites, Waist } from "../../api/measuring";
import type { Order } from "../../api/orders";
import type { Unit } from "../../lengths/units";
import { day } from "../../ui/day";
import { field, Label } from "../../ui/field";
import { Press } from "../../ui/press";
import { Reading } from "../../ui/reading";
import { StaleEdit } from "../../ui/stale";
import { TakeFile } from "../../ui/taking";
import { Says } from "../../ui/words";
import { FileWay } from "../../ui/way";

const SESSIONS: [Session, string][] = [
  ["trousers", "Trousers"],
  ["top", "Top"],
  ["two-piece", "Two-piece"],
  ["jumpsuit", "Jumpsuit"],
  ["full", "Everything"],
];
const WAISTS: [Waist, string][] = [
  ["worn", "as worn"],
  ["natural", "natural"],
  ["high", "high"],
  ["low", "low"],
];

type SheetProps = {
  order: Order;
  points: Point[];
  at: number;
  go: (at: number) => void;
  advice: Advice | undefined;
  writes: ReturnType<typeof useSheetWrites>;
  session: Session;
  setSession: (session: Session) => void;
};

/** The sheet as it stands: what was typed, what is doubted, skipped or still open; its waist, its unit, its end. */
export function Sheet({ order, points, at, go, advice, writes, session, setSession }: SheetProps) {
  const sheet = order.sheet;
  const unit = sheet.unit as Unit;
  const other = advice?.other_unit;
  return (
    <Box display="grid" gap="12">
      <chakra.h2 fontSize="20px" fontWeight={600}>
        Sheet of {day(sheet.taken_on)}
        {sheet.corrects && (
          <chakra.span fontWeight="400" color="ink2">
            , a correction
          </chakra.span>
        )}
      </chakra.h2>
      {order.client.leave_be && <Says tone="plain">{order.client.leave_be}</Says>}
      {other && (
        <Says tone="wrong">
          These numbers look like {other === "cm" ? "centimetres" : "inches"}.{" "}
          <Press onClick={() => writes.turn.mutate(other)}>Read the whole sheet in {other}</Press>
        </Says>
      )}
      {writes.turn.error && <Says tone="wrong">{writes.turn.error.message} Mend the number first.</Says>}
      <Box display="grid" gap="8" gridTemplateColumns="1fr 1fr">
        <Label text="To be taken">
          <chakra.select {...field} value={session} onChange={(event) => setSession(event.target.value as Session)}>
            {SESSIONS.map(([value, name]) => (
              <option key={value} value={value}>
                {name}
              </option>
            ))}
          </chakra.select>
        </Label>
        <Label text="The waist is">
          <chakra.select
            {...field}
            value={sheet.waist}
            onChange={(event) => {
              const waist = event.target.value;
              void writes.put.keep((row) => ({ ...row, waist })).catch(() => undefined); // said below
            }}
          >
            {WAISTS.map(([value, name]) => (
              <option key={value} value={value}>
                {name}
              </option>
            ))}
          </chakra.select>
        </Label>
      </Box>
      <StaleEdit stale={writes.put.stale} settle={writes.put.settle} />
      {writes.put.error && <Says tone="wrong">{writes.put.error.message}</Says>}
      {sheet.waist === "low" && (
        <Says tone="plain">A depth that comes from the hip is made 2 3/4 in less: the waist sits so much lower.</Says>
      )}
      <chakra.ul listStyleType="none">
        {points.map((point, k) => (
          <li key={point.key}>
            <Row point={point} order={order} advice={advice} unit={unit} now={k === at} go={() => go(k)} />
          </li>
        ))}
      </chakra.ul>
      <Box display="flex" gap="8" flexWrap="wrap" alignItems="center">
        <Press onClick={() => writes.close.mutate()}>Close the sheet</Press>
        <FileWay paddingBlock="12" href={`/orders/${order.id}/card?session=${session}`} target="_blank">
          Card to print
        </FileWay>
      </Box>
      {writes.close.error && <Says tone="wrong">{writes.close.error.message}</Says>}
      <chakra.details>
        <chakra.summary>From a file</chakra.summary>
        <TakeFile
          text="Sheet as CSV (point,typed) or JSON"
          accept=".csv,.json,.txt"
          send={(body) => writes.file.mutateAsync(body)}
        />
      </chakra.details>
    </Box>
  );
}

type RowProps = {
  point: Point;
  order: Order;
  advice: Advice | undefined;
  unit: Unit;
  now: boolean;
  go: () => void;
};

function Row({ point, order, advice, unit, now, go }: RowProps) {
  const reading = order.sheet.readings.find((one) => one.key === point.key);
  const skipped = order.sheet.skipped.some((one) => one.key === point.key);
  const doubted = advice?.doubts.find((one) => one.key === point.key && !one.upheld);
  const quiet = now ? "onMarigold" : "ink2";
  return (
    <chakra.button
      width="100%"
      display="flex"
      justifyContent="space-between"
      alignItems="center"
      minHeight="44px"
      paddingInline="8"
      textAlign="left"
      cursor="pointer"
      borderBottom="1px solid {colors.hairline}"
      background={now ? "marigold" : "transparent"}
      color={now ? "onMarigold" : "ink"}
      aria-current={now ? "step" : undefined}
      onClick={go}
    >
      <span>
        {point.name}
        {doubted && (
          <chakra.span fontSize="14px" color={now ? "onMarigold" : doubted.again ? "madder" : "ink2"}>
            {doubted.again ? ", measure again?" : ", look again"}
          </chakra.span>
        )}
      </span>
      <b>
        {reading?.mm != null ? (
          <Reading mm={reading.mm} way={reading.way} unit={unit} />
        ) : (
          <chakra.span fontWeight="400" color={now ? "onMarigold" : point.needed && !skipped ? "madder" : quiet}>
            {skipped ? "skipped" : point.needed ? "to take" : "open"}
          </chakra.span>
        )}
      </b>
    </chakra.button>
  );
}
