import { act, cleanup, fireEvent, screen, waitFor } from "@testing-library/react";
import { afterEach, beforeEach, expect, it, vi } from "vitest";
import type { Reading } from "../../api/measuring";
import { type Call, order, plan, show, standIn } from "../../test/shop";
import { Measure } from "./Measure";

const point = (key: string, more: object = {}) => ({
  key, name: key, how: `Round the ${key}.`, slip: "Level.", least_mm: 1, most_mm: 9999, needed: true, view: "front",
  posture: "Facing you", tape: ["round", key], flat: null, ...more,
}); // prettier-ignore
const quiet = { doubts: [], ways: [], last: [], last_on: null, expected: [], other_unit: null };
const again = {
  key: "waist",
  code: "doubt.model",
  again: true,
  words: "The waist of 12 in does not fit.",
  upheld: false,
};

/** A sheet that keeps what is written; `advise` says what there is to say of it, `all` is what was read before. */
function workshop(advise: (readings: Reading[]) => object = () => quiet, all: object[] = []) {
  const readings: Reading[] = [];
  return standIn({
    "GET /points": () => ({
      body: [point("waist"), point("hip"), point("thigh", { view: "side", posture: "Sideways" })],
    }),
    "GET /sheets/sheet-1/readings": () => ({ body: all }),
    "GET /sheets/sheet-1/advice": () => ({ body: advise(readings) }),
    "PUT /readings/.*": ({ body }) => {
      readings.push(body as unknown as Reading);
      return { body };
    },
    "PUT /overrulings/.*": () => ({ body: { key: "waist" } }),
    "POST /sheets/sheet-1/turn": () => ({ body: { ...order.sheet, unit: "cm" } }),
  });
}
const written = (calls: Call[]) =>
  calls.filter((call) => call.method !== "GET").map(({ path, body }) => [path.split("/")[1], body]);
const stand = async (more: object = {}) => {
  const skipped = { skipped: [], ...more };
  show(<Measure order={{ ...order, sheet: { ...order.sheet, ...skipped } }} plan={plan} error={null} />);
  return screen.findByRole<HTMLInputElement>("textbox", { name: /Read off the tape/ });
};
const heading = () => screen.getByRole("heading", { level: 1 }).textContent;
const type = (field: HTMLInputElement, text: string) => {
  fireEvent.change(field, { target: { value: text } });
  fireEvent.keyDown(field, { key: "Enter" });
};

beforeEach(() => localStorage.clear());
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

it("goes from point to point with Enter and says when the client is to turn", async () => {
  const calls = workshop();
  type(await stand(), "31 1/2");
  await waitFor(() => expect(heading()).toBe("Hip"));
  expect(screen.queryByText(/Facing you/)).toBeNull();
  type(screen.getByRole("textbox", { name: /Read off/ }), "41");
  await waitFor(() => expect(heading()).toBe("Thigh"));
  expect(screen.getByText(/Sideways/)).toBeTruthy();
  expect(written(calls)).toMatchObject([
    ["readings", { key: "waist", typed: "31 1/2", way: "tape", sheet: "sheet-1" }],
    ["readings", { key: "hip", typed: "41" }],
  ]);
});

it("holds a doubted value once, and lets it pass when Enter is pressed again", async () => {
  workshop((readings) => (readings.length ? { ...quiet, doubts: [again] } : quiet));
  const field = await stand();
  type(field, "12");
  await screen.findByText(/does not fit/);
  expect(heading()).toBe("Waist");
  await act(async () => void fireEvent.keyDown(field, { key: "Enter" }));
  await waitFor(() => expect(heading()).toBe("Hip"));
});

it("waits for the writing when the button is pressed, and sends it once", async () => {
  const calls = workshop();
  const field = await stand();
  fireEvent.change(field, { target: { value: "31" } });
  fireEvent.blur(field);
  fireEvent.click(screen.getByRole("button", { name: "Next: hip" }));
  await waitFor(() => expect(heading()).toBe("Hip"));
  expect(written(calls)).toHaveLength(1);
});

it("keeps the reason of a skipped point and moves on", async () => {
  const calls = workshop();
  await stand();
  fireEvent.click(screen.getByRole("button", { name: "Skip this point" }));
  fireEvent.click(screen.getByRole("button", { name: "Would rather not" }));
  await waitFor(() => expect(heading()).toBe("Hip"));
  expect(written(calls)).toMatchObject([["readings", { key: "waist", typed: "", note: "Would rather not" }]]);
});

it("offers to read a whole sheet in the other unit", async () => {
  const calls = workshop(() => ({ ...quiet, other_unit: "cm" }));
  await stand();
  fireEvent.click(await screen.findByRole("button", { name: "Read the whole sheet in cm" }));
  await waitFor(() => expect(written(calls)).toEqual([["sheets", { unit: "cm" }]]));
});

it("shows a closed sheet without a field, with the way to correct it", () => {
  standIn({ "GET /points": () => ({ body: [] }) });
  show(<Measure order={{ ...order, sheet: { ...order.sheet, closed: true } }} plan={plan} error={null} />);
  expect(screen.queryByRole("textbox")).toBeNull();
  expect(screen.getByRole("button", { name: "Correct it on a new sheet" })).toBeTruthy();
});

it("lets another person's reading count where two read a point differently", async () => {
  const read = (id: string, typed: string, taken_by: string) => ({
    id, key: "hip", typed, mm: null, way: "tape", note: "", taken_by, taken_at: `2026-11-20T10:0${id}:00Z`,
  }); // prettier-ignore
  const all = [read("1", "38", "Runa"), read("2", "40", "Ebba")];
  const calls = workshop(() => quiet, all);
  await stand({ readings: [all[1]] });
  type(screen.getByRole("textbox", { name: /Read off/ }), "31");
  await screen.findByText(/Read 2 times, the last counts/);
  expect(screen.queryByRole("button", { name: "Let 40 count" })).toBeNull();
  fireEvent.click(screen.getByRole("button", { name: "Let 38 count" }));
  await waitFor(() => expect(written(calls)).toHaveLength(2));
  expect(written(calls)[1]).toMatchObject(["readings", { key: "hip", typed: "38" }]);
});

it("says that a sheet is over a year old, and asks nothing of a newer one", async () => {
  vi.useFakeTimers({ toFake: ["Date"], now: new Date("2026-11-28T09:00:00") });
  workshop();
  await stand({ taken_on: "2025-11-20" });
  screen.getByText(/over a year ago/);
  cleanup();
  await stand({ taken_on: "2025-12-05" });
  expect(screen.queryByText(/over a year ago/)).toBeNull();
  vi.useRealTimers();
});
