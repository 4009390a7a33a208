import { Box, chakra } from "@chakra-ui/react";
import { useWidths } from "../../api/plans";
import type { Unit } from "../../lengths/units";
import { Length } from "../../ui/length";
import { Bought } from "../../ui/buying";
import { Says } from "../../ui/words";

/** What the same pieces need on other cloth. */
export function ByWidth({ plan, unit }: { plan: string; unit: Unit }) {
  const asked = useWidths(plan);
  const rows = asked.data ?? [];
  const widths = [...new Set(rows.map((row) => row.width_mm))].sort((a, b) => a - b);
  const cell = {
    paddingBlock: "4",
    paddingInline: "8",
    textAlign: "right",
    borderBottom: "1px solid {colors.hairline}",
  } as const;
  if (asked.error) return <Says tone="wrong">The other widths could not be worked out. Try again in a moment.</Says>;
  if (!widths.length) return <p>Laying the pieces on other widths…</p>;
  const buy = (width: number, fold: string) => rows.find((row) => row.width_mm === width && row.fold === fold)?.buy_mm;
  return (
    <Box role="region" aria-label="On other widths" tabIndex={0} overflowX="auto">
      <chakra.table fontSize="16px" maxWidth="640px" width="100%">
        <chakra.caption textAlign="left" fontSize="20px" fontWeight={600}>
          Cloth to buy on other widths
        </chakra.caption>
        <thead>
          <tr>
            <chakra.th {...cell} textAlign="left">
              width
            </chakra.th>
            {widths.map((width) => (
              <chakra.th key={width} {...cell}>
                <Length mm={width} unit={unit} bare />
              </chakra.th>
            ))}
          </tr>
        </thead>
        <tbody>
          {[
            ["folded", "lengthwise-centre"],
            ["open", "open"],
          ].map(([name, fold]) => (
            <tr key={fold}>
              <chakra.th {...cell} textAlign="left" fontWeight="400" scope="row">
                {name}
              </chakra.th>
              {widths.map((width) => {
                const mm = buy(width, fold!);
                return (
                  <chakra.td key={width} {...cell}>
                    {mm == null ? "too narrow" : <Bought mm={mm} unit={unit} />}
                  </chakra.td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </chakra.table>
    </Box>
  );
}
