import { Box, chakra } from "@chakra-ui/react";
import type { Mark, Piece, Plan } from "../../api/plans";
import { pieceName } from "../../drawing/names";
import type { Unit } from "../../lengths/units";
import { Length } from "../../ui/length";
import { Taped } from "../../ui/taped";

type NextCallProps = { plan: Plan; piece: Piece | null; mark: Mark; nth: number; of: number };

/** The call that is next, large beside what is thrown. */
export function NextCall({ plan, piece, mark, nth, of }: NextCallProps) {
  return (
    <Box position="fixed" left="16px" top="16px" maxWidth="36vw">
      <chakra.p fontSize="18px">
        {piece ? pieceName(plan, piece) : "The lay"}, call {nth} of {of}
      </chakra.p>
      <chakra.p fontSize="34px" fontWeight={600} lineHeight="1.15">
        {mark.name}
      </chakra.p>
      {mark.shown && (
        <chakra.p fontSize="64px" fontWeight={800} lineHeight="1.1" color="#F0B22E">
          <Length mm={mark.reads_mm} unit={plan.unit as Unit} />
        </chakra.p>
      )}
      <chakra.p fontSize="20px">
        {mark.from && (
          <>
            from <Taped>{mark.from}</Taped>,{" "}
          </>
        )}
        <Taped>{mark.along}</Taped>
      </chakra.p>
      {mark.formula && (
        <chakra.p fontSize="18px">
          <Taped>{mark.formula}</Taped>
        </chakra.p>
      )}
    </Box>
  );
}
