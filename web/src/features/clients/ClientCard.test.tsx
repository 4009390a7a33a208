import { cleanup, fireEvent, screen, waitFor } from "@testing-library/react";
import { afterEach, expect, it, vi } from "vitest";
import { Route, Routes } from "react-router";
import { show, standIn } from "../../test/shop";
import { ClientCard } from "./ClientCard";

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const marit = {
  id: "c", version: 4, name: "Marit Sol", phone: "014 220", email: "", note: "", leave_be: "", keeps_measures: true, takes_reminders: false,
  archived: false,
}; // prettier-ignore

/** A book in which somebody else gave Marit another phone while her card was open here. */
function book(rights: string[]) {
  let row = { ...marit, version: 5, phone: "014 999" };
  let asked = 0;
  return standIn({
    "GET /session": () => ({ body: { rights, unit: "in" } }),
    "GET /clients/c": () => ({ body: asked++ === 0 ? marit : row }),
    "GET /clients/c/sheets": () => ({ body: [] }),
    "GET /points": () => ({ body: [] }),
    "GET /orders": () => ({ body: [] }),
    "PUT /clients/c": ({ body }) => {
      if (body.version !== row.version) return { status: 409, body: { title: "Somebody else", theirs: row } };
      row = { ...row, ...body, version: row.version + 1 };
      return { body: row };
    },
  });
}

const showCard = () =>
  show(
    <Routes>
      <Route path="/clients/:id" element={<ClientCard />} />
    </Routes>,
    [],
    "/clients/c",
  );

it("asks whose is right where both changed the card, and keeps mine when asked to", async () => {
  const calls = book(["clients"]);
  showCard();
  fireEvent.change(await screen.findByLabelText("Phone"), { target: { value: "014 111" } });
  fireEvent.click(screen.getByRole("button", { name: "Save" }));
  expect((await screen.findByRole("alert")).textContent).toMatch(/phone: yours 014 111, theirs 014 999/);
  fireEvent.click(screen.getByRole("button", { name: "Keep mine" }));
  await screen.findByText("Saved.");
  expect(calls.filter((call) => call.method === "PUT").at(-1)!.body).toMatchObject({ version: 5, phone: "014 111" });
  expect(screen.getByLabelText<HTMLInputElement>("Phone").value).toBe("014 111");
});

it("takes theirs on the card when asked to", async () => {
  book(["clients"]);
  showCard();
  fireEvent.change(await screen.findByLabelText("Phone"), { target: { value: "014 111" } });
  fireEvent.click(screen.getByRole("button", { name: "Save" }));
  fireEvent.click(await screen.findByRole("button", { name: "Take theirs" }));
  await waitFor(() => expect(screen.getByLabelText<HTMLInputElement>("Phone").value).toBe("014 999"));
});

it("gives the contact to who may have it, and nothing to change to who may not", async () => {
  book(["clients"]);
  const { unmount } = showCard();
  expect((await screen.findByRole("link", { name: /vCard/ })).getAttribute("href")).toContain("kind=vcard");
  expect(screen.queryByText("Erase…")).toBeNull();
  unmount();
  book([]);
  showCard();
  await screen.findByText(/You may read this card/);
  expect(screen.queryByRole("link", { name: /vCard/ })).toBeNull();
});
