/** The week of the workshop: who does what when, what can be promised, schedules made and kept. */
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { answered, server } from "./client";
import type { components } from "./schema.gen";

type Schemas = components["schemas"];
export type Week = Schemas["WeekOut"];
export type WeekRow = Schemas["WeekRowOut"];
export type WeekTicket = Schemas["WeekTicketOut"];
export type Broken = Schemas["BrokenOut"];
export type End = Schemas["EndOut"];
export type TaskMoved = Schemas["TaskMovedOut"];
export type TeamHours = Schemas["TeamHoursOut"];
export type PersonHours = Schemas["HoursOut"];
export type Away = Schemas["AwayOut"];
export type OrderTasks = Schemas["OrderTasksOut"];
export type Asked = Schemas["PromiseIn"];
export type TicketMove = Schemas["TicketMoveIn"] & { order: string };

const WEEK = ["week"];
const HOURS = ["hours"];

/** The days from one on, by the schedule the workshop goes by. */
export const useWeek = (first: string) =>
  useQuery({
    queryKey: [...WEEK, first],
    queryFn: () => answered(server.GET("/api/week", { params: { query: { first, days: 7 } } })),
    placeholderData: (was) => was,
  });

/** What is still to be done of an order. */
export const useOrderTasks = (id: string) =>
  useQuery({
    queryKey: [...WEEK, "order", id],
    queryFn: () => answered(server.GET("/api/orders/{id}/tasks", { params: { path: { id } } })),
  });

/** Everybody's hours and days away. */
export const useHours = () => useQuery({ queryKey: HOURS, queryFn: () => answered(server.GET("/api/hours")) });

/** Saying when people work and clients come; what is scheduled is read again after. */
export function useHoursWrites() {
  const memory = useQueryClient();
  const onSuccess = (team: TeamHours) => {
    memory.setQueryData(HOURS, team);
    void memory.invalidateQueries({ queryKey: WEEK });
  };
  const hours = useMutation({
    mutationFn: ({ person, version, skills, week }: PersonHours) =>
      answered(
        server.PUT("/api/hours/{id}", {
          params: { path: { id: person } },
          body: { version, skills: skills as Schemas["HoursIn"]["skills"], week },
        }),
      ),
    onSuccess,
  });
  const away = useMutation({
    mutationFn: ({ id, ...body }: Schemas["AwayIn"] & { id: string }) =>
      answered(server.PUT("/api/away/{id}", { params: { path: { id } }, body })),
    onSuccess,
  });
  return { hours, away };
}

/** The secret address of somebody's week, for a calendar program. */
export function useFeed(person: string) {
  const memory = useQueryClient();
  const path = { path: { id: person } };
  const onSuccess = () => void memory.invalidateQueries({ queryKey: HOURS });
  const renew = useMutation({
    mutationFn: () => answered(server.POST("/api/hours/{id}/feed", { params: path })),
    onSuccess,
  });
  const end = useMutation({
    mutationFn: () => answered(server.DELETE("/api/hours/{id}/feed", { params: path })),
    onSuccess: () => {
      renew.reset();
      onSuccess();
    },
  });
  return { renew, end };
}

/** The day on which a client comes. */
export function useClientDay() {
  const memory = useQueryClient();
  return useMutation({
    mutationFn: ({ id, ...body }: Schemas["ClientDayIn"] & { id: string }) =>
      answered(server.PUT("/api/client-days/{id}", { params: { path: { id } }, body })),
    onSuccess: () => void memory.invalidateQueries({ queryKey: WEEK }),
  });
}

/** When each order is ready, by its id, and how much is to be done until then. */
export const useEnds = () =>
  useQuery({ queryKey: [...WEEK, "ends"], queryFn: () => answered(server.GET("/api/ends")) });

/** What would move if somebody were away; nothing is stored by asking. */
export const useAwayMoves = () =>
  useMutation({
    mutationFn: ({ person, ...body }: Schemas["AwayMovesIn"] & { person: string }) =>
      answered(server.POST("/api/hours/{id}/moves", { params: { path: { id: person } }, body })),
  });

/** The same question as `usePromise`, asked anew as it changes. */
export const useCouldPromise = (of: { styles: string[]; order: string | null }, day: string, wanted: boolean) =>
  useQuery({
    queryKey: [...WEEK, "promise", of, day],
    enabled: wanted && (of.order !== null || of.styles.length > 0) && day !== "",
    queryFn: () => answered(server.POST("/api/promises", { body: { ...of, day } })),
    placeholderData: (was) => was,
  });

/** Whether a day could be promised; nothing is stored by asking. */
export const usePromise = () =>
  useMutation({ mutationFn: (body: Asked) => answered(server.POST("/api/promises", { body })) });

/** What would move where a ticket is put somewhere else; nothing is stored by asking. */
export const useWouldMove = ({ order, ...body }: TicketMove) =>
  useQuery({
    queryKey: [...WEEK, "move", order, body],
    queryFn: () => answered(server.POST("/api/orders/{id}/moves", { params: { path: { id: order } }, body })),
  });

/** Moving a ticket as it was seen, and going by that. */
export function useTicketMove() {
  const memory = useQueryClient();
  return useMutation({
    mutationFn: ({ id, ...body }: Schemas["KeptMoveIn"] & { id: string }) =>
      answered(server.PUT("/api/ticket-moves/{id}", { params: { path: { id } }, body })),
    // Where something else was moved meanwhile, that is read too.
    onSettled: () => void memory.invalidateQueries({ queryKey: WEEK }),
  });
}

/** A schedule that is made on the queue; asked for again until it is there. */
export function useNewSchedule(id: string | null) {
  const memory = useQueryClient();
  const path = { path: { id: id ?? "" } };
  const made = useQuery({
    queryKey: ["schedule", id],
    enabled: id !== null,
    queryFn: () => answered(server.GET("/api/schedules/{id}", { params: path })),
    refetchInterval: (query) => (query.state.data?.state === "queued" || query.state.error ? 500 : false),
  });
  const ask = useMutation({
    mutationFn: (one: string) => answered(server.PUT("/api/schedules/{id}", { params: { path: { id: one } } })),
    onSuccess: (schedule) => memory.setQueryData(["schedule", schedule.id], schedule),
  });
  const keep = useMutation({
    mutationFn: () => answered(server.POST("/api/schedules/{id}/keep", { params: path })),
    onSuccess: (schedule) => {
      memory.setQueryData(["schedule", schedule.id], schedule);
      void memory.invalidateQueries({ queryKey: WEEK });
    },
  });
  return { made, ask, keep };
}
