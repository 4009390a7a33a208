import { cleanup, fireEvent, screen, waitFor, within } from "@testing-library/react";
import { afterEach, expect, it, vi } from "vitest";
import type { Plan } from "../../api/plans";
import { order, plan, show, standIn, whole } from "../../test/shop";
import { InHand } from "./InHand";

afterEach(() => {
  cleanup();
  sessionStorage.clear();
  vi.unstubAllGlobals();
});

const saving = (code: string, saves_mm: number, enough: boolean) => ({
  code,
  says: `Way ${code}`,
  saves_mm,
  needs_mm: 2000 - saves_mm,
  enough,
  choices: code === "hem" ? { trousers: { hem: "1 in" } } : {},
});
const short = { code: "cloth.short", weight: "stop", where: "cloth.length", words: "The lay needs 79 in.", params: {} };
const choose = vi.fn();
const take = vi.fn(() => Promise.resolve());
const page = (length: string, findings: unknown[]) => {
  const run = {
    id: "r",
    state: "done",
    tried: 3,
    found: [saving("now", 0, false), saving("hem", 50, false), saving("fold.open", 120, true)],
  };
  const calls = standIn({ "PUT /lay-runs/.*": () => ({ body: run }), "GET /lay-runs/.*": () => ({ body: run }) });
  const held = { ...order, cloth: { ...order.cloth, length } };
  show(<InHand order={held} plan={{ ...plan, findings } as Plan} planId="p" unit="in" choose={choose} take={take} />);
  return calls;
};

it("asks nothing where cloth is to be bought", () => {
  page("", []);
  expect(screen.queryByRole("heading")).toBeNull();
});

it("says that the cloth is enough", () => {
  page("3 yd", []);
  screen.getByText("Yes: 3 yd are enough.");
});

it("tries savings and lists them by what they save, each with what it needs", async () => {
  const calls = page("70 in", [short]);
  screen.getByText(whole("The lay needs 79″."));
  fireEvent.click(screen.getByRole("button", { name: "Try what would save cloth" }));
  const table = await screen.findByRole("table");
  await waitFor(() => expect(within(table).getAllByRole("rowheader")).toHaveLength(3));
  expect(
    within(table)
      .getAllByRole("rowheader")
      .map((one) => one.textContent),
  ).toEqual(["Way now", "Way fold.open", "Way hem"]);
  const rows = within(table).getAllByRole("row").slice(1);
  expect(rows.map((row) => within(row).getAllByRole("cell")[2]!.textContent)).toEqual(["no", "yes", "no"]);
  fireEvent.click(within(table).getByRole("button", { name: "Fold it so" }));
  expect(choose).toHaveBeenCalledWith("open");
  fireEvent.click(within(table).getByRole("button", { name: "Do it so" }));
  expect(take).toHaveBeenCalledWith({ trousers: { hem: "1 in" } });
  expect(calls[0]!.body).toMatchObject({ plan: "p", kind: "savings" });
});
