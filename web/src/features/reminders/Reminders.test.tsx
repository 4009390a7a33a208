import { cleanup, fireEvent, screen, within } from "@testing-library/react";
import { afterEach, expect, it, vi } from "vitest";
import type { Due, Reminder, Reminders as Answer } from "../../api/reminders";
import { show, standIn } from "../../test/shop";
import { Reminders } from "./Reminders";

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const due: Due = { order: "o1", title: "Choir, palazzo", client: "c1", client_name: "Marit Sol", kind: "ready", to: "0555", text: "It is ready.", why: "" }; // prettier-ignore
const sent: Reminder = { id: "r1", order: "o1", title: "Choir, palazzo", client_name: "Marit Sol", kind: "ready", to: "0555", text: "It is ready.", state: "waiting", tries: 2, next_at: "2026-11-30T08:00:00Z", sent_at: null }; // prettier-ignore
const none: Answer = { due: [], outbox: [], more: false, gateway: true, automatic: false };

it("puts a reminder in the outbox once, and says how it goes", async () => {
  let now: Answer = { ...none, due: [due] };
  const calls = standIn({
    "GET /session": () => ({ body: { rights: ["contacts"] } }),
    "GET /reminders": () => ({ body: now }),
    "PUT /reminders/[^/]+": () => {
      now = { ...none, outbox: [sent] };
      return { body: now };
    },
  });
  show(<Reminders />);
  const press = await screen.findByRole("button", { name: "Remind Marit Sol" });
  fireEvent.click(press);
  fireEvent.click(press);
  const outbox = screen.getByRole("region", { name: "Outbox" });
  expect(await within(outbox).findByText(/^waits until .*, the gateway was down 2 times$/)).toBeTruthy();
  const ids = calls.filter((one) => one.method === "PUT").map((one) => one.path);
  expect(new Set(ids).size).toBe(1);
  // Whether it is done by itself is settled by an owner.
  expect(screen.queryByText("by itself")).toBeNull();
});

it("says why somebody is not written to, and what a refused number needs", async () => {
  standIn({
    "GET /session": () => ({ body: { rights: ["contacts", "workshop"] } }),
    "GET /reminders": () => ({
      body: {
        ...none,
        gateway: false,
        due: [{ ...due, why: "not agreed to be written to: say so on the client's card" }],
        outbox: [{ ...sent, state: "refused" }],
      },
    }),
  });
  show(<Reminders />);
  expect(await screen.findByText(/Not sent: not agreed to be written to/)).toBeTruthy();
  expect(screen.queryByRole("button", { name: /^Remind/ })).toBeNull();
  expect(screen.getByText(/No gateway is set up/)).toBeTruthy();
  expect(screen.getByText(/Correct the number on the client’s card/)).toBeTruthy();
  expect(screen.getByRole("button", { name: "Send it again: Marit Sol" })).toBeTruthy();
  expect(screen.getByText("by itself")).toBeTruthy();
});
