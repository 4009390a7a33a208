export const words = {
  next: "Next mark",
  previous: "Previous mark",
  from: "from",
  hidden: "Say it before you look.",
  show: "Show the number",
  all: "All calls",
  drawing: "Back to the drawing",
  done: "All marks are chalked.",
  waits: "Do not cut this line yet: it waits until the back is traced.",
  noLay: "There is no lay on this cloth, so the marks have no place on it. The calls still hold.",
  front: "Cloth right sides together. Mark through both layers: left and right are cut as one.",
};
