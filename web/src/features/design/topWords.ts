/** The choices of a top in a tailor's words. */
import { length, type Now, type Row, rule, seam } from "./rows";
import { another } from "./words";

const has =
  (key: string, ...values: string[]) =>
  (now: Now) =>
    values.includes(now.value(key));
const fitted = (now: Now) => now.style === "bodice";
const loose = (now: Now) => now.style !== "bodice";
const long = (now: Now) => ["straight-top", "loose-top"].includes(now.style) && !now.joined;
const alone = (now: Now) => !now.joined;
const sleeved = has("sleeve", "short", "three-quarter", "long");

export const TOP_GROUPS: { name: string; rows: Row[] }[] = [
  {
    name: "Neck and opening",
    rows: [
      rule("neck_shape", "Neck", "", [
        ["round", "Round"],
        ["v", "V"],
        ["square", "Square"],
        ["boat", "Boat"],
      ]),
      length("neck_width", "Neck, half its width", "from the centre", "from the neck's girth"),
      length(
        "front_neck_depth",
        "Neck, deep in front",
        "cut it small: it can be opened at the fitting",
        "by the shape",
      ),
      length("back_neck_depth", "Neck, deep behind", "", "by the style"),
      rule(
        "closure",
        "Opens with",
        "where nothing opens, the neck is cut to pass the head",
        [
          ["none", "Nothing"],
          ["back-zip", "Zip behind"],
          ["front-zip", "Zip in front"],
        ],
        alone,
      ),
      length(
        "zip_edge",
        "Zip's edge at the neck",
        "",
        undefined,
        (now) => alone(now) && now.value("closure") !== "none",
      ),
      rule("finish", "Neck and open armholes finished with", "", [
        ["facing", "A facing"],
        ["bias", "A strip on the bias"],
      ]),
    ],
  },
  {
    name: "How it sits",
    rows: [
      length("bust_ease", "Ease at the bust", "all round"),
      length("waist_ease", "Ease at the waist", "all round", undefined, (now) => fitted(now) && alone(now)),
      length("hip_ease", "Ease at the hip", "all round", undefined, long),
      length("shoulder_slope", "Shoulder, slopes", "", "as measured, else 1 in"),
      length("armhole_lower", "Armhole lower by", "more room under the arm"),
      length("armhole_hollow", "Armhole hollowed in front", "at half its depth"),
      rule("bust_dart", "What the front is longer by", "", [
        ["side", "In a dart from the side"],
        ["none", "Left in the front"],
      ]),
      rule(
        "darts",
        "Waist darts in each back and front",
        "",
        [
          ["", "As the waist needs"],
          ["none", "None"],
          ["one", "One"],
          ["two", "Two"],
        ],
        fitted,
      ),
      length("dart_intake", "Dart, takes in", "each of them", "what is left over", fitted),
    ],
  },
  {
    name: "Sleeve",
    rows: [
      rule("sleeve", "Sleeve", "", [
        ["none", "None"],
        ["short", "Short"],
        ["three-quarter", "Three-quarter"],
        ["long", "Long"],
      ]),
      length("sleeve_ease", "Ease at the upper arm", "close 1 1/2, straight 2, loose 4", undefined, sleeved),
      length("cap_ease", "Cap longer than the armhole by", "0 loose, 1/2 to 1 set in", undefined, sleeved),
      length("sleeve_length", "Sleeve length", "with the elbow bent", "by the kind", sleeved),
      length("sleeve_round", "Lower edge, all round", "with the elbow bent", "from the arm or the wrist", sleeved),
    ],
  },
  {
    name: "Length and hem",
    rows: [
      length("top_length", "Length", "from the nape, finished", "by the style", (now) => loose(now) && alone(now)),
      rule(
        "hem_shape",
        "Hem",
        "",
        [
          ["level", "Level"],
          ["curved", "Curved up at the sides"],
        ],
        long,
      ),
      length("hem", "Hem to turn up", "cut", undefined, alone),
      length("side_slit", "Side slit", "", "none", long),
    ],
  },
  {
    name: "Seams and chalk",
    rows: [
      seam("side", "Side and underarm", "to let out"),
      seam("shoulder", "Shoulder", ""),
      seam("armhole", "Armhole", ""),
      seam("neck", "Neck", ""),
      seam("waist", "Waist", "", (now) => Boolean(now.joined)),
      rule("marking", "The calls speak", "of cut lines on cloth, of sewing lines on paper", [
        ["on-cloth", "On cloth, seams inside"],
        ["on-paper", "On paper, net"],
      ]),
    ],
  },
  another([
    ["facings", "Facings and bindings"],
    ["sleeves", "Sleeves"],
  ]),
];
