/** Sheets and readings: what the measuring pages ask of the server. */
import { keepPreviousData, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { planAnew } from "./anew";
import { server, answered } from "./client";
import type { components } from "./schema.gen";
import { useOrderRow } from "./orders";

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
export const usePoints = (session: Session, needed: string[] = []) => {
  const needs = needed.join(",");
  return useQuery({
    queryKey: ["points", session, needs],
    queryFn: () => answered(server.GET("/api/points", { params: { query: { session, needs } } })),
    staleTime: Infinity,
    placeholderData: keepPreviousData,
  });
};

/** Doubts, second ways, last time's values. */
export const useAdvice = (sheet: string) =>
  useQuery({
    queryKey: ["advice", sheet],
    queryFn: () => answered(server.GET("/api/sheets/{id}/advice", path(sheet))),
    placeholderData: keepPreviousData,
  });

/** Every reading of a sheet, asked for now and then: somebody else may be measuring too. */
export const useAllReadings = (sheet: string) =>
  useQuery({
    queryKey: ["readings", sheet],
    queryFn: () => answered(server.GET("/api/sheets/{id}/readings", path(sheet))),
    refetchInterval: 5_000,
  });

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
    mutationFn: ({ id, ...body }: Partial<Schemas["ReadingIn"]> & { id: string; key: string; typed: string }) =>
      answered(server.PUT("/api/readings/{id}", { ...path(id), body: { way: "tape", note: "", ...body, sheet } })),
    onSuccess,
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
      const body = { version, title, promised_on, client: client.id, sheet: sheet.id, cloth: cloth.id };
      return answered(server.PUT("/api/orders/{id}", { ...path(order.id), body }));
    },
    onSuccess: () => {
      for (const key of [["order", order.id], ["sheets"]]) void memory.invalidateQueries({ queryKey: key });
      void planAnew(memory, order.id);
    },
  });
}
