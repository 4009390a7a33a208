import { cleanup, fireEvent, screen, waitFor, within } from "@testing-library/react";
import { afterEach, beforeEach, expect, it, vi } from "vitest";
import { type Point, useSheetWrites, type Way } from "../../api/measuring";
import { show, standIn } from "../../test/shop";
import { Ways } from "./Ways";

const point = { key: "body_rise", name: "rise, seated", flat: null } as unknown as Point;
const way: Way = {
  key: "body_rise", code: "outseam_less_inseam", formula: "outseam - inseam", with: "41 - 30", typed: "11 in", mm: 279.4,
  about: "The client may hold the tape.", differs_mm: 12.7,
}; // prettier-ignore

function Stand({ at = point, ways = [way] }: { at?: Point; ways?: Way[] }) {
  const writes = useSheetWrites("order-1", "sheet-1");
  return <Ways sheet="sheet-1" point={at} unit="in" writes={writes} ways={ways} />;
}

beforeEach(() => localStorage.clear());
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

it("shows an estimate with its sum, names and numbers, and how far what was taken is from it", async () => {
  const calls = standIn({ "PUT /readings/.*": ({ body }) => ({ body }) });
  show(<Stand ways={[way, { ...way, key: "hip", code: "other" }]} />);
  const row = screen.getByRole("listitem");
  expect(row.textContent).toContain("outseam − inseam = 41 − 30");
  expect(within(row).getByRole("img", { name: "11 inches" })).toBeTruthy();
  expect(row.textContent).toContain("What was taken differs by");
  fireEvent.click(within(row).getByRole("button", { name: "Use it" }));
  await waitFor(() => expect(calls).toHaveLength(1));
  expect(calls[0]!.body).toMatchObject({
    key: "body_rise",
    typed: "11 in",
    way: "outseam_less_inseam",
    sheet: "sheet-1",
  });
});

it("asks trousers laid flat what they say, and keeps that as an estimate", async () => {
  const calls = standIn({
    "POST /flat": () => ({ body: { typed: "41 in" } }),
    "PUT /readings/.*": ({ body }) => ({ body }),
  });
  show(<Stand at={{ ...point, key: "hip", name: "hip", flat: 2 }} ways={[]} />);
  const field = document.querySelector<HTMLInputElement>('input[name="flat-hip"]')!;
  fireEvent.change(field, { target: { value: "20 1/2" } });
  fireEvent.blur(field);
  await waitFor(() => expect(calls).toHaveLength(2));
  expect(calls[0]!.body).toEqual({ key: "hip", typed: "20 1/2", unit: "in" });
  expect(calls[1]!.body).toMatchObject({ key: "hip", typed: "41 in", way: "flat" });
});

it("offers nothing to use where there is no other way, and says how ease is taken off a reading", () => {
  show(<Stand ways={[]} />);
  expect(screen.queryByText("Use it")).toBeNull();
  expect(screen.getByText("38 less 2")).toBeTruthy();
});
