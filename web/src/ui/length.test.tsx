import { ChakraProvider } from "@chakra-ui/react";
import { cleanup, render, screen } from "@testing-library/react";
import { afterEach, expect, it } from "vitest";
import { system } from "../app/theme";
import { Length } from "./length";

const shown = (mm: number, unit: "in" | "cm") => {
  render(
    <ChakraProvider value={system}>
      <Length mm={mm} unit={unit} />
    </ChakraProvider>,
  );
  const found = screen.getByRole("img");
  return [found.getAttribute("aria-label"), found.textContent];
};
afterEach(cleanup);

it.each([
  [363.54, "in", "14 and 5 sixteenths inches", "14 5/16″"],
  [12.7, "in", "a half of an inch", "1/2″"],
  [-25.4, "in", "1 inch", "−1″"],
  [978, "cm", "97.8 centimetres", "97.8cm"],
  [0, "in", "0 inches", "0″"],
] as const)("%d mm in %s is heard as %s", (mm, unit, heard, seen) => {
  expect(shown(mm, unit)).toEqual([heard, seen]);
});
