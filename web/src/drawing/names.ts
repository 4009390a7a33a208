/** The panels that cover the body; all others are small parts. */
export const LEGS: readonly string[] = ["front", "back", "leg"];

/** A panel's name as it is written on the cloth: `pocket-bag` is "Pocket bag". */
export const panelName = (name: string) => (name[0] ?? "").toUpperCase() + name.slice(1).replaceAll("-", " ");
