import { Box, chakra } from "@chakra-ui/react";
import { type FormEvent, type ReactNode, useState } from "react";
import { inWords } from "../api/client";
import type { Grade } from "../api/practice";
import { TapeMarks } from "../drawing/TapeMarks";
import { read, show, text, UNIT, type Unit } from "../lengths/units";
import { field, Label } from "./field";
import { Press } from "./press";
import { Says } from "./words";
import { Taped } from "./taped";

type ByTapeProps = {
  unit: Unit;
  label: string;
  error: Error | null;
  busy: boolean;
  answer: (typed: string) => void;
};

/** A number that one works out oneself: put a thumb on the tape, or type it. */
export function ByTape({ unit, label, error, busy, answer }: ByTapeProps) {
  const [typed, setTyped] = useState("");
  const send = (event: FormEvent) => {
    event.preventDefault();
    if (typed.trim()) answer(typed.trim());
  };
  return (
    <chakra.form onSubmit={send} noValidate display="grid" gap="12">
      <TapeMarks
        mm={thumbAt(typed, unit)}
        unit={unit}
        label={`${label} on the tape`}
        move={(mm) => setTyped(text(show(mm, unit)).replace(` ${unit}`, ""))}
      />
      <Box display="flex" gap="8" alignItems="end">
        <Box flex="1">
          <Label text={`${label}, in ${UNIT[unit].name}`}>
            <chakra.input
              {...field}
              fontSize="26px"
              fontWeight={600}
              value={typed}
              autoComplete="off"
              inputMode="text"
              maxLength={40}
              onChange={(event) => setTyped(event.target.value)}
            />
          </Label>
        </Box>
        <Press type="submit" kind="main" minHeight="56px" disabled={!typed.trim() || busy}>
          Compare
        </Press>
      </Box>
      {error && <Says tone="wrong">{inWords(error)}</Says>}
    </chakra.form>
  );
}

/** In mm; at the tape's end where what is typed is no length (yet). */
function thumbAt(typed: string, unit: Unit): number {
  try {
    return read(typed, unit);
  } catch {
    return 0;
  }
}

/** How an answer was: right, or the slip it looks like; and the sum. */
export function Graded({ grade, children }: { grade: Grade; children?: ReactNode }) {
  return (
    <Says tone={grade.right ? "good" : "wrong"}>
      {grade.says.map((said, k) => (
        <chakra.p key={said} fontWeight={k === 0 ? 600 : 400}>
          <Taped>{said}</Taped>
        </chakra.p>
      ))}
      <chakra.p color="ink" marginTop="8">
        <Taped>{grade.formula}</Taped>
        <br />
        <Taped>{grade.with_}</Taped> ={" "}
        <b>
          <Taped>{grade.shown}</Taped>
        </b>
      </chakra.p>
      {children}
    </Says>
  );
}
