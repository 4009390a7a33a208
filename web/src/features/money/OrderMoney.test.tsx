import { cleanup, fireEvent, screen, within } from "@testing-library/react";
import { Route, Routes } from "react-router";
import { afterEach, expect, it, vi } from "vitest";
import type { OrderMoney as Money, Quote } from "../../api/money";
import { show, standIn } from "../../test/shop";
import { withCurrency } from "../../ui/money";
import { OrderMoney } from "./OrderMoney";

afterEach(() => {
  cleanup();
  localStorage.clear();
  vi.unstubAllGlobals();
});

const line = (title: string, summed: string, amount: string, counts = true) => ({
  code: "work",
  title,
  summed,
  amount,
  counts,
});
const quote: Quote = {
  lines: [
    line("Cloth: wool", "2.5 yd x 14.00", "€35.00"),
    line("Zip", "1 x no price", ""),
    line("of that VAT 25 %", "35.00 x 25 / 125", "€7.00", false),
  ],
  total: "€35.00",
  written: "35.00",
  without: ["Zip"],
};
const before: Money = {
  order: "o1",
  title: "Choir, palazzo",
  client_name: "Marit Sol",
  currency: "EUR",
  now: quote,
  why: [],
  open: null,
  typed: { extras: [], discount: "", fitting: false },
  agreed: null,
  changes: [],
  payments: [],
  total: "",
  paid: "€0.00",
  paid_written: "0.00",
  left: "",
  left_written: "",
  ready: false,
  owed: "unknown",
};
const agreed: Money = {
  ...before,
  agreed: { id: "q1", at: "2026-11-29T10:00:00Z", by: "Ebba", quote },
  total: "€35.00",
  left: "€35.00",
  left_written: "35.00",
  owed: "to_pay",
};
const page = (routes: Parameters<typeof standIn>[0]) => {
  standIn({ "GET /session": () => ({ body: { rights: ["money"] } }), ...routes });
  document.adoptedStyleSheets = [];
  show(
    <Routes>
      <Route path="/orders/:id/money" element={<OrderMoney />} />
    </Routes>,
    [],
    "/orders/o1/money",
  );
};

it("shows every line with its sum, says what has no price, and agrees the total that was seen", async () => {
  const sent: unknown[] = [];
  page({
    "GET /orders/o1/money": () => ({ body: before }),
    "POST /quotes/[^/]+/agree": ({ body }) => {
      sent.push(body);
      return { body: agreed };
    },
  });
  const table = await screen.findByRole("table", { name: "What it costs" });
  expect(within(table).getByText("2.5 yd × 14.00")).toBeTruthy();
  expect(within(table).getByText("no price")).toBeTruthy();
  expect(screen.getByText(/Without a price, and not in the total: Zip/)).toBeTruthy();
  fireEvent.click(screen.getByRole("button", { name: "Agree €35.00" }));
  expect(await screen.findByRole("heading", { name: "Agreed for €35.00" })).toBeTruthy();
  expect(sent).toEqual([{ order: "o1", total: "35.00" }]);
  expect(screen.queryByRole("button", { name: /^Agree/ })).toBeNull();
});

it("asks before more is taken than was agreed, and keeps what was typed until it is taken", async () => {
  const sent: { amount: string; over: boolean; id: string }[] = [];
  page({
    "GET /orders/o1/money": () => ({ body: agreed }),
    "PUT /payments/[^/]+": ({ body, path }) => {
      const one = body as unknown as { amount: string; over: boolean };
      sent.push({ ...one, id: path });
      return one.over
        ? { body: { ...agreed, paid: "€40.00", left: "€5.00", owed: "to_give_back" } }
        : { status: 409, body: { title: "That is €5.00 more than was agreed.", code: "overpaid", problems: [] } };
    },
  });
  const amount = await screen.findByLabelText("Amount");
  fireEvent.change(amount, { target: { value: "40" } });
  fireEvent.click(screen.getByRole("button", { name: "Take it" }));
  expect((await screen.findByRole("alert")).textContent).toContain("€5.00 more");
  expect((amount as HTMLInputElement).value).toBe("40");
  fireEvent.click(screen.getByRole("button", { name: "Take it" }));
  expect(await screen.findByRole("heading", { name: "To be given back" })).toBeTruthy();
  expect(sent.map((one) => one.over)).toEqual([false, true]);
  // Sent twice it is one payment.
  expect(sent[0]!.id).toBe(sent[1]!.id);
});

it("writes a price as the server says it", () => {
  expect(withCurrency("35.00", "EUR")).toBe("€35.00");
  expect(withCurrency("35.00", "SEK")).toBe("35.00 SEK");
  expect(withCurrency("35.00", "")).toBe("35.00");
});
