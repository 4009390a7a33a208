/** The people of the workshop, and the way in by invitation. */
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { server, answered } from "./client";
import type { components } from "./schema.gen";

type Schemas = components["schemas"];
export type Role = Schemas["PersonIn"]["role"];
export type Person = Schemas["PersonOut"];
export type Seen = Schemas["SeenOut"];

const path = (id: string) => ({ params: { path: { id } } });

export const useTeam = () => useQuery({ queryKey: ["team"], queryFn: () => answered(server.GET("/api/people")) });

/** A page of who saw what, of one client or (without an id) of all. */
export const useSeen = (client: string, page: number) =>
  useQuery({
    queryKey: ["seen", client, page],
    queryFn: () => answered(server.GET("/api/seen", { params: { query: { client: client || undefined, page } } })),
    gcTime: 0,
  });

export function useTeamWrites() {
  const memory = useQueryClient();
  const onSuccess = () => void memory.invalidateQueries({ queryKey: ["team"] });
  const put = useMutation({
    mutationFn: ({ id, role, works_here }: Person) =>
      answered(server.PUT("/api/people/{id}", { ...path(id), body: { role: role as Role, works_here } })),
    onSuccess,
  });
  const invite = useMutation({
    mutationFn: ({ id, ...body }: Schemas["InvitationIn"] & { id: string }) =>
      answered(server.PUT("/api/invitations/{id}", { ...path(id), body })),
    onSuccess,
  });
  const withdraw = useMutation({
    mutationFn: (id: string) => answered(server.DELETE("/api/invitations/{id}", path(id))),
    onSuccess,
  });
  const link = useMutation({
    mutationFn: (person: string) =>
      answered(server.PUT("/api/password-links/{id}", { ...path(crypto.randomUUID()), body: { person } })),
    onSuccess,
  });
  return { put, invite, withdraw, link };
}

const by = (token: string) => ({ params: { path: { token } } });

/** What the first owner says of the workshop. */
export type House = Schemas["FirstHouseIn"];

export const useWelcome = (token: string) =>
  useQuery({
    queryKey: ["welcome", token],
    queryFn: () => answered(server.GET("/api/session/join/{token}", by(token))),
    staleTime: Infinity,
  });

export const useJoin = (token: string) =>
  useMutation({
    mutationFn: (body: Schemas["JoinIn"]) => answered(server.POST("/api/session/join/{token}", { ...by(token), body })),
  });
