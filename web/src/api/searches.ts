/** Searches for a better lay, on the server's queue. */
import { useEffect, useState } from "react";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { planAnew } from "./anew";
import { server, answered } from "./client";
import type { components } from "./schema.gen";

type Held = components["schemas"]["HeldIn"];

const path = (id: string) => ({ params: { path: { id } } });

/**
 * The one search that every plan has: begun by itself when somebody has looked at the plan for a moment, behind all that
 * was asked for; its lay is taken when it is found. `begins` where this person may, and the station is about the cloth.
 */
export function useOwnSearch(
  order: string,
  plan: { id: string; searched: string; search?: string | null } | undefined,
  begins: boolean,
) {
  const memory = useQueryClient();
  const id = plan?.id;
  const wanted = begins && plan?.searched === "none";
  useEffect(() => {
    if (!wanted || !id) return;
    const begin = async () => {
      const { run } = await answered(server.POST("/api/plans/{id}/search", path(id)));
      if (run) await memory.invalidateQueries({ queryKey: ["plan", order] });
    };
    const later = setTimeout(() => void begin().catch(() => undefined), SETTLED);
    return () => clearTimeout(later);
  }, [wanted, id, order, memory]);
  useLayRun(plan?.search ?? null, order);
}

/** A plan that is looked at for so many ms is searched. */
const SETTLED = 1500;

function useLayRun(id: string | null, order: string) {
  const memory = useQueryClient();
  return useQuery({
    queryKey: ["lay-run", id],
    enabled: id !== null,
    queryFn: async () => {
      const run = await answered(server.GET("/api/lay-runs/{id}", path(id!)));
      if (run.state !== "queued" && run.state !== "running") void planAnew(memory, order);
      return run;
    },
    refetchInterval: (query) => (["queued", "running"].includes(query.state.data?.state ?? "queued") ? 400 : false),
  });
}

/**
 * A search on the queue that this tab remembers over a reload: for a shorter lay of a plan, for savings of cloth,
 * or for the rest around pieces that are pinned where somebody laid them. Each looks from a seed of its own, so that another one looks elsewhere.
 */
export function useSearch(order: string, plan: string, kind: "shorter" | "savings" | "rest") {
  const place = `${kind}:${plan}`;
  const [id, setId] = useState(() => sessionStorage.getItem(place));
  const run = useLayRun(id, order).data;
  const start = useMutation({
    mutationFn: ({ id, ...body }: { id: string; seconds: number; seed: number; hand?: Held }) =>
      answered(server.PUT("/api/lay-runs/{id}", { ...path(id), body: { ...body, plan, kind } })),
    onSuccess: (_, { id }) => {
      sessionStorage.setItem(place, id);
      setId(id);
    },
  });
  const stop = useMutation({ mutationFn: () => answered(server.POST("/api/lay-runs/{id}/stop", path(id!))) });
  return {
    run,
    working: run !== undefined && ["queued", "running"].includes(run.state),
    pending: start.isPending,
    error: start.error,
    begin: (seconds: number, hand?: Held) => {
      const id = crypto.randomUUID();
      start.mutate({ id, seconds, seed: 1 + (parseInt(id.slice(0, 4), 16) % 9999), ...(hand && { hand }) });
      return id;
    },
    stop: () => stop.mutate(),
    forget: () => {
      sessionStorage.removeItem(place);
      setId(null);
    },
  };
}
