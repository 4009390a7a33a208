import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { inWords } from "../../api/client";
import { useMe } from "../../api/session";
import { useShopping } from "../../api/shopping";
import type { Unit } from "../../lengths/units";
import { BuyList } from "../../ui/buying";
import { day, today } from "../../ui/day";
import { field, Label } from "../../ui/field";
import { Press } from "../../ui/press";
import { Way } from "../../ui/way";
import { Says } from "../../ui/words";

const TWO_WEEKS = 14;

/** What is bought for the orders that wait and are not cut yet, up to a day that they are promised for. */
export function Shopping() {
  const [until, setUntil] = useState(() => today(TWO_WEEKS));
  const list = useShopping(until);
  const unit = (useMe().data?.unit ?? "in") as Unit;
  const orders = list.data?.orders ?? [];
  const planned = orders.filter((one) => one.planned);
  const open = orders.filter((one) => !one.planned);
  return (
    <Box padding={{ base: "12", md: "24" }} overflowY="auto" height="100%" display="grid" gap="16" alignContent="start">
      <Box display="flex" flexWrap="wrap" gap="16" alignItems="end">
        <chakra.h1 fontSize="26px" fontWeight={600} flex="1" minWidth="160px">
          What to buy
        </chakra.h1>
        <Label text="For orders promised by">
          <chakra.input
            {...field}
            type="date"
            value={until}
            onChange={(event) => event.target.value && setUntil(event.target.value)}
          />
        </Label>
        <Press onClick={() => window.print()}>Print</Press>
      </Box>
      {list.error && <Says tone="wrong">{inWords(list.error)}</Says>}
      {list.data?.more && (
        <Says tone="plain">
          There are more orders by that day: the first {orders.length} are added up. Choose an earlier day.
        </Says>
      )}
      {list.data && orders.length === 0 && (
        <p>No order that is promised by {day(until)} waits to be cut. Choose a later day.</p>
      )}
      {planned.length > 0 && (
        <Box as="section" aria-label="What is bought">
          <p>
            For {planned.length === 1 ? "one order that is" : `${planned.length} orders that are`} not cut yet. Cloth of
            the shelf that is kept for one is left out.
          </p>
          <BuyList {...{ cloths: list.data!.cloths, notions: list.data!.notions, unit }} />
        </Box>
      )}
      {open.length > 0 && (
        <Box as="section" aria-label="Not planned yet">
          <chakra.h2 fontSize="20px" fontWeight={600}>
            Not planned yet
          </chakra.h2>
          <p>What these need is not in the list: open them once, with their measures, and it is.</p>
          <chakra.ul listStyleType="none">
            {open.map((one) => (
              <chakra.li key={one.id} minHeight="48px" display="flex" alignItems="center" gap="8" flexWrap="wrap">
                <Way to={`/orders/${one.id}/cloth`}>
                  {one.client_name}: {one.title}
                </Way>
                promised for {day(one.promised_on)}
              </chakra.li>
            ))}
          </chakra.ul>
        </Box>
      )}
    </Box>
  );
}
