/** Each choice in a tailor's words, with what it changes. */
import type { Option } from "../../ui/chips";

export type Row =
  | { kind: "rule"; key: string; legend: string; hint: string; usual: string; options: Option[]; only?: string }
  | { kind: "length"; key: string; legend: string; hint: string; usual: string; only?: string; of?: "allowances" };

export const STYLES: Option[] = [
  { value: "straight-trousers", label: "Straight trousers" },
  { value: "palazzo", label: "Palazzo" },
];

export const GROUPS: { name: string; rows: Row[] }[] = [
  {
    name: "How it sits",
    rows: [
      {
        kind: "rule",
        key: "seat",
        legend: "Seat",
        hint: "sets the back's tip, raise and slant",
        usual: "usual",
        options: [
          { value: "flat", label: "Flat" },
          { value: "usual", label: "Usual" },
          { value: "full", label: "Full" },
        ],
      },
      {
        kind: "rule",
        key: "seat_height",
        legend: "Centre front and back",
        hint: "what the front loses, the back gains",
        usual: "raise-only",
        options: [
          { value: "raise-only", label: "Raise the back" },
          { value: "small-drop-and-raise", label: "Front 1/2 down, back up" },
          { value: "drop-and-raise", label: "Front down as the back goes up" },
          { value: "none", label: "Level" },
        ],
      },
      { kind: "length", key: "hip_ease", legend: "Ease at the hip", hint: "all round, all in the back", usual: "1 in" },
      { kind: "length", key: "waist_ease", legend: "Ease at the waist", hint: "all round", usual: "none" },
      { kind: "length", key: "seat_raise", legend: "Centre back, up", hint: "for sitting down", usual: "by the seat" },
      { kind: "length", key: "centre_slant", legend: "Centre back, in", hint: "at the waist", usual: "by the seat" },
      { kind: "length", key: "centre_drop", legend: "Centre front, down", hint: "", usual: "by the rule above" },
      { kind: "length", key: "side_raise", legend: "Side, up", hint: "the waist rises to the side", usual: "none" },
    ],
  },
  {
    name: "Crotch",
    rows: [
      {
        kind: "rule",
        key: "crotch_depth",
        legend: "Depth to the crotch line",
        hint: "from the top of the figure",
        usual: "hip/4",
        options: [
          { value: "hip/4", label: "hip / 4" },
          { value: "hip/4+1", label: "hip / 4 + 1" },
          { value: "hip/4+2", label: "hip / 4 + 2, high waist" },
          { value: "hip/4+3", label: "hip / 4 + 3, very loose" },
          { value: "hip/3", label: "hip / 3" },
          { value: "hip/3-1", label: "hip / 3 - 1" },
          { value: "seated", label: "Measured seated" },
          { value: "outseam-inseam", label: "Outseam less inseam" },
        ],
      },
      { kind: "length", key: "crotch_ease", legend: "Ease in the depth", hint: "room to sit", usual: "none" },
      {
        kind: "rule",
        key: "crotch_extension",
        legend: "Front extension",
        hint: "room between the legs",
        usual: "hip/16",
        options: [
          { value: "hip/16", label: "hip / 16" },
          { value: "hip/20", label: "hip / 20" },
          { value: "by-size", label: "By size, 2 to 3 in" },
          { value: "thigh/2", label: "From half the thigh" },
          { value: "panel/4", label: "A quarter of the panel" },
        ],
      },
      {
        kind: "rule",
        key: "back_extension",
        legend: "Back extension",
        hint: "more than the front's",
        usual: "tip",
        options: [
          { value: "tip", label: "Front's and the tip" },
          { value: "hip/8", label: "hip / 8" },
          { value: "hip/10", label: "hip / 10" },
          { value: "panel/2", label: "Half the panel" },
        ],
      },
      { kind: "length", key: "back_tip", legend: "Back's tip", hint: "beyond the front's point", usual: "by the seat" },
      {
        kind: "rule",
        key: "hip_line",
        legend: "Hip line",
        hint: "where the width is laid",
        usual: "measured",
        options: [
          { value: "measured", label: "As measured from the waist" },
          { value: "two-above", label: "2 in above the crotch line" },
          { value: "hip/16-above", label: "hip / 16 above it" },
        ],
      },
    ],
  },
  {
    name: "Leg",
    rows: [
      {
        kind: "length",
        key: "length",
        legend: "Finished length",
        hint: "top of the band to the hem",
        usual: "the outseam",
      },
      {
        kind: "length",
        key: "knee_ease",
        legend: "Ease at the knee",
        hint: "all round",
        usual: "4 in",
        only: "straight-trousers",
      },
      {
        kind: "length",
        key: "thigh_ease",
        legend: "Ease at the thigh",
        hint: "sets the leg line",
        usual: "2 in",
        only: "palazzo",
      },
      {
        kind: "length",
        key: "knee_width",
        legend: "Knee, all round",
        hint: "sewn; instead of the ease",
        usual: "knee and its ease",
        only: "straight-trousers",
      },
      { kind: "length", key: "hem_width", legend: "Hem, all round one leg", hint: "sewn", usual: "straight down" },
      { kind: "length", key: "hem", legend: "Hem to turn up", hint: "cut", usual: "2 in" },
    ],
  },
  {
    name: "Waist and darts",
    rows: [
      {
        kind: "rule",
        key: "waist_position",
        legend: "The waist lies",
        hint: "where the figure was taken",
        usual: "worn",
        options: [
          { value: "worn", label: "Where it is worn" },
          { value: "natural", label: "Natural" },
          { value: "high", label: "High" },
        ],
      },
      {
        kind: "rule",
        key: "darts",
        legend: "Darts in each back and front",
        hint: "they take the waist in",
        usual: "",
        options: [
          { value: "", label: "As the waist needs" },
          { value: "none", label: "None" },
          { value: "one", label: "One" },
          { value: "two", label: "Two" },
        ],
      },
      {
        kind: "rule",
        key: "dart_place",
        legend: "The dart stands",
        hint: "",
        usual: "half-panel",
        options: [
          { value: "half-panel", label: "In the panel's middle" },
          { value: "from-centre", label: "From the centre" },
          { value: "bust-span", label: "Under the bust point" },
        ],
      },
      {
        kind: "length",
        key: "dart_intake",
        legend: "Dart, takes in",
        hint: "each of them",
        usual: "what is left over",
      },
      { kind: "length", key: "dart_length", legend: "Dart, long", hint: "from the seam down", usual: "by the panel" },
      {
        kind: "rule",
        key: "band",
        legend: "The band lies",
        hint: "verticals start from its top",
        usual: "below",
        options: [
          { value: "below", label: "Below: taken off the verticals" },
          { value: "inside", label: "Inside: cut off the draft's top" },
        ],
      },
      {
        kind: "length",
        key: "band_depth",
        legend: "Band, finished",
        hint: "the strip is twice this and two seams",
        usual: "1 1/2 in",
      },
      { kind: "length", key: "band_overlap", legend: "Overlap", hint: "for hook and bar", usual: "1 1/2 in" },
    ],
  },
  {
    name: "Seams and chalk",
    rows: [
      { kind: "length", of: "allowances", key: "side", legend: "Side", hint: "to let out", usual: "1 in" },
      { kind: "length", of: "allowances", key: "centre", legend: "Centre and crotch", hint: "", usual: "1/2 in" },
      { kind: "length", of: "allowances", key: "inner_leg", legend: "Inner leg", hint: "", usual: "1/2 in" },
      { kind: "length", of: "allowances", key: "waist", legend: "Waist", hint: "", usual: "1/2 in" },
      {
        kind: "rule",
        key: "marking",
        legend: "The calls speak",
        hint: "of cut lines on cloth, of sewing lines on paper",
        usual: "on-cloth",
        options: [
          { value: "on-cloth", label: "On cloth, seams inside" },
          { value: "on-paper", label: "On paper, net" },
        ],
      },
    ],
  },
];
