/** Each choice in a tailor's words: what it is, and where it is asked. */
import { length, type Now, type Row, rule, seam } from "./rows";

const KNEED = ["straight-trousers", "close-trousers", "boot-cut", "paper-bag", "loose-trousers"];
/** A garment with a waist of its own, not half of a jumpsuit. */
const alone = (now: Now) => !now.joined;
const kneed = (now: Now) => KNEED.includes(now.style);
const has =
  (key: string, ...values: string[]) =>
  (now: Now) =>
    values.includes(now.value(key));
const pocket = (kind: string) => (now: Now) => now.value("pockets").split(", ").includes(kind);
const ELASTIC = ["half-elastic", "elastic-band", "casing", "paper-bag"];

/** What can be cut from another cloth: a lining, a contrast, or the whole garment. */
export const another = (options: [string, string][]): { name: string; rows: Row[] } => ({
  name: "Another cloth",
  rows: [
    {
      kind: "some",
      key: "other_cloth",
      legend: "Cut from another cloth",
      hint: "Cloth, Mark and Lay then have both",
      options: [...options, ["all", "The whole garment"]].map(([value = "", label = ""]) => ({ value, label })),
    },
  ],
});

export const GROUPS: { name: string; rows: Row[] }[] = [
  {
    name: "Waist",
    rows: [
      rule(
        "waist_join",
        "Taken in to the top by",
        "the waist seam is sewn to the top",
        [
          ["darts", "Darts, over the top's"],
          ["gathers", "Gathers"],
          ["tucks", "Tucks"],
        ],
        (now) => Boolean(now.joined),
      ),
      rule(
        "waist_finish",
        "Finished with",
        "",
        [
          ["straight-band", "Straight band"],
          ["shaped-band", "Shaped band"],
          ["half-elastic", "Band, elastic behind"],
          ["elastic-band", "Elastic in a band"],
          ["casing", "Casing, cut on"],
          ["paper-bag", "Paper-bag, channel and tie"],
        ],
        alone,
      ),
      rule(
        "closure",
        "Opens with",
        "",
        [
          ["fly", "Fly"],
          ["side-zip", "Side zip"],
          ["back-zip", "Invisible zip behind"],
          ["none", "Nothing"],
        ],
        alone,
      ),
      rule(
        "closure",
        "Opens with",
        "one zip through the waist, or nothing",
        [
          ["back-zip", "Zip behind"],
          ["none", "Nothing"],
        ],
        (now) => Boolean(now.joined),
      ),
      rule(
        "band",
        "The band lies",
        "verticals start from its top",
        [
          ["below", "Below: taken off the verticals"],
          ["inside", "Inside: cut off the draft's top"],
          ["on-top", "On top: added above"],
        ],
        has("waist_finish", "straight-band", "half-elastic", "elastic-band"),
      ),
      length("band_depth", "Band, finished", "a strip is twice this and two seams", undefined, (now) =>
        ["straight-band", "shaped-band", "half-elastic", "elastic-band"].includes(now.value("waist_finish")),
      ),
      length("band_overlap", "Overlap", "for hook and bar", undefined, has("waist_finish", "straight-band")),
      rule(
        "band_join",
        "The band is",
        "",
        [
          ["none", "One strip"],
          ["centre-back", "Joined behind"],
        ],
        has("waist_finish", "straight-band"),
      ),
      length("casing", "Casing", "cut on and turned twice", undefined, has("waist_finish", "casing")),
      length("heading", "Heading", "what stands up over the tie", undefined, has("waist_finish", "paper-bag")),
      rule(
        "elastic",
        "Elastic",
        "without its overlap",
        [
          ["waist-4", "The waist less 4 in"],
          ["nine-tenths", "Nine tenths of the waist"],
        ],
        (now) => ELASTIC.includes(now.value("waist_finish")),
      ),
      rule("waist_position", "The waist lies", "where the figure was taken", [
        ["worn", "Where it is worn"],
        ["natural", "Natural"],
        ["high", "High"],
        ["low", "Low"],
      ]),
      rule(
        "belt_loops",
        "Belt loops",
        "",
        [
          ["none", "None"],
          ["four", "A strip cut in four"],
        ],
        alone,
      ),
    ],
  },
  {
    name: "How it sits",
    rows: [
      rule("seat", "Seat", "sets the back's tip, raise and slant", [
        ["flat", "Flat"],
        ["usual", "Usual"],
        ["full", "Full"],
      ]),
      rule("seat_height", "Centre front and back", "what the front loses, the back gains", [
        ["raise-only", "Raise the back"],
        ["small-drop-and-raise", "Front 1/2 down, back up"],
        ["drop-and-raise", "Front down as the back goes up"],
        ["none", "Level"],
      ]),
      length("hip_ease", "Ease at the hip", "all round"),
      rule("ease_place", "That ease lies", "", [
        ["back", "All in the back"],
        ["panels", "In every panel"],
        ["measure", "In the measure, so the rules grow with it"],
      ]),
      length("hip_split", "The back's hip wider by", "what the front gives up"),
      length("waist_ease", "Ease at the waist", "all round"),
      length("seat_raise", "Centre back, up", "for sitting down", "by the seat"),
      length("centre_slant", "Centre back, in", "at the waist", "by the seat"),
      length("centre_base", "Centre back, in on the crotch line", "holds the seat closer"),
      length("centre_drop", "Centre front, down", "", "by the rule above"),
      length("side_raise", "Side, up", "the waist rises to the side"),
      rule("waist_cleanup", "When it is joined, the waist is", "", [
        ["back-to-front", "Right as it is: the back cut to the front"],
        ["back-larger", "Taken in behind, cut 1 in larger"],
        ["redraw-centre", "Redrawn at the centre back"],
        ["re-mark-side", "Marked anew at the side"],
      ]),
    ],
  },
  {
    name: "Crotch",
    rows: [
      rule("crotch_depth", "Depth to the crotch line", "from the top of the figure", [
        ["hip/4", "hip / 4"],
        ["hip/4+1", "hip / 4 + 1"],
        ["hip/4+2", "hip / 4 + 2, high waist"],
        ["hip/4+3", "hip / 4 + 3, very loose"],
        ["hip/3", "hip / 3"],
        ["hip/3-1", "hip / 3 - 1"],
        ["seated", "Measured seated"],
        ["outseam-inseam", "Outseam less inseam"],
      ]),
      length("crotch_ease", "Ease in the depth", "room to sit"),
      rule("crotch_extension", "Front extension", "room between the legs", [
        ["hip/16", "hip / 16"],
        ["hip/20", "hip / 20"],
        ["by-size", "By size, 2 to 3 in"],
        ["thigh/2", "From half the thigh"],
        ["thigh-eased", "From the thigh and its ease"],
        ["thigh-cut", "From half the thigh, cut"],
        ["panel/4", "A quarter of the panel"],
      ]),
      rule("back_extension", "Back extension", "more than the front's", [
        ["tip", "Front's and the tip"],
        ["hip/8", "hip / 8"],
        ["hip/10", "hip / 10"],
        ["panel/2", "Half the panel"],
      ]),
      length("back_tip", "Back's tip", "beyond the front's point", "by the seat"),
      rule("hip_line", "Hip line", "where the width is laid", [
        ["measured", "As measured from the waist"],
        ["two-above", "2 in above the crotch line"],
        ["hip/16-above", "hip / 16 above it"],
      ]),
      length("front_diagonal", "Front curve, from its corner", ""),
      length("back_diagonal", "Back curve, from its corner", ""),
      length("curve_outside", "Curve outside the centre line", "at the hip line"),
    ],
  },
  {
    name: "Leg",
    rows: [
      length("length", "Finished length", "from the top of the figure to the hem", "by the style"),
      length("knee_ease", "Ease at the knee", "all round", undefined, kneed),
      length("knee_width", "Knee, all round", "sewn; instead of the ease", "knee and its ease", kneed),
      length("thigh_ease", "Ease at the thigh", "sets the leg line", undefined, has("crotch_extension", "thigh-eased")),
      length("back_wider", "The back's leg wider by", "shared about the crease"),
      length("hem_width", "Hem, all round one leg", "sewn", "by the style"),
      {
        kind: "length",
        key: "fullness",
        legend: "Times a quarter of the hip",
        hint: "a number from 1 to 4",
        when: (now) => now.method === "multiplied-quarter",
      },
      length("hem", "Hem to turn up", "cut", undefined, (now) => now.value("turn_up") === ""),
      length("turn_up", "Turn-up, finished", "cut twice as deep", "none"),
    ],
  },
  {
    name: "Darts",
    rows: [
      rule("darts", "Darts in each back and front", "they take the waist in", [
        ["", "As the waist needs"],
        ["none", "None"],
        ["one", "One"],
        ["two", "Two"],
      ]),
      rule("dart_place", "The dart stands", "", [
        ["half-panel", "In the panel's middle"],
        ["from-centre", "4 in from the centre"],
        ["crease", "On the crease"],
        ["bust-span", "Under the bust point"],
      ]),
      length("dart_intake", "Dart, takes in", "each of them", "what is left over"),
      length("dart_length", "Dart, long", "from the seam down", "by the panel"),
      length("yoke", "Back yoke, deep at the centre", "the dart lies in its seam", "none", alone),
    ],
  },
  {
    name: "Pockets",
    rows: [
      {
        kind: "some",
        key: "pockets",
        legend: "Pockets",
        hint: "each brings all its pieces",
        options: [
          { value: "in-seam", label: "In the side seam" },
          { value: "front-curved", label: "Curved, in front" },
          { value: "back-patch", label: "Patch behind" },
          { value: "outside-patch", label: "Outside patch, piped" },
        ],
      },
      length("pocket_opening", "Opening in the seam", "", undefined, pocket("in-seam")),
      length("pocket_wide", "Curved opening, along the waist", "", undefined, pocket("front-curved")),
      length("pocket_deep", "Curved opening, down the side", "", undefined, pocket("front-curved")),
      length("patch", "Patch, cut square", "", undefined, pocket("back-patch")),
    ],
  },
  {
    name: "Seams and chalk",
    rows: [
      seam("side", "Side", "to let out"),
      seam("centre", "Centre and crotch", ""),
      seam("inner_leg", "Inner leg", ""),
      seam("waist", "Waist", ""),
      rule("back_from", "The back is drafted", "the same outline either way", [
        ["front", "From the cut front, by additions"],
        ["itself", "By itself, from lines of its own"],
      ]),
      rule("marking", "The calls speak", "of cut lines on cloth, of sewing lines on paper", [
        ["on-cloth", "On cloth, seams inside"],
        ["on-paper", "On paper, net"],
      ]),
    ],
  },
  another([
    ["bags", "Pocket bags"],
    ["facings", "Facings and backings"],
    ["band", "Band"],
    ["yoke", "Yoke"],
  ]),
];
