import { cleanup, screen } from "@testing-library/react";
import { afterEach, beforeEach, expect, it, vi } from "vitest";
import { show, standIn } from "../../test/shop";
import { daysTo, inZone, moment, today, until } from "../../ui/day";
import { Bench } from "./Bench";

const NOON = new Date("2026-11-23T12:00:00");
beforeEach(() => void vi.useFakeTimers({ now: NOON, toFake: ["Date"] }));
afterEach(() => {
  cleanup();
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

const ticket = (id: string, more: object) => ({
  id, version: 1, title: `Order ${id}`, client_name: "Marit Sol", promised_on: "2026-11-30", measured: 6, styles: ["palazzo"],
  state: "measured", passed: ["design", "cloth", "lay"], ...more,
}); // prettier-ignore

it("leads each order to the station it waits at, and says how long it has", async () => {
  const tickets = [
    ticket("a", { promised_on: "2026-11-24", measured: 1, state: "asked" }),
    ticket("b", {}),
    ticket("c", { promised_on: "2026-11-20", passed: ["design"] }),
    ticket("d", { state: "cut" }),
  ];
  standIn({
    "GET /orders": () => ({ body: tickets }),
    "GET /session": () => ({ body: { name: "Ebba", workshop: "Quay", rights: ["orders"] } }),
  });
  show(<Bench />);
  await screen.findByText("Order a");
  const links = screen.getAllByRole("link").map((link) => link.getAttribute("href"));
  expect(links).toEqual([
    "/week",
    "/new",
    "/orders/a/measure",
    "/orders/b/mark",
    "/orders/c/cloth",
    "/orders/d/sewing",
  ]);
  expect(screen.getByText(/tomorrow$/)).toBeTruthy();
  expect(screen.getAllByText(/in 7 days$/)).toHaveLength(2);
  expect(screen.getByText(/3 days late$/)).toBeTruthy();
});

it("hangs the same outfit for several clients as one ticket, with a line for each", async () => {
  const tickets = [
    ticket("a", { group: "g", title: "Choir", client_name: "Marit Sol" }),
    ticket("b", {}),
    ticket("c", { group: "g", title: "Choir", client_name: "Odd Lie", state: "asked" }),
  ];
  standIn({
    "GET /orders": () => ({ body: tickets }),
    "GET /session": () => ({ body: { name: "Ebba", workshop: "Quay", rights: ["orders"] } }),
  });
  show(<Bench />);
  await screen.findByText("2 clients");
  expect(screen.getByText("1 measured, 1 asked for")).toBeTruthy();
  const links = screen.getAllByRole("link", { hidden: true }).map((link) => link.getAttribute("href"));
  expect(links).toEqual(["/week", "/new", "/orders/a/others", "/orders/a/mark", "/orders/c/measure", "/orders/b/mark"]);
});

it("goes by the day it is here, at whatever hour", () => {
  const hours = ["00:10", "09:48", "12:00", "23:50"].map((hour) => new Date(`2026-11-23T${hour}:00`));
  for (const now of hours) {
    expect(today(0, now)).toBe("2026-11-23");
    expect(today(14, now)).toBe("2026-12-07");
    inZone("Pacific/Kiritimati");
    expect(today(0, new Date("2026-11-23T11:30:00Z"))).toBe("2026-11-24");
    expect(moment("2026-11-23T11:30:00Z")).toBe("24 Nov, 01:30");
    inZone(undefined);
    expect(["2026-11-22", "2026-11-23", "2026-11-24"].map((one) => until(daysTo(one, now)))).toEqual([
      "a day late",
      "today",
      "tomorrow",
    ]);
  }
});

it("says what is to be done of each, and when it is ready", async () => {
  standIn({
    "GET /orders": () => ({ body: [ticket("a", {}), ticket("b", { state: "handed_over" })] }),
    "GET /session": () => ({ body: { rights: [] } }),
    "GET /ends": () => ({
      body: [
        { order: "a", minutes: 135, done_on: "2026-12-01", late: true },
        { order: "b", minutes: 15, done_on: "2026-12-01", late: false },
      ],
    }),
  });
  show(<Bench />);
  expect(await screen.findByText("2 h 15 min to do, done Tue 1 December")).toBeTruthy();
  expect(screen.getAllByText(/to do, done/)).toHaveLength(1);
});

it("is never an empty screen", async () => {
  standIn({ "GET /orders": () => ({ body: [] }), "GET /session": () => ({ body: { rights: ["orders"] } }) });
  show(<Bench />);
  expect(await screen.findByRole("link", { name: "Add an order" })).toBeTruthy();
  expect(await screen.findByText(/Nothing waits\. Add an order/)).toBeTruthy();
  expect(screen.getByRole("link", { name: "Add an order" })).toBeTruthy();
});

it("says a lost line in words", async () => {
  vi.stubGlobal("fetch", () => Promise.reject(new TypeError("down")));
  show(<Bench />);
  expect(await screen.findByText(/The line to the workshop's server is lost/)).toBeTruthy();
});
