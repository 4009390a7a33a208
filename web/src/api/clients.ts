/** The client book: what its pages ask of the server. */
import { keepPreviousData, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { server, answered } from "./client";
import { useRowWrite } from "./rows";
import type { components } from "./schema.gen";

type Schemas = components["schemas"];
export type Client = Schemas["ClientOut"];

/** A client of whom only the name is known. */
export const BLANK = {
  phone: "",
  email: "",
  note: "",
  leave_be: "",
  keeps_measures: false,
  takes_reminders: false,
  archived: false,
};

const path = (id: string) => ({ params: { path: { id } } });

/** The book by name; `find` is part of a name, as it sounds, or of a phone number. */
export const useClients = (find = "", archived = false) =>
  useQuery({
    queryKey: ["clients", find, archived],
    queryFn: () => answered(server.GET("/api/clients", { params: { query: { find, archived } } })),
    placeholderData: keepPreviousData,
  });

export const useClient = (id: string) =>
  useQuery({ queryKey: ["client", id], queryFn: () => answered(server.GET("/api/clients/{id}", path(id))) });

/** Contacts from a vCard file. */
export function useTakeContacts() {
  const memory = useQueryClient();
  return useMutation({
    mutationFn: (body: Schemas["FileIn"]) => answered(server.POST("/api/book", { body })),
    onSuccess: () => void memory.invalidateQueries({ queryKey: ["clients"] }),
  });
}

/** All sheets of a client, newest first. */
export const useSheets = (id: string) =>
  useQuery({ queryKey: ["sheets", id], queryFn: () => answered(server.GET("/api/clients/{id}/sheets", path(id))) });

export function useClientWrites(id: string) {
  const memory = useQueryClient();
  const onSuccess = () => {
    for (const key of [["client", id], ["clients"], ["sheets"], ["bench"], ["order"]])
      void memory.invalidateQueries({ queryKey: key });
  };
  const put = useRowWrite<Client>(
    {
      scope: `client:${id}`,
      known: () => memory.getQueryData<Client>(["client", id])!,
      remember: (row) => {
        memory.setQueryData(["client", id], row);
        onSuccess();
      },
    },
    ({ id: own, ...body }) => answered(server.PUT("/api/clients/{id}", { ...path(own), body })),
  );
  const merge = useMutation({
    mutationFn: (other: string) => answered(server.POST("/api/clients/{id}/merge", { ...path(id), body: { other } })),
    onSuccess,
  });
  const erase = useMutation({ mutationFn: () => answered(server.DELETE("/api/clients/{id}", path(id))), onSuccess });
  return { put, merge, erase };
}
