/** What a row of Design asks, and how it is written. */
import type { Option } from "../../ui/chips";

/** The garment as it stands: a choice's own value, else the usual one. */
export type Now = { style: string; method: string; joined?: boolean; value: (key: string) => string };
type Base = { key: string; legend: string; hint: string; when?: (now: Now) => boolean };
export type Row =
  | (Base & { kind: "rule"; options: Option[] })
  | (Base & { kind: "some"; options: Option[] })
  | (Base & { kind: "length"; unset?: string; of?: "allowances" });

export const rule = (
  key: string,
  legend: string,
  hint: string,
  options: [string, string][],
  when?: Base["when"],
): Row => ({
  kind: "rule",
  key,
  legend,
  hint,
  options: options.map(([value, label]) => ({ value, label })),
  when,
});
export const length = (key: string, legend: string, hint: string, unset?: string, when?: Base["when"]): Row => ({
  kind: "length",
  key,
  legend,
  hint,
  unset,
  when,
});
export const seam = (key: string, legend: string, hint: string, when?: Base["when"]): Row => ({
  kind: "length",
  of: "allowances",
  key,
  legend,
  hint,
  when,
});
