/** What there is to choose from and what it is called: kinds, styles, methods, folds, cloth. Asked once. */
import { useQuery } from "@tanstack/react-query";
import { server, answered } from "./client";
import type { components } from "./schema.gen";

type Schemas = components["schemas"];
export type Trade = Schemas["TradeOut"];
export type Kind = Schemas["KindOut"];
export type Fold = Schemas["FoldOut"];

const NOTHING: Trade = {
  kinds: [], pairs: [], methods: [], folds: [], sections: [], cloths: [], thicknesses: [], sessions: [],
}; // prettier-ignore

/** Every list there is; empty before the server has answered. */
export const useTrade = (): Trade =>
  useQuery({ queryKey: ["trade"], queryFn: () => answered(server.GET("/api/trade")), staleTime: Infinity }).data ??
  NOTHING;

/** The kind a style is of, where it is of one. */
export const kindOf = (trade: Trade, style: string): Kind | undefined =>
  trade.kinds.find((kind) => kind.styles.some((one) => one.key === style));

/** The two halves of a style that is sewn together of two, where it is. */
export const pairOf = (trade: Trade, style: string) => trade.pairs.find((pair) => pair.key === style);

export const styleOf = (trade: Trade, style: string) =>
  kindOf(trade, style)?.styles.find((one) => one.key === style) ?? undefined;

/** What a style is called. */
export const styleName = (trade: Trade, style: string): string =>
  styleOf(trade, style)?.name ?? pairOf(trade, style)?.name ?? style;

export const methodOf = (trade: Trade, method: string) => trade.methods.find((one) => one.key === method);
export const methodName = (trade: Trade, method: string): string => methodOf(trade, method)?.name ?? method;

/** A text of the server's with every method by its name. */
export const called = (trade: Trade, text: string): string =>
  trade.methods.reduce((said, { key, name }) => said.replaceAll(key, name.toLowerCase()), text);
