import { Box, chakra } from "@chakra-ui/react";
import { type FormEvent, memo, useState } from "react";
import { inWords, Refused } from "../api/client";
import { type Drafted, type Plan, useOwnNumber } from "../api/plans";
import { garmentName } from "../drawing/names";
import { UNIT, type Unit } from "../lengths/units";
import { field, Label } from "./field";
import { Folded } from "./folded";
import { Press } from "./press";
import { Says } from "./words";
import { Taped } from "./taped";

type OwnProps = { plan: Plan; of: Drafted; unit: Unit; first?: string };

/** A number worked out by hand beside the plan's: how far off it is, what that would do, the slip it looks like. */
export const OwnNumber = memo(function OwnNumber({ plan, of, unit, first }: OwnProps) {
  const garments = [...new Set(plan.panels.map((panel) => panel.garment))];
  const keys = Object.keys(plan.numbers).filter((key) => plan.numbers[key]!.net_mm !== 0);
  const [key, setKey] = useState(
    first && keys.includes(first) ? first : keys.find((one) => one.endsWith("waist_width")),
  );
  const [typed, setTyped] = useState("");
  const asked = useOwnNumber(of);
  const name = (one: string) => {
    const whose = garments.find((garment) => one.startsWith(`${garment}.`)) ?? "";
    const called = plan.numbers[one]!.name || one;
    return garments.length > 1 ? `${garmentName(whose)}: ${called}` : called;
  };
  const send = (event: FormEvent) => {
    event.preventDefault();
    if (key && typed.trim()) asked.mutate({ key, typed: typed.trim() });
  };
  const refused = asked.error instanceof Refused ? asked.error.problems?.[0] : undefined;
  const answer = asked.data;
  return (
    <Box marginTop="12">
      <Folded title="Check my own number">
        <chakra.form onSubmit={send} display="grid" gap="8" noValidate>
          <Label text="Which">
            <chakra.select
              {...field}
              value={key}
              onChange={(event) => {
                setKey(event.target.value);
                asked.reset();
              }}
            >
              {keys.map((one) => (
                <option key={one} value={one}>
                  {name(one)}
                </option>
              ))}
            </chakra.select>
          </Label>
          <Box display="flex" gap="8" alignItems="end">
            <Label text={`Mine, in ${UNIT[unit].name}`}>
              <chakra.input
                {...field}
                value={typed}
                inputMode="text"
                autoComplete="off"
                maxLength={40}
                onChange={(event) => {
                  setTyped(event.target.value);
                  asked.reset();
                }}
              />
            </Label>
            <Press type="submit" disabled={!typed.trim() || asked.isPending}>
              Compare
            </Press>
          </Box>
          {asked.error && (
            <Says tone="wrong">{refused ? `${refused.what}. ${refused.mend}` : inWords(asked.error)}</Says>
          )}
          {answer && (
            <Says tone={answer.right ? "good" : "plain"}>
              {answer.says.map((said) => (
                <p key={said}>
                  <Taped>{said}</Taped>
                </p>
              ))}
            </Says>
          )}
        </chakra.form>
      </Folded>
    </Box>
  );
});
