import { Box, chakra } from "@chakra-ui/react";
import type { Mark as Call } from "../../api/plans";
import type { Unit } from "../../lengths/units";
import { Length } from "../../ui/length";
import { Press } from "../../ui/press";
import { Sign } from "../../ui/icons";
import { words } from "./words";
import { FileWay } from "../../ui/way";

/** Every call of the plan as a list: a sign at those that are chalked, each a way to it. */
export function AllCalls(props: {
  marks: Call[];
  ticked: Set<number>;
  name: (mark: Call) => string;
  card: string;
  at: number;
  unit: Unit;
  go: (n: number) => void;
  close: () => void;
}) {
  return (
    <Box flex="1" minHeight="0" overflowY="auto">
      <Box display="flex" gap="16" alignItems="center">
        <Press onClick={props.close}>{words.drawing}</Press>
        <FileWay href={props.card} target="_blank">
          Print all calls
        </FileWay>
      </Box>
      <chakra.table
        width="100%"
        fontSize="16px"
        marginTop="8"
        css={{ "& td": { paddingInline: "8", paddingBlock: "4" } }}
      >
        <caption>{words.all}</caption>
        <tbody>
          {props.marks.map((mark) => (
            <chakra.tr
              key={mark.n}
              background={mark.n === props.at ? "marigold" : undefined}
              color={mark.n === props.at ? "onMarigold" : undefined}
            >
              <chakra.td whiteSpace="nowrap">
                {mark.n} {props.ticked.has(mark.n) && <Sign />}
              </chakra.td>
              <td>{props.name(mark)}</td>
              <td>
                <chakra.button
                  textDecoration="underline"
                  minHeight="32px"
                  textAlign="left"
                  cursor="pointer"
                  onClick={() => props.go(mark.n)}
                >
                  {mark.name}
                </chakra.button>
              </td>
              <chakra.td textAlign="right" fontWeight={600} whiteSpace="nowrap">
                {mark.shown && <Length mm={mark.reads_mm} unit={props.unit} />}
              </chakra.td>
              <td>
                {mark.from && `from ${mark.from}, `}
                {mark.along}
              </td>
            </chakra.tr>
          ))}
        </tbody>
      </chakra.table>
    </Box>
  );
}
