import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { useCorrect, usePoints } from "../../api/measuring";
import type { Order } from "../../api/orders";
import type { Plan } from "../../api/plans";
import type { Unit } from "../../lengths/units";
import { day } from "../../ui/day";
import { Ledger } from "../../ui/ledger";
import { Margin, WithMargin } from "../../ui/margin";
import { Press } from "../../ui/press";
import { Reading } from "../../ui/reading";
import { Says } from "../../ui/words";
import { Old } from "./Old";

/** A closed sheet: read only; a correction is a new sheet that starts with these numbers. */
export function Closed({ order, plan }: { order: Order; plan: Plan | undefined }) {
  const correct = useCorrect(order);
  const points = usePoints("full");
  const [id] = useState(() => crypto.randomUUID());
  const unit = order.sheet.unit as Unit;
  return (
    <WithMargin>
      <Box flex="1" overflowY={{ md: "auto" }} padding={{ base: "12", md: "24" }} maxWidth="640px">
        <chakra.h1 fontSize="26px" fontWeight={600}>
          Sheet of {day(order.sheet.taken_on)}, closed
        </chakra.h1>
        <Old taken={order.sheet.taken_on} />
        <chakra.ul listStyleType="none" marginBlock="12">
          {order.sheet.readings.map((reading) => (
            <chakra.li
              key={reading.id}
              display="flex"
              justifyContent="space-between"
              minHeight="44px"
              alignItems="center"
              borderBottom="1px solid {colors.hairline}"
            >
              <span>{points.data?.find((point) => point.key === reading.key)?.name ?? reading.key}</span>
              <b>
                <Reading mm={reading.mm!} way={reading.way} unit={unit} />
              </b>
            </chakra.li>
          ))}
        </chakra.ul>
        {correct.error && <Says tone="wrong">{correct.error.message}</Says>}
        <Press kind="main" onClick={() => correct.mutate(id)}>
          Correct it on a new sheet
        </Press>
      </Box>
      <Margin>{plan && <Ledger plan={plan} unit={unit} />}</Margin>
    </WithMargin>
  );
}
