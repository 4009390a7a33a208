import { cleanup, fireEvent, screen, waitFor } from "@testing-library/react";
import { afterEach, expect, it, vi } from "vitest";
import { show, standIn } from "../../test/shop";
import { DigitalTape } from "./DigitalTape";

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

it("fills the field with each new reading, once, and nothing that was sent before it was paired", async () => {
  let heard = { code: "ABCD2345", seq: 4, typed: "12 in", heard_at: new Date().toISOString() };
  const calls = standIn({ "(GET|POST) /tape": () => ({ body: heard }), "DELETE /tape": () => ({ body: {} }) });
  const fill = vi.fn();
  show(<DigitalTape fill={fill} />);
  fireEvent.click(screen.getByText("Pair a tape"));
  await screen.findByText("ABCD2345");
  await waitFor(() => expect(calls.filter((call) => call.method === "GET").length).toBeGreaterThan(0));
  expect(fill).not.toHaveBeenCalled();
  heard = { ...heard, seq: 5, typed: "41.5 in" };
  await waitFor(() => expect(fill).toHaveBeenCalledWith("41.5 in"), { timeout: 3000 });
  expect(screen.getByText("Heard: 41.5 in")).toBeTruthy();
  const asked = calls.length;
  await waitFor(() => expect(calls.length).toBeGreaterThan(asked + 1), { timeout: 3000 });
  expect(fill).toHaveBeenCalledTimes(1);
  fireEvent.click(screen.getByText("Put it away"));
  await waitFor(() => expect(calls.at(-1)!.method).toBe("DELETE"));
});

it("is silent where the device is absent, and the line lost where the server is", async () => {
  let away = false;
  standIn({
    "POST /tape": () => ({ body: { code: "ABCD2345", seq: 0, typed: "", heard_at: null } }),
    "GET /tape": () =>
      away
        ? Promise.reject(new TypeError("Failed to fetch"))
        : { body: { code: "ABCD2345", seq: 0, typed: "", heard_at: null } },
  });
  show(<DigitalTape fill={vi.fn()} />);
  fireEvent.click(screen.getByText("Pair a tape"));
  await screen.findByText(/It is silent now; type by hand/);
  away = true;
  await screen.findByText(/The line is lost; type by hand/, {}, { timeout: 3000 });
});
