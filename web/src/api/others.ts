/** The same outfit for several clients: what its page asks of the server. */
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { inWords, server, answered } from "./client";
import { BLANK } from "./clients";
import type { components } from "./schema.gen";

type Schemas = components["schemas"];
export type Group = Schemas["GroupOut"];
export type Member = Schemas["MemberOut"];

/** While lays are searched the table is read anew so often, in ms. */
const SEARCHED = 3000;

const path = (id: string) => ({ params: { path: { id } } });

export const useGroup = (order: string) =>
  useQuery({
    queryKey: ["group", order],
    queryFn: () => answered(server.GET("/api/orders/{id}/group", path(order))),
    // While shorter lays are looked for, what they bring is shown.
    refetchInterval: ({ state }) => (state.data?.searching ? SEARCHED : false),
  });

/** What can be done with the group of an order; after each the table is read anew. */
export function useGroupWrites(order: string) {
  const memory = useQueryClient();
  const onSettled = async () => {
    void memory.invalidateQueries({ queryKey: ["bench"] });
    void memory.invalidateQueries({ queryKey: ["order", order] });
    await memory.invalidateQueries({ queryKey: ["group", order] });
  };
  /** The outfit for one more client, known or new; all ids are given, so that twice is once. */
  const add = useMutation({
    mutationFn: async (one: { id: string; client: string; name: string; known: boolean }) => {
      if (!one.known)
        await answered(
          server.PUT("/api/clients/{id}", { ...path(one.client), body: { version: 0, name: one.name, ...BLANK } }),
        );
      return answered(
        server.PUT("/api/orders/{id}/same", { ...path(one.id), body: { of: order, client: one.client } }),
      );
    },
    onSettled,
  });
  const spread = useMutation({
    mutationFn: () => answered(server.POST("/api/orders/{id}/spread", path(order))),
    onSettled,
  });
  // One after the other: what is planned is planned with the sizes that were typed before.
  const scope = { id: `sizes:${order}` };
  /** A reading under an id of its own: sent again, it is the same reading. */
  const read = useMutation({
    scope,
    mutationFn: ({ id, ...one }: { id: string; sheet: string; key: string; typed: string }) =>
      answered(server.PUT("/api/readings/{id}", { ...path(id), body: { way: "tape", note: "", ...one } })),
    onSettled,
  });
  /** Plans made one after the other; what cannot be planned is answered in words, by order. */
  const plan = useMutation({
    scope,
    mutationFn: async (members: Member[]) => {
      const refused: Record<string, string> = {};
      for (const { order: id, lined } of members) {
        try {
          for (const cloth of lined ? (["main", "other"] as const) : (["main"] as const)) {
            const made = await answered(
              server.POST("/api/orders/{id}/plan", { params: { path: { id }, query: { cloth } } }),
            );
            // Its lay is looked through by itself, as that of every plan; who may not ask for it does without.
            await answered(server.POST("/api/plans/{id}/search", path(made.id))).catch(() => undefined);
          }
        } catch (error) {
          refused[id] = inWords(error as Error);
        }
        await memory.invalidateQueries({ queryKey: ["group", order] });
      }
      return refused;
    },
    // Who is planned now is on the cloth of all.
    onSettled: () => memory.invalidateQueries({ queryKey: ["plan", order, "all"] }),
  });
  return { add, spread, read, plan };
}
