/** The light of the screen: by day, dim for evenings, or as the system has it. Set before the first paint by light.js. */
import { useEffect } from "react";

export type Light = "system" | "day" | "dim";
const DARK = "(prefers-color-scheme: dark)";

/** What this device shows now: `light` as it was chosen, else what the system asks for. */
export function isDim(light: Light): boolean {
  return light === "dim" || (light === "system" && window.matchMedia(DARK).matches);
}

/** What was chosen last on this device: the door has it before anybody is known. */
export const lastLight = () => (localStorage.getItem("light") as Light | null) ?? "system";

/** Show it, and again where the system changes. */
export function useLight(light: Light) {
  useEffect(() => {
    const put = () => {
      document.documentElement.dataset.light = isDim(light) ? "dim" : "day";
    };
    localStorage.setItem("light", light);
    put();
    const system = window.matchMedia(DARK);
    system.addEventListener("change", put);
    return () => system.removeEventListener("change", put);
  }, [light]);
}
