import { type QueryClient, queryOptions, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { entered, isForgotten, keepPages, keptFor, left, tell } from "../offline/device";
import { keepWhatIsHere } from "../offline/answers";
import { forgetAnswers, forgetRows, thinOut } from "../offline/store";
import { forgetTyped } from "../offline/typed";
import { server, answered, readsIn, Refused } from "./client";
import { waiting } from "./outbox";

/** Somebody left while the line was lost: the server's session is ended before anything else is asked. */
const OWED = "leave-owed";

/** Nothing of anybody stays on this device; `rows` that were written and not sent stay for who wrote them, or go too. */
async function forget(rows: boolean): Promise<void> {
  const who = keptFor();
  if (rows) forgetTyped();
  left();
  await forgetAnswers();
  if (rows && who !== null) await forgetRows(who);
}

async function who() {
  if (isForgotten(Date.now())) await forget(true);
  if (localStorage.getItem(OWED)) {
    try {
      await answered(server.DELETE("/api/session"));
    } catch (error) {
      if (!(error instanceof Refused) || error.status === 0) {
        throw new Refused(0, "You left while the line was lost. It is lost still.");
      }
    }
    localStorage.removeItem(OWED);
  }
  try {
    const me = await answered(server.GET("/api/session"));
    readsIn(me.unit);
    if (entered(me.id)) await forgetAnswers();
    if (keptFor() !== null) {
      void keepPages(true).catch(() => undefined);
      void thinOut();
    }
    return me;
  } catch (error) {
    // The session was ended elsewhere: what this device kept is gone, what was written and not sent waits.
    if (error instanceof Refused && error.status === 401 && keptFor() !== null) await forget(false);
    throw error;
  }
}

/** Every length is read anew: first in which unit, then the rest. */
export async function readAllAnew(memory: QueryClient) {
  await memory.refetchQueries({ queryKey: ["me"] });
  await memory.invalidateQueries();
}

/** Who is here. */
export const ME = queryOptions({ queryKey: ["me"], queryFn: who, staleTime: Infinity });

export const useMe = () => useQuery(ME);

/** Whether this device keeps opened orders for who is here, and telling it to. */
export function useKeeping() {
  const memory = useQueryClient();
  const me = useMe().data;
  return useMutation({
    mutationFn: async (keep: boolean) => {
      if (!me) return;
      const waits = keep ? [] : await waiting();
      if (waits.length)
        throw new Error("Something waits to be sent. When the line is back and it is sent, press again.");
      tell(me.id, keep);
      if (!keep) await forget(false);
      await keepPages(keep);
      if (keep) await keepWhatIsHere(memory);
    },
  });
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
    onSuccess: async (me) => {
      if (entered(me.id)) await forgetAnswers();
      memory.setQueryData(["me"], me);
    },
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
    onSuccess: async () => {
      await forget(true);
      memory.clear();
      window.location.assign("/");
    },
  });
}

/** Leave: what this device keeps goes, with the line or without it. */
export function useLogOut() {
  const memory = useQueryClient();
  return useMutation({
    mutationFn: async () => {
      try {
        await answered(server.DELETE("/api/session"));
      } catch (error) {
        if (!(error instanceof Refused) || error.status !== 0 || keptFor() === null) throw error;
        localStorage.setItem(OWED, "yes");
      }
      await forget(true);
    },
    onSuccess: () => {
      memory.clear();
      window.location.assign("/");
    },
  });
}
