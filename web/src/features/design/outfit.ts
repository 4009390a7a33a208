/** The parts of an outfit as Design changes them. */
import type { Choices } from "../../api/design";
import type { Garment, Order } from "../../api/orders";
import { type Half, type Made, made } from "../../api/parts";
import type { Trade } from "../../api/trade";

export type Chosen = Record<string, unknown>;
export type Row = Choices["groups"][number]["rows"][number];

/** A garment with one of its parts changed. */
export function changed(row: Garment, half: Half, change: (now: Made) => Made): Garment {
  if (half === "") {
    const { style, method, choices } = row;
    return { ...row, ...change({ style, method, choices }) };
  }
  return { ...row, choices: { ...row.choices, [half]: change(made(row, half)) } };
}

/** One choice made; what is usual, or emptied, is left out. */
export const chosen =
  (row: Row, value: string) =>
  (now: Made): Made => {
    const choices: Chosen = { ...now.choices };
    const set: Chosen = row.of ? { ...((choices[row.of] as Chosen) ?? {}) } : choices;
    if (row.kind === "some") {
      const had = (choices[row.key] as string[] | undefined) ?? [];
      const next = had.includes(value) ? had.filter((one) => one !== value) : [...had, value];
      if (next.length) choices[row.key] = next;
      else delete choices[row.key];
    } else if (value === "" || (row.kind === "rule" && value === row.usual)) delete set[row.key];
    else set[row.key] = value;
    if (row.of) choices[row.of] = set;
    return { ...now, choices };
  };

/** A name that no garment of the order has. */
export function freeName(order: Order, wanted: string): string {
  const taken = new Set(order.garments.map((one) => one.name));
  for (let n = 1; ; n++) {
    const name = n === 1 ? wanted : `${wanted}-${n}`;
    if (!taken.has(name)) return name;
  }
}

type Pair = Trade["pairs"][number];
const without = (choices: Record<string, unknown>, keys: string[]) =>
  Object.fromEntries(Object.entries(choices).filter(([key]) => !keys.includes(key)));

/** The choices of a garment sewn together of `parts`, by kind, without those that its seam now makes. */
export function joined(pair: Pair, parts: Record<string, Made>): Record<string, unknown> {
  return Object.fromEntries(
    Object.keys(pair.halves).map((kind) => {
      const { style, method, choices } = parts[kind]!;
      return [kind, { style, method, choices: without(choices, pair.left_out[kind] ?? []) }];
    }),
  );
}

/** A half's choices by itself again. */
export const apart = (pair: Pair, choices: Record<string, unknown>) => without(choices, pair.of_seam);

/** A garment of a kind as one starts it. */
export const newOf = (trade: Trade, kind: string): Made => ({
  style: trade.kinds.find((one) => one.key === kind)?.start ?? "",
  method: "",
  choices: {},
});
