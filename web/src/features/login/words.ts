export const words = {
  what: "Measure, mark on the fold, know the cloth.",
  name: "User name",
  password: "Password",
  enter: "Open the workshop",
  who: "Who is here?",
  code: "Your short code",
  another: "Somebody else",
  nobody: "Nobody has a short code yet. Everybody chooses one’s own in Settings.",
  byName: "With user name and password",
  pick: "Pick yourself instead",
};
