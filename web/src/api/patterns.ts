/** House patterns: kept for the workshop, cut with the garments of an order. */
import { keepPreviousData, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { planAnew, scopeOf } from "./anew";
import { answered, server } from "./client";
import type { Order } from "./orders";
import type { components } from "./schema.gen";
import { changedBy } from "./undo";

type Schemas = components["schemas"];
export type KeptPattern = Omit<Schemas["KeptPatternOut"], "pieces"> & { pieces: Schemas["ShownPiece"][] };
export type SaidPiece = Schemas["SaidPieceIn"];
type PatternIn = Partial<Schemas["KeptPatternIn"]> & { id: string; name: string };

/** So many are on a page of the list. */
export const A_PAGE = 20;

export const useHousePatterns = (page = 1) =>
  useQuery({
    queryKey: ["house-patterns", page],
    queryFn: () => answered(server.GET("/api/house-patterns", { params: { query: { page } } })),
    placeholderData: keepPreviousData,
  });

/** Kept under a name, something else said of its pieces, or taken off. */
export function usePutHousePattern() {
  const memory = useQueryClient();
  return useMutation({
    mutationFn: ({ id, ...body }: PatternIn) =>
      answered(
        server.PUT("/api/house-patterns/{id}", {
          params: { path: { id } },
          body: { version: 0, text: "", unit: "", pieces: [], removed: false, ...body },
        }),
      ),
    onSuccess: () => memory.invalidateQueries({ queryKey: ["house-patterns"] }),
  });
}

/** Which patterns are cut with an order's garments; can be taken back. */
export function useSetPatterns(id: string) {
  const memory = useQueryClient();
  const put = async (chosen: string[]) => {
    const { patterns } = await answered(
      server.PUT("/api/orders/{id}/patterns", { params: { path: { id } }, body: { patterns: chosen } }),
    );
    memory.setQueryData<Order>(["order", id], (was) => was && { ...was, patterns });
    return planAnew(memory, id);
  };
  return useMutation({
    scope: { id: scopeOf(id) },
    mutationFn: async (chosen: string[]) => {
      const before = memory.getQueryData<Order>(["order", id])?.patterns.map((one) => one.id) ?? [];
      await put(chosen);
      changedBy(id, { undo: () => put(before), redo: () => put(chosen) });
    },
  });
}
