import { cleanup, fireEvent, screen, waitFor, within } from "@testing-library/react";
import { Route, Routes } from "react-router";
import { afterEach, expect, it, vi } from "vitest";
import type { Group, Member } from "../../api/others";
import { order, show, standIn } from "../../test/shop";
import { Others } from "./Others";

afterEach(() => {
  cleanup();
  localStorage.clear();
  vi.unstubAllGlobals();
});

const member = (name: string, more: Partial<Member>): Member => ({
  order: `order-${name}`,
  client: `client-${name}`,
  name,
  sheet: `sheet-${name}`,
  closed: false,
  sizes: {},
  planned: false,
  lined: false,
  length_mm: null,
  stops: 0,
  ...more,
});
const marit = member("Marit", { order: "order-1", sizes: { waist: "31 1/2", hip: "41" }, planned: true, stops: 2 });
const tove = member("Tove", { sizes: { waist: "30", hip: "39" }, lined: true });
const points = [
  { key: "waist", name: "Waist", needed: true },
  { key: "hip", name: "Hip", needed: true },
  { key: "knee", name: "Knee", needed: false },
];

function page(members: Member[], answers: Parameters<typeof standIn>[0] = {}) {
  const group: Group = { members, cloths: [], notions: [], together: null, searching: 0, money: null };
  const calls = standIn({
    ...answers,
    "GET /orders/order-1/group": () => ({ body: group }),
    "GET /orders/order-1": () => ({ body: order }),
    "GET /points": () => ({ body: points }),
    "GET /session": () => ({ body: { unit: "in", rights: [] } }),
    "GET /clients": () => ({ body: [{ id: "known", name: "Ebbe Lund", phone: "" }] }),
    "(PUT|POST) .*": ({ body }) => ({ body }),
  });
  show(
    <Routes>
      <Route path="/orders/:id/others" element={<Others />} />
    </Routes>,
    [],
    "/orders/order-1/others",
  );
  return calls;
}

const written = (calls: ReturnType<typeof page>) => calls.filter((call) => call.method !== "GET");

it("asks only for what nobody can do without, and says who is planned and who is to be mended", async () => {
  page([marit, tove]);
  await screen.findByRole("heading", { name: "Choir, concert palazzo, for 2 clients" });
  const table = screen.getByRole("table", { name: "Sizes, inches" });
  expect(within(table).getAllByRole("columnheader").map((one) => one.textContent)).toEqual([
    "Client",
    "Cloth",
    "Waist",
    "Hip",
  ]); // prettier-ignore
  within(table).getByRole("link", { name: "2 to be mended" });
  expect(screen.getByRole("status").textContent).toContain("1 of 2 planned");
});

it("keeps a size when its cell is left, and leaves what is wrong as it was typed, beside the reason", async () => {
  const wrong = { problems: [{ where: "waist", code: "x", what: "Not a length.", mend: "Type 31 1/2." }] };
  const calls = page([tove], { "PUT /readings/.*": () => ({ status: 422, body: { title: "Refused", ...wrong } }) });
  const cell = await screen.findByLabelText("Tove, Waist");
  fireEvent.blur(cell);
  expect(written(calls)).toHaveLength(0);
  fireEvent.change(cell, { target: { value: "3o" } });
  fireEvent.blur(cell);
  await waitFor(() => expect(cell.getAttribute("aria-invalid")).toBe("true"));
  expect((cell as HTMLInputElement).value).toBe("3o");
  expect(written(calls)[0]!.body).toMatchObject({ sheet: "sheet-Tove", key: "waist", typed: "3o" });
  screen.getByText(/Not a length/);
  // The page is read anew: what was refused is still there to be mended.
  cleanup();
  page([tove]);
  expect((await screen.findByLabelText<HTMLInputElement>("Tove, Waist")).value).toBe("3o");
});

it("plans whoever has all sizes, both cloths of a lined outfit, and shows why one was refused", async () => {
  const calls = page([marit, tove, member("Ylva", { sizes: { waist: "28" } })], {
    "POST /orders/order-Tove/plan": () => ({ status: 422, body: { title: "The hip is smaller than the waist." } }),
  });
  fireEvent.click(await screen.findByRole("button", { name: "Plan 1" }));
  await screen.findByText(/The hip is smaller/);
  expect(written(calls).map((call) => call.path)).toEqual(["/orders/order-Tove/plan"]);
});

it("takes a client of the book as it is, and makes a new one first", async () => {
  const calls = page([tove]);
  const name = await screen.findByLabelText("One more client");
  fireEvent.change(name, { target: { value: "ebbe lund" } });
  await waitFor(() => expect(document.querySelectorAll("datalist option")).toHaveLength(1));
  fireEvent.click(screen.getByRole("button", { name: "Add" }));
  await waitFor(() => expect(written(calls)).toHaveLength(1));
  expect(written(calls)[0]!.body).toMatchObject({ of: "order-1", client: "known" });
  fireEvent.change(name, { target: { value: "Runa Holm" } });
  fireEvent.click(screen.getByRole("button", { name: "Add" }));
  await waitFor(() => expect(written(calls)).toHaveLength(3));
  const [made, same] = written(calls).slice(1);
  expect(made!.path).toBe(`/clients/${String(same!.body.client)}`);
});

it("sends the same ids again after the line was lost: the client and the reading are made once", async () => {
  let lost = true;
  const once = ({ body }: { body: object }) =>
    lost ? { status: 500, body: { title: "The line was lost." } } : { body };
  const calls = page([tove], { "PUT .*": once });
  const cell = await screen.findByLabelText("Tove, Waist");
  const twice = async (act: () => void) => {
    lost = true;
    act();
    await screen.findAllByText(/The line was lost/);
    lost = false;
    act();
  };
  fireEvent.change(cell, { target: { value: "29" } });
  await twice(() => fireEvent.blur(cell));
  await waitFor(() => expect(cell.getAttribute("aria-invalid")).not.toBe("true"));
  fireEvent.change(screen.getByLabelText("One more client"), { target: { value: "Signe Vik" } });
  await twice(() => fireEvent.click(screen.getByRole("button", { name: "Add" })));
  await waitFor(() => expect(screen.getByLabelText<HTMLInputElement>("One more client").value).toBe(""));
  for (const kind of ["readings", "clients"]) {
    const sent = written(calls).filter((call) => call.path.startsWith(`/${kind}/`));
    expect(sent).toHaveLength(2);
    expect(sent[0]!.path).toBe(sent[1]!.path);
  }
});

it("plans with the sizes that were typed just before, and takes back each complaint that was mended", async () => {
  const kept: (() => void)[] = [];
  const calls = page([tove], {
    "PUT /readings/.*": ({ body }) =>
      body.typed === "3o"
        ? { status: 422, body: { title: "Not a length." } }
        : new Promise((done) => kept.push(() => done({ body }))),
    "POST /orders/order-Tove/plan": () => ({ body: {} }),
  });
  const type = (name: string, value: string) => {
    const cell = screen.getByLabelText(`Tove, ${name}`);
    fireEvent.change(cell, { target: { value } });
    fireEvent.blur(cell);
  };
  await screen.findByLabelText("Tove, Waist");
  type("Waist", "3o");
  await screen.findByText(/Not a length/);
  type("Waist", "29");
  type("Hip", "38");
  fireEvent.click(screen.getByRole("button", { name: "Plan 1" }));
  for (const writing of [1, 2]) {
    await waitFor(() => expect(kept).toHaveLength(writing));
    expect(calls.some((call) => call.path.endsWith("/plan"))).toBe(false);
    kept[writing - 1]!();
  }
  await waitFor(() => expect(calls.some((call) => call.path.endsWith("/plan"))).toBe(true));
  await waitFor(() => expect(screen.queryByText(/Not a length/)).toBeNull());
});
