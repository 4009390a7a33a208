/** What is chalked of an order's cloth, and by which plan: ticks go up one by one, others' come down. */
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { Refused, server, answered } from "./client";
import type { Cut } from "./plans";
import type { components } from "./schema.gen";

type Schemas = components["schemas"];
export type Chalk = Schemas["ChalkOut"];
type Answer = Schemas["ChalkAnswer"];

const OFTEN = 4000;
const path = (id: string) => ({ params: { path: { id } } });
const keyOf = (order: string, cloth: Cut) => ["chalk", order, cloth];

/** How far a cloth is chalked; asked for again and again while somebody `watches`. */
export const useChalk = (order: string, cloth: Cut, watches: boolean) =>
  useQuery({
    queryKey: keyOf(order, cloth),
    queryFn: () =>
      answered(server.GET("/api/orders/{id}/chalk", { params: { path: { id: order }, query: { cloth } } })),
    refetchInterval: watches ? OFTEN : false,
  });

/** Tick a call of the plan that the page shows, or rub it out: shown at once, taken back where it is refused. */
export function useTick(order: string, cloth: Cut, shown: { plan: string; stamp: string }) {
  const memory = useQueryClient();
  const key = keyOf(order, cloth);
  return useMutation({
    scope: { id: `tick:${order}` },
    mutationFn: ({ id, ...body }: { id: string; call: number; chalked: boolean }) =>
      answered(server.PUT("/api/ticks/{id}", { ...path(id), body: { order, cloth, ...shown, ...body } })),
    onMutate: async ({ call, chalked }) => {
      await memory.cancelQueries({ queryKey: key });
      memory.setQueryData<Answer>(key, (was) => {
        if (!was?.chalk) return was;
        const others = was.chalk.ticked.filter((one) => one !== call);
        return { ...was, chalk: { ...was.chalk, ticked: chalked ? [...others, call] : others } };
      });
    },
    onSuccess: (chalk) => {
      // Where more ticks wait for their turn, the last of them knows all.
      if (memory.isMutating({ predicate: (one) => one.options.scope?.id === `tick:${order}` }) > 1) return;
      memory.setQueryData<Answer>(key, (was) => ({ earlier: was?.earlier ?? 0, chalk }));
    },
    onError: (error) => {
      void memory.invalidateQueries({ queryKey: key });
      if (error instanceof Refused && error.code === "moved") {
        void memory.invalidateQueries({ queryKey: ["plan", order] });
      }
    },
  });
}

/** Rub it out and start anew, or confirm that it is cut. */
export function useChalkEnd(order: string, cloth: Cut, chalk: string) {
  const memory = useQueryClient();
  const key = keyOf(order, cloth);
  const rubOut = useMutation({
    mutationFn: () => answered(server.POST("/api/chalks/{id}/rub-out", path(chalk))),
    onSuccess: (answer) => {
      memory.setQueryData<Answer>(key, answer);
      void memory.invalidateQueries({ queryKey: ["plan", order] });
    },
  });
  const cutIt = useMutation({
    mutationFn: () => answered(server.POST("/api/chalks/{id}/cut", path(chalk))),
    onSuccess: (chalk) => {
      memory.setQueryData<Answer>(key, (was) => ({ earlier: was?.earlier ?? 0, chalk }));
      void memory.invalidateQueries({ queryKey: ["order", order] });
      void memory.invalidateQueries({ queryKey: ["shelf"] });
    },
  });
  return { rubOut, cutIt };
}

/** The control tapes of a piece, and reading one. */
export function useControlTapes(chalk: string, garment: string, panel: string) {
  const memory = useQueryClient();
  const key = ["tapes", chalk, garment, panel];
  const controls = useQuery({
    queryKey: key,
    queryFn: () =>
      answered(server.GET("/api/chalks/{id}/tapes", { params: { path: { id: chalk }, query: { garment, panel } } })),
  });
  const read = useMutation({
    scope: { id: `tapes:${chalk}` },
    mutationFn: ({ id, ...body }: { id: string; tape: number; typed: string }) =>
      answered(server.PUT("/api/tape-readings/{id}", { ...path(id), body: { chalk, garment, panel, ...body } })),
    onSuccess: (answer) => memory.setQueryData(key, answer),
  });
  return { controls, read };
}
