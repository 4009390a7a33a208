/** A drawn figure and, for each point, the tape's path on it. One standing, one seated; 200 x 440 each. */
export type Path = { pose: "standing" | "seated"; round?: [number, number, number]; line?: [number, number][] };

export const STANDING =
  "M100 14c13 0 21 10 21 24s-8 25-21 25-21-11-21-25 8-24 21-24z" +
  "M91 62c0 10-4 14-16 18-14 5-20 12-22 26l-10 64c-3 20-7 34-9 54M109 62c0 10 4 14 16 18 14 5 20 12 22 26l10 64c3 20 7 34 9 54" +
  "M68 106c2 20 6 30 5 46-2 26-13 40-14 66-1 34 8 62 10 96 2 24-4 46-3 66l-1 34 22 2 4-34c2-26 3-44 4-66l5-68" +
  "M132 106c-2 20-6 30-5 46 2 26 13 40 14 66 1 34-8 62-10 96-2 24 4 46 3 66l1 34-22 2-4-34c-2-26-3-44-4-66l-5-68";

export const SEATED =
  "M84 40c13 0 21 10 21 24s-8 25-21 25-21-11-21-25 8-24 21-24z" +
  "M76 88c-16 10-22 30-23 58-1 34-4 62-4 92 0 16 10 24 26 24h82c8 0 12 4 12 14v96h26" +
  "M94 90c10 12 12 32 12 54 0 28-4 44-2 66l58 2c22 1 34 12 34 34v126" +
  "M28 268h118v138M36 268v138M28 268V150";

export const PATHS: Record<string, Path> = {
  waist: { pose: "standing", round: [152, 73, 127] },
  hip: { pose: "standing", round: [214, 59, 141] },
  thigh: { pose: "standing", round: [250, 61, 99] },
  knee: { pose: "standing", round: [318, 69, 96] },
  waist_to_hip: {
    pose: "standing",
    line: [
      [130, 152],
      [142, 190],
      [143, 214],
    ],
  },
  outseam: {
    pose: "standing",
    line: [
      [130, 152],
      [144, 214],
      [138, 290],
      [134, 400],
    ],
  },
  waist_to_knee: {
    pose: "standing",
    line: [
      [130, 152],
      [144, 214],
      [136, 318],
    ],
  },
  inseam: {
    pose: "standing",
    line: [
      [99, 246],
      [94, 320],
      [91, 400],
    ],
  },
  body_rise: {
    pose: "seated",
    line: [
      [106, 150],
      [106, 262],
    ],
  },
};
