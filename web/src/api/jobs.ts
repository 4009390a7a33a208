/** A job file: what it holds, and opened as an order. */
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { answered, server } from "./client";
import type { components } from "./schema.gen";

export type JobHeld = components["schemas"]["JobHeldOut"];
type Opened = components["schemas"]["OpenJobIn"] & { id: string };

/** What a job file holds; refused with every problem in it. */
export const useLookIntoJob = () =>
  useMutation({ mutationFn: (text: string) => answered(server.POST("/api/jobs", { body: { text } })) });

/** A job file opened as an order; the same id again is the same order. Answers its id. */
export function useOpenJob() {
  const memory = useQueryClient();
  return useMutation({
    mutationFn: async ({ id, ...body }: Opened) =>
      (await answered(server.PUT("/api/orders/{id}/from-job", { params: { path: { id } }, body }))).id,
    onSuccess: () => {
      void memory.invalidateQueries({ queryKey: ["bench"] });
      void memory.invalidateQueries({ queryKey: ["clients"] });
    },
  });
}
