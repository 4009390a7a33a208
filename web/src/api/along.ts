/** An order that is opened on a device that keeps is taken along whole: it is there on every station without the line. */
import { useQueryClient } from "@tanstack/react-query";
import { useEffect } from "react";
import { keptFor } from "../offline/device";
import { chalkOf, frozenBy } from "./chalk";
import { adviceOf, pointsOf, readingsOf, type Session } from "./measuring";
import type { Order } from "./orders";
import { type Cut, planOf } from "./plans";
import { sewnOf } from "./sewing";

export function useTakenAlong(order: Order | undefined) {
  const memory = useQueryClient();
  const key = order
    ? `${order.id} ${order.sheet.id} ${order.session} ${order.needs.join()} ${!!order.other_cloth}`
    : "";
  useEffect(() => {
    if (!order || keptFor() === null) return;
    const take = async () => {
      await memory.prefetchQuery(pointsOf(order.session as Session, order.needs));
      await memory.prefetchQuery(adviceOf(order.sheet.id));
      await memory.prefetchQuery(readingsOf(order.sheet.id));
      await memory.prefetchQuery(sewnOf(order.id));
      const cloths: Cut[] = order.other_cloth ? ["main", "other"] : ["main"];
      for (const cloth of cloths) {
        await memory.prefetchQuery(planOf(order.id, cloth));
        const { chalk } = await memory.fetchQuery(chalkOf(order.id, cloth));
        if (frozenBy(chalk)) await memory.prefetchQuery(planOf(order.id, cloth, "", frozenBy(chalk)));
      }
    };
    void take().catch(() => undefined);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- once an order: its rows change with every reading
  }, [key, memory]);
}
