/** The parts of an outfit: a garment, or one of the two halves of one that is sewn together. */
import type { Garment, Order } from "./orders";
import { kindOf, pairOf, type Trade } from "./trade";

/** Empty for a garment by itself; a half is called by its kind. */
export type Half = string;
/** What a style is made by and with; a garment has it, and each half of two that are sewn together. */
export type Made = { style: string; method: string; choices: Record<string, unknown> };
export type Part = Made & { row: Garment; half: Half; kind: string; name: string };

export const made = (row: Garment, half: Half): Made => {
  const own = ((row.choices as Record<string, unknown>)[half] ?? {}) as Partial<Made>;
  return { style: own.style ?? "", method: own.method ?? "", choices: own.choices ?? {} };
};
const called = (name: string) => (name[0] ?? "").toUpperCase() + name.slice(1).replaceAll("-", " ");

/** Everything that can be designed in an order, in the order it was added. */
export function partsOf(order: Order, trade: Trade): Part[] {
  return order.garments.flatMap((row): Part[] => {
    const pair = pairOf(trade, row.style);
    if (!pair) {
      const { style, method, choices } = row;
      return [{ row, half: "", style, method, choices, kind: kindOf(trade, style)?.key ?? "", name: called(row.name) }];
    }
    return Object.keys(pair.halves).map((half) => ({
      row,
      half,
      ...made(row, half),
      kind: half,
      name: `${called(row.name)}, ${trade.kinds.find((kind) => kind.key === half)?.half}`,
    }));
  });
}
