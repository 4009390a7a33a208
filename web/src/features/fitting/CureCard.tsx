import { Box, chakra } from "@chakra-ui/react";
import type { Cure } from "../../api/fitting";
import { Moved } from "../../drawing/Moved";
import { show, text, type Unit } from "../../lengths/units";
import { Length } from "../../ui/length";
import { Press } from "../../ui/press";
import { Taped } from "../../ui/taped";
import { Says } from "../../ui/words";

/** "+ 1/2 in" */
export const signed = (mm: number, unit: Unit) => `${mm < 0 ? "\u2212" : "+"} ${text(show(Math.abs(mm), unit))}`;

type CureProps = {
  cure: Cure;
  first: boolean;
  unit: Unit;
  client: string;
  busy: boolean;
  /** Keeps it for every draft of the client, or for this garment alone; nothing for who may not. */
  keep: ((only: boolean) => void) | undefined;
};

/** One cure on the client's own draft: what it changes in numbers and lines, and where this garment can take it. */
export function CureCard({ cure, first, unit, client, busy, keep }: CureProps) {
  return (
    <chakra.li
      display="grid"
      gap="8"
      padding="12"
      background="sheet"
      border="1px solid {colors.hairline}"
      borderLeft={first ? "7px solid {colors.marigoldDeep}" : "1px solid {colors.hairline}"}
      borderRadius="cut"
    >
      <chakra.h3 fontSize="18px" fontWeight={600}>
        {first ? "First: " : "Then: "}
        <Taped>{cure.name}</Taped>
      </chakra.h3>
      <Box display="flex" flexWrap="wrap" gap="16" alignItems="start">
        <Box flex="1" minWidth="240px" display="grid" gap="8">
          <chakra.ul listStyleType="none">
            {cure.changes.map((one) => (
              <li key={one.choice}>
                {one.name}{" "}
                <b>
                  <Taped>{signed(one.by_mm, unit)}</Taped>
                </b>
                <chakra.span color="ink2" fontSize="16px">
                  {" "}
                  (<Taped>{one.says}</Taped>)
                </chakra.span>
              </li>
            ))}
          </chakra.ul>
          <Says tone={cure.state === "refused" ? "wrong" : "plain"}>
            <Taped>{cure.says}</Taped>
          </Says>
          {keep && cure.state === "changes" && (
            <Box display="flex" flexWrap="wrap" gap="8">
              <Press kind={first ? "main" : undefined} disabled={busy} onClick={() => keep(false)}>
                Keep for {client}’s drafts
              </Press>
              <Press disabled={busy} onClick={() => keep(true)}>
                For this garment alone
              </Press>
            </Box>
          )}
        </Box>
        {cure.moved && <Moved move={cure.moved} size={150} />}
      </Box>
      {cure.numbers.length > 0 && <Numbers cure={cure} unit={unit} />}
    </chakra.li>
  );
}

const cell = { paddingInline: "8", paddingBlock: "4", textAlign: "right" } as const;

function Numbers({ cure, unit }: { cure: Cure; unit: Unit }) {
  return (
    <chakra.table fontSize="16px" aria-label={`What changes: ${cure.name}`}>
      <thead>
        <tr>
          <chakra.th {...cell} textAlign="left" fontWeight={600}>
            Number
          </chakra.th>
          <chakra.th {...cell}>was</chakra.th>
          <chakra.th {...cell}>would be</chakra.th>
        </tr>
      </thead>
      <tbody>
        {cure.numbers.map((one) => (
          <chakra.tr key={one.key} borderTop="1px solid {colors.hairline}">
            <chakra.th scope="row" {...cell} textAlign="left" fontWeight={400}>
              {one.name}
              <chakra.span display="block" color="ink2" fontSize="14px">
                <Taped>{one.formula}</Taped>
              </chakra.span>
            </chakra.th>
            <chakra.td {...cell}>
              <Length mm={one.was_mm} unit={unit} />
            </chakra.td>
            <chakra.td {...cell} fontWeight={600}>
              <Length mm={one.now_mm} unit={unit} />
            </chakra.td>
          </chakra.tr>
        ))}
      </tbody>
    </chakra.table>
  );
}
