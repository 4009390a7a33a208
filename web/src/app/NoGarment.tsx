import { Box } from "@chakra-ui/react";
import { useState } from "react";
import { inWords } from "../api/client";
import { useOutfit } from "../api/orders";
import { Press } from "../ui/press";
import { Says } from "../ui/words";
import { Way } from "../ui/way";

/** An order whose garment did not arrive when it was made: nothing can be measured for, designed or cut without one. */
export function NoGarment({ order }: { order: string }) {
  const outfit = useOutfit(order);
  const [id] = useState(() => crypto.randomUUID());
  const add = () =>
    outfit.mutate([
      {
        id,
        order,
        version: 0,
        name: "trousers",
        style: "straight-trousers",
        method: "",
        choices: {},
        removed: false,
        from_another_cloth: false,
      },
    ]);
  return (
    <Box padding="24" display="grid" gap="12" justifyItems="start">
      <Says tone="wrong">This order has no garment yet. Start with trousers; the style is chosen on Design.</Says>
      <Press onClick={add}>Start with trousers</Press>
      {outfit.error && <Says tone="wrong">{inWords(outfit.error)}</Says>}
      <Way to="/">Back to the Bench</Way>
    </Box>
  );
}
