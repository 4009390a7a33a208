/** The plan of an order: made for it as it stands, on cloth of other widths, laid by hand. */
import {
  keepPreviousData,
  queryOptions,
  useIsFetching,
  useMutation,
  useQuery,
  useQueryClient,
} from "@tanstack/react-query";
import { planAnew } from "./anew";
import type { Unit } from "../lengths/units";
import { whenMade } from "./beingMade";
import { server, answered } from "./client";
import type { components } from "./schema.gen";

type Schemas = components["schemas"];
/** Where outfits of several clients are cut from one cloth, `clients` are their names by outfit. */
export type Plan = Schemas["PlanOut"] & { clients?: Record<string, string> };
export type Cut = "main" | "other" | "all";
export type Mark = Schemas["MarkOut"];
export type Piece = Schemas["PieceOut"];

const path = (id: string) => ({ params: { path: { id } } });

/**
 * The plan of an order as it stands, in the workshop's unit or another; while a new one is made the last stays. With
 * `chalked` the one that the cloth is chalked by: the word for it changes where the server has another.
 */
export const planOf = (id: string, cloth: Cut = "main", unit: "" | Unit = "", chalked = "") =>
  queryOptions({
    queryKey: ["plan", id, cloth, unit, chalked],
    // The client widens fixed pairs such as [x, y] to lists; the description has them as pairs.
    queryFn: async ({ signal }) => {
      const asked = () =>
        server.POST("/api/orders/{id}/plan", {
          params: { path: { id }, query: { cloth, unit, chalked: chalked !== "" } },
        });
      const made = await whenMade(() => answered(asked()), signal);
      const { clients, ...answer } = made as unknown as Schemas["PlanAnswer"];
      return {
        ...answer,
        plan: (Object.keys(clients ?? {}).length > 1 ? { ...answer.plan, clients } : answer.plan) as Plan,
      };
    },
    staleTime: 60_000,
  });

/** Whether a plan of an order is being made: what can wait for it waits. */
export const useDrafting = (id: string) => useIsFetching({ queryKey: ["plan", id] }) > 0;

export const usePlan = (id: string, cloth: Cut = "main", unit: "" | Unit = "", chalked = "", enabled = true) =>
  useQuery({
    ...planOf(id, cloth, unit, chalked),
    enabled,
    placeholderData: (last, query) => (query?.queryKey[2] === cloth ? keepPreviousData(last) : undefined),
  });

/** What the same pieces need on cloth of other widths; worked out when it is first asked for. */
export const useWidths = (plan: string | undefined) =>
  useQuery({
    queryKey: ["widths", plan],
    enabled: plan !== undefined,
    queryFn: ({ signal }) => whenMade(() => answered(server.GET("/api/plans/{id}/widths", path(plan!))), signal),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  });

/** Keep a lay as its pieces were moved by hand; the server checks it exactly. */
export function usePutHandLay(order: string, plan: string) {
  const memory = useQueryClient();
  return useMutation({
    mutationFn: (body: { id: string; placements: NonNullable<Plan["lay"]>["placements"] }) =>
      answered(server.PUT("/api/plans/{id}/hand", { ...path(plan), body })),
    onSuccess: () => planAnew(memory, order),
  });
}

/** A plan that is stored, or a draft of the Methods page. */
export type Drafted = { plan: string } | { method: string; style: string; sheet: string };

/** A number of one's own beside the plan's. */
export const useOwnNumber = (of: Drafted) =>
  useMutation({
    mutationFn: (body: Schemas["OwnNumberIn"]) =>
      "plan" in of
        ? answered(server.POST("/api/plans/{id}/number", { ...path(of.plan), body }))
        : answered(
            server.POST("/api/drafts/{method}/number", {
              params: {
                path: { method: of.method },
                query: { style: of.style, ...(of.sheet ? { sheet: of.sheet } : {}) },
              },
              body,
            }),
          ),
  });
