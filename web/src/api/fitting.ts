/** A fitting: what is seen, cures tried on the client's draft, and what is kept of them for the next. */
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { planAnew } from "./anew";
import { answered, server } from "./client";
import type { components } from "./schema.gen";

type Schemas = components["schemas"];
export type View = Schemas["ViewOut"];
export type Sign = Schemas["SignOut"];
export type Cure = Schemas["CureOut"];
export type Correction = Schemas["FittingCorrectionOut"];
export type Seen = Schemas["SeenIn"];

export const useSigns = () =>
  useQuery({ queryKey: ["signs"], queryFn: () => answered(server.GET("/api/signs")), staleTime: Infinity });

/** Each cure of what is seen, tried on the draft: nothing is kept of it. */
export const useCures = (order: string) =>
  useMutation({
    mutationFn: (body: Seen) =>
      answered(server.POST("/api/orders/{id}/cures", { params: { path: { id: order } }, body })),
  });

const keyOf = (client: string) => ["corrections", client];

/** The corrections of a client, the newest first, also those that were dropped. */
export const useCorrections = (client: string) =>
  useQuery({
    queryKey: keyOf(client),
    enabled: client !== "",
    queryFn: () => answered(server.GET("/api/clients/{id}/fitting-corrections", { params: { path: { id: client } } })),
  });

/** A correction kept, changed, dropped or taken back: the client's drafts are made anew. */
export function usePutCorrection(order: string, client: string) {
  const memory = useQueryClient();
  return useMutation({
    mutationFn: ({ id, ...body }: Schemas["FittingCorrectionIn"] & { id: string }) =>
      answered(server.PUT("/api/fitting-corrections/{id}", { params: { path: { id } }, body })),
    onSuccess: async () => {
      for (const what of ["design", "moves", "draft"]) void memory.invalidateQueries({ queryKey: [what] });
      void memory.invalidateQueries({ queryKey: ["plan"] });
      await memory.invalidateQueries({ queryKey: keyOf(client) });
      await planAnew(memory, order);
    },
  });
}
