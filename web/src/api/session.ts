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

/** A new password; every other session of the person ends. */
export const useNewPassword = () =>
  useMutation({
    mutationFn: (body: { old_password: string; password: string }) =>
      answered(server.POST("/api/session/password", { body })),
  });

/** Every session of the person ends, this one too. */
export function useLeaveEverywhere() {
  const memory = useQueryClient();
  return useMutation({
    mutationFn: () => answered(server.POST("/api/session/everywhere")),
    onSuccess: () => {
      memory.clear();
      window.location.assign("/");
    },
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
