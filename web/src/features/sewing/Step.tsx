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
import { useTyped } from "../../ui/typed";
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
  /** How its garment is put together, and why so, where that begins here. */
  way: string;
  turn: ((typed: Record<string, string>, sure: boolean, began: string | null) => Promise<void>) | undefined;
  /** How long it takes, and whether that was timed in this workshop. */
  minutes: number;
  isTimed: boolean;
  wrong: Error | null;
  /** How long the band is by the waist that was read, in words. */
  band: string;
  place: string;
};

/** One step: done by a tick, or by what the tape reads; what is sewn is drawn beside it. */
export function Step({
  step,
  number,
  plan,
  done,
  isNext,
  garment,
  under,
  way,
  turn,
  minutes,
  isTimed,
  wrong,
  band,
  place,
}: StepProps) {
  const unit = plan.unit as Unit;
  const measures = step.readings.length > 0;
  const began = useTyped(`${place}:began`, "");
  const end = (typed: Record<string, string>, sure: boolean) =>
    turn!(typed, sure, began.typed || null).then(() => began.type(""));
  const press = () => void end({}, false).catch(() => undefined);
  return (
    <chakra.li>
      {garment && (
        <chakra.h2 fontSize="20px" fontWeight={600} paddingBlock="8">
          {garmentName(garment)}
        </chakra.h2>
      )}
      {way && <chakra.p paddingBottom="8">{way}</chakra.p>}
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
            <chakra.span color="ink2">
              {minutes > 0 && `${Math.round(minutes)} min${isTimed ? " here" : ""}`}
            </chakra.span>
            {!done && turn && (isNext || began.typed) && (
              <Press
                kind="quiet"
                aria-label={began.typed ? `${step.title}: stop the clock` : `${step.title}: begin`}
                onClick={() => began.type(began.typed ? "" : new Date().toISOString())}
              >
                {began.typed ? `Begun ${moment(began.typed)}: stop the clock` : "Begin"}
              </Press>
            )}
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
          {step.press && (
            <p>
              <b>Press:</b> <Taped>{step.press}</Taped>
            </p>
          )}
          {step.check && (
            <p>
              <b>Look:</b> <Taped>{step.check}</Taped>
            </p>
          )}
          {measures && (
            <Readings
              {...{ step, unit, done, place }}
              doubted={(wrong as Refused | null)?.code === "reading_doubted"}
              keep={done || !turn ? undefined : end}
            />
          )}
          {band && (
            <Says tone="plain">
              <Taped>{band}</Taped>
            </Says>
          )}
          <chakra.p color="ink2" fontSize="16px">
            {step.allowance_mm ? (
              <>
                <Length mm={step.allowance_mm} unit={unit} /> allowance.{" "}
              </>
            ) : null}
            {step.stitch && `Stitch: ${step.stitch_name} (${step.stitch}). `}
            {step.seam_class > 0 && `Seam: ${step.seam_class_name} (class ${step.seam_class}). `}
            {step.tools.length > 0 && `With: ${step.tools.join(", ")}.`}
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
