import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { type Chalk, useControlTapes } from "../../api/chalk";
import { inWords } from "../../api/client";
import type { Mark as Call, Plan } from "../../api/plans";
import type { XY } from "../../drawing/frame";
import { pieceName } from "../../drawing/names";
import { useLine } from "../../offline/line";
import { type Unit, withUnit } from "../../lengths/units";
import { field } from "../../ui/field";
import { Length } from "../../ui/length";
import { Press } from "../../ui/press";
import { Says } from "../../ui/words";
import { Taped } from "../../ui/taped";

type ControlsProps = {
  plan: Plan;
  chalk: Chalk;
  mark: Call;
  unit: Unit;
  /** Whether this person may read them in. */
  reads: boolean;
  /** Draws a tape on the cloth, or none. */
  show: (tape: [XY, XY] | null) => void;
  go: (call: number) => void;
};

/** When a piece is chalked: a few tapes that no mark was made with, and which mark a wrong reading comes from. */
export function Controls({ plan, chalk, mark, unit, reads, show, go }: ControlsProps) {
  const { controls, read } = useControlTapes(chalk.id, mark.garment, mark.panel);
  const line = useLine();
  const tapes = controls.data?.tapes ?? [];
  const verdict = controls.data?.verdict;
  if (!controls.data && !line) {
    return (
      <chakra.p color="ink2" marginTop="12">
        The control tapes of this piece come when the line is back. Do not cut before.
      </chakra.p>
    );
  }
  if (!tapes.length) return null;
  const left = tapes.filter((one) => one.typed === null).length;
  return (
    <Box as="section" aria-label="Control tapes" marginTop="16" paddingTop="12" borderTop="1px solid {colors.edge}">
      <chakra.h2 fontSize="20px" fontWeight={600}>
        Control tapes, {pieceName(plan, mark).toLowerCase()}
      </chakra.h2>
      <chakra.p color="ink2" fontSize="16px">
        No mark was made with these. Read each before you cut.
      </chakra.p>
      {read.isSuccess && read.data === null && (
        <chakra.p color="ink2" fontSize="16px">
          What you read waits on this device; what it means is said when the line is back.
        </chakra.p>
      )}
      {read.error && <Says tone="wrong">{inWords(read.error)}</Says>}
      {verdict?.agrees && (
        <Says tone="good">{left ? `So far they agree; ${left} to read.` : "They agree: this piece may be cut."}</Says>
      )}
      {verdict && !verdict.agrees && (
        <Says tone="wrong">
          <p>
            {verdict.may_cut ? "They do not agree." : "They do not agree: do not cut."}{" "}
            {verdict.suspects.length ? "What explains it best:" : "No single mark explains it: read them again."}
          </p>
          <ul>
            {verdict.suspects.map((one) => (
              <li key={one.call}>
                <chakra.button
                  textDecoration="underline"
                  textAlign="left"
                  cursor="pointer"
                  minHeight="32px"
                  onClick={() => go(one.call)}
                >
                  <Taped>{one.says}</Taped>
                </chakra.button>
              </li>
            ))}
          </ul>
        </Says>
      )}
      <chakra.ol listStyleType="none" onMouseLeave={() => show(null)}>
        {tapes.map((tape) => (
          <Row
            key={`${mark.garment} ${mark.panel} ${tape.n} ${tape.typed}`}
            tape={tape}
            unit={unit}
            reads={reads}
            look={() => show((tape.cloth_mm as [XY, XY] | null) ?? null)}
            read={(typed) => {
              const says = `control tape from ${tape.from_} to ${tape.to}: ${typed || "reads so"}`;
              // It may wait to be sent for longer than the workshop keeps its unit.
              read.mutate({ id: crypto.randomUUID(), tape: tape.n, typed: withUnit(typed, unit), says });
            }}
          />
        ))}
      </chakra.ol>
    </Box>
  );
}

type Read = { n: number; from_: string; to: string; mm: number; typed: string | null; off_mm: number; agrees: boolean };
type RowProps = { tape: Read; unit: Unit; reads: boolean; look: () => void; read: (typed: string) => void };

function Row({ tape, unit, reads, look, read }: RowProps) {
  const [typed, setTyped] = useState(tape.typed ?? "");
  const off = !tape.agrees;
  return (
    <chakra.li
      paddingBlock="8"
      borderBottom="1px solid {colors.hairline}"
      fontSize="16px"
      onMouseEnter={look}
      onFocus={look}
    >
      <Box display="flex" gap="12" alignItems="baseline" justifyContent="space-between">
        <span>
          from <b>{tape.from_}</b> to <b>{tape.to}</b>
        </span>
        <chakra.span fontSize="26px" fontWeight={800} whiteSpace="nowrap">
          <Length mm={tape.mm} unit={unit} bare />
        </chakra.span>
      </Box>
      {reads && (
        <Box display="flex" gap="8" marginTop="4" alignItems="center">
          <Press
            paddingInline="12"
            aria-pressed={tape.typed === ""}
            background={tape.typed === "" ? "mossSoft" : undefined}
            onClick={() => read("")}
          >
            Reads so
          </Press>
          <chakra.input
            {...field}
            width="110px"
            aria-label={`Reads, from ${tape.from_} to ${tape.to}`}
            placeholder="or type it"
            value={typed}
            borderColor={off ? "madder" : "edge"}
            onChange={(event) => setTyped(event.target.value)}
            onKeyDown={(event) => event.key === "Enter" && typed.trim() && read(typed.trim())}
            onBlur={() => typed.trim() && typed.trim() !== (tape.typed ?? "") && read(typed.trim())}
          />
          {tape.typed !== null && (
            <chakra.span color={off ? "madder" : "moss"} fontWeight={600}>
              {off ? (
                <>
                  <Length mm={Math.abs(tape.off_mm)} unit={unit} /> {tape.off_mm > 0 ? "more" : "less"}
                </>
              ) : (
                "agrees"
              )}
            </chakra.span>
          )}
        </Box>
      )}
    </chakra.li>
  );
}
