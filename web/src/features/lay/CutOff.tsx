import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { inWords } from "../../api/client";
import { useMay } from "../../api/session";
import { useShelf, useShelfWrites } from "../../api/shelf";
import type { Order } from "../../api/orders";
import type { Plan } from "../../api/plans";
import { Length } from "../../ui/length";
import { type Unit, withUnit } from "../../lengths/units";
import { Press } from "../../ui/press";
import { Says } from "../../ui/words";

type Props = { order: Order; plan: Plan; planId: string; unit: Unit };

/** The cloth of the shelf that is kept for the order: once it is cut, the shelf has so much less. */
export function CutOff({ order, plan, planId, unit }: Props) {
  const may = useMay();
  const held = useShelf().data?.find((row) => row.id === order.shelf);
  const { cut, putBack } = useShelfWrites();
  const [id] = useState(() => crypto.randomUUID());
  const wrong = cut.error ?? putBack.error;
  const needs = plan.yardage?.length_mm;
  if (!order.cut && (!held || needs === undefined)) return null;
  return (
    <Box fontSize="16px">
      <chakra.h2 fontSize="20px" fontWeight={600}>
        From the shelf
      </chakra.h2>
      {order.cut ? (
        <>
          <p>
            <Length mm={order.cut.length_mm} unit={unit} /> were cut off {order.cut.name}
            {order.cut.left ? `, ${order.cut.left} are left.` : order.cut.was ? ", nothing to keep is left." : "."}
          </p>
          {may("lays") && (
            <Press kind="quiet" disabled={putBack.isPending} onClick={() => putBack.mutate(order.cut!.id)}>
              It was not cut
            </Press>
          )}
        </>
      ) : (
        <>
          <p>
            {held!.name} is kept for this order{held!.length && `, ${withUnit(held!.length, unit)} long`}. Cutting takes
            the sum under Cloth to buy, not rounded up.
          </p>
          {may("lays") && (
            <Press disabled={cut.isPending} onClick={() => cut.mutate({ plan: planId, id })}>
              It is cut: take <Length mm={needs!} unit={unit} /> off it
            </Press>
          )}
        </>
      )}
      {wrong && <Says tone="wrong">{inWords(wrong)}</Says>}
    </Box>
  );
}
