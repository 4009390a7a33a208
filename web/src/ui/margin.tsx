import { Box, chakra } from "@chakra-ui/react";
import { Fragment, type ReactNode } from "react";
import { Link } from "react-router";
import { Refused } from "../api/client";
import type { Plan } from "../api/shop";
import { garmentName, outfitOf } from "../drawing/names";
import type { Unit } from "../lengths/units";
import { Length } from "./length";

/** What each level of the ledger is called. */
export const LEVELS: Record<string, string> = {
  neck: "Neck",
  bust: "Bust",
  armhole: "Armhole",
  upper_arm: "Upper arm",
  top_hem: "Hem",
  waist: "Waist",
  hip: "Hip",
  thigh: "Thigh",
  knee: "Knee",
  hem: "Hem",
};

/** A station's sheet with its margin at the right; below it on a phone, where the page scrolls as one. */
export function WithMargin({ children }: { children: ReactNode }) {
  return (
    <Box height={{ md: "100%" }} display="flex" flexDirection={{ base: "column", md: "row" }} minHeight="0">
      {children}
    </Box>
  );
}

/** The column at the right: what the numbers mean now. */
export function Margin({ children }: { children: ReactNode }) {
  return (
    <Box
      as="aside"
      aria-label="Margin"
      background="sheet"
      borderLeft={{ md: "1px solid {colors.hairline}" }}
      borderTop={{ base: "1px solid {colors.hairline}", md: "0" }}
      padding="16"
      width={{ md: "margin" }}
      flexShrink="0"
      overflowY={{ md: "auto" }}
      display="grid"
      gap="16"
      alignContent="start"
    >
      {children}
    </Box>
  );
}

const cell = { textAlign: "right", paddingBlock: "4", borderBottom: "1px solid {colors.hairline}" } as const;

/** The girth ledger: body, ease, what is cut, what is left after sewing. */
export function Ledger({
  plan,
  unit,
  only,
}: {
  plan: Plan;
  unit: Unit;
  only?: (row: Plan["ledger"][number]) => boolean;
}) {
  const shown = only ? { ...plan, ledger: plan.ledger.filter(only) } : plan;
  return (
    <chakra.table width="100%" fontSize="16px">
      <chakra.caption textAlign="left" fontWeight={600} fontSize="20px" paddingBottom="4">
        All round
      </chakra.caption>
      <thead>
        <chakra.tr color="ink2" fontSize="14px">
          <chakra.th textAlign="left" fontWeight={600}>
            {unit}
          </chakra.th>
          {["body", "ease", "cut", "sewn"].map((head) => (
            <chakra.th key={head} textAlign="right" fontWeight={600}>
              {head}
            </chakra.th>
          ))}
        </chakra.tr>
      </thead>
      <tbody>
        {shown.ledger.map((row, k) => (
          <Fragment key={`${row.garment}.${row.level}`}>
            <OfGarment plan={shown} at={k} span={5} />
            <tr>
              <chakra.th scope="row" {...cell} textAlign="left" fontWeight="400">
                {LEVELS[row.level]}
              </chakra.th>
              <chakra.td {...cell}>{row.body_mm != null && <Length mm={row.body_mm} unit={unit} bare />}</chakra.td>
              <chakra.td {...cell}>{row.body_mm != null && <Length mm={row.ease_mm} unit={unit} bare />}</chakra.td>
              <chakra.td {...cell}>
                <Length mm={row.cut_mm} unit={unit} bare />
              </chakra.td>
              <chakra.td {...cell} fontWeight={800} color={row.closes ? "moss" : "madder"}>
                <Length mm={row.sewn_mm} unit={unit} bare />
              </chakra.td>
            </tr>
          </Fragment>
        ))}
      </tbody>
    </chakra.table>
  );
}

/** Above the first row of each garment its name, where there are several. */
export function OfGarment({ plan, at, span }: { plan: Plan; at: number; span: number }) {
  const garment = plan.ledger[at]!.garment;
  if (plan.ledger.every((row) => row.garment === garment) || plan.ledger[at - 1]?.garment === garment) return null;
  return (
    <tr>
      <chakra.th colSpan={span} scope="rowgroup" textAlign="left" fontWeight={600} paddingTop="8">
        {garmentName(garment)}
      </chakra.th>
    </tr>
  );
}

/** Cloth to buy, with its sum. */
export function ToBuy({ plan, unit }: { plan: Plan; unit: Unit }) {
  if (!plan.yardage) return null;
  return (
    <Box>
      <chakra.h2 fontSize="20px" fontWeight={600}>
        Cloth to buy
      </chakra.h2>
      <chakra.p fontSize="44px" fontWeight={800} lineHeight="1.1">
        <Bought mm={plan.yardage.buy_mm} unit={unit} /> {unit === "in" ? "yards" : "m"}
      </chakra.p>
      <chakra.p color="ink2" fontSize="16px">
        {plan.yardage.formula}
      </chakra.p>
      {plan.yardage.cost != null && (
        <p>
          <b>Costs {plan.yardage.cost}</b> = {plan.yardage.cost_formula}
        </p>
      )}
    </Box>
  );
}

/** A bought length in yards by halves, or in metres. */
export function Bought({ mm, unit }: { mm: number; unit: Unit }) {
  if (unit === "cm") return <>{(mm / 1000).toFixed(1)}</>;
  return <Length mm={(mm / 914.4) * 25.4} unit="in" bare />;
}

/** What should be looked at, what is wrong first. */
export function Findings({ plan }: { plan: Plan }) {
  if (plan.findings.length === 0) return null;
  const garments = [...new Set(plan.pieces.map((piece) => piece.garment))];
  const whose = (finding: Plan["findings"][number]) =>
    plan.clients?.[finding.outfit || outfitOf(plan, finding.garment)];
  const tone = { stop: "madder", warn: "madder", note: "ink2" } as const;
  return (
    <Box as="ul" listStyleType="none" display="grid" gap="8" fontSize="16px" aria-label="Findings">
      {plan.findings.map((finding) => (
        <chakra.li key={finding.code + finding.where} color={tone[finding.weight]}>
          {finding.weight === "stop" && <b>Stop. </b>}
          {whose(finding) && <b>{whose(finding)}. </b>}
          {garments.length > 1 && finding.garment && <b>{garmentName(finding.garment)}. </b>}
          {finding.words}
        </chakra.li>
      ))}
    </Box>
  );
}

/** Why there is no plan yet: every problem, its cure, and the way to the station that mends it. */
export function Unworkable({ error, order }: { error: Error; order: string }) {
  const problems = error instanceof Refused ? error.problems : [];
  return (
    <Box role="status" aria-label="What is missing" display="grid" gap="8">
      <chakra.h2 fontSize="20px" fontWeight={600} color="madder">
        {problems.length ? "Not ready to draft" : error.message}
      </chakra.h2>
      {problems.map((problem) => {
        return (
          <chakra.p key={problem.where + problem.code} fontSize="16px">
            <b>{problem.what}.</b> {problem.mend}{" "}
            {problem.station && (
              <chakra.span color="dye" textDecoration="underline">
                <Link to={`/orders/${order}/${problem.station}`}>Go there</Link>
              </chakra.span>
            )}
          </chakra.p>
        );
      })}
    </Box>
  );
}
