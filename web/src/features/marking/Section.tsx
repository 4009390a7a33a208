import { Box, chakra } from "@chakra-ui/react";
import type { Plan } from "../../api/plans";
import type { Unit } from "../../lengths/units";
import { sideOf } from "../../drawing/names";
import { Length } from "../../ui/length";
import { words } from "./words";
import { Taped } from "../../ui/taped";

type Section = NonNullable<Plan["lay"]>["sections"][number];

/** The section of the cloth that a call is chalked on. */
export function sectionAt(plan: Plan, call: number): Section | undefined {
  const placing = plan.marks[call - 1]?.placing;
  return placing == null ? undefined : plan.lay?.sections[plan.lay.placements[placing]!.section];
}

/** Whether this is the first call on a piece that is under another layer. */
export function under(plan: Plan, call: number): boolean {
  const placing = plan.marks[call - 1]?.placing;
  if (placing == null || plan.marks[call - 2]?.placing === placing) return false;
  return plan.lay?.placements[placing]?.under ?? false;
}

/** What is done to the cloth before the first call of a section, one thing after the other. */
export function Prepare({ plan, section }: { plan: Plan; section: Section }) {
  const sided = plan.pieces.some((piece) => sideOf(plan, piece));
  return (
    <>
      <chakra.ol paddingLeft="24" display="grid" gap="4" marginBlock="8">
        {section.prepare.map((step) => (
          <li key={step}>
            <Taped>{step}</Taped>
          </li>
        ))}
      </chakra.ol>
      <p>{sided ? words.sided : section.layers.length === 1 ? words.open : words.folded}</p>
    </>
  );
}

/** How the cloth is prepared before the first call of its section. */
export function Refold({ plan, section, unit }: { plan: Plan; section: Section; unit: Unit }) {
  const { sections } = plan.lay!;
  const number = sections.indexOf(section);
  return (
    <Box color={number ? "ink" : "ink2"} fontSize="16px" marginTop="12" data-refold={section.part}>
      {sections.length > 1 && (
        <p>
          <b>
            Section {number + 1} of {sections.length}, {section.cut.toLowerCase()}:{" "}
            <Length mm={section.to_mm - section.from_mm} unit={unit} /> of cloth.
          </b>
        </p>
      )}
      <b>{words.prepare}</b>
      <Prepare plan={plan} section={section} />
    </Box>
  );
}

export function Fold({ section, unit }: { section: Section | undefined; unit: Unit }) {
  if (!section) return null;
  return (
    <chakra.span color="ink2">
      {section.name}, <Length mm={section.depth_mm} unit={unit} /> deep
    </chakra.span>
  );
}
