/** The calls of a piece as a table for paper, and the pieces that are cut. */
import { Box, chakra } from "@chakra-ui/react";
import type { ReactNode } from "react";
import type { Mark, Plan } from "../../api/plans";
import { pieceName } from "../../drawing/names";
import type { Unit } from "../../lengths/units";
import { Length } from "../../ui/length";
import { Taped } from "../../ui/taped";
import { under } from "./Section";
import { words } from "./words";

/** Calls that follow one another on the same piece belong together. */
export function byPiece(marks: readonly Mark[]): Mark[][] {
  const groups: Mark[][] = [];
  for (const mark of marks) {
    const last = groups.at(-1)?.[0];
    if (last && last.garment === mark.garment && last.panel === mark.panel) groups.at(-1)!.push(mark);
    else groups.push([mark]);
  }
  return groups;
}

/** Each piece with how often it is cut. */
export function CutList({ plan }: { plan: Plan }) {
  return (
    <chakra.ul listStyleType="none" marginTop="8" css={{ columns: 2 }}>
      {plan.pieces.map((piece) => (
        <li key={piece.id}>
          <b>{pieceName(plan, piece)}</b>, cut {piece.count}
          {piece.on_fold ? " on the fold" : piece.pair ? ", left and right" : ""}
        </li>
      ))}
    </chakra.ul>
  );
}

type CallTableProps = { plan: Plan; marks: readonly Mark[]; unit: Unit; ticked: ReadonlySet<number>; code?: ReactNode };

/** A tick for the chalk, the number large, where the tape is, its sum. */
export function CallTable({ plan, marks, unit, ticked, code }: CallTableProps) {
  return (
    <chakra.table width="100%" marginTop="12" css={{ "& tr": { breakInside: "avoid" } }}>
      <chakra.caption textAlign="left" fontWeight={600} fontSize="17px">
        <Box as="span" display="flex" justifyContent="space-between" alignItems="end">
          {pieceName(plan, marks[0]!)}
          {code}
        </Box>
      </chakra.caption>
      <tbody>
        {marks.map((mark) => (
          <chakra.tr key={mark.n} borderBottom="1px solid #999" verticalAlign="top">
            <chakra.td width="54px">
              <chakra.span
                display="inline-block"
                width="12px"
                height="12px"
                border="1px solid black"
                background={ticked.has(mark.n) ? "black" : undefined}
                marginRight="8"
              />
              {mark.n}
            </chakra.td>
            <chakra.th scope="row" textAlign="left" fontWeight={600} width="30%">
              {mark.name}
            </chakra.th>
            <chakra.td textAlign="right" fontWeight={600} fontSize="20px" whiteSpace="nowrap" paddingInline="12">
              {mark.shown && <Length mm={mark.reads_mm} unit={unit} />}
            </chakra.td>
            <chakra.td fontSize="14px">
              {mark.from && `from ${mark.from}, `}
              {mark.along}
              <br />
              <Taped>{mark.formula}</Taped>
              {mark.waits && <Warning>{words.waits}</Warning>}
              {under(plan, mark.n) && <Warning>{words.under}</Warning>}
            </chakra.td>
          </chakra.tr>
        ))}
      </tbody>
    </chakra.table>
  );
}

const Warning = ({ children }: { children: string }) => (
  <chakra.b display="block" fontSize="14px">
    {children}
  </chakra.b>
);
