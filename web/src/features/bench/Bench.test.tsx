import { cleanup, screen } from "@testing-library/react";
import { afterEach, beforeEach, expect, it, vi } from "vitest";
import { show, standIn } from "../../test/shop";
import { Bench } from "./Bench";

const NOON = new Date("2026-11-23T12:00:00");
beforeEach(() => void vi.useFakeTimers({ now: NOON, toFake: ["Date"] }));
afterEach(() => {
  cleanup();
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

const ticket = (id: string, more: object) => ({
  id, version: 1, title: `Order ${id}`, client_name: "Marit Sol", promised_on: "2026-11-30", measured: 6, styles: ["palazzo"], ...more,
}); // prettier-ignore

it("leads each order to the station it waits at, and says how long it has", async () => {
  const tickets = [
    ticket("a", { promised_on: "2026-11-24", measured: 1 }),
    ticket("b", {}),
    ticket("c", { promised_on: "2026-11-20" }),
  ];
  standIn({
    "GET /orders": () => ({ body: tickets }),
    "GET /session": () => ({ body: { name: "Ebba", workshop: "Quay", rights: ["orders"] } }),
  });
  show(<Bench />);
  await screen.findByText("Order a");
  const links = screen.getAllByRole("link").map((link) => link.getAttribute("href"));
  expect(links).toEqual(["/new", "/orders/a/measure", "/orders/b/mark", "/orders/c/mark"]);
  expect(screen.getByText(/tomorrow$/)).toBeTruthy();
  expect(screen.getByText(/in 7 days$/)).toBeTruthy();
  expect(screen.getByText(/due$/)).toBeTruthy();
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
