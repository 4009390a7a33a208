import { Box, chakra } from "@chakra-ui/react";
import type { Cloth } from "../../api/orders";
import type { Plan } from "../../api/plans";
import { useTrade } from "../../api/trade";
import { EndView } from "../../drawing/EndView";
import type { Unit } from "../../lengths/units";
import { field } from "../../ui/field";
import { Length } from "../../ui/length";
import { Taped } from "../../ui/taped";

type Props = { plan: Plan; cloth: Cloth; unit: Unit; choose: (sections: Record<string, string>) => void };

/** Cloth in sections: each drawn from its end, how deep, how much of the cloth; its fold can be chosen. */
export function Sections({ plan, cloth, unit, choose }: Props) {
  const trade = useTrade();
  const chosen = cloth.sections ?? {};
  return (
    <figure>
      <chakra.figcaption fontSize="20px" fontWeight={600}>
        The sections, one after the other from the cut end
      </chakra.figcaption>
      <Box display="grid" gap="4" marginTop="4" maxWidth="760px">
        {trade.sections.map(({ key: part, name }) => {
          const section = plan.lay?.sections.find((one) => one.part === part);
          const value = chosen[part] ?? "auto";
          return (
            <Box
              key={part}
              display="grid"
              gridTemplateColumns="160px 1fr"
              columnGap="16"
              alignItems="center"
              paddingBlock="8"
              borderBottom="1px solid {colors.hairline}"
            >
              <svg viewBox="-8 -4 150 66" width="100%" aria-hidden="true">
                {section && <EndView fold={section.fold} deep={100} upper={upperOf(section)} colour={cloth.colour} />}
              </svg>
              <Box display="grid" gap="4">
                <Box display="flex" gap="12" flexWrap="wrap" alignItems="center">
                  <chakra.b minWidth="96px">{name}</chakra.b>
                  <chakra.select
                    {...field}
                    width="auto"
                    aria-label={`Fold for ${name.toLowerCase()}`}
                    value={value}
                    onChange={(e) => choose({ ...chosen, [part]: e.target.value })}
                  >
                    <option value="auto">{part === "rest" ? "Beside the others where they fit" : "Shortest"}</option>
                    {trade.folds
                      .filter((one) => one.layers > 0)
                      .map((one) => (
                        <option key={one.key} value={one.key}>
                          {one.name}
                        </option>
                      ))}
                  </chakra.select>
                </Box>
                {section && (
                  <p>
                    <b>
                      <Length mm={section.to_mm - section.from_mm} unit={unit} />
                    </b>{" "}
                    of cloth. <Taped>{section.say}</Taped>
                  </p>
                )}
              </Box>
            </Box>
          );
        })}
      </Box>
      {plan.lay?.one_fold_mm != null && (
        <chakra.p marginTop="8">
          All together <Length mm={plan.lay.length_mm} unit={unit} />; on one fold, one pass,{" "}
          <Length mm={plan.lay.one_fold_mm} unit={unit} />.
        </chakra.p>
      )}
    </figure>
  );
}

type Section = NonNullable<Plan["lay"]>["sections"][number];

/** How far the upper layer reaches of a section drawn 100 px deep. */
const upperOf = (section: Section) => {
  const top = section.layers[0]!;
  return section.crosswise ? 100 : ((top.to_mm - top.from_mm) / section.depth_mm) * 100;
};
