/** Where two drafts of one body differ, and by how much. */
import type { Plan } from "../../api/plans";

export type Difference = { key: string; name: string; one: number; other: number; why: [string, string] };

/** A difference under this many mm is none. */
const UNSEEN = 0.5;

/** Every number both drafts have, net, where they are apart; the largest first. */
export function differences(one: Plan, other: Plan): Difference[] {
  return Object.entries(one.numbers)
    .flatMap(([key, number]) => {
      const against = other.numbers[key];
      if (!against || Math.abs(number.net_mm - against.net_mm) < UNSEEN) return [];
      const why: [string, string] = [number.formula, against.formula];
      return [{ key, name: number.name ?? key, one: number.net_mm, other: against.net_mm, why }];
    })
    .sort((a, b) => Math.abs(b.one - b.other) - Math.abs(a.one - a.other));
}
