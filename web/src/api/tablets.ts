/** Tablets at a table, and coming in on one by a short code. */
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { forgetAnswers } from "../offline/store";
import { entered } from "../offline/device";
import { answered, server } from "./client";
import type { components } from "./schema.gen";

export type AtTablet = components["schemas"]["AtTabletOut"];

/** Who can pick oneself on this browser; null where it is no tablet. */
export const useAtTablet = () =>
  useQuery({ queryKey: ["at-tablet"], queryFn: () => answered(server.GET("/api/session/tablet")), retry: false });

/** Coming in by a short code. */
export function useComeIn() {
  const memory = useQueryClient();
  return useMutation({
    mutationFn: (body: { person: string; code: string }) => answered(server.POST("/api/session/tablet", { body })),
    onSuccess: async (me) => {
      if (entered(me.id)) await forgetAnswers();
      memory.setQueryData(["me"], me);
    },
  });
}

/** The workshop's tablets; making this browser one, taking one away. */
export function useTablets() {
  const memory = useQueryClient();
  const onSuccess = () => void memory.invalidateQueries({ queryKey: ["tablets"] });
  const list = useQuery({ queryKey: ["tablets"], queryFn: () => answered(server.GET("/api/tablets")) });
  const put = useMutation({
    mutationFn: ({ id, name }: { id: string; name: string }) =>
      answered(server.PUT("/api/tablets/{id}", { params: { path: { id } }, body: { name } })),
    onSuccess,
  });
  const take = useMutation({
    mutationFn: (id: string) => answered(server.DELETE("/api/tablets/{id}", { params: { path: { id } } })),
    onSuccess,
  });
  return { list, put, take };
}

/** One's own short code: whether there is one, and choosing one or none. */
export function useShortCode() {
  const memory = useQueryClient();
  const now = useQuery({ queryKey: ["short-code"], queryFn: () => answered(server.GET("/api/session/code")) });
  const choose = useMutation({
    mutationFn: (body: { password: string; code: string }) => answered(server.PUT("/api/session/code", { body })),
    onSuccess: (made) => memory.setQueryData(["short-code"], made),
  });
  return { now, choose };
}
