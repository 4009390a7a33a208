import { cleanup, render } from "@testing-library/react";
import { afterEach, expect, it } from "vitest";
import { SizedText } from "./SizedText";

afterEach(cleanup);

it("writes a size about its middle, fractions stacked, nothing over another, nothing smaller than asked", () => {
  const { container } = render(
    <svg>
      <SizedText text="16 9/16 in x 10 1/4 in" x={300} y={50} least={14} fill="black" />
    </svg>,
  );
  expect(container.textContent).toBe("16916″ × 1014″");
  const sizes = [...container.querySelectorAll("[font-size]")].map((one) => Number(one.getAttribute("font-size")));
  expect(Math.min(...sizes)).toBe(14);
  const level = [...container.querySelectorAll("text")].filter((one) => one.getAttribute("y") === "50");
  const starts = level.map((one) => Number(one.getAttribute("x")));
  expect(starts).toEqual(starts.toSorted((a, b) => a - b));
  const bars = [...container.querySelectorAll("path")].map((one) =>
    /^M([\d.]+) ([\d.]+)H([\d.]+)/.exec(one.getAttribute("d")!)!,
  );
  // The whole number ends where its fraction begins, a figure being 0.6 of its size wide: measured on the typeface.
  expect(Number(bars[0]![1])).toBeGreaterThan(starts[0]! + 2 * 0.6 * 17.5);
  const middle = (starts[0]! + Number(bars[1]![3])) / 2;
  expect(Math.abs(middle - 300)).toBeLessThan(10);
});
