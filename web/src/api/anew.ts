import type { QueryClient } from "@tanstack/react-query";

/**
 * Fetch the plan of an order again. One that is on its way was asked for before the last write, and is dropped: where there is
 * no plan yet it would otherwise be taken for the answer.
 */
export async function planAnew(memory: QueryClient, order: string): Promise<void> {
  await memory.cancelQueries({ queryKey: ["plan", order] });
  await memory.invalidateQueries({ queryKey: ["plan", order] });
}
