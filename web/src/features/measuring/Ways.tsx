import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import type { Point, useSheetWrites, Way } from "../../api/measuring";
import type { Unit } from "../../lengths/units";
import { Entry } from "../../ui/entry";
import { Length } from "../../ui/length";
import { Press } from "../../ui/press";
import { Taped } from "../../ui/taped";

type WaysProps = {
  sheet: string;
  point: Point;
  unit: Unit;
  writes: ReturnType<typeof useSheetWrites>;
  ways: Way[];
};

/** Other ways to a point: by a sum from the rest or from trousers that fit, an estimate; or a reading less its ease. */
export function Ways({ sheet, point, unit, writes, ways }: WaysProps) {
  const mine = ways.filter((way) => way.key === point.key);
  const [flat, setFlat] = useState("");
  const take = (typed: string, way: string) =>
    writes.read.mutateAsync({ id: crypto.randomUUID(), key: point.key, typed, way });
  const lay = async (typed: string) => {
    if (typed === "") return;
    const flat = await writes.flat.mutateAsync({ key: point.key, typed, unit });
    await take(flat.typed, "flat");
    setFlat(typed);
  };
  return (
    <chakra.details marginTop="4">
      <chakra.summary fontWeight={600}>Another way</chakra.summary>
      <Box as="ul" listStyleType="none" display="grid" gap="12">
        {mine.map((way) => (
          <chakra.li key={way.code} display="flex" gap="12" alignItems="center" justifyContent="space-between">
            <span>
              ≈{" "}
              <b>
                <Length mm={way.mm} unit={unit} />
              </b>{" "}
              <Taped>{way.formula}</Taped> = <Taped>{way.with}</Taped>
              <chakra.span display="block" color="ink2" fontSize="16px">
                {way.about}
                {way.differs_mm != null && (
                  <>
                    {" "}
                    What was taken differs by <Length mm={Math.abs(way.differs_mm)} unit={unit} />.
                  </>
                )}
              </chakra.span>
            </span>
            <Press whiteSpace="nowrap" onClick={() => void take(way.typed, way.code)}>
              Use it
            </Press>
          </chakra.li>
        ))}
        {point.flat != null && (
          <li>
            <Entry
              label={
                <>
                  Trousers that fit, laid flat:{" "}
                  <chakra.span fontWeight="400" color="ink2">
                    {point.name},{" "}
                    {point.flat === 2 ? "straight across; counted twice, with their own ease" : "along them"}
                  </chakra.span>
                </>
              }
              name={`flat-${point.key}`}
              unit={unit}
              saved={flat}
              place={`flat:${sheet}:${point.key}`}
              keep={lay}
            />
          </li>
        )}
      </Box>
      <chakra.p color="ink2" marginTop="12">
        Is ease in what the tape says, or was it read over clothes? Type it off: <b>38 less 2</b>.
      </chakra.p>
    </chakra.details>
  );
}
