/** The parts of an outfit as Design changes them: a garment, or one of a jumpsuit's two halves. */
import type { Garment, Order } from "../../api/shop";
import { JUMPSUIT, TOPS } from "../../ui/trade";

export type Half = "" | "top" | "lower";
/** What a style is made by and with; a garment has it, and each half of a jumpsuit. */
export type Made = { style: string; method: string; choices: Record<string, unknown> };
export type Part = Made & { row: Garment; half: Half; top: boolean; name: string };

const made = (row: Garment, half: "top" | "lower"): Made => {
  const own = ((row.choices as Record<string, unknown>)[half] ?? {}) as Partial<Made>;
  return { style: own.style ?? "", method: own.method ?? "", choices: own.choices ?? {} };
};
const called = (name: string) => (name[0] ?? "").toUpperCase() + name.slice(1).replaceAll("-", " ");

/** Everything that can be designed in an order, in the order it was added. */
export function partsOf(order: Order): Part[] {
  return order.garments.flatMap((row): Part[] => {
    if (row.style !== JUMPSUIT) {
      const { style, method, choices } = row;
      return [{ row, half: "", style, method, choices, top: style in TOPS, name: called(row.name) }];
    }
    return (["top", "lower"] as const).map((half) => ({
      row,
      half,
      ...made(row, half),
      top: half === "top",
      name: `${called(row.name)}, ${half === "top" ? "top" : "trousers"}`,
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

/** A name that no garment of the order has. */
export function freeName(order: Order, wanted: string): string {
  const taken = new Set(order.garments.map((one) => one.name));
  for (let n = 1; ; n++) {
    const name = n === 1 ? wanted : `${wanted}-${n}`;
    if (!taken.has(name)) return name;
  }
}

/** What the lower half decides for a top that is sewn to it. */
const OF_THE_SEAM = ["closure", "zip_edge", "waist_ease", "top_length", "hem_shape", "side_slit"];
const OF_A_WAIST = ["waist_finish", "band", "band_depth", "yoke", "belt_loops", "closure", "waist_cleanup"];
const without = (choices: Record<string, unknown>, keys: string[]) =>
  Object.fromEntries(Object.entries(choices).filter(([key]) => !keys.includes(key)));

/** A jumpsuit of a top and a lower garment, without the choices that its seam now makes. */
export function joined(top: Made, lower: Made): Record<string, unknown> {
  return {
    top: { style: top.style, method: "", choices: without(top.choices, OF_THE_SEAM) },
    lower: { style: lower.style, method: lower.method, choices: without(lower.choices, OF_A_WAIST) },
  };
}

/** A half's choices by itself again. */
export const apart = (choices: Record<string, unknown>) => without(choices, ["waist_join"]);

export const NEW_TOP: Made = { style: "straight-top", method: "", choices: {} };
export const NEW_LOWER: Made = { style: "straight-trousers", method: "", choices: {} };
