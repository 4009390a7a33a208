import { Box, chakra } from "@chakra-ui/react";
import type { Work } from "../../api/work";
import type { Unit } from "../../lengths/units";
import { Bought } from "../../ui/buying";
import { monthOf } from "../../ui/day";
import { Rows } from "../../ui/rows";

type Month = Work["months"][number];
type MonthsProps = { months: Month[]; unit: Unit };

const time = (minutes: number) => (minutes < 60 ? `${Math.round(minutes)} min` : `${(minutes / 60).toFixed(1)} h`);
const most = (values: number[]) => Math.max(1, ...values);

/** Promised and kept, usual and timed, bought and used, month by month: each pair as two bars and two numbers. */
export function Months({ months, unit }: MonthsProps) {
  const orders = most(months.map((one) => one.handed_over));
  const minutes = most(months.flatMap((one) => [one.usual, one.taken]));
  const cloth = most(months.map((one) => one.bought_mm));
  return (
    <Box overflowX="auto">
      <chakra.h3 fontSize="18px" fontWeight={600} marginBottom="4">
        Month by month
      </chakra.h3>
      {months.length === 0 ? (
        <chakra.p color="ink2">
          Nothing yet: it begins with the first order that is handed over, cut, or sewn by the clock.
        </chakra.p>
      ) : (
        <chakra.p color="ink2" marginBottom="8" maxWidth="62ch">
          In time is by the day that was promised. Usual are the minutes that somebody with practice needs for the steps
          that were timed. Bought is what was cut, rounded up to what a shop cuts off; used is how long its lay was.
        </chakra.p>
      )}
      {months.length > 0 && (
        <Rows
          caption="Month by month"
          columns={["Month", "handed over, in time", "usual time, timed", "cloth bought, used"].map((head) => ({
            head,
          }))}
          rows={months.map((one) => ({
            key: one.first,
            cells: [
              monthOf(one.first),
              <>
                <Pair of={orders} was={one.handed_over} came={one.in_time} />
                {one.handed_over}, {one.in_time} in time
              </>,
              <>
                <Pair of={minutes} was={one.usual} came={one.taken} />
                {time(one.usual)}, {time(one.taken)}
              </>,
              <>
                <Pair of={cloth} was={one.bought_mm} came={one.used_mm} />
                <Bought mm={one.bought_mm} unit={unit} />, <Bought mm={one.used_mm} unit={unit} />
              </>,
            ],
          }))}
        />
      )}
    </Box>
  );
}

const WIDE = 150;

/** What was planned as an open bar, over it what came of it as a filled one. The numbers stand beside it. */
function Pair({ of, was, came }: { of: number; was: number; came: number }) {
  const wide = (size: number) => (WIDE * Math.min(size, of)) / of;
  return (
    <svg width={WIDE + 2} height="22" viewBox={`0 0 ${WIDE + 2} 22`} aria-hidden style={{ display: "block" }}>
      <chakra.rect x="1" y="1" width={wide(was)} height="8" fill="sheet" stroke="ink" />
      <chakra.rect x="1" y="12" width={wide(came)} height="8" fill="dye" />
    </svg>
  );
}
