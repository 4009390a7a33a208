import { chakra } from "@chakra-ui/react";
import { Fragment, memo } from "react";
import type { Plan } from "../api/plans";
import { garmentName } from "../drawing/names";
import { UNIT, type Unit } from "../lengths/units";
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

const cell = { textAlign: "right", paddingBlock: "4", borderBottom: "1px solid {colors.hairline}" } as const;

type LedgerProps = { plan: Plan; unit: Unit; only?: (row: Plan["ledger"][number]) => boolean };

/** The girth ledger: body, ease, what is cut, what is left after sewing. Drawn anew for another plan. */
export const Ledger = memo(function Ledger({ plan, unit, only }: LedgerProps) {
  const shown = only ? { ...plan, ledger: plan.ledger.filter(only) } : plan;
  return (
    <chakra.table width="100%" fontSize="16px">
      <chakra.caption textAlign="left" fontWeight={600} fontSize="20px" paddingBottom="4">
        All round
      </chakra.caption>
      <thead>
        <chakra.tr color="ink2" fontSize="14px">
          <chakra.th textAlign="left" fontWeight={600}>
            {UNIT[unit].name}
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
});

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
