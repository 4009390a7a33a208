/** Sheets and readings: what the measuring pages ask of the server. */
import { keepPreviousData, queryOptions, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { planAnew } from "./anew";
import { server, answered } from "./client";
import { orWait, waiting } from "./outbox";
import type { components } from "./schema.gen";
import { type Order, useOrderRow, withReading, waitingReading } from "./orders";

type Schemas = components["schemas"];
export type Point = Schemas["PointOut"];
export type Sheet = Schemas["SheetOut"];
export type Reading = Schemas["ReadingOut"];
export type Advice = Schemas["AdviceOut"];
export type Way = Schemas["WayOut"];
export type Session = "trousers" | "top" | "two-piece" | "jumpsuit" | "full";
export type Waist = "worn" | "natural" | "high" | "low";

const path = (id: string) => ({ params: { path: { id } } });

/** The points of a session in the order of taking; `needs` are those that an order's garments ask for. */
export const pointsOf = (session: Session, needed: string[] = []) => {
  const needs = needed.join(",");
  return queryOptions({
    queryKey: ["points", session, needs],
    queryFn: () => answered(server.GET("/api/points", { params: { query: { session, needs } } })),
    staleTime: Infinity,
  });
};
export const usePoints = (session: Session, needed: string[] = []) =>
  useQuery({ ...pointsOf(session, needed), placeholderData: keepPreviousData });

/** Doubts, second ways, last time's values. */
export const adviceOf = (sheet: string) =>
  queryOptions({
    queryKey: ["advice", sheet],
    queryFn: () => answered(server.GET("/api/sheets/{id}/advice", path(sheet))),
  });
export const useAdvice = (sheet: string) => useQuery({ ...adviceOf(sheet), placeholderData: keepPreviousData });

/** Every reading of a sheet, with those that wait on this device. */
export const readingsOf = (sheet: string) =>
  queryOptions({
    queryKey: ["readings", sheet],
    queryFn: async () => {
      const all = await answered(server.GET("/api/sheets/{id}/readings", path(sheet)));
      const mine = (await waiting("reading")).filter(({ body }) => body["sheet"] === sheet);
      return [...all, ...mine.map((row) => waitingReading(row, "in"))];
    },
  });

/** Asked for now and then: somebody else may be measuring too. */
export const useAllReadings = (sheet: string) => useQuery({ ...readingsOf(sheet), refetchInterval: 5_000 });

/** A write to a sheet is over when the new advice is here; the order and its plan follow by themselves. */
export function useSheetWrites(order: string, sheet: string) {
  const memory = useQueryClient();
  const onSuccess = async () => {
    for (const key of [["order", order], ["bench"], ["sheets"], ["readings", sheet]])
      void memory.invalidateQueries({ queryKey: key });
    void planAnew(memory, order);
    await memory.invalidateQueries({ queryKey: ["advice", sheet] });
  };
  const read = useMutation({
    mutationFn: ({ id, ...rest }: Partial<Schemas["ReadingIn"]> & { id: string; key: string; typed: string }) => {
      const body = { way: "tape" as const, note: "", ...rest, sheet };
      const says = `${body.key} ${body.typed || "skipped"}`;
      const row = { id, kind: "reading" as const, path: `/api/readings/${id}`, body, says };
      return orWait(row, () => answered(server.PUT("/api/readings/{id}", { ...path(id), body })));
    },
    onSuccess: (done, { id, ...body }) => {
      if (done) return onSuccess();
      // It waits to be sent: it is on the sheet here already.
      const row = { id, at: Date.now(), body };
      memory.setQueryData<Order>(["order", order], (was) => was && withReading(was, row));
      memory.setQueryData<Reading[]>(["readings", sheet], (was) => [...(was ?? []), waitingReading(row, "in")]);
      return undefined;
    },
  });
  const overrule = useMutation({
    mutationFn: ({ id, key }: { id: string; key: string }) =>
      answered(server.PUT("/api/overrulings/{id}", { ...path(id), body: { sheet, key } })),
    onSuccess,
  });
  const turn = useMutation({
    mutationFn: (unit: "in" | "cm") =>
      answered(server.POST("/api/sheets/{id}/turn", { ...path(sheet), body: { unit } })),
    onSuccess,
  });
  const close = useMutation({
    mutationFn: () => answered(server.POST("/api/sheets/{id}/close", path(sheet))),
    onSuccess,
  });
  const put = useOrderRow<Sheet>(
    order,
    (whole) => whole.sheet,
    (whole, row) => ({ ...whole, sheet: row }),
    async (row) => {
      const { id, client, taken_on, version, corrects } = row;
      const body = { version, client, taken_on, corrects, unit: row.unit as "in" | "cm", waist: row.waist as Waist };
      const done = await answered(server.PUT("/api/sheets/{id}", { ...path(id), body }));
      await onSuccess();
      return done;
    },
  );
  const flat = useMutation({
    mutationFn: (body: Schemas["FlatIn"]) => answered(server.POST("/api/flat", { body })),
  });
  const file = useMutation({
    mutationFn: (body: Schemas["FileIn"]) => answered(server.POST("/api/sheets/{id}/file", { ...path(sheet), body })),
    onSuccess,
  });
  const advice = () => memory.getQueryData<Advice>(["advice", sheet]);
  return { read, overrule, turn, close, put, flat, file, advice };
}

/** A new sheet that corrects a closed one, and the order on it. */
export function useCorrect(order: Schemas["OrderOut"]) {
  const memory = useQueryClient();
  return useMutation({
    mutationFn: async (id: string) => {
      const sheet = await answered(
        server.PUT("/api/corrections/{id}", { ...path(id), body: { sheet: order.sheet.id, key: "" } }),
      );
      const { version, title, promised_on, client, cloth } = order;
      const body = { version, title, promised_on, reason: "", client: client.id, sheet: sheet.id, cloth: cloth.id };
      return answered(server.PUT("/api/orders/{id}", { ...path(order.id), body }));
    },
    onSuccess: () => {
      for (const key of [["order", order.id], ["sheets"]]) void memory.invalidateQueries({ queryKey: key });
      void planAnew(memory, order.id);
    },
  });
}
