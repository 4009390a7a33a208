import { cleanup, fireEvent, screen } from "@testing-library/react";
import { afterEach, expect, it, vi } from "vitest";
import { show, standIn } from "../test/shop";
import { today } from "./day";
import { CouldPromise } from "./couldPromise";

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

it("says beside the day whether it can be kept, and offers the first that can", async () => {
  const take = vi.fn();
  const first = today(9);
  const calls = standIn({
    "POST /promises": () => ({
      body: { can: false, done_on: first, left_over: 0, first, minutes: {}, names: {}, says: [], moves: [] },
    }),
  });
  show(<CouldPromise styles={["palazzo"]} day={today(2)} take={take} />);
  expect(await screen.findByText(/^That day cannot be kept as the work stands: the first is/)).toBeTruthy();
  fireEvent.click(screen.getByRole("button", { name: "Promise that" }));
  expect(take).toHaveBeenCalledWith(first);
  expect(calls.map((one) => one.body)).toEqual([{ styles: ["palazzo"], order: null, day: today(2) }]);
});

it("asks nothing of a day that is past", () => {
  const calls = standIn({});
  show(<CouldPromise styles={["palazzo"]} day={today(-1)} take={() => undefined} />);
  expect(calls).toEqual([]);
  expect(screen.queryByRole("status")).toBeNull();
});
