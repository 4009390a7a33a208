/** Stripes and checks: whether what is sewn together meets on the same stripe, at the notches both sides carry. */
import type { Plan } from "../../api/plans";
import { onCloth, type XY } from "../../drawing/frame";
import type { Lay, Placing } from "./moves";

/** Two placings that meet at a notch: `off` is how far the second is past its stripe, along the cloth, in mm. */
export type Meeting = { one: number; other: number; garment: string; code: string; off: number };

/** From -repeat / 2 to repeat / 2. */
export function past(mm: number, repeat: number): number {
  const rest = ((mm % repeat) + repeat) % repeat;
  return rest > repeat / 2 ? rest - repeat : rest;
}

/**
 * Front and back of each garment along their side seam: at the first notch there that both have. Where left and right
 * are laid each by itself, a front meets the back that is turned over against it. With the fold across the cloth
 * stripes run the other way: nothing is said.
 */
export function meetings(
  plan: Plan,
  placings: readonly Placing[],
  sections: Lay["sections"],
  repeat: number,
): Meeting[] {
  if (!(repeat > 0)) return [];
  const pieces = new Map(plan.pieces.map((piece) => [piece.id, piece]));
  const laid = placings.map((placing, index) => ({ placing, index, piece: pieces.get(placing.piece)! }));
  const along = laid.filter(({ placing }) => !sections[placing.section]?.crosswise);
  return along
    .filter(({ piece }) => piece.panel === "front")
    .flatMap(({ placing, index, piece }) => {
      const backs = along.filter((one) => one.piece.garment === piece.garment && one.piece.panel === "back");
      const alone = backs.length > 1 ? backs.filter((one) => one.placing.mirrored !== placing.mirrored) : backs;
      const back = alone[0];
      const sides = piece.notches.filter((notch) => notch.edge === "side");
      const notch = sides.find(({ code }) =>
        back?.piece.notches.some((one) => one.edge === "side" && one.code === code),
      );
      if (!back || !notch) return [];
      const same = back.piece.notches.find((one) => one.edge === "side" && one.code === notch.code)!;
      const [at] = onCloth(placing, notch.net as XY);
      const [there] = onCloth(back.placing, same.net as XY);
      return [
        { one: index, other: back.index, garment: piece.garment, code: notch.code, off: past(there - at, repeat) },
      ];
    });
}

/** Met as near as chalk can tell, in mm. */
export const onStripe = (off: number) => Math.abs(off) < 0.8;

/** How far along the cloth a placing has to go so that it meets its partner on the same stripe; null without one. */
export function toMatch(met: Meeting[], index: number): number | null {
  const meeting = met.find((one) => one.one === index || one.other === index);
  if (!meeting) return null;
  return meeting.other === index ? -meeting.off : meeting.off;
}
