import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { Link } from "react-router";
import { inWords } from "../../api/client";
import { type Garment, type Order, useOutfit } from "../../api/shop";
import { Chips } from "../../ui/chips";
import { Press } from "../../ui/press";
import { JUMPSUIT } from "../../ui/trade";
import { Says } from "../../ui/words";
import { apart, freeName, joined, NEW_LOWER, NEW_TOP, type Part } from "./outfit";

type OutfitProps = { order: Order; parts: Part[]; at: number; go: (at: number) => void };

/** What the order is made of: which part is being designed, and what can be added to it or joined. */
export function Outfit({ order, parts, at, go }: OutfitProps) {
  const outfit = useOutfit(order.id);
  const [wrong, setWrong] = useState("");
  const part = parts[at]!;
  const top = parts.find((one) => one.top && one.half === "");
  const lower = parts.find((one) => !one.top && one.half === "");
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
  const split = () =>
    suit &&
    run([
      ...parts
        .filter((one) => one.row.id === suit.row.id)
        .map((one) => ({ ...fresh(one.top ? "top" : "trousers", one.style, apart(one.choices)), method: one.method })),
      { ...suit.row, removed: true },
    ]);
  const join = () =>
    run([
      fresh("jumpsuit", JUMPSUIT, joined(top ?? { ...NEW_TOP, style: "bodice" }, lower ?? NEW_LOWER)),
      ...[top, lower].flatMap((one) => (one ? [{ ...one.row, removed: true }] : [])),
    ]);
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
        {!top && !suit && <Press onClick={() => run([fresh("top", NEW_TOP.style)])}>Add a matching top</Press>}
        {!lower && !suit && <Press onClick={() => run([fresh("trousers", NEW_LOWER.style)])}>Add trousers</Press>}
        {part.half === "" && <Press onClick={join}>Join into a jumpsuit</Press>}
        <chakra.span alignSelf="center" color="dye" textDecoration="underline">
          <Link to={`/orders/${order.id}/others`}>The same for others</Link>
        </chakra.span>
        {part.half !== "" && <Press onClick={split}>Part into top and trousers</Press>}
        {order.garments.length > 1 && (
          <Press kind="quiet" onClick={() => run([{ ...part.row, removed: true }])}>
            Take {part.name.toLowerCase()} off
          </Press>
        )}
      </Box>
      {outfit.isPending && <chakra.p color="ink2">Changing the outfit…</chakra.p>}
      {wrong && <Says tone="wrong">{wrong}</Says>}
    </Box>
  );
}
