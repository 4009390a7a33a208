import { act, cleanup, renderHook } from "@testing-library/react";
import { afterEach, beforeEach, expect, it } from "vitest";
import { useTyped } from "./typed";

beforeEach(() => localStorage.clear());
afterEach(cleanup);
const field = (saved = "38") => renderHook(({ saved }) => useTyped("here", saved), { initialProps: { saved } });

it("has what was typed again after the page was read anew, with the id it was made with", () => {
  const first = field();
  act(() => first.result.current.type("41 1/2"));
  const id = first.result.current.id();
  first.unmount();
  const next = field();
  expect(next.result.current.typed).toBe("41 1/2");
  expect(next.result.current.id()).toBe(id);
  act(() => next.result.current.type("41"));
  expect(next.result.current.id()).not.toBe(id);
});

it("follows what is saved elsewhere, but never over what is typed here", () => {
  const { result, rerender } = field();
  rerender({ saved: "39" });
  expect(result.current.typed).toBe("39");
  act(() => result.current.type("40"));
  rerender({ saved: "39 1/2" });
  expect(result.current.typed).toBe("40");
  rerender({ saved: "40" });
  expect(result.current.waits()).toBe(false);
});

it("takes no harm from what another version left in this browser", () => {
  for (const left of ["39", "39 1/2", '{"typed": 39}', "null", "{"]) {
    localStorage.setItem("here", left);
    const { result, unmount } = field();
    expect(result.current.typed, left).toBe("38");
    unmount();
  }
});
