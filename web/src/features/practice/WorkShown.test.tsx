import { cleanup, screen, waitFor, within } from "@testing-library/react";
import { afterEach, expect, it, vi } from "vitest";
import type { Work } from "../../api/work";
import { press, show } from "../../test/shop";
import { WorkShown } from "./WorkShown";

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const rule = { kind: "lower", method: "quarter-hip", choice: "seat_raise", name: "Centre back, up", method_name: "Quarter hip" }; // prettier-ignore
const work: Work = {
  minutes: [
    { code: "darts", title: "Sew the darts", usual: 3, minutes: 2.6, times: 4, summed: "(4 x 2.1 + 5 x 3) / 9" },
  ],
  readings: [{ name: "Waist round", by: "Ebba", cloth: "denim", times: 3, mean: -9.525, least: -12.7, most: -6.35 }],
  corrections: [{ ...rule, found: 7, fittings: 9, middle: 9.525, least: 6.35, most: 19.05 }],
  house: [],
  months: [{ first: "2026-11-01", handed_over: 6, in_time: 5, usual: 120, taken: 96, bought_mm: 4572, used_mm: 4100 }],
};
const me = (rights: string[]) => [["me"], { unit: "in", rights }] as [unknown[], unknown];

it("says how often, from where to where, and lets the owner make what recurs a house rule, and drop it", async () => {
  const made = { ...work, house: [{ ...rule, id: "r1", by_mm: 9.525, found: 7, fittings: 9 }] };
  const asked: Request[] = [];
  let now = work;
  vi.stubGlobal("fetch", (request: Request) => {
    if (request.method !== "GET") {
      asked.push(request.clone());
      now = request.method === "DELETE" ? work : made;
    }
    return Promise.resolve(Response.json(now));
  });
  show(<WorkShown />, [[["work"], work], me(["people", "workshop"])]);
  const month = within(screen.getByRole("table", { name: "Month by month" })).getAllByRole("row")[1]!;
  expect(month.textContent).toContain("November 2026");
  expect(month.textContent).toContain("6, 5 in time");
  expect(month.textContent).toContain("2.0 h, 1.6 h");
  const again = within(screen.getByRole("table", { name: "What fittings change again and again" }));
  const row = again.getAllByRole("row")[1]!;
  expect(row.textContent).toContain("in 7 of 9");
  expect(within(screen.getByRole("table", { name: /compared with the plan/ })).getAllByRole("row")[1]!.textContent).toContain("less"); // prettier-ignore
  press("Make it a house rule: Centre back, up");
  await screen.findByText("it is one");
  expect(await asked[0]!.json()).toEqual({ kind: "lower", method: "quarter-hip", choice: "seat_raise" });
  press("Drop the house rule: Centre back, up");
  await screen.findByRole("button", { name: "Make it a house rule: Centre back, up" });
  expect([asked[1]!.method, asked[1]!.url]).toEqual(["DELETE", expect.stringContaining("/api/house-corrections/r1")]);
});

it("offers nothing to who may not, and says a refusal where it was pressed", async () => {
  show(<WorkShown />, [[["work"], work], me(["people"])]);
  expect(screen.queryByRole("button")).toBeNull();
  cleanup();
  const refusal = {
    title: "There is a house rule of this already. Drop that one first.",
    problems: [],
    code: "rule_held",
  };
  vi.stubGlobal("fetch", () => Promise.resolve(Response.json(refusal, { status: 409 })));
  show(<WorkShown />, [[["work"], work], me(["people", "workshop"])]);
  press("Make it a house rule: Centre back, up");
  await waitFor(() => expect(screen.getByText(/Drop that one first/)).toBeTruthy());
});
