/** What is sewn of an order: its steps are ticked one by one, and others' ticks come down. */
import { queryOptions, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import type { Row } from "../offline/store";
import { answered, server } from "./client";
import { orWait, waiting } from "./outbox";
import type { components } from "./schema.gen";

export type Sewn = components["schemas"]["SewnOut"];

const OFTEN = 4000;
const keyOf = (order: string) => ["sewn", order];

/** The steps that are done, with the ticks that wait on this device. */
export const sewnOf = (order: string) =>
  queryOptions({
    queryKey: keyOf(order),
    queryFn: async (): Promise<Sewn[]> => {
      const done = await answered(server.GET("/api/orders/{id}/sewn", { params: { path: { id: order } } }));
      return (await waiting("sewn")).filter(({ body }) => body["order"] === order).reduce(withTick, done);
    },
  });

export const useSewn = (order: string) => useQuery({ ...sewnOf(order), refetchInterval: OFTEN });

/** The same with one tick more. */
function withTick(was: Sewn[], { at, body }: Pick<Row, "at" | "body">): Sewn[] {
  const operation = String(body["operation"]);
  const others = was.filter((one) => one.operation !== operation);
  const typed = Object.entries((body["typed"] ?? {}) as Record<string, string>);
  const readings = typed.map(([code, text]) => ({ code, name: "", typed: text }));
  const says = readings.length ? ["What it means is said when the line is back."] : [];
  const tick = { operation, by: "you", at: new Date(at).toISOString(), readings, agrees: true, says, band_says: "" };
  return body["sewn"] ? [...others, tick] : others;
}

/** A step with `typed` readings is done by them; `sure` keeps one that cannot well be. */
type Ticked = {
  plan: string;
  operation: string;
  sewn: boolean;
  typed: Record<string, string>;
  sure: boolean;
  began: string | null;
  ended: string | null;
  says: string;
};

/** What is altered on an order's garments after its fittings. */
export const useAlterations = (order: string) =>
  useQuery({
    queryKey: ["alterations", order],
    queryFn: () => answered(server.GET("/api/orders/{id}/alterations", { params: { path: { id: order } } })),
  });

/** How long each operation takes in this workshop, where it was timed. */
export const useMinutes = () =>
  useQuery({ queryKey: ["minutes"], queryFn: () => answered(server.GET("/api/minutes")), staleTime: 60_000 });

/** A step done, or unpicked: refused where something it needs is not done yet. */
export function useSew(order: string) {
  const memory = useQueryClient();
  const key = keyOf(order);
  return useMutation({
    scope: { id: `sew:${order}` },
    mutationFn: ({ says, ...ticked }: Ticked) => {
      const [id, body] = [crypto.randomUUID(), { order, ...ticked }];
      const row = { id, kind: "sewn" as const, path: `/api/sewn/${id}`, body, says };
      return orWait(row, () => answered(server.PUT("/api/sewn/{id}", { params: { path: { id } }, body })));
    },
    onSuccess: (done, ticked) => {
      // Null: it waits to be sent.
      memory.setQueryData<Sewn[]>(key, (was) => done ?? withTick(was ?? [], { at: Date.now(), body: ticked }));
    },
    onError: () => void memory.invalidateQueries({ queryKey: key }),
  });
}
