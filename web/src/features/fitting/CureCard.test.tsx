import { cleanup, screen } from "@testing-library/react";
import { afterEach, expect, it, vi } from "vitest";
import type { Cure } from "../../api/fitting";
import { press, show } from "../../test/shop";
import { CureCard } from "./CureCard";

afterEach(cleanup);

const cure: Cure = {
  key: "tip_more", name: "More back tip", state: "changes", says: "On this garment: let it out.",
  changes: [{ choice: "back_tip", name: "Back tip", by_mm: 12.7, says: "1/2 in pinned" }, { choice: "front_diagonal", name: "Front curve", by_mm: -3.175, says: "whatever is pinned" }],
  numbers: [
    { key: "back.crotch_tip", name: "Back, tip, out", was_mm: 50.8, now_mm: 63.5, with: "2 + 1/2",
      formula: "2 in back tip + 1/2 in from the fitting of 3 December" },
  ],
  moved: { panel: "back", lines: [[[0, 0], [10, 10]]], was: [[[0, 0], [9, 9]]], view: [0, 0, 10, 10] },
}; // prettier-ignore
const shared = { first: true, unit: "in", client: "Marit Sol", busy: false } as const;

it("says each change with its sign, each number before and after, and keeps it for all or for one", () => {
  const keep = vi.fn();
  show(<CureCard {...shared} cure={cure} keep={keep} />);
  expect(screen.getByText(/^Back tip$/).textContent).toContain("+ 1");
  expect(screen.getByText(/Front curve/).textContent).toContain("−");
  expect(screen.getByText(/Front curve/).textContent).toContain("(whatever is pinned)");
  const row = screen.getByRole("row", { name: /Back, tip/ });
  expect(row.textContent).toContain("from the fitting of 3 December");
  press("Keep for Marit Sol’s drafts");
  press("For this garment alone");
  expect(keep.mock.calls).toEqual([[false], [true]]);
});

it("cannot be kept where it is refused, where it changes nothing, or by who may only look", () => {
  show(<CureCard {...shared} cure={{ ...cure, state: "refused", says: "75% of it works." }} keep={vi.fn()} />);
  expect(screen.getByRole("alert").textContent).toContain("75%");
  expect(screen.queryByRole("button")).toBeNull();
  cleanup();
  show(<CureCard {...shared} cure={{ ...cure, state: "nothing", numbers: [], moved: null }} keep={vi.fn()} />);
  expect(screen.queryByRole("button")).toBeNull();
  cleanup();
  show(<CureCard {...shared} cure={cure} keep={undefined} />);
  expect(screen.queryByRole("button")).toBeNull();
});
