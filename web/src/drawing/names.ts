/** The panels that cover the body; all others are small parts. */
export const LEGS: readonly string[] = ["front", "back", "leg", "sleeve"];

/** What the left side's own pieces are called after the garment's id, where it differs from the right. */
const LEFT = ".left_side";
const wholeOf = (garment: string) => (garment.endsWith(LEFT) ? garment.slice(0, -LEFT.length) : garment);

/** A garment's name by its id: a jumpsuit's halves are `jumpsuit.top` and `jumpsuit.lower`. */
export const garmentName = (id: string) =>
  panelName((wholeOf(id).split(".").pop() ?? id).replace(/^lower$/, "trousers")) +
  (id.endsWith(LEFT) ? ", left side" : "");

type Piece = { garment: string; panel: string };
type Named = { pieces: Piece[]; clients?: Record<string, string> };

/** Which outfit a garment is of, where several are cut from one cloth: its id begins with it; the first has none. */
export const outfitOf = (plan: Named, garment: string) => {
  const first = garment.split(".")[0]!;
  return plan.clients?.[first] ? first : "";
};

/**
 * A piece's name: with its side where the other side has its own; where the plan has several garments with the garment's,
 * where it is for several with the client's.
 */
export function pieceName(plan: Named, { garment, panel }: Piece): string {
  const outfit = outfitOf(plan, garment);
  const mine = plan.pieces.filter((piece) => outfitOf(plan, piece.garment) === outfit);
  const whole = wholeOf(garment);
  const several = mine.some((piece) => wholeOf(piece.garment) !== whole);
  const side = sideOf(plan, { garment, panel });
  const name = side ? `${side} ${panelName(panel).toLowerCase()}` : panelName(panel);
  const whose = plan.clients ? [plan.clients[outfit]!] : [];
  return [name, ...(several ? [garmentName(whole).toLowerCase()] : []), ...whose].join(", ");
}

/** Which side a piece is of, where the other side has its own. */
export function sideOf(plan: Named, { garment, panel }: Piece): "" | "Left" | "Right" {
  const whole = wholeOf(garment);
  if (!plan.pieces.some((piece) => piece.panel === panel && piece.garment === whole + LEFT)) return "";
  return garment === whole ? "Right" : "Left";
}

/** A panel's name as it is written on the cloth: `pocket-bag` is "Pocket bag", as is `house-pocket-bag` of a pattern. */
export function panelName(name: string): string {
  const own = name.replace(/^house-/, "");
  return (own[0] ?? "").toUpperCase() + own.slice(1).replaceAll("-", " ");
}

/** How wide a letter of a name is, as a share of the letters' size: in the browser 0.57 of "Band", under 0.5 of long names. */
export const LETTER = 0.56;
