/** The panels that cover the body; all others are small parts. */
export const LEGS: readonly string[] = ["front", "back", "leg", "sleeve"];

/** A garment's name by its id: a jumpsuit's halves are `jumpsuit.top` and `jumpsuit.lower`. */
export const garmentName = (id: string) => panelName((id.split(".").pop() ?? id).replace(/^lower$/, "trousers"));

type Piece = { garment: string; panel: string };
/** A piece's name; where the plan has several garments, with the garment's. */
export function pieceName(plan: { pieces: Piece[] }, { garment, panel }: Piece): string {
  const several = plan.pieces.some((piece) => piece.garment !== garment);
  return several ? `${panelName(panel)}, ${garmentName(garment).toLowerCase()}` : panelName(panel);
}

/** A panel's name as it is written on the cloth: `pocket-bag` is "Pocket bag". */
export const panelName = (name: string) => (name[0] ?? "").toUpperCase() + name.slice(1).replaceAll("-", " ");
