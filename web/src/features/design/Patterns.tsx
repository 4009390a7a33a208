import { Box } from "@chakra-ui/react";
import { useState } from "react";
import { inWords } from "../../api/client";
import type { Order } from "../../api/orders";
import { A_PAGE, useHousePatterns, useSetPatterns } from "../../api/patterns";
import { Chips } from "../../ui/chips";
import { Folded } from "../../ui/folded";
import { Press } from "../../ui/press";
import { Way } from "../../ui/way";
import { Says } from "../../ui/words";

/** House patterns that are cut with the garments: laid beside them and chalked, as they were drawn. */
export function Patterns({ order }: { order: Order }) {
  const [page, setPage] = useState(1);
  const list = useHousePatterns(page).data ?? [];
  const set = useSetPatterns(order.id);
  // What is pressed shows at once.
  const chosen = set.isPending ? set.variables : order.patterns.map((one) => one.id);
  const cut = (count: number) => `${count} ${count === 1 ? "piece" : "pieces"}`;
  const others = list.filter((one) => order.patterns.every((mine) => mine.id !== one.id));
  const options = [
    ...order.patterns.map((one) => ({ value: one.id, label: one.name, says: cut(one.pieces) })),
    ...others.map((one) => ({
      value: one.id,
      label: one.name,
      says: cut(one.pieces.reduce((sum, piece) => sum + piece.count, 0)),
    })),
  ];
  const turn = (id: string) => set.mutate(chosen.includes(id) ? chosen.filter((one) => one !== id) : [...chosen, id]);
  return (
    <Folded title={`House patterns: ${order.patterns.map((one) => one.name).join(", ") || "none"}`}>
      <Box display="grid" gap="8" paddingBlock="8">
        {options.length > 0 ? (
          <Chips legend="Cut with the garments" value={chosen} options={options} onChoose={turn} />
        ) : (
          <p>None is kept yet. A pattern that another program drew can be.</p>
        )}
        {(page > 1 || list.length === A_PAGE) && (
          <Press onClick={() => setPage(list.length === A_PAGE ? page + 1 : 1)}>
            {list.length === A_PAGE ? "More patterns" : "The first ones"}
          </Press>
        )}
        <Way to="/patterns">Keep a pattern</Way>
        {set.error && <Says tone="wrong">{inWords(set.error)}</Says>}
      </Box>
    </Folded>
  );
}
