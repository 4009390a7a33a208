import { cleanup, fireEvent, screen, waitFor, within } from "@testing-library/react";
import { afterEach, expect, it, vi } from "vitest";
import { plainCloth } from "../../api/shelf";
import { show, standIn, whole } from "../../test/shop";
import { Shelf } from "./Shelf";

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const bolt = plainCloth({ id: "b", version: 3, name: "Navy twill", form: "bolt", kind: "twill", width: "60" });
const kept = plainCloth({
  id: "k",
  name: "Teal",
  width: "45",
  length: "74",
  kept_for: [{ order: "o", title: "Choir" }],
});
const page = (rights: string[], put: (body: unknown) => { status?: number; body: unknown } = (body) => ({ body })) => {
  const calls = standIn({
    "GET /session": () => ({ body: { unit: "in", rights } }),
    "GET /shelf": () => ({ body: [bolt, kept] }),
    "PUT /shelf/.*": ({ body }) => put(body),
  });
  show(<Shelf />);
  return calls;
};

it("lists what is there and what it is kept for; who may not order changes nothing", async () => {
  page([]);
  await screen.findByText(whole("Bolt of twill, 60″ wide"));
  expect(screen.getByRole("link", { name: "Choir" }).getAttribute("href")).toBe("/orders/o/cloth");
  expect(screen.queryByRole("button")).toBeNull();
});

it("changes a cloth on the version it was read at, and takes only one off that is kept for nobody", async () => {
  const calls = page(["orders"]);
  fireEvent.click(await screen.findByRole("button", { name: "Change Teal" }));
  expect(screen.queryByRole("button", { name: "Take off the shelf" })).toBeNull();
  fireEvent.click(screen.getByRole("button", { name: "Change Navy twill" }));
  fireEvent.change(screen.getByLabelText(/^How long/), { target: { value: "12 yd" } });
  fireEvent.click(screen.getByRole("button", { name: "Keep the change" }));
  await waitFor(() => expect(calls.some((call) => call.method === "PUT")).toBe(true));
  expect(calls.find((call) => call.method === "PUT")!.body).toMatchObject({
    version: 3,
    length: "12 yd",
    form: "bolt",
  });
  await screen.findByRole("heading", { name: "Put on the shelf" });
});

it("keeps what was typed when the server refuses it, and says why", async () => {
  const problems = [{ where: "cloth.width", code: "x", what: "Not a length", mend: "Type 38 1/2." }];
  page(["orders"], () => ({ status: 422, body: { title: "Refused", problems } }));
  const form = (await screen.findByRole("heading", { name: "Put on the shelf" })).closest("form")!;
  for (const [label, value] of [
    ["What it is called", "Grey"],
    ["Width, selvedge to selvedge", "wide"],
    ["How long", "3"],
  ] as const)
    fireEvent.change(within(form).getByLabelText(new RegExp(`^${label}`)), { target: { value } });
  fireEvent.click(within(form).getByRole("button", { name: "Put on the shelf" }));
  await screen.findByText(/Not a length/);
  expect((within(form).getByLabelText(/^Width/) as HTMLInputElement).value).toBe("wide");
});
