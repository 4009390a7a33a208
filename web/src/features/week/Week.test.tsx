import { cleanup, fireEvent, screen, within } from "@testing-library/react";
import { afterEach, expect, it, vi } from "vitest";
import type { Week as WeekAnswer } from "../../api/week";
import { show, standIn } from "../../test/shop";
import { spent } from "../../ui/spent";
import { Week } from "./Week";

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const ticket = { order: "o1", title: "Choir", client_name: "Marit Sol", kinds: ["sew", "finish"], names: ["sew", "finish"], start: "08:00", end: "10:15", minutes: 135, late: true }; // prettier-ignore
const free = { worked: 480, free: 480, away: false, tickets: [] };
const week: WeekAnswer = {
  today: "2026-11-30",
  first: "2026-11-30",
  kept_at: null,
  more: false,
  rows: [
    {
      person: "p1",
      name: "Ivo",
      days: [
        { day: "2026-11-30", worked: 480, free: 345, away: false, tickets: [ticket] },
        { ...free, day: "2026-12-01", free: 0 },
        { ...free, day: "2026-12-02", worked: 0, free: 0, away: true },
      ],
    },
  ],
  broken: [
    { order: "o1", title: "Choir", client_name: "Marit Sol", promised_on: "2026-11-29", done_on: "2026-11-30", says: ["It waits longest for Ivo."] }, // prettier-ignore
  ],
};

it("shows who does what when, what is free, and what is not kept with why", async () => {
  standIn({
    "GET /week": () => ({ body: week }),
    "GET /session": () => ({ body: { rights: [] } }),
    "GET /orders": () => ({ body: [] }),
  });
  show(<Week />);
  const row = await screen.findByRole("region", { name: "Ivo" });
  expect(within(row).getByRole("button").textContent).toBe("Marit Sol latesew, finish08:00\u201310:15");
  expect(within(row).getByText("5 h 45 min free")).toBeTruthy();
  expect(within(row).getByText("full")).toBeTruthy();
  expect(within(row).getByText("away")).toBeTruthy();
  expect(screen.getByText(/promised for 29 November 2026, done on 30 November 2026/)).toBeTruthy();
  expect(screen.getByText("It waits longest for Ivo.")).toBeTruthy();
  // Who may not keep a schedule is not offered one.
  expect(screen.queryByRole("button", { name: "Make one" })).toBeNull();
});

it("says whether a day can be promised, with its minutes and what moves", async () => {
  const asked: unknown[] = [];
  standIn({
    "GET /week": () => ({ body: { ...week, broken: [] } }),
    "GET /session": () => ({ body: { rights: [] } }),
    "GET /orders": () => ({ body: [] }),
    "POST /promises": ({ body }) => {
      asked.push(body);
      return {
        body: {
          can: true,
          done_on: "2026-12-03",
          left_over: 200,
          first: null,
          minutes: { cut: 32, sew: 48 },
          names: { cut: "mark and cut", sew: "sew" },
          says: ["3 h 20 min of work are left over then."],
          moves: [
            { order: "o1", title: "Choir", client_name: "Marit Sol", name: "sew", was_by: "Ivo", was_on: "2026-12-01", by: "Tove", on: "2026-12-02" }, // prettier-ignore
          ],
        },
      };
    },
  });
  show(<Week />);
  expect(await screen.findByText("None: every promise is kept.")).toBeTruthy();
  await screen.findByRole("option", { name: "Palazzo" });
  fireEvent.change(screen.getAllByRole("combobox")[0]!, { target: { value: "palazzo" } });
  fireEvent.change(screen.getByLabelText("For"), { target: { value: "2026-12-04" } });
  fireEvent.click(screen.getByRole("button", { name: "Ask" }));
  expect(await screen.findByText("Yes, 4 December 2026 can be promised: it is done on 3 December 2026.")).toBeTruthy();
  expect(screen.getByText("1 h 20 min of work: mark and cut 32 + sew 48 min.")).toBeTruthy();
  expect(screen.getByText("Choir, Marit Sol, sew: Ivo on Tue 1 Dec, now Tove on Wed 2 Dec")).toBeTruthy();
  expect(asked).toEqual([{ styles: ["palazzo"], day: "2026-12-04", fitting: null }]);
  // An answer to another question is not shown.
  fireEvent.change(screen.getByLabelText("For"), { target: { value: "2026-12-05" } });
  expect(screen.queryByText(/can be promised/)).toBeNull();
});

it("says a time as it is spoken", () => {
  expect([0, 5, 60, 135].map(spent)).toEqual(["0 min", "5 min", "1 h", "2 h 15 min"]);
});
