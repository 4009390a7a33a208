import { cleanup, fireEvent, screen, waitFor } from "@testing-library/react";
import { afterEach, expect, it, vi } from "vitest";
import { show, standIn } from "../test/shop";
import { NoGarment } from "./NoGarment";

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

it("starts an order that has no garment with trousers, once however often it is pressed again", async () => {
  const refuse = { status: 503, body: { title: "The server is away. Try again." } };
  let away = true;
  const calls = standIn({ "PUT /garments/.*": (call) => (away ? refuse : { body: call.body }) });
  show(<NoGarment order="order-1" />);
  const add = screen.getByRole("button", { name: "Start with trousers" });
  fireEvent.click(add);
  await screen.findByText(/The server is away/);
  away = false;
  fireEvent.click(add);
  await waitFor(() => expect(screen.queryByText(/The server is away/)).toBeNull());
  const puts = calls.filter((call) => call.method === "PUT");
  expect(puts).toHaveLength(2);
  expect(puts[0]!.path).toBe(puts[1]!.path);
  expect(puts[1]!.body).toMatchObject({ order: "order-1", style: "straight-trousers", version: 0 });
});
