/** Reminders: what is due, what was put in the outbox. */
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { answered, server } from "./client";
import type { components } from "./schema.gen";

type Schemas = components["schemas"];
export type Reminders = Schemas["RemindersOut"];
export type Due = Schemas["DueOut"];
export type Reminder = Schemas["ReminderOut"];

const REMINDERS = ["reminders"];
const AGAIN_IN = 5000;

/** What is due and a page of the outbox; asked for again while something waits. */
export const useReminders = (page: number) =>
  useQuery({
    queryKey: [...REMINDERS, page],
    queryFn: () => answered(server.GET("/api/reminders", { params: { query: { page } } })),
    placeholderData: (was) => was,
    refetchInterval: (query) => (query.state.data?.outbox.some((one) => one.state === "waiting") ? AGAIN_IN : false),
  });

export function useReminderWrites() {
  const memory = useQueryClient();
  const path = (id: string) => ({ params: { path: { id } } });
  const onSuccess = (reminders: Reminders) => {
    memory.setQueryData([...REMINDERS, 1], reminders);
    void memory.invalidateQueries({ queryKey: REMINDERS });
  };
  const put = useMutation({
    mutationFn: ({ id, order, kind }: { id: string; order: string; kind: Due["kind"] }) =>
      answered(server.PUT("/api/reminders/{id}", { ...path(id), body: { order, kind } })),
    onSuccess,
  });
  const again = useMutation({
    mutationFn: (id: string) => answered(server.POST("/api/reminders/{id}/again", path(id))),
    onSuccess,
  });
  const automatic = useMutation({
    mutationFn: (reminds: boolean) => answered(server.PATCH("/api/workshop", { body: { reminds } })),
    onSuccess: () => void memory.invalidateQueries({ queryKey: REMINDERS }),
  });
  return { put, again, automatic };
}
