import { Box, chakra } from "@chakra-ui/react";
import type { GroupMoney as Money } from "../../api/money";
import { Sums } from "../../ui/sums";

/** The money of everybody in a group: of all together, and of each. */
export function GroupMoney({ money }: { money: Money }) {
  const { agreed, paid, left, without, orders } = money;
  return (
    <Box as="section" aria-label="Money of all" maxWidth="720px">
      <chakra.h2 fontSize="20px" fontWeight={600}>
        Money of all
      </chakra.h2>
      <p>
        <b>{left}</b> open: {agreed} agreed − {paid} paid.
        {without > 0 && ` Of ${without} no price is agreed.`}
      </p>
      <details>
        <chakra.summary fontWeight={600} minHeight="touch" display="flex" alignItems="center">
          Of each
        </chakra.summary>
        <Sums orders={orders} caption="Money of each" />
      </details>
    </Box>
  );
}
