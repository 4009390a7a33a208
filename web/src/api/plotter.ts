/** The plotter: what it is doing with a plan, and what one tells it. */
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { answered, server } from "./client";
import type { components } from "./schema.gen";

type PlotterOut = components["schemas"]["PlotterOut"];
export type Plot = components["schemas"]["PlotOut"];

/** Whether there is a plotter and how far it is with a plan, asked again while it draws. */
export const usePlotter = (plan: string) =>
  useQuery({
    queryKey: ["plotter", plan],
    refetchInterval: ({ state }) => (state.data?.plot?.state === "running" ? 1000 : false),
    queryFn: () => answered(server.GET("/api/plans/{id}/plot", { params: { path: { id: plan } } })),
  });

/** Send the pieces, go on after a trouble, or stop. */
export function useTellPlotter(plan: string) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (tell: { start: string } | { on: string } | { stop: string }) => {
      if ("start" in tell) {
        return answered(server.PUT("/api/plots/{id}", { params: { path: { id: tell.start } }, body: { plan } }));
      }
      const params = { path: { id: "on" in tell ? tell.on : tell.stop } };
      return answered(
        "on" in tell ? server.POST("/api/plots/{id}/on", { params }) : server.POST("/api/plots/{id}/stop", { params }),
      );
    },
    onSuccess: (plot) => queries.setQueryData<PlotterOut>(["plotter", plan], (was) => ({ there: true, ...was, plot })),
  });
}
