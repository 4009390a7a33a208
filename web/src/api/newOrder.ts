/** A new order with all that belongs to it, written in one go. */
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { server, answered } from "./client";
import { BLANK } from "./clients";
import { PLAIN } from "./orders";

const path = (id: string) => ({ params: { path: { id } } });

export type NewOrder = {
  ids: { client: string; sheet: string; cloth: string; order: string; garment: string; second: string };
  client: string;
  known: boolean;
  title: string;
  promised_on: string;
  /** The day the sheet is opened, where the workshop is. */
  taken_on: string;
  /** What is made: the first garment has `ids.garment`, the second `ids.second`. */
  garments: { name: string; style: string; choices: Record<string, unknown> }[];
  unit: "in" | "cm";
};

/** A client, an open sheet, a cloth, an order and its garment. All ids are given: sent twice, it is made once. */
export function useMakeOrder() {
  const memory = useQueryClient();
  return useMutation({
    mutationFn: async ({ ids, ...made }: NewOrder) => {
      if (!made.known)
        await answered(
          server.PUT("/api/clients/{id}", {
            ...path(ids.client),
            body: { version: 0, name: made.client, ...BLANK },
          }),
        );
      const sheet = {
        version: 0,
        client: ids.client,
        taken_on: made.taken_on,
        unit: made.unit,
        waist: "worn" as const,
      };
      await answered(server.PUT("/api/sheets/{id}", { ...path(ids.sheet), body: sheet }));
      const cloth = { ...PLAIN, version: 0, colour: "#2F5D62", width: "45 in" };
      await answered(server.PUT("/api/cloths/{id}", { ...path(ids.cloth), body: cloth }));
      const order = {
        version: 0,
        client: ids.client,
        sheet: ids.sheet,
        cloth: ids.cloth,
        title: made.title,
        promised_on: made.promised_on,
        reason: "",
        // Each by its style's own method; the order is made with all of them or not at all.
        garments: made.garments.map((one, k) => ({ id: k === 0 ? ids.garment : ids.second, method: "", ...one })),
      };
      await answered(server.PUT("/api/orders/{id}", { ...path(ids.order), body: order }));
      return ids.order;
    },
    onSuccess: () => {
      void memory.invalidateQueries({ queryKey: ["bench"] });
      void memory.invalidateQueries({ queryKey: ["clients"] });
    },
  });
}
