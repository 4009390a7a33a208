/** What the pages ask of the server, each with its place in the query memory. */
import { useState } from "react";
import { keepPreviousData, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { server, answered } from "./client";
import { BLANK } from "./clients";
import type { Unit } from "../lengths/units";
import { useRowWrite } from "./rows";
import type { components } from "./schema.gen";

type Schemas = components["schemas"];
export type Order = Schemas["OrderOut"];
export type Ticket = Schemas["TicketOut"];
export type Garment = Schemas["GarmentOut"];
export type Cloth = Schemas["ClothOut"];
/** Where outfits of several clients are cut from one cloth, `clients` are their names by outfit. */
export type Plan = Schemas["PlanOut"] & { clients?: Record<string, string> };
export type Cut = "main" | "other" | "all";
export type Mark = Schemas["MarkOut"];
export type Piece = Schemas["PieceOut"];
export type Lay = Schemas["LayOut"];
type Held = Schemas["HeldIn"];

const path = (id: string) => ({ params: { path: { id } } });

export const useBench = () => useQuery({ queryKey: ["bench"], queryFn: () => answered(server.GET("/api/orders")) });
export const useOrder = (id: string) =>
  useQuery({ queryKey: ["order", id], queryFn: () => answered(server.GET("/api/orders/{id}", path(id))) });

/** The plan of an order as it stands, in the workshop's unit or another; while a new one is made the last stays. */
export const usePlan = (id: string, cloth: Cut = "main", unit: "" | Unit = "") =>
  useQuery({
    queryKey: ["plan", id, cloth, unit],
    // The client widens fixed pairs such as [x, y] to lists; the description has them as pairs.
    queryFn: async () => {
      const asked = server.POST("/api/orders/{id}/plan", { params: { path: { id }, query: { cloth, unit } } });
      const { clients, ...answer } = (await answered(asked)) as unknown as Schemas["PlanAnswer"];
      return {
        ...answer,
        plan: (Object.keys(clients ?? {}).length > 1 ? { ...answer.plan, clients } : answer.plan) as Plan,
      };
    },
    placeholderData: (last, query) => (query?.queryKey[2] === cloth ? keepPreviousData(last) : undefined),
    staleTime: 60_000,
  });

/** What the same pieces need on cloth of other widths; worked out when it is first asked for. */
export const useWidths = (plan: string | undefined) =>
  useQuery({
    queryKey: ["widths", plan],
    enabled: plan !== undefined,
    queryFn: () => answered(server.GET("/api/plans/{id}/widths", path(plan!))),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  });

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
    void memory.invalidateQueries({ queryKey: ["plan", order] });
    void memory.invalidateQueries({ queryKey: ["bench"] });
  };
  return useRowWrite(`write:${order}`, known, remember, send);
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
    scope: { id: `write:${order}` },
    mutationFn: async (rows: Garment[]) => {
      for (const { id, ...body } of rows) await answered(server.PUT("/api/garments/{id}", { ...path(id), body }));
    },
    onSettled: async () => {
      await memory.invalidateQueries({ queryKey: ["order", order] });
      void memory.invalidateQueries({ queryKey: ["plan", order] });
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

export type NewOrder = {
  ids: { client: string; sheet: string; cloth: string; order: string; garment: string; second: string };
  client: string;
  known: boolean;
  title: string;
  promised_on: string;
  /** What is made: the first garment has `ids.garment`, the second `ids.second`. */
  garments: { name: string; style: string; choices: Record<string, unknown> }[];
  unit: "in" | "cm";
};

/** A client, an open sheet, a cloth, an order and its garment. All ids are given: sent twice, it is made once. */
export function useMakeOrder() {
  const memory = useQueryClient();
  return useMutation({
    mutationFn: async ({ ids, ...made }: NewOrder) => {
      const today = new Date().toISOString().slice(0, 10);
      if (!made.known)
        await answered(
          server.PUT("/api/clients/{id}", {
            ...path(ids.client),
            body: { version: 0, name: made.client, ...BLANK },
          }),
        );
      const sheet = { version: 0, client: ids.client, taken_on: today, unit: made.unit, waist: "worn" as const };
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
      };
      await answered(server.PUT("/api/orders/{id}", { ...path(ids.order), body: order }));
      for (const [k, one] of made.garments.entries()) {
        const body = { version: 0, order: ids.order, method: "", removed: false, ...one }; // the style's own method
        await answered(server.PUT("/api/garments/{id}", { ...path(k === 0 ? ids.garment : ids.second), body }));
      }
      return ids.order;
    },
    onSuccess: () => {
      void memory.invalidateQueries({ queryKey: ["bench"] });
      void memory.invalidateQueries({ queryKey: ["clients"] });
    },
  });
}

function useLayRun(id: string | null, order: string) {
  const memory = useQueryClient();
  return useQuery({
    queryKey: ["lay-run", id],
    enabled: id !== null,
    queryFn: async () => {
      const run = await answered(server.GET("/api/lay-runs/{id}", path(id!)));
      if (run.state !== "queued" && run.state !== "running")
        void memory.invalidateQueries({ queryKey: ["plan", order] });
      return run;
    },
    refetchInterval: (query) => (["queued", "running"].includes(query.state.data?.state ?? "queued") ? 400 : false),
  });
}

/**
 * A search on the queue that this tab remembers over a reload: for a shorter lay of a plan, for savings of cloth,
 * or for the rest around pieces that are pinned where somebody laid them. Each looks from a seed of its own, so that another one looks elsewhere.
 */
export function useSearch(order: string, plan: string, kind: "shorter" | "savings" | "rest") {
  const place = `${kind}:${plan}`;
  const [id, setId] = useState(() => sessionStorage.getItem(place));
  const run = useLayRun(id, order).data;
  const start = useMutation({
    mutationFn: ({ id, ...body }: { id: string; seconds: number; seed: number; hand?: Held }) =>
      answered(server.PUT("/api/lay-runs/{id}", { ...path(id), body: { ...body, plan, kind } })),
    onSuccess: (_, { id }) => {
      sessionStorage.setItem(place, id);
      setId(id);
    },
  });
  const stop = useMutation({ mutationFn: () => answered(server.POST("/api/lay-runs/{id}/stop", path(id!))) });
  return {
    run,
    working: run !== undefined && ["queued", "running"].includes(run.state),
    pending: start.isPending,
    error: start.error,
    begin: (seconds: number, hand?: Held) => {
      const id = crypto.randomUUID();
      start.mutate({ id, seconds, seed: 1 + (parseInt(id.slice(0, 4), 16) % 9999), ...(hand && { hand }) });
      return id;
    },
    stop: () => stop.mutate(),
    forget: () => {
      sessionStorage.removeItem(place);
      setId(null);
    },
  };
}

/** Keep a lay as its pieces were moved by hand; the server checks it exactly. */
export function usePutHandLay(order: string, plan: string) {
  const memory = useQueryClient();
  return useMutation({
    mutationFn: (body: { id: string; placements: NonNullable<Plan["lay"]>["placements"] }) =>
      answered(server.PUT("/api/plans/{id}/hand", { ...path(plan), body })),
    onSuccess: () => memory.invalidateQueries({ queryKey: ["plan", order] }),
  });
}
