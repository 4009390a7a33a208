/** How near the best a lay is, and why none of a section can be shorter: the steps of the proof. */
import type { Plan } from "../../api/plans";
import { pieceName } from "../../drawing/names";

type Lay = NonNullable<Plan["lay"]>;
type Section = Lay["sections"][number];
type Step = Section["bound_steps"][number];

/** What each step adds along the table, in mm, and how many lengths of cloth are on one length of it. */
export type Proof = { steps: { name: string; mm: number }[]; times: number };

export function proofOf(plan: Plan, section: Section): Proof {
  // "Sleeve, top" is written "sleeve (top)": a step names two of them.
  const name = (id: string) => {
    const piece = plan.pieces.find((one) => one.id === id);
    const [panel, ...rest] = (piece ? pieceName(plan, piece) : id).split(", ");
    return panel!.charAt(0).toLowerCase() + panel!.slice(1) + (rest.length ? ` (${rest.join(", ")})` : "");
  };
  const said: Record<Step["kind"], (step: Step) => string> = {
    whole: (step) => `the longest piece: ${name(step.piece)}`,
    surface: () => "all pieces, spread over the full width",
    counted: () => "all that has to be side by side, counted through",
    pinned: (step) => `to the far end of ${name(step.piece)}, which is pinned`,
    half: (step) => `half of ${name(step.piece)}`,
    apart: (step) => `${name(step.piece)} to ${name(step.other)}`,
  };
  const steps = section.bound_steps.map((step) => ({ name: said[step.kind](step), mm: step.mm }));
  return { steps, times: Math.round(section.bound_mm / steps.reduce((sum, { mm }) => sum + mm, 0)) };
}

type Near = Pick<Lay, "length_mm" | "bound_mm" | "proof_off_mm">;

/** How much shorter a lay could be at most, in mm; 0 where this is the shortest. */
export function stillSaves({ length_mm, bound_mm, proof_off_mm }: Near): number {
  const left = length_mm - bound_mm;
  return left <= proof_off_mm ? 0 : left;
}
