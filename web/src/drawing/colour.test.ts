import { expect, it } from "vitest";
import { clothColours, contrast } from "./colour";

it("shows every cloth so that its line is seen at 4.5 to 1 or better", () => {
  for (let red = 0; red < 256; red += 51)
    for (let green = 0; green < 256; green += 51)
      for (let blue = 0; blue < 256; blue += 51) {
        const colour = `#${[red, green, blue].map((value) => value.toString(16).padStart(2, "0")).join("")}`;
        const { cloth, line } = clothColours(colour, 2);
        expect(contrast(cloth, line), colour).toBeGreaterThanOrEqual(4.5);
      }
});

it("leaves a dark cloth as it is but for the shade of two layers, and one near black only lighter", () => {
  expect(clothColours("#23556B", 1).cloth.toLowerCase()).toBe("#23556b");
  expect(contrast("#000000", "#ffffff")).toBeCloseTo(21);
  for (const dark of ["#000000", "#27304A", "#1B1B1B"]) {
    expect(contrast(clothColours(dark, 1).cloth, "#000000"), dark).toBeGreaterThan(2);
    expect(contrast(clothColours(dark, 2).cloth, "#000000")).toBeLessThan(
      contrast(clothColours(dark, 1).cloth, "#000000"),
    );
  }
});
