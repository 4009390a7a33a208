/** What is shown by the projector: one piece or a section of the lay, how it is turned, and the call that is next. */
import { useState } from "react";
import type { Mark, Piece, Plan } from "../../api/plans";

export type Turned = { quarters: number; flipped: boolean; across: number; down: number };

const STRAIGHT: Turned = { quarters: 0, flipped: false, across: 0, down: 0 };
const WALK: Record<string, readonly [number, number]> = { left: [-1, 0], right: [1, 0], up: [0, -1], down: [0, 1] };
/** How far a step goes, mm; with Shift. */
const STEP = 10;
const FAR = 100;

type Shown = {
  piece: Piece | null;
  section: number | null;
  sections: number;
  marks: Mark[];
  mark: Mark | undefined;
  turned: Turned;
  /** What a key or a button of the page says. */
  do: (what: string, far?: boolean) => void;
};

export function useShown(plan: Plan): Shown {
  const [at, setAt] = useState(0);
  const [section, setSection] = useState<number | null>(null);
  const [call, setCall] = useState(0);
  const [turned, setTurned] = useState(STRAIGHT);
  const sections = plan.lay?.sections.length ?? 0;
  const piece = section === null ? plan.pieces[at]! : null;
  const marks = piece
    ? plan.marks.filter((one) => one.garment === piece.garment && one.panel === piece.panel)
    : plan.marks.filter((one) => one.placing !== null && plan.lay!.placements[one.placing]!.section === section);
  const show = (next: number, of: number | null) => {
    setAt(next);
    setSection(of);
    setCall(0);
    setTurned(STRAIGHT);
  };
  const does: Record<string, () => void> = {
    turn: () => setTurned({ ...turned, quarters: (turned.quarters + 1) % 4 }),
    flip: () => setTurned({ ...turned, flipped: !turned.flipped }),
    piece: () => show((at + 1) % plan.pieces.length, null),
    before: () => show((at + plan.pieces.length - 1) % plan.pieces.length, null),
    lay: () => show(at, section === null ? (sections ? 0 : null) : section + 1 < sections ? section + 1 : null),
    call: () => setCall(Math.min(call + 1, marks.length - 1)),
    callBefore: () => setCall(Math.max(call - 1, 0)),
  };
  const walk = ([x, y]: readonly [number, number], step: number) =>
    setTurned((was) => ({ ...was, across: was.across + step * x, down: was.down + step * y }));
  return {
    piece,
    section,
    sections,
    marks,
    mark: marks[Math.min(call, marks.length - 1)],
    turned,
    do: (what, far = false) => {
      const way = WALK[what];
      if (way) walk(way, far ? FAR : STEP);
      else does[what]?.();
    },
  };
}
