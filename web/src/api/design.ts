/** What can be chosen and what it would change; methods on a body; the workshop's own rules. */
import { keepPreviousData, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { server, answered } from "./client";
import type { components } from "./schema.gen";
import { type Plan, useDrafting } from "./plans";

type Schemas = components["schemas"];
export type Choices = Schemas["DesignOut"];
export type HouseRule = Schemas["HouseRuleOut"];
export type Outline = readonly (readonly number[])[];

/**
 * The choices of an order's garment by its name, or of a jumpsuit's half; `stamp` is what they hang on: garment, sheet
 * and cloth as they stand.
 */
export const useDesign = (order: string, garment: string, half: string, stamp: string) =>
  useQuery({
    queryKey: ["design", order, garment, half, stamp],
    // The draft is drawn first: what else could be chosen is worked out after it.
    enabled: !useDrafting(order),
    queryFn: () =>
      answered(
        server.GET("/api/orders/{id}/design", {
          params: { path: { id: order }, query: { garment, half: half as "" | "top" | "lower" } },
        }),
      ),
    // While the same part changes, what was answered last stays; another part's choices never show under this one.
    placeholderData: (last, query) =>
      query?.queryKey[2] === garment && query.queryKey[3] === half ? keepPreviousData(last) : undefined,
    staleTime: Infinity,
  });

/** The panels of the order as it stands, while its plan is being made anew: they are there well before it. */
export function useDrawn(order: string, plan: string, stamp: string): Plan["panels"] | undefined {
  const drafting = useDrafting(order);
  const drawn = useQuery({
    queryKey: ["drawn", order, plan, stamp],
    enabled: drafting && plan !== "",
    queryFn: async () =>
      (await answered(
        server.GET("/api/orders/{id}/drawn", { params: { path: { id: order } } }),
      )) as unknown as Plan["panels"],
    retry: false,
    staleTime: Infinity,
    gcTime: 0,
  });
  return drafting ? drawn.data : undefined;
}

export type Move = Schemas["MoveOut"];

/** What a choice would move on the client's own draft; asked once there is `now` something to see. */
export const useMoves = (
  order: string,
  garment: string,
  half: string,
  { key, of }: { key: string; of: string },
  stamp: string,
  now: boolean,
) =>
  useQuery({
    queryKey: ["moves", order, garment, half, of, key, stamp],
    enabled: !useDrafting(order) && now,
    queryFn: async (): Promise<Move[]> =>
      answered(
        server.GET("/api/orders/{id}/design/moves", {
          params: { path: { id: order }, query: { garment, half: half as "" | "top" | "lower", choice: key, of } },
        }),
      ),
    placeholderData: (last: Move[] | undefined, query) =>
      query?.queryKey[2] === garment && query.queryKey[3] === half ? last : undefined,
    staleTime: Infinity,
  });

export const useSilhouettes = (sheet: string, stamp: string) =>
  useQuery({
    queryKey: ["silhouettes", sheet, stamp],
    queryFn: () => answered(server.GET("/api/sheets/{id}/silhouettes", { params: { path: { id: sheet } } })),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  });

export const useBodies = () => useQuery({ queryKey: ["bodies"], queryFn: () => answered(server.GET("/api/bodies")) });

/** One style by one method on a sheet's measures, or on an invented body; with what the fittings found, or without. */
export const useDraft = (method: string, style: string, sheet: string, fittings = false) =>
  useQuery({
    queryKey: ["draft", method, style, sheet, fittings],
    enabled: method !== "",
    queryFn: async () =>
      (await answered(
        server.GET("/api/drafts/{method}", {
          params: { path: { method }, query: { style, ...(sheet ? { sheet, fittings } : {}) } },
        }),
      )) as unknown as Plan,
    staleTime: 60_000,
  });

export const useHouseRules = () =>
  useQuery({ queryKey: ["house-rules"], queryFn: () => answered(server.GET("/api/house-rules")) });

export function usePutHouseRule() {
  const memory = useQueryClient();
  return useMutation({
    mutationFn: ({ id, ...body }: HouseRule) =>
      answered(server.PUT("/api/house-rules/{id}", { params: { path: { id } }, body })),
    onSuccess: () => memory.invalidateQueries({ queryKey: ["house-rules"] }),
  });
}
