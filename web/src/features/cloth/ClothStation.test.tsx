import { cleanup, fireEvent, screen } from "@testing-library/react";
import { afterEach, expect, it, vi } from "vitest";
import { order, show, standIn } from "../../test/shop";
import { ClothStation } from "./ClothStation";

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

it("says why a press was refused, and shows the cloth as it was", async () => {
  standIn({ "PUT /cloths/.*": () => ({ status: 422, body: { title: "Pleats cannot be folded so." } }) });
  show(<ClothStation order={order} plan={undefined} planId="" error={null} falls={false} />, [
    [["order", order.id], order],
  ]);
  fireEvent.click(screen.getByRole("radio", { name: "In pleats" }));
  await screen.findByText(/Pleats cannot be folded so/);
  expect(screen.getByRole<HTMLInputElement>("radio", { name: "Plain" }).checked).toBe(true);
});
