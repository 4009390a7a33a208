import { Box, chakra } from "@chakra-ui/react";
import { useParams } from "react-router";
import { fileAt } from "../../api/files";
import { useOrder } from "../../api/orders";
import { usePlan } from "../../api/plans";
import { useMay } from "../../api/session";
import { useSew, useSewn } from "../../api/sewing";
import { announce } from "../../ui/announce";
import { Unworkable } from "../../ui/findings";
import { useTitle } from "../../ui/title";
import { FileWay, Way } from "../../ui/way";
import { Says } from "../../ui/words";
import { type Operation, Step } from "./Step";

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
  const turn = (step: Operation, typed: Record<string, string> = {}, sure = false) => {
    const isSewn = !done.has(step.id);
    const says = `${step.title}${isSewn ? "" : ", unpicked"}`;
    return sew.mutateAsync({ plan: plan.data!.id, operation: step.id, sewn: isSewn, typed, sure, says }).then((all) => {
      const means = all?.find((one) => one.operation === step.id)?.says ?? [];
      announce(`${step.title}: ${isSewn ? "done" : "unpicked"}. ${means.join(" ")}`);
    });
  };
  /** How long a band is by the waist that was read. */
  const bandOf = (step: Operation) =>
    step.code === "band" ? (done.get(`${step.garment}.measure_waist`)?.band_mm ?? null) : null;
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
          {left.length > 0 &&
            `, about ${asTime(left.reduce((sum, one) => sum + one.minutes, 0))} left for somebody with practice`}
        </chakra.p>
      )}
      <chakra.ol listStyleType="none" display="grid" gap="12" maxWidth="1100px">
        {steps.map((step, k) => (
          <Step
            key={step.id}
            {...{ step, number: k + 1, plan: plan.data!.plan, done: done.get(step.id), isNext: step === next }}
            under={several ? "h3" : "h2"}
            garment={several && steps[k - 1]?.garment !== step.garment ? step.garment : ""}
            turn={may("sew") ? (typed, sure) => turn(step, typed, sure) : undefined}
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
