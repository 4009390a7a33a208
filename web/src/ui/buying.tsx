import { Box, chakra } from "@chakra-ui/react";
import { useMoney } from "../api/house";
import type { Plan } from "../api/plans";
import { show, spoken, type Unit } from "../lengths/units";
import { Length } from "./length";
import { Taped } from "./taped";

/** Cloth to buy, with its sum, whether a shorter lay can save any of it, and whether one is being looked for. */
export function ToBuy({ plan, unit, falls }: { plan: Plan; unit: Unit; falls?: boolean }) {
  const money = useMoney();
  if (!plan.yardage) return null;
  const mayFall = plan.yardage.least_buy_mm < plan.yardage.buy_mm - 1;
  return (
    <Box>
      <chakra.h2 fontSize="20px" fontWeight={600}>
        Cloth to buy
      </chakra.h2>
      <chakra.p fontSize="44px" fontWeight={800} lineHeight="1.1">
        <Bought mm={plan.yardage.buy_mm} unit={unit} />
      </chakra.p>
      <chakra.p color="ink2" fontSize="16px">
        <Taped>{plan.yardage.formula}</Taped>
      </chakra.p>
      <chakra.p color="ink2" fontSize="16px" aria-live="polite">
        <Taped>{plan.yardage.can_save}</Taped> {falls && mayFall && "It is being looked for."}
      </chakra.p>
      {plan.yardage.cost != null && (
        <p>
          <b>Costs {money(plan.yardage.cost)}</b> = <Taped>{plan.yardage.cost_formula}</Taped>
        </p>
      )}
    </Box>
  );
}

const YARD = 914.4;

/** "2 and a half yards" */
function saidYards(mm: number): string {
  const said = spoken(show((mm / YARD) * 25.4, "in")).replace(/ (of an inch|inch(es)?)$/, "");
  return `${said} ${mm < YARD + 1 ? "yard" : "yards"}`;
}

/** A bought length with its unit: yards by halves, or metres. */
export function Bought({ mm, unit }: { mm: number; unit: Unit }) {
  if (unit === "cm") return <>{(mm / 1000).toFixed(1)} m</>;
  return (
    <>
      <chakra.span role="img" aria-label={saidYards(mm)} whiteSpace="nowrap">
        <span aria-hidden>
          <Length mm={(mm / YARD) * 25.4} unit="in" bare />
        </span>{" "}
        {mm < YARD + 1 ? "yard" : "yards"}
      </chakra.span>
    </>
  );
}
