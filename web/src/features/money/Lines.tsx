import { chakra } from "@chakra-ui/react";
import type { Quote } from "../../api/money";
import { Taped } from "../../ui/taped";

const cell = { paddingBlock: "4", paddingInlineEnd: "12", verticalAlign: "top" } as const;

const row = (line: Quote["lines"][number]) => (
  <chakra.tr key={`${line.code}${line.title}`} borderTop="1px solid {colors.hairline}">
    <chakra.th scope="row" {...cell} fontWeight={400} textAlign="left" overflowWrap="anywhere">
      <Taped>{line.title}</Taped>
      {line.summed && (
        <chakra.span display="block" color="ink2" fontSize="15px">
          <Taped>{line.summed}</Taped>
        </chakra.span>
      )}
    </chakra.th>
    <chakra.td {...cell} textAlign="right" whiteSpace="nowrap">
      {line.amount || "no price"}
    </chakra.td>
  </chakra.tr>
);

/** The lines of a quote: each with where its amount comes from; at the foot the total, and what of it is tax. */
export function Lines({ quote, caption }: { quote: Quote; caption: string }) {
  return (
    <chakra.table width="100%" fontSize="17px" aria-label={caption}>
      <tbody>{quote.lines.filter((line) => line.counts).map(row)}</tbody>
      <tfoot>
        <chakra.tr borderTop="2px solid {colors.ink}">
          <chakra.th scope="row" {...cell} textAlign="left" fontSize="20px">
            Total
          </chakra.th>
          <chakra.td {...cell} textAlign="right" fontSize="26px" fontWeight={800} whiteSpace="nowrap">
            {quote.total}
          </chakra.td>
        </chakra.tr>
        {quote.lines.filter((line) => !line.counts).map(row)}
      </tfoot>
    </chakra.table>
  );
}
