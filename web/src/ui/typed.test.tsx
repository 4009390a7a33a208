import { act, cleanup, renderHook } from "@testing-library/react";
import { afterEach, beforeEach, expect, it } from "vitest";
import type { Unit } from "../lengths/units";
import { forgetTyped } from "../offline/typed";
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

it("keeps what was typed in the old unit, and writes that unit out", () => {
  const start: { unit: Unit } = { unit: "in" };
  const { result, rerender, unmount } = renderHook(({ unit }) => useTyped("here", "38", unit), { initialProps: start });
  act(() => result.current.type("45"));
  const id = result.current.id();
  rerender({ unit: "cm" });
  expect(result.current.typed).toBe("45 in");
  expect(result.current.id()).toBe(id);
  unmount();
  const cm = () => renderHook(() => useTyped("here", "38", "cm"));
  expect(cm().result.current.typed).toBe("45 in");
  // Back again it stays as it is; what has a unit of its own needs none.
  expect(renderHook(() => useTyped("here", "38", "in")).result.current.typed).toBe("45 in");
  localStorage.clear();
  const first = renderHook(() => useTyped("here", "38", "in"));
  act(() => first.result.current.type("40 1/2"));
  first.unmount();
  expect(cm().result.current.typed).toBe("40 1/2 in");
});

it("forgets what was typed when everything is forgotten, and nothing else", () => {
  localStorage.setItem("light", "dim");
  const { result } = field();
  act(() => result.current.type("41"));
  forgetTyped();
  expect(field().result.current.typed).toBe("38");
  expect(localStorage.getItem("light")).toBe("dim");
});

it("takes no harm from what another version left in this browser", () => {
  for (const left of ["39", "39 1/2", '{"typed": 39}', "null", "{"]) {
    localStorage.setItem("typed:here", left);
    const { result, unmount } = field();
    expect(result.current.typed, left).toBe("38");
    unmount();
  }
});
