import { Box, chakra } from "@chakra-ui/react";
import { inWords, type Refused } from "../../api/client";
import type { Plan } from "../../api/plans";
import type { Sewn } from "../../api/sewing";
import { garmentName } from "../../drawing/names";
import type { Unit } from "../../lengths/units";
import { moment } from "../../ui/day";
import { Length } from "../../ui/length";
import { Press } from "../../ui/press";
import { Taped } from "../../ui/taped";
import { Says } from "../../ui/words";
import { Readings } from "./Readings";
import { StepDrawing } from "./StepDrawing";

export type Operation = Plan["sewing"][number];

type StepProps = {
  step: Operation;
  number: number;
  plan: Plan;
  done: Sewn | undefined;
  isNext: boolean;
  /** Its garment's id where that begins here and is not the only one. */
  garment: string;
  under: "h2" | "h3";
  turn: ((typed: Record<string, string>, sure: boolean) => Promise<void>) | undefined;
  wrong: Error | null;
  /** How long the band is by the waist that was read, in mm. */
  band: number | null;
  place: string;
};

/** One step: done by a tick, or by what the tape reads; what is sewn is drawn beside it. */
export function Step({ step, number, plan, done, isNext, garment, under, turn, wrong, band, place }: StepProps) {
  const unit = plan.unit as Unit;
  const measures = step.readings.length > 0;
  const press = () => void turn?.({}, false).catch(() => undefined);
  return (
    <chakra.li>
      {garment && (
        <chakra.h2 fontSize="20px" fontWeight={600} paddingBlock="8">
          {garmentName(garment)}
        </chakra.h2>
      )}
      <Box
        display="grid"
        gridTemplateColumns={{ base: "1fr", md: "1fr auto" }}
        gap="12"
        padding="12"
        background={done ? "well" : "sheet"}
        border="1px solid {colors.hairline}"
        borderLeft={isNext ? "7px solid {colors.marigoldDeep}" : "1px solid {colors.hairline}"}
        borderRadius="cut"
      >
        <Box minWidth="0" display="grid" gap="4" alignContent="start">
          <Box display="flex" flexWrap="wrap" gap="12" alignItems="center">
            {(done || !measures) && (
              <Press
                aria-pressed={!!done}
                aria-label={`${step.title}: ${done ? "unpick" : "done"}`}
                disabled={!turn}
                onClick={press}
              >
                {done ? (measures ? "Measure again" : "Unpick") : "Done"}
              </Press>
            )}
            <Box as={under} fontSize="18px" fontWeight={600}>
              {number}. {step.title}
            </Box>
            <chakra.span color="ink2">{step.minutes > 0 && `${step.minutes} min`}</chakra.span>
          </Box>
          {wrong && (
            <Says tone="wrong">
              <Taped>{inWords(wrong)}</Taped>
            </Says>
          )}
          {done && (
            <chakra.p color="ink2" fontSize="16px">
              Done by {done.by || "somebody"}, {moment(done.at)}
            </chakra.p>
          )}
          {step.says.map((line) => (
            <p key={line}>
              <Taped>{line}</Taped>
            </p>
          ))}
          {measures && (
            <Readings
              {...{ step, unit, done, place }}
              doubted={(wrong as Refused | null)?.code === "reading_doubted"}
              keep={done ? undefined : turn}
            />
          )}
          {band !== null && (
            <Says tone="plain">
              By the waist that was read, the band is <Length mm={band} unit={unit} /> long.
            </Says>
          )}
          <chakra.p color="ink2" fontSize="16px">
            {step.allowance_mm ? (
              <>
                <Length mm={step.allowance_mm} unit={unit} /> allowance
                {step.stitch && ", "}
              </>
            ) : null}
            {step.stitch && `${step.stitch_name} (${step.stitch})`}
          </chakra.p>
          {step.cautions.map((line) => (
            <chakra.b key={line} fontSize="16px">
              {line}
            </chakra.b>
          ))}
        </Box>
        <StepDrawing plan={plan} step={step} />
      </Box>
    </chakra.li>
  );
}
