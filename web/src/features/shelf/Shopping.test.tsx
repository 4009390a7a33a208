import { cleanup, screen } from "@testing-library/react";
import { afterEach, expect, it, vi } from "vitest";
import { show, type } from "../../test/shop";
import { today } from "../../ui/day";
import { Shopping } from "./Shopping";

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const cloth = { kind: "twill", colour: "#123456", width: "60", orders: 2, length_mm: 3200, buy_mm: 3657.6, cost: null, sold_in: "half-yard" }; // prettier-ignore
const order = (id: string, planned: boolean) => ({ id, title: "Trousers", client_name: id, promised_on: "2026-12-05", planned }); // prettier-ignore
const list = {
  orders: [order("Ada", true), order("Bo", true), order("Cai", false)],
  more: false,
  cloths: [cloth],
  notions: [{ name: "zip", count: 3, length_mm: 228.6 }],
};

it("adds up what two orders need, names what is not planned, and asks anew for another day", async () => {
  const asked: string[] = [];
  vi.stubGlobal("fetch", (request: Request) => {
    asked.push(request.url);
    return Promise.resolve(Response.json({ ...list, orders: [], cloths: [], notions: [] }));
  });
  const seed = [["shopping", today(14)], list] as [unknown[], unknown];
  show(<Shopping />, [seed, [["me"], { unit: "in", rights: [] }]]);
  expect(screen.getByText(/For 2 orders that are not cut yet/)).toBeTruthy();
  expect(screen.getByText(/3 × zip/)).toBeTruthy();
  expect(screen.getByRole("img", { name: "4 yards" })).toBeTruthy();
  expect(screen.getByRole("link", { name: /Cai/ }).getAttribute("href")).toBe("/orders/Cai/cloth");
  expect(screen.queryByRole("link", { name: /Ada/ })).toBeNull();
  type("For orders promised by", "2027-01-31");
  await screen.findByText(/No order that is promised by 31 January 2027/);
  expect(asked.at(-1)).toContain("until=2027-01-31");
});

it("says where there are more than are added up", () => {
  show(<Shopping />, [[["shopping", today(14)], { ...list, more: true }]]);
  expect(screen.getByText(/the first 3 are added up. Choose an earlier day/)).toBeTruthy();
});
