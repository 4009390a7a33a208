import { Box, chakra } from "@chakra-ui/react";
import { useParams } from "react-router";
import { inWords } from "../../api/client";
import { fileAt } from "../../api/files";
import { useOrder } from "../../api/orders";
import { type Plan, usePlan } from "../../api/plans";
import { useMay } from "../../api/session";
import { type Sewn, useSew, useSewn } from "../../api/sewing";
import { garmentName } from "../../drawing/names";
import type { Unit } from "../../lengths/units";
import { announce } from "../../ui/announce";
import { moment } from "../../ui/day";
import { Unworkable } from "../../ui/findings";
import { Length } from "../../ui/length";
import { Press } from "../../ui/press";
import { Taped } from "../../ui/taped";
import { useTitle } from "../../ui/title";
import { FileWay, Way } from "../../ui/way";
import { Says } from "../../ui/words";
import { StepDrawing } from "./StepDrawing";

type Operation = Plan["sewing"][number];

/** How an order is sewn, step by step: ticked by whom and when, nothing before what it needs. */
export function Sewing() {
  const { id = "" } = useParams();
  const order = useOrder(id);
  const plan = usePlan(id, "main", "", "", true);
  const sewn = useSewn(id);
  const sew = useSew(id);
  const may = useMay();
  useTitle(["Sewing", order.data?.client.name, order.data?.title].filter(Boolean).join(", "));
  if (order.error) {
    return (
      <Box padding="24">
        <Says tone="wrong">{order.error.message}</Says> <Way to="/">Back to the Bench</Way>
      </Box>
    );
  }
  const steps = plan.data?.plan.sewing ?? [];
  const done = new Map((sewn.data ?? []).map((one) => [one.operation, one]));
  const left = steps.filter((one) => !done.has(one.id));
  const next = left.find((one) => one.needs.every((need) => done.has(need) || !steps.some((step) => step.id === need)));
  const several = new Set(steps.map((one) => one.garment)).size > 1;
  const turn = (step: Operation) => {
    const isSewn = !done.has(step.id);
    sew.mutate(
      { plan: plan.data!.id, operation: step.id, sewn: isSewn, says: `${step.title}${isSewn ? "" : ", unpicked"}` },
      { onSuccess: () => announce(`${step.title}: ${isSewn ? "done" : "unpicked"}`) },
    );
  };
  return (
    <Box padding="16" height="100%" overflowY="auto" display="grid" gap="16" alignContent="start">
      <Box>
        <chakra.h1 fontSize="24px" fontWeight={600}>
          Sewing{order.data && ` of ${order.data.client.name}: ${order.data.title}`}
        </chakra.h1>
        <Box display="flex" flexWrap="wrap" gap="16">
          <Way to={`/orders/${id}/check`}>Back to the order</Way>
          {plan.data && (
            <FileWay href={fileAt(plan.data.id, "sewing.pdf")} target="_blank">
              The card, to print
            </FileWay>
          )}
        </Box>
      </Box>
      {plan.error && <Unworkable error={plan.error} order={id} />}
      {!plan.data && !plan.error && <p>Fetching the steps…</p>}
      {steps.length > 0 && (
        <chakra.p fontSize="20px" fontWeight={600}>
          {steps.length - left.length} of {steps.length} steps done
          {left.length > 0 && `, about ${asTime(left.reduce((sum, one) => sum + one.minutes, 0))} left`}
        </chakra.p>
      )}
      <chakra.ol listStyleType="none" display="grid" gap="12" maxWidth="1100px">
        {steps.map((step, k) => (
          <Step
            key={step.id}
            {...{ step, number: k + 1, plan: plan.data!.plan, done: done.get(step.id), isNext: step === next }}
            under={several ? "h3" : "h2"}
            garment={several && steps[k - 1]?.garment !== step.garment ? garmentName(step.garment) : ""}
            turn={may("sew") ? () => turn(step) : undefined}
            wrong={sew.error && sew.variables.operation === step.id ? inWords(sew.error) : ""}
          />
        ))}
      </chakra.ol>
    </Box>
  );
}

const asTime = (minutes: number) =>
  minutes < 60 ? `${Math.round(minutes)} min` : `${Math.floor(minutes / 60)} h ${Math.round(minutes % 60)} min`;

type StepProps = {
  step: Operation;
  number: number;
  plan: Plan;
  done: Sewn | undefined;
  isNext: boolean;
  garment: string;
  under: "h2" | "h3";
  turn: (() => void) | undefined;
  wrong: string;
};

function Step({ step, number, plan, done, isNext, garment, under, turn, wrong }: StepProps) {
  const unit = plan.unit as Unit;
  return (
    <chakra.li>
      {garment && (
        <chakra.h2 fontSize="20px" fontWeight={600} paddingBlock="8">
          {garment}
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
            <Press
              aria-pressed={!!done}
              aria-label={`${step.title}: ${done ? "unpick" : "done"}`}
              disabled={!turn}
              onClick={turn}
            >
              {done ? "Unpick" : "Done"}
            </Press>
            <Box as={under} fontSize="18px" fontWeight={600}>
              {number}. {step.title}
            </Box>
            <chakra.span color="ink2">{step.minutes > 0 && `${step.minutes} min`}</chakra.span>
          </Box>
          {wrong && <Says tone="wrong">{wrong}</Says>}
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
          <chakra.p color="ink2" fontSize="16px">
            {step.allowance_mm ? (
              <>
                <Length mm={step.allowance_mm} unit={unit} /> allowance
                {step.stitch && ", "}
              </>
            ) : null}
            {step.stitch && `${step.stitch_name} (${step.stitch})`}
            {step.size_mm ? (
              <>
                It should be <Length mm={step.size_mm} unit={unit} />
              </>
            ) : null}
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
