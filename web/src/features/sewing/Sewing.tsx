import { Box, chakra } from "@chakra-ui/react";
import { fileAt } from "../../api/files";
import type { Order } from "../../api/orders";
import type { Plan } from "../../api/plans";
import { useMay } from "../../api/session";
import { useMinutes, useSew, useSewn } from "../../api/sewing";
import { announce } from "../../ui/announce";
import { FileWay } from "../../ui/way";
import { Alterations } from "./Alterations";
import { type Operation, Step } from "./Step";

type SewingProps = { order: Order; plan: Plan; planId: string };

/** How an order is sewn, step by step: ticked by whom and when, nothing before what it needs. */
export function Sewing({ order, plan, planId }: SewingProps) {
  const { id } = order;
  const sewn = useSewn(id);
  const sew = useSew(id);
  const minutes = useMinutes();
  const may = useMay();
  const steps = plan.sewing;
  const done = new Map((sewn.data ?? []).map((one) => [one.operation, one]));
  const left = steps.filter((one) => !done.has(one.id));
  const next = left.find((one) => one.needs.every((need) => done.has(need) || !steps.some((step) => step.id === need)));
  const several = new Set(steps.map((one) => one.garment)).size > 1;
  const timed = new Map((minutes.data ?? []).map((one) => [one.code, one.minutes]));
  const minutesOf = (step: Operation) => timed.get(step.code) ?? step.minutes;
  const turn = (
    step: Pick<Operation, "id" | "title">,
    typed: Record<string, string> = {},
    sure = false,
    began: string | null = null,
  ) => {
    const isSewn = !done.has(step.id);
    const ended = began && new Date().toISOString();
    const says = `${step.title}${isSewn ? "" : ", unpicked"}`;
    return sew
      .mutateAsync({ plan: planId, operation: step.id, sewn: isSewn, typed, sure, says, began, ended })
      .then((all) => {
        const means = all?.find((one) => one.operation === step.id)?.says ?? [];
        announce(`${step.title}: ${isSewn ? "done" : "unpicked"}. ${means.join(" ")}`);
      });
  };
  /** How long a band is by the waist that was read. */
  const bandOf = (step: Operation) =>
    step.code === "band" ? (done.get(`${step.garment}.measure_waist`)?.band_says ?? "") : "";
  return (
    <Box padding="16" height={{ md: "100%" }} overflowY={{ md: "auto" }} display="grid" gap="16" alignContent="start">
      <Box display="flex" flexWrap="wrap" columnGap="24" alignItems="center">
        <chakra.h1 fontSize="24px" fontWeight={600}>
          Sewing of <bdi>{order.client.name}</bdi>: {order.title}
        </chakra.h1>
        <FileWay href={fileAt(planId, "sewing.pdf")} target="_blank">
          The card, to print
        </FileWay>
      </Box>
      {steps.length === 0 && (
        <p>This plan was made before steps were kept: change anything on Design, and it is made anew.</p>
      )}
      <Alterations
        order={id}
        done={done}
        turn={may("sew") ? (operation, title) => void turn({ id: operation, title }).catch(() => undefined) : undefined}
        wrong={sew.error && { operation: sew.variables.operation, error: sew.error }}
      />
      {steps.length > 0 && (
        <chakra.p fontSize="20px" fontWeight={600}>
          {steps.length - left.length} of {steps.length} steps done
          {left.length > 0 &&
            `, about ${asTime(left.reduce((sum, one) => sum + minutesOf(one), 0))} left${timed.size ? ", by what was timed here" : " for somebody with practice"}`}
        </chakra.p>
      )}
      <chakra.ol listStyleType="none" display="grid" gap="12" maxWidth="1100px">
        {steps.map((step, k) => (
          <Step
            key={step.id}
            {...{ step, number: k + 1, plan, done: done.get(step.id), isNext: step === next }}
            under={several ? "h3" : "h2"}
            garment={several && steps[k - 1]?.garment !== step.garment ? step.garment : ""}
            way={
              steps.findIndex((one) => one.garment === step.garment) === k
                ? (plan.ways.find((one) => one.garment === step.garment)?.says ?? "")
                : ""
            }
            turn={may("sew") ? (typed, sure, began) => turn(step, typed, sure, began) : undefined}
            minutes={minutesOf(step)}
            isTimed={timed.has(step.code)}
            wrong={sew.error && sew.variables.operation === step.id ? sew.error : null}
            band={bandOf(step)}
            place={`sewing:${id}:${step.id}`}
          />
        ))}
      </chakra.ol>
    </Box>
  );
}

const asTime = (minutes: number) =>
  minutes < 60 ? `${Math.round(minutes)} min` : `${Math.floor(minutes / 60)} h ${Math.round(minutes % 60)} min`;
