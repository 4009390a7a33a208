import { ChakraProvider } from "@chakra-ui/react";
import { act, cleanup, fireEvent, render, screen } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { Refused } from "../api/client";
import { system } from "../app/theme";
import { Entry } from "./entry";
import { whole } from "../test/shop";

type Keep = (typed: string, id: string) => Promise<unknown>;

function entry(keep: Keep, more: { saved?: string; onward?: () => void } = {}) {
  return render(
    <ChakraProvider value={system}>
      <Entry
        label="Hip"
        name="hip"
        unit="in"
        saved={more.saved ?? ""}
        place="test:hip"
        keep={keep}
        onward={more.onward}
      />
    </ChakraProvider>,
  );
}
const field = () => screen.getByLabelText<HTMLInputElement>("Hip");
const type = (text: string) => fireEvent.change(field(), { target: { value: text } });
const leave = () => act(async () => void fireEvent.blur(field()));

beforeEach(() => localStorage.clear());
afterEach(cleanup);

describe("a field for a length", () => {
  it("keeps what was typed, exactly, and sends it on leaving", async () => {
    const keep = vi.fn<Keep>(() => Promise.resolve());
    entry(keep);
    type("41 1/2");
    expect(screen.getByText("105.4 cm")).toBeTruthy();
    await leave();
    expect(keep).toHaveBeenCalledTimes(1);
    expect(keep.mock.calls[0]![0]).toBe("41 1/2");
    expect(field().value).toBe("41 1/2");
    expect(localStorage.getItem("typed:test:hip")).toBeNull();
  });

  it("refuses nonsense in words beside the field, which stays, and sends nothing", async () => {
    const keep = vi.fn<Keep>(() => Promise.resolve());
    entry(keep);
    type("forty one");
    await leave();
    expect(screen.getByRole("alert").textContent).toContain("38 1/2");
    expect(field().value).toBe("forty one");
    expect(field().getAttribute("aria-invalid")).toBe("true");
    expect(keep).not.toHaveBeenCalled();
  });

  it("shows the server's words and cure", async () => {
    const problem = {
      where: "measurements.hip",
      code: "measure.large",
      what: "104 in is too large",
      mend: "did you mean cm?",
    };
    entry(() => Promise.reject(new Refused(422, "no", [problem])));
    type("104");
    await leave();
    expect(screen.getByRole("alert").textContent).toBe("104″ is too large. did you mean cm?");
    expect(field().value).toBe("104");
  });

  it("holds a text the line lost, over a new start of the page, and tries again with the same id", async () => {
    const ids: string[] = [];
    const lost: Keep = (_, id) => {
      ids.push(id);
      return Promise.reject(new Refused(0, "The line is lost. What you typed is kept here."));
    };
    const first = entry(lost);
    type("40");
    await leave();
    expect(screen.getByRole("alert").textContent).toContain("kept here");
    first.unmount();

    const keep = vi.fn<Keep>(() => Promise.resolve());
    entry(keep);
    expect(field().value).toBe("40");
    await act(async () => void fireEvent.click(screen.getByRole("button", { name: /Try again/ })));
    expect(keep.mock.calls[0]).toEqual(["40", ids[0]]);
    expect(localStorage.getItem("typed:test:hip")).toBeNull();
  });

  it("moves on with Enter only when the text was taken", async () => {
    const onward = vi.fn();
    entry(() => Promise.resolve(), { onward });
    type("4 1/0");
    await act(async () => void fireEvent.keyDown(field(), { key: "Enter" }));
    expect(onward).not.toHaveBeenCalled();
    type("40 1/2");
    await act(async () => void fireEvent.keyDown(field(), { key: "Enter" }));
    expect(onward).toHaveBeenCalledTimes(1);
  });

  it("says the nearest mark beside a length that falls between two, and keeps it as typed", () => {
    entry(() => Promise.resolve(), { saved: "104.1 cm" });
    expect(screen.getByText(whole("nearest mark 41″, kept as typed"))).toBeTruthy();
  });

  it("sends nothing when nothing changed", async () => {
    const keep = vi.fn<Keep>(() => Promise.resolve());
    entry(keep, { saved: "41" });
    await leave();
    expect(keep).not.toHaveBeenCalled();
  });
});
