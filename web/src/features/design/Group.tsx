import { Box } from "@chakra-ui/react";
import { useEffect, useState } from "react";
import { type Choices, useMoves } from "../../api/design";
import type { Order } from "../../api/orders";
import type { Unit } from "../../lengths/units";
import { Folded } from "../../ui/folded";
import { useInSight } from "../../ui/sight";
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
  return (
    <Folded title={group.name} first={first} onOpen={setOpen}>
      <Box display="grid" gap="12" paddingBlock="8">
        {group.rows.map((row) => (
          <Drawn
            key={row.of + row.key}
            stamp={rested}
            now={open && drawn}
            {...{ order, part, row, unit, press, keep }}
          />
        ))}
      </Box>
    </Folded>
  );
}

type DrawnProps = Pick<GroupProps, "order" | "part" | "unit" | "stamp" | "press" | "keep"> & { row: Row; now: boolean };

/** A choice with what it would move, which is asked for while it is in sight. */
function Drawn({ order, part, row, unit, stamp, now, press, keep }: DrawnProps) {
  const [place, inSight] = useInSight<HTMLDivElement>();
  const moves = useMoves(order.id, part.row.name, part.half, row, stamp, now && inSight).data ?? NONE;
  return (
    <Box ref={place}>
      <OneChoice
        own={(row.of ? ((part.choices[row.of] as Chosen) ?? {}) : part.choices)[row.key]}
        place={`choice:${part.row.id}:${part.half}${row.key}`}
        {...{ row, moves, unit, press, keep }}
      />
    </Box>
  );
}

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
