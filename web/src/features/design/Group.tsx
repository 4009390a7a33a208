import { Box } from "@chakra-ui/react";
import { useEffect, useMemo, useState } from "react";
import { type Choices, type Move, useMoves } from "../../api/design";
import type { Order } from "../../api/orders";
import type { Unit } from "../../lengths/units";
import { Folded } from "../../ui/folded";
import { NONE, OneChoice } from "./OneChoice";
import type { Part } from "../../api/parts";
import type { Chosen, Row } from "./outfit";

type GroupProps = {
  order: Order;
  part: Part;
  group: Choices["groups"][number];
  unit: Unit;
  stamp: string;
  /** Open from the start. */
  first: boolean;
  /** The draft is there: what else is drawn can be asked for. */
  drawn: boolean;
  press: (row: Row, value: string) => void;
  keep: (row: Row, typed: string) => Promise<unknown>;
};

/** Choices that belong together, folded away until they are wanted; each drawn as what it would move. */
export function Group({ order, part, group, unit, stamp, first, drawn, press, keep }: GroupProps) {
  const [open, setOpen] = useState(first);
  // The draft itself comes first: what else it could be is asked for when a hand rests.
  const rested = useRested(stamp, RESTS);
  const moves = useMoves(order.id, part.row.name, part.half, group.key, rested, open && drawn).data;
  const byRow = useMemo(() => {
    const found = new Map<string, Move[]>();
    for (const move of moves ?? []) found.set(rowOf(move), [...(found.get(rowOf(move)) ?? []), move]);
    return found;
  }, [moves]);
  return (
    <Folded title={group.name} first={first} onOpen={setOpen}>
      <Box display="grid" gap="12" paddingBlock="8">
        {group.rows.map((row) => (
          <OneChoice
            key={row.of + row.key}
            moves={byRow.get(rowOf(row)) ?? NONE}
            own={(row.of ? ((part.choices[row.of] as Chosen) ?? {}) : part.choices)[row.key]}
            place={`choice:${part.row.id}:${part.half}${row.key}`}
            {...{ row, unit, press, keep }}
          />
        ))}
      </Box>
    </Folded>
  );
}

const rowOf = ({ of, key }: { of: string; key: string }) => `${of}.${key}`;

/** So long nothing was changed, in ms. */
const RESTS = 700;

/** A value once it has not changed for a while; at first as it is. */
function useRested(value: string, ms: number): string {
  const [rested, setRested] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setRested(value), ms);
    return () => clearTimeout(timer);
  }, [value, ms]);
  return rested;
}
