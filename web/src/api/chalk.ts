/** What is chalked of an order's cloth, and by which plan: ticks go up one by one, others' come down. */
import { queryOptions, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { keptFor } from "../offline/device";
import type { Row } from "../offline/store";
import { Refused, server, answered } from "./client";
import { orWait, waiting } from "./outbox";
import type { Cut } from "./plans";
import type { components } from "./schema.gen";

type Schemas = components["schemas"];
export type Chalk = Schemas["ChalkOut"];
type Answer = Schemas["ChalkAnswer"];

const OFTEN = 4000;
const path = (id: string) => ({ params: { path: { id } } });
const keyOf = (order: string, cloth: Cut) => ["chalk", order, cloth];

/** How far a cloth is chalked, with the ticks that wait on this device. */
export const chalkOf = (order: string, cloth: Cut) =>
  queryOptions({
    queryKey: keyOf(order, cloth),
    queryFn: async (): Promise<Answer> => {
      const query = { cloth };
      const answer = await answered(server.GET("/api/orders/{id}/chalk", { params: { path: { id: order }, query } }));
      const mine = (await waiting("tick")).filter(({ body }) => body["order"] === order && body["cloth"] === cloth);
      return mine.reduce(withTick, answer);
    },
  });

/**
 * Under this word the plan is fetched that the cloth is chalked by. What is chalked and not sent yet is by the plan that
 * the page shows.
 */
export const frozenBy = (chalk: Chalk | null): string => (chalk?.id ? `${chalk.id} ${chalk.newer}` : "");

/** Asked for again and again while somebody `watches`. */
export const useChalk = (order: string, cloth: Cut, watches: boolean) =>
  useQuery({ ...chalkOf(order, cloth), refetchInterval: watches ? OFTEN : false });

type Ticked = { plan: string; stamp: string; call: number; chalked: boolean };

/** As it is with one tick more. The first one freezes the plan that the page shows: the server names it when it has it. */
function withTick(was: Answer, { at, body }: Pick<Row, "at" | "body">): Answer {
  const { plan, stamp, call, chalked } = body as unknown as Ticked;
  const chalk: Chalk = was.chalk ?? {
    id: "", plan, stamp, began_at: new Date(at).toISOString(), began_by: "", ticked: [], places: [], newer: false,
    cut_at: null, cut_by: "",
  }; // prettier-ignore
  const others = chalk.ticked.filter((one) => one !== call);
  return { ...was, chalk: { ...chalk, ticked: chalked ? [...others, call] : others } };
}

/** Tick a call of the plan that the page shows, or rub it out: shown at once, taken back where it is refused. */
export function useTick(order: string, cloth: Cut, shown: { plan: string; stamp: string }) {
  const memory = useQueryClient();
  const key = keyOf(order, cloth);
  return useMutation({
    scope: { id: `tick:${order}` },
    mutationFn: ({ id, says, ...rest }: { id: string; call: number; chalked: boolean; says: string }) => {
      const body = { order, cloth, ...shown, ...rest, waited: false };
      const row = { id, kind: "tick" as const, path: `/api/ticks/${id}`, body, says };
      return orWait(row, () => answered(server.PUT("/api/ticks/{id}", { ...path(id), body })));
    },
    onMutate: async ({ call, chalked }) => {
      await memory.cancelQueries({ queryKey: key });
      const made = { at: Date.now(), body: { ...shown, call, chalked } };
      memory.setQueryData<Answer>(key, (was) => (was && (was.chalk || keptFor() !== null) ? withTick(was, made) : was));
    },
    onSuccess: (chalk) => {
      if (!chalk) return; // it waits to be sent
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
    enabled: chalk !== "",
    queryFn: () =>
      answered(server.GET("/api/chalks/{id}/tapes", { params: { path: { id: chalk }, query: { garment, panel } } })),
  });
  const read = useMutation({
    scope: { id: `tapes:${chalk}` },
    mutationFn: ({ id, says, ...rest }: { id: string; tape: number; typed: string; says: string }) => {
      const body = { chalk, garment, panel, ...rest };
      const row = { id, kind: "tape" as const, path: `/api/tape-readings/${id}`, body, says };
      return orWait(row, () => answered(server.PUT("/api/tape-readings/{id}", { ...path(id), body })));
    },
    onSuccess: (answer) => answer && memory.setQueryData(key, answer),
  });
  return { controls, read };
}
