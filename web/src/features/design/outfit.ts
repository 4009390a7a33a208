/** The parts of an outfit as Design changes them: a garment, or one of the two halves of one that is sewn together. */
import type { Choices } from "../../api/design";
import type { Garment, Order } from "../../api/orders";
import { kindOf, pairOf, type Trade } from "../../api/trade";

/** Empty for a garment by itself; a half is called by its kind. */
export type Half = string;
/** What a style is made by and with; a garment has it, and each half of two that are sewn together. */
export type Made = { style: string; method: string; choices: Record<string, unknown> };
export type Chosen = Record<string, unknown>;
export type Row = Choices["groups"][number]["rows"][number];
export type Part = Made & { row: Garment; half: Half; kind: string; name: string };

const made = (row: Garment, half: Half): Made => {
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
