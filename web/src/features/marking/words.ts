export const words = {
  next: "Next mark",
  previous: "Previous mark",
  hidden: "Say it before you look.",
  all: "All calls",
  drawing: "Back to the drawing",
  done: "All marks are chalked.",
  waits: "Do not cut this line yet: it waits until the back is traced.",
  noLay: "There is no lay on this cloth, so the marks have no place on it. The calls still hold.",
  cutOff: "Cut the last section off straight across, and fold what is left anew.",
  under: "Another layer is over this piece: fold it back before you chalk, or cut what is on it first.",
  folded: "Mark through all layers of a piece: left and right are cut as one.",
  open: "These calls are for one of each pair; its twin is the same, turned over, as the lay shows.",
};
