import { chakra } from "@chakra-ui/react";
import type { Sign } from "../../api/fitting";

/** Bodies in a frame of 100 by 200, one for each side one looks from. */
const HEAD = { front: [50, 15], back: [50, 15], side: [49, 15], seated: [50, 15] } as const;
const UPRIGHT =
  "M50 26C44 26 40 28 34 31C30 34 28 44 26 60L24 84L29 85L33 62L35 50L36 74C33 84 32 92 33 104L37 150L38 190L46 190" +
  "L48 150L49 112L51 112L52 150L54 190L62 190L63 150L67 104C68 92 67 84 64 74L65 50L67 62L71 85L76 84L74 60" +
  "C72 44 70 34 66 31C60 28 56 26 50 26Z";
const BODIES: Record<string, string> = {
  front: UPRIGHT,
  back: UPRIGHT,
  side:
    "M48 26C42 30 41 40 42 52C40 62 41 70 43 76C38 84 36 92 39 102L42 150L42 190L56 190L54 150L57 104" +
    "C60 94 60 86 56 78C58 66 60 56 58 46C57 36 54 28 48 26Z",
  seated:
    "M46 26C40 30 39 44 40 58C37 72 36 88 40 98C44 106 52 107 60 107L84 106L84 150L84 182L96 182L97 150L98 104" +
    "C97 96 92 92 84 92L62 90C60 80 60 66 60 52C59 40 54 28 46 26Z",
};
/** Where on the figure a sign is seen. */
const PLACES: Record<string, [number, number]> = {
  folds_at_fork: [50, 110],
  loose_at_fork: [42, 118],
  hips_pull: [66, 92],
  hip_high: [33, 88],
  waist_tight: [37, 74],
  waist_loose: [63, 74],
  crotch_low: [58, 122],
  neck_stands_off: [43, 28],
  neck_chokes: [57, 28],
  bust_pulls: [50, 46],
  folds_neck_to_armhole: [37, 38],
  seat_tight: [50, 94],
  bags_under_seat: [50, 112],
  waist_stands_off: [43, 74],
  zip_stands_out: [57, 74],
  folds_tip_to_neck: [60, 34],
  leg_long: [49, 188],
  leg_short: [49, 172],
  leg_turns_out: [39, 146],
  leg_turns_in: [61, 146],
  waist_high: [43, 72],
  waist_low: [57, 72],
  armhole_low: [50, 46],
  armhole_cuts: [50, 36],
  sleeve_tight: [50, 58],
  top_short: [50, 80],
  waist_dips: [39, 76],
  thigh_tight: [74, 98],
  crotch_cuts: [56, 105],
};

type FigureProps = { view: string; signs: Sign[]; chosen: string; choose: (sign: string) => void };

/** A body from one side: a press on a place chooses what is seen there. The same signs stand beside it in words. */
export function Figure({ view, signs, chosen, choose }: FigureProps) {
  const [x, y] = HEAD[view as keyof typeof HEAD] ?? HEAD.front;
  return (
    <chakra.svg viewBox="0 0 104 196" width="230px" maxWidth="100%" fill="none" stroke="ink" aria-hidden>
      <circle cx={x} cy={y} r="9" strokeWidth="1.2" />
      <path d={BODIES[view] ?? UPRIGHT} strokeWidth="1.2" strokeLinejoin="round" />
      {view === "back" && <path d="M50 70V108" strokeWidth="0.8" strokeDasharray="3 2" />}
      {signs.map((sign) => {
        const [cx, cy] = PLACES[sign.key] ?? [50, 60];
        const is = sign.key === chosen;
        return (
          <chakra.g key={sign.key} cursor="pointer" onClick={() => choose(sign.key)}>
            <title>{sign.name}</title>
            <circle cx={cx} cy={cy} r="9" fill="transparent" stroke="none" />
            <chakra.circle
              cx={cx}
              cy={cy}
              r={is ? 5 : 3.6}
              fill={is ? "madder" : "sheet"}
              stroke="madder"
              strokeWidth="1.4"
            />
          </chakra.g>
        );
      })}
    </chakra.svg>
  );
}
