import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { inWords } from "../../api/client";
import { type Garment, type Order, useOutfit } from "../../api/orders";
import { useTrade } from "../../api/trade";
import { Chips } from "../../ui/chips";
import { Press } from "../../ui/press";
import { Says } from "../../ui/words";
import { apart, freeName, joined, newOf } from "./outfit";
import type { Part } from "../../api/parts";
import { Way } from "../../ui/way";

type OutfitProps = { order: Order; parts: Part[]; at: number; go: (at: number) => void };

/** What the order is made of: which part is being designed, and what can be added to it or joined. */
export function Outfit({ order, parts, at, go }: OutfitProps) {
  const outfit = useOutfit(order.id);
  // What is pressed next goes by what the outfit is then.
  const disabled = outfit.isPending;
  const [wrong, setWrong] = useState("");
  const trade = useTrade();
  const part = parts[at]!;
  const pair = trade.pairs[0];
  const halves = Object.keys(pair?.halves ?? {});
  const alone = (kind: string) => parts.find((one) => one.kind === kind && one.half === "");
  const run = (rows: Garment[]) => {
    setWrong("");
    outfit.mutate(rows, { onSuccess: () => go(0), onError: (error) => setWrong(inWords(error)) });
  };
  const fresh = (name: string, style: string, choices: Record<string, unknown> = {}): Garment => ({
    id: crypto.randomUUID(),
    version: 0,
    order: order.id,
    name: freeName(order, name),
    style,
    method: "",
    choices,
    removed: false,
    from_another_cloth: false,
  });
  const suit = parts.find((one) => one.half !== "");
  const nameOf = (kind: string) => trade.kinds.find((one) => one.key === kind)?.half ?? kind;
  const split = () =>
    suit &&
    pair &&
    run([
      ...parts
        .filter((one) => one.row.id === suit.row.id)
        .map((one) => ({ ...fresh(nameOf(one.kind), one.style, apart(pair, one.choices)), method: one.method })),
      { ...suit.row, removed: true },
    ]);
  const join = () => {
    if (!pair) return;
    const made = halves.map((kind) => {
      const { style, method, choices } = alone(kind) ?? { ...newOf(trade, kind), style: pair.halves[kind]! };
      return [kind, { style, method, choices }] as const;
    });
    run([
      fresh(pair.key, pair.key, joined(pair, Object.fromEntries(made))),
      ...halves.flatMap((kind) => alone(kind) ?? []).map((one) => ({ ...one.row, removed: true })),
    ]);
  };
  return (
    <Box display="grid" gap="8">
      {parts.length > 1 && (
        <Chips
          legend="The outfit"
          value={String(at)}
          options={parts.map((one, k) => ({ value: String(k), label: one.name }))}
          onChoose={(k) => go(Number(k))}
        />
      )}
      <Box display="flex" flexWrap="wrap" gap="8">
        {!suit &&
          halves
            .filter((kind) => !alone(kind))
            .map((kind) => (
              <Press
                key={kind}
                disabled={disabled}
                onClick={() => run([fresh(nameOf(kind), newOf(trade, kind).style)])}
              >
                {kind === "top" ? "Add a matching top" : `Add ${nameOf(kind)}`}
              </Press>
            ))}
        {part.half === "" && pair && (
          <Press disabled={disabled} onClick={join}>
            Join into a {pair.name.toLowerCase()}
          </Press>
        )}
        <chakra.span alignSelf="center" color="dye" textDecoration="underline">
          <Way to={`/orders/${order.id}/others`}>The same for others</Way>
        </chakra.span>
        {part.half !== "" && (
          <Press disabled={disabled} onClick={split}>
            Part into {halves.map(nameOf).join(" and ")}
          </Press>
        )}
        {order.garments.length > 1 && (
          <Press kind="quiet" disabled={disabled} onClick={() => run([{ ...part.row, removed: true }])}>
            Take {part.name.toLowerCase()} off
          </Press>
        )}
      </Box>
      {disabled && <chakra.p color="ink2">Changing the outfit…</chakra.p>}
      {wrong && <Says tone="wrong">{wrong}</Says>}
    </Box>
  );
}
