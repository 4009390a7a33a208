/** Orders, their garments and their cloths: read, and written row by row. */
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { planAnew, scopeOf } from "./anew";
import { server, answered } from "./client";
import { useRowWrite } from "./rows";
import type { components } from "./schema.gen";

type Schemas = components["schemas"];
export type Order = Schemas["OrderOut"];
export type Ticket = Schemas["TicketOut"];
export type Garment = Schemas["GarmentOut"];
export type Cloth = Schemas["ClothOut"];

const path = (id: string) => ({ params: { path: { id } } });

export const useBench = () => useQuery({ queryKey: ["bench"], queryFn: () => answered(server.GET("/api/orders")) });
export const useOrder = (id: string) =>
  useQuery({ queryKey: ["order", id], queryFn: () => answered(server.GET("/api/orders/{id}", path(id))) });

/** A cloth of which nothing is said yet. */
export const PLAIN = {
  kind: "cotton",
  length: "",
  fold: "auto",
  one_way: false,
  shrink_percent: "",
  stretch_percent: "",
  thickness: "usual",
  pleated: false,
  selvedge: "",
  trim: "",
  spare: "",
  repeat: "",
  unit_of_sale: "",
  price: "",
};

/** Writing one row of an order, on the newest version this browser knows. */
export function useOrderRow<Row extends { version?: number }>(
  order: string,
  pick: (order: Order) => Row,
  place: (order: Order, row: Row) => Order,
  send: (row: Row) => Promise<Row>,
) {
  const memory = useQueryClient();
  const known = () => pick(memory.getQueryData<Order>(["order", order])!);
  const remember = (row: Row) => {
    memory.setQueryData<Order>(["order", order], (was) => was && place(was, row));
    void planAnew(memory, order);
    void memory.invalidateQueries({ queryKey: ["bench"] });
  };
  const sent = async (row: Row) => {
    try {
      return await send(row);
    } catch (error) {
      void planAnew(memory, order); // those before it left the asking to this one
      throw error;
    }
  };
  return useRowWrite(scopeOf(order), known, remember, sent);
}

export function usePutGarment(order: string, garment: string) {
  const memory = useQueryClient();
  return useOrderRow<Garment>(
    order,
    (whole) => whole.garments.find((one) => one.id === garment) ?? whole.garments[0]!,
    (whole, row) => ({ ...whole, garments: whole.garments.map((one) => (one.id === row.id ? row : one)) }),
    async ({ id, ...body }) => {
      const done = await answered(server.PUT("/api/garments/{id}", { ...path(id), body }));
      // The other cloth comes to an order with the first piece that is cut from it, and goes with the last.
      const had = memory.getQueryData<Order>(["order", order])?.other_cloth != null;
      if (done.from_another_cloth !== had) void memory.invalidateQueries({ queryKey: ["order", order] });
      return done;
    },
  );
}

/** Garments added to an order or taken off it, one after the other; then the order is read anew. */
export function useOutfit(order: string) {
  const memory = useQueryClient();
  return useMutation({
    scope: { id: scopeOf(order) },
    mutationFn: async (rows: Garment[]) => {
      for (const { id, ...body } of rows) await answered(server.PUT("/api/garments/{id}", { ...path(id), body }));
    },
    onSettled: async () => {
      await memory.invalidateQueries({ queryKey: ["order", order] });
      void planAnew(memory, order);
      void memory.invalidateQueries({ queryKey: ["bench"] });
    },
  });
}

export const usePutCloth = (order: string, cloth: string) =>
  useOrderRow<Cloth>(
    order,
    (whole) => (whole.other_cloth?.id === cloth ? whole.other_cloth : whole.cloth),
    (whole, row) => (whole.other_cloth?.id === row.id ? { ...whole, other_cloth: row } : { ...whole, cloth: row }),
    ({ id, ...body }) => answered(server.PUT("/api/cloths/{id}", { ...path(id), body })),
  );
