import { chakra } from "@chakra-ui/react";
import type { ReactNode } from "react";
import { Taped } from "./taped";

/** A column: its head; whether it is of numbers, and whether a phone does without it. */
export type Column = { head: string; number?: boolean; wide?: boolean };

/** Rows under their heads, the first cell naming its row; words are set as a tape has them. */
export function Rows(props: {
  caption: string;
  columns: Column[];
  rows: { key: string; cells: ReactNode[] }[];
  full?: boolean;
}) {
  const { caption, columns, rows, full } = props;
  const cell = columns.map(({ number, wide }) => ({
    paddingBlock: "4",
    paddingInlineEnd: "16",
    verticalAlign: "baseline",
    textAlign: number ? ("right" as const) : ("left" as const),
    ...(wide && { display: { base: "none", md: "table-cell" } }),
  }));
  return (
    <chakra.table fontSize="16px" width={full ? "100%" : undefined} aria-label={caption}>
      {columns.some((one) => one.head) && (
        <thead>
          <tr>
            {columns.map((one, k) => (
              <chakra.th key={one.head} {...cell[k]} color="ink2" fontWeight={600}>
                {one.head}
              </chakra.th>
            ))}
          </tr>
        </thead>
      )}
      <tbody>
        {rows.map(({ key, cells: [named, ...others] }) => (
          <chakra.tr key={key} borderTop="1px solid {colors.hairline}">
            <chakra.th scope="row" {...cell[0]} fontWeight={400} overflowWrap={full ? "anywhere" : undefined}>
              {set(named)}
            </chakra.th>
            {others.map((value, k) => (
              <chakra.td key={k} {...cell[k + 1]}>
                {set(value)}
              </chakra.td>
            ))}
          </chakra.tr>
        ))}
      </tbody>
    </chakra.table>
  );
}

const set = (value: ReactNode) => (typeof value === "string" ? <Taped>{value}</Taped> : value);

/** Where a number comes from, or what else is said of it, under it. */
export const Under = ({ children }: { children: ReactNode }) => (
  <chakra.span display="block" color="ink2" fontSize="15px">
    {set(children)}
  </chakra.span>
);
