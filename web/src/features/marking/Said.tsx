import { Box, chakra } from "@chakra-ui/react";
import type { Mark as Call, Plan } from "../../api/plans";
import { pieceName } from "../../drawing/names";
import type { Unit } from "../../lengths/units";
import { Sign } from "../../ui/icons";
import { Length } from "../../ui/length";
import { words } from "./words";
import { Taped } from "../../ui/taped";

/** Which call of which piece: a long outfit is followed piece by piece. */
export function Heading({ plan, mark, ticked }: { plan: Plan; mark: Call; ticked: boolean }) {
  const key = (one: Call) => `${one.garment}.${one.panel}`;
  const mine = plan.marks.filter((one) => key(one) === key(mark));
  const pieces = [...new Set(plan.marks.map(key))];
  return (
    <chakra.p color="ink2" fontSize="16px" data-call-n={mark.n} data-calls={plan.marks.length}>
      Call {mine.indexOf(mark) + 1} of {mine.length}, {pieceName(plan, mark).toLowerCase()}; piece{" "}
      {pieces.indexOf(key(mark)) + 1} of {pieces.length}
      {ticked && (
        <chakra.span color="moss" fontWeight={600} whiteSpace="nowrap">
          {" "}
          <Sign /> chalked
        </chakra.span>
      )}
    </chakra.p>
  );
}

/** The number of a call, or what is done where it has none. */
export function Figure({ mark, hidden, unit, bare }: { mark: Call; hidden: boolean; unit: Unit; bare?: boolean }) {
  if (!mark.shown) return <chakra.span fontSize="0.6em">{words.does[mark.kind]}</chakra.span>;
  return hidden ? "?" : <Length mm={mark.reads_mm} unit={unit} bare={bare} />;
}

export function FromTo({ mark, size = "24px" }: { mark: Call; size?: string }) {
  return (
    <chakra.p fontSize={{ base: "20px", md: size }} lineHeight="1.3">
      {mark.from && (
        <>
          from{" "}
          <b>
            <Taped>{mark.from}</Taped>
          </b>
          ,{" "}
        </>
      )}
      <Taped>{mark.along}</Taped>
    </chakra.p>
  );
}

export function Why({ mark, hidden }: { mark: Call; hidden: boolean }) {
  return (
    <Box marginTop="12" fontSize="17px">
      {!hidden && mark.shown && (
        <Box background="well" padding="8" paddingInline="12" borderRadius="cut">
          <p>
            <Taped>{mark.formula}</Taped>
          </p>
          <chakra.p fontWeight={600}>
            <Taped>{mark.with}</Taped> {mark.exact ? "=" : "≈"} <Taped>{mark.shown}</Taped>
          </chakra.p>
        </Box>
      )}
      <chakra.p color="ink2" marginTop="8" fontSize="16px">
        <Taped>{mark.reason}</Taped>
      </chakra.p>
      {mark.waits && (
        <chakra.p color="madder" marginTop="8">
          {words.waits}
        </chakra.p>
      )}
    </Box>
  );
}
