/** The files of a plan: what there is, and how each looks; a link to the plan, and what it shows. */
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { answered, server } from "./client";
import type { Plan } from "./plans";
import type { components } from "./schema.gen";

type Schemas = components["schemas"];
export type PlanFile = Schemas["PlanFileOut"];

/** Every file that can be made of a plan. */
export const useFiles = (plan: string) =>
  useQuery({
    queryKey: ["files", plan],
    enabled: plan !== "",
    staleTime: Infinity,
    queryFn: () => answered(server.GET("/api/plans/{id}/files", { params: { path: { id: plan } } })),
  });

/** Its picture, its pages and its size. */
export const usePreview = (plan: string, name: string, stamp: string) =>
  useQuery({
    queryKey: ["preview", plan, name, stamp],
    staleTime: Infinity,
    queryFn: () =>
      answered(server.GET("/api/plans/{id}/files/{name}/preview", { params: { path: { id: plan, name } } })),
  });

/** Where a file is fetched. */
export const fileAt = (plan: string, name: string) => `/api/plans/${plan}/files/${name}`;

/** The link by which anybody can look at the plan; null where there is none. */
export const usePlanLink = (plan: string) =>
  useQuery({
    queryKey: ["link", plan],
    queryFn: () => answered(server.GET("/api/plans/{id}/link", { params: { path: { id: plan } } })),
  });

/** Make one that ends after a week, or end the one there is. */
export function useSetLink(plan: string) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: async (on: boolean) => {
      const params = { path: { id: plan } };
      if (on) return answered(server.POST("/api/plans/{id}/link", { params, body: { days: 7 } }));
      await answered(server.DELETE("/api/plans/{id}/link", { params }));
      return null;
    },
    onSuccess: (link) => queries.setQueryData(["link", plan], link),
  });
}

/** The plan that a link shows, to somebody without an account. */
export const useLookedAt = (token: string) =>
  useQuery({
    queryKey: ["looked at", token],
    staleTime: Infinity,
    queryFn: async () => {
      const found = await answered(server.GET("/api/look", { headers: { "Plavet-Link": token } }));
      return { ...found, plan: found.plan as unknown as Plan };
    },
  });

/** What a telephone reads from the card as the address of a call. */
export const useCallCode = (order: string, call: number, cloth: string) =>
  useQuery({
    queryKey: ["code", order, call, cloth],
    staleTime: Infinity,
    queryFn: () =>
      answered(server.GET("/api/orders/{id}/code", { params: { path: { id: order }, query: { call, cloth } } })),
  });
