import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { inWords } from "../../api/client";
import { type OpenMoney, useOpenMoney } from "../../api/money";
import { useMay } from "../../api/session";
import { day } from "../../ui/day";
import { Press } from "../../ui/press";
import { Way } from "../../ui/way";
import { Says } from "../../ui/words";

/** What is to be paid, order by order, and what came in month by month. */
export function Money() {
  const [page, setPage] = useState(1);
  const money = useOpenMoney(page);
  const may = useMay();
  return (
    <Box padding={{ base: "12", md: "24" }} overflowY="auto" height="100%" display="grid" gap="24" alignContent="start">
      <Box display="flex" gap="16" alignItems="center" flexWrap="wrap">
        <chakra.h1 fontSize="26px" fontWeight={600} flex="1">
          Money
        </chakra.h1>
        {may("contacts") && <Way to="/reminders">Reminders</Way>}
        <Way to="/money/quick">A quick price</Way>
        {may("workshop") && <Way to="/money/prices">Prices</Way>}
      </Box>
      {money.error && <Says tone="wrong">{inWords(money.error)}</Says>}
      {money.data && (
        <Box
          display="grid"
          gap={{ base: "24", lg: "48" }}
          gridTemplateColumns={{ base: "minmax(0, 1fr)", lg: "minmax(0, 1fr) 380px" }}
          alignItems="start"
        >
          <Box as="section" aria-label="Open" display="grid" gap="12">
            <Open orders={money.data.open} />
            {(page > 1 || money.data.more) && (
              <Box display="flex" gap="12">
                <Press disabled={page === 1} onClick={() => setPage(page - 1)}>
                  Earlier ones
                </Press>
                <Press disabled={!money.data.more} onClick={() => setPage(page + 1)}>
                  Later ones
                </Press>
              </Box>
            )}
          </Box>
          <CameIn months={money.data.months} />
        </Box>
      )}
    </Box>
  );
}

const LEFT: Record<string, string> = { called_off: "called off", handed_over: "handed over" };

function Open({ orders }: { orders: OpenMoney["open"] }) {
  if (orders.length === 0) {
    return <p>Nothing is open. What is agreed of an order and not paid is listed here.</p>;
  }
  return (
    <chakra.table width="100%" fontSize="17px" aria-label="What is open">
      <thead>
        <tr>
          <chakra.th {...cell} color="ink2" fontWeight={600} textAlign="left">
            order
          </chakra.th>
          <chakra.th {...cell} {...wide} color="ink2" fontWeight={600} textAlign="right">
            agreed
          </chakra.th>
          <chakra.th {...cell} {...wide} color="ink2" fontWeight={600} textAlign="right">
            paid
          </chakra.th>
          <chakra.th {...cell} color="ink2" fontWeight={600} textAlign="right">
            open
          </chakra.th>
        </tr>
      </thead>
      <tbody>
        {orders.map((one) => (
          <chakra.tr key={one.order} borderTop="1px solid {colors.hairline}">
            <chakra.th scope="row" {...cell} fontWeight={400} textAlign="left" overflowWrap="anywhere">
              <Way to={`/orders/${one.order}/money`}>{one.title}</Way>
              <chakra.span display="block" color="ink2" fontSize="16px">
                {one.client_name}, {LEFT[one.state] ?? `promised for ${day(one.promised_on)}`}
              </chakra.span>
            </chakra.th>
            <chakra.td {...cell} {...wide} textAlign="right" whiteSpace="nowrap">
              {one.agreed}
            </chakra.td>
            <chakra.td {...cell} {...wide} textAlign="right" whiteSpace="nowrap">
              {one.paid}
            </chakra.td>
            <chakra.td {...cell} textAlign="right" whiteSpace="nowrap" fontWeight={600}>
              {one.left}
              {one.back && (
                <chakra.span display="block" color="ink2" fontWeight={400} fontSize="16px">
                  to give back
                </chakra.span>
              )}
            </chakra.td>
          </chakra.tr>
        ))}
      </tbody>
    </chakra.table>
  );
}

const cell = { paddingBlock: "4", paddingInlineEnd: "12", verticalAlign: "baseline" } as const;
/** On a phone what is open says enough; the rest is on the order's own page. */
const wide = { display: { base: "none", md: "table-cell" } } as const;

const WIDE = 120;
const month = (first: string) =>
  new Date(`${first}T12:00:00`).toLocaleDateString("en-GB", { month: "long", year: "numeric" });

function CameIn({ months }: { months: OpenMoney["months"] }) {
  const most = Math.max(1, ...months.map((one) => Math.abs(one.number)));
  return (
    <Box as="section" aria-label="Came in" display="grid" gap="8">
      <chakra.h2 fontSize="20px" fontWeight={600}>
        Came in, month by month
      </chakra.h2>
      {months.length === 0 && <chakra.p color="ink2">Nothing yet: it begins with the first payment.</chakra.p>}
      {months.length > 0 && (
        <chakra.table fontSize="17px" width="100%" aria-label="Came in, month by month">
          <tbody>
            {months.map((one) => (
              <chakra.tr key={`${one.first}${one.amount}`} borderTop="1px solid {colors.hairline}">
                <chakra.th scope="row" {...cell} fontWeight={400} textAlign="left">
                  {month(one.first)}
                </chakra.th>
                <chakra.td {...cell}>
                  <svg width={WIDE} height="18" viewBox={`0 0 ${WIDE} 18`} aria-hidden style={{ display: "block" }}>
                    <chakra.rect
                      x="0"
                      y="4"
                      width={(WIDE * Math.abs(one.number)) / most}
                      height="12"
                      fill={one.number < 0 ? "madder" : "dye"}
                    />
                  </svg>
                </chakra.td>
                <chakra.td {...cell} textAlign="right" whiteSpace="nowrap">
                  {one.amount}
                </chakra.td>
              </chakra.tr>
            ))}
          </tbody>
        </chakra.table>
      )}
      {months.length > 0 && <chakra.p color="ink2">Payments less what was given back, by their day.</chakra.p>}
    </Box>
  );
}
