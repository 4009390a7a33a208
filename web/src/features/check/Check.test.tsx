import { cleanup, fireEvent, screen, within } from "@testing-library/react";
import { afterEach, expect, it, vi } from "vitest";
import { plan, show } from "../../test/shop";
import { Check } from "./Check";

afterEach(cleanup);

it("names what is wrong first, with both its numbers, and draws where", () => {
  show(<Check plan={plan} />);
  expect(screen.getByRole("heading", { level: 1 }).textContent).toBe("1 of 2 do not hold");
  const [first, second] = screen.getAllByRole("button");
  expect(within(first!).getByRole("img", { name: "does not hold" })).toBeTruthy();
  expect(first!.textContent).toContain("The side seams are not equal");
  expect(within(first!).getByLabelText("41 inches")).toBeTruthy();
  expect(within(first!).getByLabelText(/^41.*eighth/)).toBeTruthy();
  const drawn = () => screen.getByRole("img", { name: "Where it is measured" });
  const heavy = () => drawn().querySelectorAll('path[stroke-width="12"]').length;
  expect(heavy()).toBe(2);
  fireEvent.click(second!);
  expect(heavy()).toBe(0);
  expect(second!.getAttribute("aria-pressed")).toBe("true");
});

it("draws it once: beside the list where there is room, else under its fact", () => {
  show(<Check plan={plan} />);
  expect(screen.getByRole("img", { name: "Where it is measured" }).closest("li")).toBeTruthy();
  cleanup();
  vi.stubGlobal("matchMedia", (media: string) => Object.assign(new EventTarget(), { media, matches: true }));
  show(<Check plan={plan} />);
  expect(screen.getByRole("img", { name: "Where it is measured" }).closest("li")).toBeNull();
  vi.unstubAllGlobals();
});

it("draws the body with the garment round it, both as far round as the ledger says, and names ease and sizes", () => {
  const ledger = plan.ledger.map((row) => ({ ...row, sewn_mm: 43 * 25.4 }));
  show(<Check plan={{ ...plan, ledger }} />);
  const hip = screen.getByRole("img", { name: "hip: body 41 inches, garment 43 inches" });
  const round = [...hip.querySelectorAll("ellipse")].map((one) => {
    const [a, b] = ["rx", "ry"].map((key) => Number(one.getAttribute(key)) * 4);
    // Ramanujan's series for the length of an ellipse, from memory.
    const h = ((a! - b!) / (a! + b!)) ** 2;
    return Math.PI * (a! + b!) * (1 + (3 * h) / (10 + Math.sqrt(4 - 3 * h)));
  });
  expect(round[0]).toBeCloseTo(41 * 25.4, 0);
  expect(round[1]).toBeCloseTo(43 * 25.4, 0);
  expect(hip.closest("figure")!.textContent).toContain("2″ of ease");
});

it("says that all hold when they do", () => {
  show(<Check plan={{ ...plan, checks: plan.checks.slice(0, 1) }} />);
  expect(screen.getByRole("heading", { level: 1 }).textContent).toMatch(/^All 1 hold/);
});

const read = (table: string) => {
  const row = within(screen.getByRole("table", { name: table })).getByRole("row", { name: /^Hip/ });
  const cells = within(row).getAllByRole("cell");
  return cells.map((cell) => cell.querySelector("[aria-label]")?.getAttribute("aria-label") ?? cell.textContent);
};

it("keeps the ledger beside it: body, ease, cut and sewn of each level", () => {
  show(<Check plan={plan} />);
  expect(read("All round")).toEqual(["41 inches", "1 inch", "48 inches", "41 inches"]);
  expect(screen.getByRole("list", { name: "Findings" }).textContent).toContain("Stop. The back's side is 1/8″ longer.");
});

it("goes from the cut cloth to the body: what seams, darts and gathers take stands beside what is left", () => {
  show(<Check plan={plan} />);
  expect(read("From the cut to the body, inches")).toEqual([
    "48 inches",
    "6 inches",
    "0 inches",
    "0 inches",
    "41 inches",
    "41 inches",
    "1 inch",
  ]);
});
