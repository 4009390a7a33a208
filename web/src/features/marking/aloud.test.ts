import { act, renderHook } from "@testing-library/react";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import type { Mark } from "../../api/plans";
import { sentence, useAloud } from "./aloud";

const call = { name: "Hip width", shown: "11 3/4 in", reads_mm: 11.75 * 25.4, from: "the mark “Leg line”", along: "along the hip line, towards the fold" } as Mark; // prettier-ignore
const said: { text: string; rate: number }[] = [];

beforeEach(() => {
  said.length = 0;
  localStorage.clear();
  vi.stubGlobal(
    "SpeechSynthesisUtterance",
    class {
      rate = 1;
      lang = "";
      constructor(public text: string) {}
    },
  );
  vi.stubGlobal("speechSynthesis", { cancel: vi.fn(), speak: (one: { text: string; rate: number }) => said.push(one) });
});
afterEach(() => vi.unstubAllGlobals());

test("says a number as a person does, in the unit that is shown, and nothing of it while it is hidden", () => {
  expect(sentence(call, "in")).toBe(
    "Hip width. 11 and 3 quarters inches, from the mark Leg line, along the hip line, towards the fold.",
  );
  expect(sentence(call, "cm")).toContain("29.8");
  expect(sentence(call, "in", true)).not.toMatch(/11|quarters/);
  expect(sentence({ ...call, shown: "", from: "", along: "from A, straight to B" }, "in")).toBe(
    "Hip width. from A, straight to B.",
  );
});

test("is silent until it is asked, then reads each call once at its rate, and remembers that", () => {
  const { result, rerender } = renderHook(({ text }) => useAloud(text), { initialProps: { text: "One." } });
  expect(said).toEqual([]);
  act(() => result.current[1](1.2));
  rerender({ text: "Two." });
  expect(said.map(({ text, rate }) => [text, rate])).toEqual([
    ["One.", 1.2],
    ["Two.", 1.2],
  ]);
  expect(renderHook(() => useAloud("Three.")).result.current[0]).toBe(1.2);
  act(() => result.current[1](null));
  rerender({ text: "Four." });
  expect(said.map((one) => one.text)).toEqual(["One.", "Two.", "Three."]);
});
