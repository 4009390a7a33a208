import { Box, chakra } from "@chakra-ui/react";
import { useMoney } from "../api/house";
import type { Plan } from "../api/plans";
import type { components } from "../api/schema.gen";
import { show, spoken, type Unit, withUnit } from "../lengths/units";
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

type Schemas = components["schemas"];
type BuyListProps = { cloths: Schemas["ClothBought"][]; notions: Schemas["NotionBought"][]; unit: Unit };

/** Cloth of each kind in one sum, rounded up once; zips, elastic and hooks by their length. */
export function BuyList({ cloths, notions, unit }: BuyListProps) {
  const money = useMoney();
  return (
    <chakra.ul listStyleType="none" display="grid" gap="8" marginTop="8">
      {cloths.map((cloth) => (
        <chakra.li
          key={[cloth.kind, cloth.colour, cloth.width, cloth.sold_in, cloth.cost].join()}
          display="flex"
          gap="12"
          alignItems="center"
        >
          <Box
            flexShrink="0"
            width="32px"
            height="32px"
            border="1px solid {colors.edge}"
            style={{ background: cloth.colour }}
          />
          <span>
            <b>
              <Bought mm={cloth.buy_mm} unit={unit} />
            </b>{" "}
            of {cloth.kind}, <Taped>{withUnit(cloth.width, unit)}</Taped> wide, for {cloth.orders}:{" "}
            <Length mm={cloth.length_mm} unit={unit} /> together, cut off the bolt in one piece, rounded up to the{" "}
            {cloth.sold_in}
            {cloth.cost != null && (
              <>
                ; costs <b>{money(cloth.cost)}</b>
              </>
            )}
          </span>
        </chakra.li>
      ))}
      {notions.map((notion) => (
        <li key={notion.name + notion.length_mm}>
          {notion.count} × {notion.name}
          {notion.length_mm != null && (
            <>
              , <Length mm={notion.length_mm} unit={unit} />
            </>
          )}
        </li>
      ))}
    </chakra.ul>
  );
}
