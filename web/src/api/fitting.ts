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
export type Side = Correction["side"];

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

/** A cure kept: the client's drafts are made anew. */
export function useKeepCure(order: string, client: string) {
  const anew = useAnew(order, client);
  return useMutation({
    mutationFn: ({ id, ...body }: Schemas["FittingCorrectionIn"] & { id: string }) =>
      answered(server.PUT("/api/fitting-corrections/{id}", { params: { path: { id } }, body })),
    onSuccess: anew,
  });
}

/** A correction dropped, taken back, or held for its garment alone: the client's drafts are made anew. */
export function useHold(order: string, client: string) {
  const anew = useAnew(order, client);
  return useMutation({
    mutationFn: ({ id, ...body }: Schemas["HoldsIn"] & { id: string }) =>
      answered(server.PATCH("/api/fitting-corrections/{id}", { params: { path: { id } }, body })),
    onSuccess: anew,
  });
}

function useAnew(order: string, client: string) {
  const memory = useQueryClient();
  return async () => {
    for (const what of ["design", "moves", "draft", "alterations"]) void memory.invalidateQueries({ queryKey: [what] });
    void memory.invalidateQueries({ queryKey: ["plan"] });
    await memory.invalidateQueries({ queryKey: keyOf(client) });
    await planAnew(memory, order);
  };
}

const photosOf = (order: string) => ["photos", order];

/** The photos of an order's fittings, the oldest first. */
export const usePhotos = (order: string) =>
  useQuery({
    queryKey: photosOf(order),
    queryFn: () => answered(server.GET("/api/orders/{id}/photos", { params: { path: { id: order } } })),
  });

/** A photo kept, or gone for good. */
export function useChangePhotos(order: string) {
  const memory = useQueryClient();
  const onSuccess = () => memory.invalidateQueries({ queryKey: photosOf(order) });
  const keep = useMutation({
    mutationFn: ({ picture, taken_on }: { picture: string; taken_on: string }) =>
      answered(
        server.PUT("/api/photos/{id}", {
          params: { path: { id: crypto.randomUUID() } },
          body: { order, taken_on, picture },
        }),
      ),
    onSuccess,
  });
  const drop = useMutation({
    mutationFn: (id: string) => answered(server.DELETE("/api/photos/{id}", { params: { path: { id } } })),
    onSuccess,
  });
  return { keep, drop };
}
