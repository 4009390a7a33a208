/** The digital tape: pairing it and hearing what it reads. */
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { server, answered } from "./client";

const KEY = ["tape"];

/** The paired tape as it was last heard, asked for twice a second while `on`. */
export const useTape = (on: boolean) =>
  useQuery({
    queryKey: KEY,
    enabled: on,
    queryFn: () => answered(server.GET("/api/tape")),
    refetchInterval: on ? 500 : false,
    staleTime: 0,
  });

export function usePairing() {
  const memory = useQueryClient();
  const pair = useMutation({
    mutationFn: () => answered(server.POST("/api/tape")),
    onSuccess: (tape) => memory.setQueryData(KEY, tape),
  });
  const unpair = useMutation({
    mutationFn: () => answered(server.DELETE("/api/tape")),
    onSuccess: () => memory.removeQueries({ queryKey: KEY }),
  });
  return { pair, unpair };
}
