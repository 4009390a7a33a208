// Before the first paint: the light that was chosen last on this device, so that a dim page never flashes bright.
const chosen = localStorage.getItem("light") ?? "system";
const dark = matchMedia("(prefers-color-scheme: dark)").matches;
document.documentElement.dataset.light = chosen === "dim" || (chosen === "system" && dark) ? "dim" : "day";
