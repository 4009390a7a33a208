/** What the workshop settles for itself, and what one does for oneself. */
import { withCurrency } from "../ui/money";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { answered, server } from "./client";
import type { components } from "./schema.gen";
import { readAllAnew, useMe } from "./session";

type Schemas = components["schemas"];
export type House = Schemas["HouseOut"];
export type Me = Schemas["Me"];

/** While the unit is being changed, it is asked so often whether that is done, in ms. */
const OFTEN = 1000;

/** The workshop's settings, and changing some of them: only what is given changes. */
export function useHouse() {
  const memory = useQueryClient();
  const house = useQuery({
    queryKey: ["workshop"],
    queryFn: async () => {
      const now = await answered(server.GET("/api/workshop"));
      // When the unit has turned, every page that shows a length is read anew.
      if (now.unit !== memory.getQueryData<Me>(["me"])?.unit) await readAllAnew(memory);
      return now;
    },
    refetchInterval: ({ state }) => (state.data?.turning_to ? OFTEN : false),
  });
  const onSuccess = async (now: House) => {
    memory.setQueryData(["workshop"], now);
    await memory.invalidateQueries({ queryKey: ["me"] });
  };
  const scope = { id: "workshop" };
  const settling = {
    scope,
    mutationFn: (changes: Schemas["HouseIn"]) => answered(server.PATCH("/api/workshop", { body: changes })),
    onSuccess,
  };
  // What is typed says beside its field what is wrong with it; what is picked has a line of its own.
  const settle = useMutation(settling);
  const pick = useMutation(settling);
  const turn = useMutation({
    scope,
    mutationFn: (unit: House["unit"]) => answered(server.PUT("/api/workshop/unit", { body: { unit } })),
    onSuccess,
  });
  return { house, settle, pick, turn };
}

/** What one settles for oneself; shown at once, as it was where it is refused. */
export function useOwn() {
  const memory = useQueryClient();
  return useMutation({
    scope: { id: "own" },
    mutationFn: (changes: Partial<Pick<Me, "light" | "single_keys">>) =>
      answered(server.PATCH("/api/session/own", { body: changes as Schemas["OwnIn"] })),
    onMutate: (changes) => {
      const was = memory.getQueryData<Me>(["me"]);
      if (was) memory.setQueryData<Me>(["me"], { ...was, ...changes });
      return was;
    },
    onSuccess: (me) => memory.setQueryData(["me"], me),
    onError: (_error, _changes, was) => memory.setQueryData(["me"], was),
  });
}

/** A price with the workshop's currency, where it has one. */
export function useMoney(): (amount: string) => string {
  const currency = useMe().data?.currency;
  return (amount) => withCurrency(amount, currency ?? "");
}
