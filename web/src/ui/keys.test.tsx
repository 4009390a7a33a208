import { cleanup, fireEvent, render } from "@testing-library/react";
import { afterEach, expect, it, vi } from "vitest";
import { KEYS, useKeys } from "./keys";

function Listens({ handle }: { handle: (does: string, key: string) => void }) {
  useKeys("mark", handle);
  return (
    <>
      <input aria-label="field" />
      <button>press</button>
    </>
  );
}
afterEach(cleanup);

it("gives each key one meaning: a place inside a job shares none with the job", () => {
  for (const places of [["job", "mark"], ["job", "lay"], ["methods"]]) {
    const all = KEYS.filter((row) => places.includes(row.where)).flatMap((row) => row.keys);
    expect(all.length).toBeGreaterThan(3);
    expect(new Set(all).size).toBe(all.length);
  }
});

it.each([
  [{ key: " " }, "chalked"],
  [{ key: "ArrowRight" }, "next"],
  [{ key: " ", shiftKey: true }, "previous"],
  [{ key: "ArrowLeft" }, "previous"],
  [{ key: "L" }, "far"],
  [{ key: "Home" }, "first"],
])("hears %o", (press, does) => {
  const handle = vi.fn();
  render(<Listens handle={handle} />);
  fireEvent.keyDown(document.body, press);
  expect(handle.mock.calls.map((call) => call[0] as string)).toEqual([does]);
});

it("leaves keys to a field, a button and the browser's own", () => {
  const handle = vi.fn();
  const { getByLabelText, getByRole } = render(<Listens handle={handle} />);
  fireEvent.keyDown(getByLabelText("field"), { key: " " });
  fireEvent.keyDown(getByRole("button"), { key: " " });
  fireEvent.keyDown(document.body, { key: "l", ctrlKey: true });
  fireEvent.keyDown(document.body, { key: "1" });
  expect(handle).not.toHaveBeenCalled();
});

it("lets Escape leave a field", () => {
  const { getByLabelText } = render(<Listens handle={() => {}} />);
  const field = getByLabelText("field");
  field.focus();
  fireEvent.keyDown(field, { key: "Escape" });
  expect(document.activeElement).toBe(document.body);
});

it("acts on the newest handler at once, however fast the keys come", () => {
  const heard: number[] = [];
  const { rerender } = render(<Listens handle={() => heard.push(1)} />);
  rerender(<Listens handle={() => heard.push(2)} />);
  fireEvent.keyDown(document.body, { key: " " });
  expect(heard).toEqual([2]);
});
