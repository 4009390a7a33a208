import { Box, chakra } from "@chakra-ui/react";
import { useId } from "react";
import type { Cloth } from "../../api/orders";
import { type Plan, useWidths } from "../../api/plans";
import { useTrade } from "../../api/trade";
import { EndView } from "../../drawing/EndView";
import { apart, show, text, type Unit } from "../../lengths/units";
import { Length } from "../../ui/length";
import { Bought } from "../../ui/buying";
import { Taped } from "../../ui/taped";

type Row = NonNullable<ReturnType<typeof useWidths>["data"]>[number];

/** What Plavet would choose, and what the other usual fold would take. */
function why(folded: Row | undefined, open: Row | undefined, unit: Unit): string {
  const rule = "folded lengthwise where all of it fits, else open";
  if (!folded || !open) return rule;
  if (folded.length_mm == null) return `${rule}: folded, not all of it fits`;
  const more = open.length_mm == null ? null : apart(open.length_mm, folded.length_mm, unit);
  if (more === null) return `${rule}: open, not all of it fits`;
  if (Math.abs(more) < 1) return `${rule}: open would take as much`;
  const size = text(show(Math.abs(more), unit));
  return more > 0 ? `${rule}: open would take ${size} more` : `${rule}: open would save ${size}, each piece cut alone`;
}

type Props = { plan: Plan; planId: string; cloth: Cloth; unit: Unit; choose: (fold: string) => void };

/** Every fold drawn from its end, with what the same pieces need on it: one is chosen, or Plavet chooses. */
export function FoldChooser({ plan, planId, cloth, unit, choose }: Props) {
  const name = useId();
  const { folds } = useTrade();
  const rows = useWidths(planId).data;
  const own = cloth.width && rows?.at(-1)?.width_mm; // the last rows are those of the cloth itself
  const on = (fold: string) => rows?.find((row) => row.fold === fold && row.width_mm === own);
  const lengths = rows?.filter((row) => row.width_mm === own && row.length_mm != null) ?? [];
  const least = Math.min(...lengths.map((row) => row.length_mm!));
  return (
    <chakra.fieldset border="0" minWidth="0">
      <chakra.legend fontSize="20px" fontWeight={600} padding="0">
        Fold
      </chakra.legend>
      <Box display="grid" gap="4" marginTop="4" maxWidth="760px">
        {[
          { value: "auto", label: "Plavet chooses", says: why(on("lengthwise-centre"), on("open"), unit) },
          ...folds.map((one) => ({ value: one.key, label: one.name, says: one.says })),
        ].map(({ value, label, says }) => {
          const chosen = cloth.fold === value;
          const row = on(value);
          const fold = value === "auto" ? plan.fold : value;
          return (
            <chakra.label
              key={value}
              display="grid"
              gridTemplateColumns={{ base: "96px 1fr", md: "120px 1fr max-content" }}
              columnGap="16"
              alignItems="center"
              position="relative"
              minHeight="touch"
              paddingInline="12"
              paddingBlock="4"
              borderRadius="cut"
              border="1.5px solid {colors.edge}"
              background={chosen ? "dyeSoft" : "sheet"}
              cursor="pointer"
              css={{ "&:has(input:focus-visible)": { outline: "3px solid {colors.dye}", outlineOffset: "2px" } }}
            >
              <chakra.input
                type="radio"
                name={name}
                checked={chosen}
                onChange={() => choose(value)}
                position="absolute"
                opacity="0"
              />
              <svg viewBox="-8 -2 124 68" width="100%" aria-hidden="true">
                <g transform={(folds.find((one) => one.key === fold)?.layers ?? 0) > 3 ? "" : "translate(0 14)"}>
                  <EndView fold={fold} deep={100} upper={58} colour={cloth.colour} numbered={false} />
                </g>
              </svg>
              <span>
                <b>{label}</b>
                <chakra.span display="block" fontSize="15px" color="ink2">
                  <Taped>{says}</Taped>
                </chakra.span>
              </span>
              <chakra.span gridColumn={{ base: "2", md: "auto" }} textAlign={{ md: "right" }}>
                {row?.length_mm != null ? (
                  <>
                    <b>
                      <Length mm={row.length_mm} unit={unit} />
                    </b>
                    <chakra.span display="block" fontSize="15px" color={row.length_mm === least ? "moss" : "ink2"}>
                      buy <Bought mm={row.buy_mm!} unit={unit} />
                      {row.length_mm === least && ", least"}
                    </chakra.span>
                  </>
                ) : row ? (
                  <chakra.span color="ink2">
                    {cloth.one_way && (folds.find((one) => one.key === value)?.times ?? 1) > 1
                      ? "not on one-way cloth"
                      : "not all of it fits"}
                  </chakra.span>
                ) : (
                  ""
                )}
              </chakra.span>
            </chakra.label>
          );
        })}
      </Box>
      <chakra.p color="ink2" fontSize="15px" marginTop="4">
        Each: the first lay and all that is bought besides, as the sum at the right; Lay looks for a shorter one.
      </chakra.p>
    </chakra.fieldset>
  );
}
