/** The folds there are, in the order they are offered; each says what it is good for. Common practice, no source. */
export const FOLDS = [
  {
    value: "lengthwise-centre",
    label: "Lengthwise in the middle",
    says: "pairs cut at once, two layers; the usual one",
  },
  { value: "open", label: "Open", says: "one layer; left and right each laid by itself, often the least cloth" },
  {
    value: "lengthwise-partial",
    label: "Lengthwise, partly",
    says: "two layers just as deep as needed, the rest single",
  },
  {
    value: "selvedges-to-middle",
    label: "Both selvedges to the middle",
    says: "two folds, for pieces that lie on one",
  },
  { value: "crosswise", label: "Crosswise", says: "the length runs across the cloth: the drape turns" },
  { value: "folded-twice", label: "Folded twice", says: "four layers: all four panels of a quick cut at once" },
  {
    value: "sections",
    label: "In sections",
    says: "front, cut off, folded anew for the back; small parts beside them where they fit",
  },
];
