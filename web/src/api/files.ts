/** The files of a plan: what there is, and how each looks. */
import { useQuery } from "@tanstack/react-query";
import { answered, server } from "./client";
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
export const useLook = (plan: string, name: string, stamp: string) =>
  useQuery({
    queryKey: ["look", plan, name, stamp],
    staleTime: Infinity,
    queryFn: () => answered(server.GET("/api/plans/{id}/files/{name}/look", { params: { path: { id: plan, name } } })),
  });

/** Where a file is fetched. */
export const fileAt = (plan: string, name: string) => `/api/plans/${plan}/files/${name}`;
