import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { server, answered } from "./client";

export function useMe() {
  return useQuery({ queryKey: ["me"], queryFn: () => answered(server.GET("/api/session")), staleTime: Infinity });
}

/** Whether the person logged in holds a right. */
export function useMay() {
  const me = useMe();
  return (right: string) => me.data?.rights.includes(right) ?? false;
}

export function useLogIn() {
  const memory = useQueryClient();
  return useMutation({
    mutationFn: (body: { user_name: string; password: string }) => answered(server.POST("/api/session", { body })),
    onSuccess: (me) => memory.setQueryData(["me"], me),
  });
}

export function useLogOut() {
  const memory = useQueryClient();
  return useMutation({
    mutationFn: () => answered(server.DELETE("/api/session")),
    onSuccess: () => {
      memory.clear();
      window.location.assign("/");
    },
  });
}
