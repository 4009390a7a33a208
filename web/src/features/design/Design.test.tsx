import { act, cleanup, fireEvent, screen, waitFor } from "@testing-library/react";
import { afterEach, beforeEach, expect, it, vi } from "vitest";
import type { Garment } from "../../api/shop";
import { order, plan, show, standIn } from "../../test/shop";
import { Design } from "./Design";
import { GROUPS } from "./words";

beforeEach(() => localStorage.clear());
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

/** A server that keeps the garment as it is told to, its version growing. */
function workshop() {
  let version = order.garments[0]!.version!;
  return standIn({
    "PUT /garments/g-1": ({ body }) => ({ body: { ...body, id: "g-1", version: ++version } }),
  });
}
const stand = () => show(<Design order={order} plan={plan} error={null} />, [[["order", order.id], order]]);
const kept = (memory: ReturnType<typeof show>["memory"]) =>
  memory.getQueryData<typeof order>(["order", order.id])!.garments[0]!.choices as Record<string, unknown>;

it("sends a rule when it is chosen, and takes it back when the usual one is", async () => {
  const calls = workshop();
  const { memory } = stand();
  fireEvent.click(screen.getByRole("radio", { name: "Full" }));
  await waitFor(() => expect(kept(memory)).toEqual({ seat: "full" }));
  expect(calls[0]).toMatchObject({ method: "PUT", body: { version: 3, choices: { seat: "full" } } });
});

it("writes two quick choices one after the other, the second on the version of the first", async () => {
  const calls = workshop();
  const { memory } = stand();
  act(() => {
    fireEvent.click(screen.getByRole("radio", { name: "Flat" }));
    fireEvent.click(screen.getByRole("radio", { name: "Level" }));
  });
  await waitFor(() => expect(kept(memory)).toEqual({ seat: "flat", seat_height: "none" }));
  expect(calls.map((call) => (call.body as unknown as Garment).version)).toEqual([3, 4]);
});

it("puts an allowance into its own set and keeps the others", async () => {
  workshop();
  const { memory } = stand();
  const field = document.querySelector<HTMLInputElement>('input[name="side"]')!;
  fireEvent.change(field, { target: { value: "3/4" } });
  fireEvent.blur(field);
  await waitFor(() => expect(kept(memory)).toEqual({ allowances: { side: "3/4" } }));
});

it("says the server's refusal beside its field and leaves the text there", async () => {
  const problem = {
    where: "garments.trousers.choices.hem",
    code: "choice.large",
    what: "9 in is too much",
    mend: "Less.",
  };
  standIn({ "PUT /garments/g-1": () => ({ status: 422, body: { title: "No", problems: [problem] } }) });
  stand();
  const field = document.querySelector<HTMLInputElement>('input[name="hem"]')!;
  fireEvent.change(field, { target: { value: "9" } });
  fireEvent.blur(field);
  await screen.findByText("9 in is too much. Less.");
  expect(field.value).toBe("9");
  expect(field.getAttribute("aria-invalid")).toBe("true");
});

it("asks each thing once, in words, and offers the usual as one of the rules", () => {
  const rows = GROUPS.flatMap((group) => group.rows);
  expect(new Set(rows.map((row) => row.key)).size).toBe(rows.length);
  for (const row of rows) {
    expect(row.legend).toMatch(/^[A-Z]/);
    if (row.kind === "rule") expect(row.options.map((option) => option.value)).toContain(row.usual);
  }
});
