import { cleanup, screen } from "@testing-library/react";
import { afterEach, expect, it, vi } from "vitest";
import { Refused } from "../../api/client";
import type { Plan } from "../../api/plans";
import { press, show, type } from "../../test/shop";
import { type Operation, Step } from "./Step";

afterEach(() => {
  cleanup();
  localStorage.clear();
});

const waist = {
  id: "t.measure_waist", garment: "t", code: "measure_waist", title: "Measure the waist", says: [], press: "", check: "", tools: [], seam_class: 0, cautions: [],
  seams: [], panels: [], needs: [], stitch: "", stitch_name: "", minutes: 2, overlock: "", allowance_mm: null, edges: [],
  readings: [
    { code: "waist", name: "Waist round", wanted_mm: 800.1, shown: "31 1/2 in", with: "41 - 9 1/2", summed: true,
      formula: "41 in cut all round - 9 1/2 in in seams" },
  ],
} as unknown as Operation; // prettier-ignore
const plan = { unit: "in", panels: [], seams: [] } as unknown as Plan;
const shared = { number: 9, plan, done: undefined, isNext: true, garment: "", under: "h2", way: "", minutes: 2, isTimed: false, band: "", place: "s:1", wrong: null } as const; // prettier-ignore

it("is done by what the tape reads, with its unit, and keeps what was typed until that is taken", async () => {
  const turn = vi.fn(() => Promise.reject(new Refused(422, "No", [], undefined, "sewing")));
  show(<Step {...shared} step={waist} turn={turn} />);
  expect(screen.queryByRole("button", { name: /done/ })).toBeNull();
  expect(screen.getByText(/cut all round/)).toBeTruthy();
  type("Waist round reads", "30 3/4");
  press("It reads so");
  expect(turn).toHaveBeenCalledWith({ waist: "30 3/4 in" }, false, null);
  await vi.waitFor(() => expect((screen.getByLabelText("Waist round reads") as HTMLInputElement).value).toBe("30 3/4"));
  turn.mockImplementation(() => Promise.resolve() as never);
  press("It reads so");
  await vi.waitFor(() => expect((screen.getByLabelText("Waist round reads") as HTMLInputElement).value).toBe(""));
});

it("offers to keep a reading that is doubted, and only then", () => {
  const turn = vi.fn(() => Promise.resolve());
  const doubt = new Refused(422, "13 in, where 31 1/2 in is wanted", [], undefined, "reading_doubted");
  show(<Step {...shared} step={waist} turn={turn} wrong={doubt} />);
  type("Waist round reads", "13");
  press("I measured again: keep it");
  expect(turn).toHaveBeenCalledWith({ waist: "13 in" }, true, null);
});

it("says when it was begun with the tick, and not where the clock was stopped", async () => {
  const turn = vi.fn((...given: unknown[]) => Promise.resolve(void given));
  const darts = { ...waist, code: "darts", title: "Sew the darts", readings: [] };
  show(<Step {...shared} step={darts} turn={turn} />);
  press("Sew the darts: begin");
  press("Sew the darts: done");
  expect(turn.mock.calls[0]![2]).toMatch(/^20\d\d-/);
  await screen.findByRole("button", { name: "Sew the darts: begin" });
  press("Sew the darts: begin");
  press("Sew the darts: stop the clock");
  press("Sew the darts: done");
  expect(turn.mock.calls[1]![2]).toBeNull();
});
