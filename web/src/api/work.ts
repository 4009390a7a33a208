/** What the work of the workshop has shown, and the rules of the house that come of it. */
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { answered, server } from "./client";
import type { components } from "./schema.gen";

type Schemas = components["schemas"];
export type Work = Schemas["WorkOut"];
export type Recurring = Schemas["RecurringOut"];
export type HouseCorrection = Schemas["HouseCorrectionOut"];

const KEY = ["work"];

/** Minutes, readings by whom, corrections that recur and the rules made of them, for an owner. */
export const useWork = () => useQuery({ queryKey: KEY, queryFn: () => answered(server.GET("/api/work")) });

/** What recurs is made a rule of the house, or such a rule is dropped: drafts are made anew. */
export function useHouseCorrections() {
  const memory = useQueryClient();
  const onSuccess = (work: Work) => {
    memory.setQueryData(KEY, work);
    for (const what of ["design", "moves", "draft", "plan"]) void memory.invalidateQueries({ queryKey: [what] });
  };
  const keep = useMutation({
    mutationFn: ({ kind, method, choice }: Recurring) => {
      const [id, body] = [crypto.randomUUID(), { kind, method, choice }];
      return answered(server.PUT("/api/house-corrections/{id}", { params: { path: { id } }, body }));
    },
    onSuccess,
  });
  const drop = useMutation({
    mutationFn: ({ id }: HouseCorrection) =>
      answered(server.DELETE("/api/house-corrections/{id}", { params: { path: { id } } })),
    onSuccess,
  });
  return { keep, drop };
}
