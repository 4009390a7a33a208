import { Box, chakra } from "@chakra-ui/react";
import type { FormEvent } from "react";
import type { Plan } from "../../api/plans";
import type { Sewn } from "../../api/sewing";
import { type Unit, withUnit } from "../../lengths/units";
import { field } from "../../ui/field";
import { Press } from "../../ui/press";
import { Taped } from "../../ui/taped";
import { type Typed, useTyped } from "../../ui/typed";
import { Says } from "../../ui/words";

type Operation = Plan["sewing"][number];
type Reading = Operation["readings"][number];

type ReadingsProps = {
  step: Operation;
  unit: Unit;
  done: Sewn | undefined;
  place: string;
  /** Whether the server does not believe what was typed. */
  doubted: boolean;
  keep: ((typed: Record<string, string>, sure: boolean) => Promise<void>) | undefined;
};

/** What the tape should read on the sewn garment, with its sum; what it read, and what that means. */
export function Readings({ step, unit, done, place, doubted, keep }: ReadingsProps) {
  const first = useTyped(`${place}:0`, "", unit);
  const second = useTyped(`${place}:1`, "", unit);
  const fields = [first, second].slice(0, step.readings.length);
  const send = (sure: boolean) => {
    const typed = Object.fromEntries(
      step.readings.map((one, k) => [one.code, fields[k]!.typed.trim() && withUnit(fields[k]!.typed.trim(), unit)]),
    );
    void keep?.(typed, sure)
      .then(() => fields.forEach((one) => one.type("")))
      .catch(() => undefined);
  };
  const submit = (event: FormEvent) => {
    event.preventDefault();
    send(false);
  };
  return (
    <chakra.form display="grid" gap="8" onSubmit={submit} aria-label={step.title}>
      {step.readings.map((one, k) => (
        <Row
          key={one.code}
          reading={one}
          entry={fields[k]!}
          read={done?.readings.find((each) => each.code === one.code)?.typed}
          open={!!keep}
        />
      ))}
      {keep && (
        <Box display="flex" gap="8" flexWrap="wrap">
          <Press kind="main" type="submit">
            It reads so
          </Press>
          {doubted && <Press onClick={() => send(true)}>I measured again: keep it</Press>}
        </Box>
      )}
      {done && done.says.length > 0 && (
        <Says tone={done.agrees ? "good" : "wrong"}>
          {done.says.map((line) => (
            <p key={line}>
              <Taped>{line}</Taped>
            </p>
          ))}
        </Says>
      )}
    </chakra.form>
  );
}

type RowProps = { reading: Reading; entry: Typed; read: string | undefined; open: boolean };

function Row({ reading, entry, read, open }: RowProps) {
  return (
    <Box display="flex" flexWrap="wrap" gap="12" alignItems="center">
      <span>
        <b>{reading.name}</b>: it should be{" "}
        <chakra.b fontSize="20px">
          <Taped>{reading.shown}</Taped>
        </chakra.b>
        {reading.summed && (
          <chakra.span color="ink2">
            {" "}
            (<Taped>{reading.formula}</Taped>)
          </chakra.span>
        )}
      </span>
      {open ? (
        <chakra.input
          {...field}
          width="130px"
          aria-label={`${reading.name} reads`}
          placeholder="it reads"
          autoComplete="off"
          maxLength={40}
          value={entry.typed}
          onChange={(event) => entry.type(event.target.value)}
        />
      ) : (
        read !== undefined && (
          <span>
            read{" "}
            <b>
              <Taped>{read}</Taped>
            </b>
          </span>
        )
      )}
    </Box>
  );
}
