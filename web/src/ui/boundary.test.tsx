import { cleanup, screen } from "@testing-library/react";
import { afterEach, expect, it, vi } from "vitest";
import { show } from "../test/shop";
import { Boundary } from "./boundary";

afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

function Breaks(): never {
  throw new Error("a room that breaks");
}

it("says what to do where a room breaks, and leaves the rest alone", () => {
  vi.spyOn(console, "error").mockImplementation(() => undefined);
  show(
    <>
      <p>the rest</p>
      <Boundary>
        <Breaks />
      </Boundary>
    </>,
  );
  expect(screen.getByText(/This page broke/).textContent).toContain("What you typed is kept");
  expect(screen.getByRole("button", { name: "Load it again" })).toBeTruthy();
  expect(screen.getByText("the rest")).toBeTruthy();
});
