import { cleanup, fireEvent, screen, waitFor } from "@testing-library/react";
import { afterEach, expect, it, vi } from "vitest";
import { order, show, standIn } from "../test/shop";
import { NoGarment } from "./NoGarment";

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

it("starts an order that has no garment with trousers, once however often it is pressed again", async () => {
  const refuse = { status: 503, body: { title: "The server is away. Try again." } };
  let away = true;
  const calls = standIn({ "PUT /orders/order-1/outfit": () => (away ? refuse : { body: order }) });
  show(<NoGarment order="order-1" />);
  const add = screen.getByRole("button", { name: "Start with trousers" });
  fireEvent.click(add);
  await screen.findByText(/The server is away/);
  away = false;
  fireEvent.click(add);
  await waitFor(() => expect(screen.queryByText(/The server is away/)).toBeNull());
  const puts = calls.filter((call) => call.method === "PUT");
  expect(puts).toHaveLength(2);
  expect(puts[0]!.body).toEqual(puts[1]!.body);
  expect(puts[1]!.body.garments).toMatchObject([{ style: "straight-trousers", version: 0, removed: false }]);
});
