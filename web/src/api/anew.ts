import type { QueryClient } from "@tanstack/react-query";

/**
 * Fetch the plan of an order again. One that is on its way was asked for before the last write, and is dropped: where there is
 * no plan yet it would otherwise be taken for the answer. Where more writes of the order wait for their turn, the last of
 * them asks.
 */
export async function planAnew(memory: QueryClient, order: string): Promise<void> {
  await memory.cancelQueries({ queryKey: ["plan", order] });
  const scope = scopeOf(order);
  if (memory.isMutating({ predicate: (one) => one.options.scope?.id === scope }) > 1) return;
  await memory.invalidateQueries({ queryKey: ["plan", order] });
}

/** Under this name the writes of an order follow one another. */
export const scopeOf = (order: string) => `write:${order}`;
