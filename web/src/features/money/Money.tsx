import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { inWords } from "../../api/client";
import { type OpenMoney, type OrderSums, useOpenMoney } from "../../api/money";
import { useMay } from "../../api/session";
import { monthOf } from "../../ui/day";
import { Press } from "../../ui/press";
import { Rows, Under } from "../../ui/rows";
import { Sums } from "../../ui/sums";
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

function Open({ orders }: { orders: OrderSums[] }) {
  if (orders.length === 0) {
    return <p>Nothing is open. What is agreed of an order and not paid is listed here.</p>;
  }
  return <Sums orders={orders} caption="What is open" />;
}

const WIDE = 120;
function CameIn({ months }: { months: OpenMoney["months"] }) {
  const most = Math.max(1, ...months.map((one) => Math.abs(one.number)));
  return (
    <Box as="section" aria-label="Came in" display="grid" gap="8">
      <chakra.h2 fontSize="20px" fontWeight={600}>
        Came in, month by month
      </chakra.h2>
      {months.length === 0 && <chakra.p color="ink2">Nothing yet: it begins with the first payment.</chakra.p>}
      {months.length > 0 && (
        <Rows
          full
          caption="Came in, month by month"
          columns={[{ head: "" }, { head: "" }, { head: "", number: true }]}
          rows={months.map((one) => ({
            key: `${one.first}${one.amount}`,
            cells: [
              monthOf(one.first),
              <svg
                key="bar"
                width={WIDE}
                height="18"
                viewBox={`0 0 ${WIDE} 18`}
                aria-hidden
                style={{ display: "block" }}
              >
                <chakra.rect
                  x="0"
                  y="4"
                  width={(WIDE * Math.abs(one.number)) / most}
                  height="12"
                  fill={one.number < 0 ? "madder" : "dye"}
                />
              </svg>,
              <>
                {one.amount}
                {one.summed && <Under>{one.summed}</Under>}
              </>,
            ],
          }))}
        />
      )}
      {months.length > 0 && <chakra.p color="ink2">Payments less what was given back, by their day.</chakra.p>}
    </Box>
  );
}
