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
    mutationFn: (body: { user_name: string; password: string; code: string }) =>
      answered(server.POST("/api/session", { body })),
    onSuccess: (me) => memory.setQueryData(["me"], me),
  });
}

/** One's own open sessions, and ending one of them. */
export function useSessions() {
  const memory = useQueryClient();
  const list = useQuery({ queryKey: ["sessions"], queryFn: () => answered(server.GET("/api/session/all")) });
  const end = useMutation({
    mutationFn: (id: string) => answered(server.DELETE("/api/session/all/{id}", { params: { path: { id } } })),
    onSettled: () => void memory.invalidateQueries({ queryKey: ["sessions"] }),
  });
  return { list, end };
}

/** The second step at the door: whether it is on; a secret for an app, its first code, turning it off. */
export function useSecondStep() {
  const memory = useQueryClient();
  const onSuccess = () => void memory.invalidateQueries({ queryKey: ["step"] });
  const now = useQuery({ queryKey: ["step"], queryFn: () => answered(server.GET("/api/session/step")) });
  const begin = useMutation({ mutationFn: () => answered(server.POST("/api/session/step")), gcTime: 0 });
  const confirm = useMutation({
    mutationFn: (code: string) => answered(server.PUT("/api/session/step", { body: { code } })),
    onSuccess,
    gcTime: 0,
  });
  const off = useMutation({
    mutationFn: (password: string) => answered(server.POST("/api/session/step/off", { body: { password } })),
    onSuccess: () => {
      onSuccess();
      begin.reset();
      confirm.reset();
    },
  });
  return { now, begin, confirm, off };
}

/** A new password; every other session of the person ends. */
export function useNewPassword() {
  const memory = useQueryClient();
  return useMutation({
    mutationFn: (body: { old_password: string; password: string }) =>
      answered(server.POST("/api/session/password", { body })),
    onSuccess: () => void memory.invalidateQueries({ queryKey: ["sessions"] }),
  });
}

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
