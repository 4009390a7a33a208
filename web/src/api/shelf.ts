/** The cloth shelf: bolts, lengths and off-cuts, and which order each is kept for. */
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { planAnew } from "./anew";
import { server, answered } from "./client";
import type { components } from "./schema.gen";
import { type Order, PLAIN } from "./orders";

type Schemas = components["schemas"];
export type ShelfCloth = Schemas["ShelfOut"];
export type Form = ShelfCloth["form"];

const path = (id: string) => ({ params: { path: { id } } });

export const useShelf = () => useQuery({ queryKey: ["shelf"], queryFn: () => answered(server.GET("/api/shelf")) });

/** A cloth for the shelf: what is not said is as plain as it can be. */
export const plainCloth = (said: Partial<ShelfCloth>): ShelfCloth => ({
  ...PLAIN,
  id: crypto.randomUUID(),
  version: 0,
  name: "",
  form: "length",
  colour: "#6B7A8F",
  width: "",
  removed: false,
  kept_for: [],
  ...said,
});

export function useShelfWrites() {
  const memory = useQueryClient();
  const onSuccess = () => void memory.invalidateQueries({ queryKey: ["shelf"] });
  const written = (order: Order) => {
    memory.setQueryData(["order", order.id], order);
    onSuccess();
  };
  const put = useMutation({
    mutationFn: (row: ShelfCloth) => answered(server.PUT("/api/shelf/{id}", { ...path(row.id), body: row })),
    onSuccess,
  });
  /** Keep a cloth for an order, or none. The order's cloth becomes like it. */
  const keep = useMutation({
    mutationFn: ({ order, shelf }: { order: string; shelf: string | null }) =>
      answered(server.PUT("/api/orders/{id}/shelf", { ...path(order), body: { shelf } })),
    onSuccess: (order: Order) => {
      void planAnew(memory, order.id);
      written(order);
    },
  });
  /** A plan's lay is cut: what it takes is taken off the cloth that is kept for its order. */
  const cut = useMutation({
    mutationFn: ({ plan, id }: { plan: string; id: string }) =>
      answered(server.PUT("/api/plans/{id}/cut", { ...path(plan), body: { id } })),
    onSuccess: written,
  });
  /** It was not cut after all. */
  const putBack = useMutation({
    mutationFn: (id: string) => answered(server.POST("/api/cuts/{id}/undo", path(id))),
    onSuccess: written,
  });
  return { put, keep, cut, putBack };
}
