export const words = {
  what: "Measure, mark on the fold, know the cloth.",
  name: "User name",
  password: "Password",
  enter: "Open the workshop",
};
