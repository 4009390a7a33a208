import { cleanup, fireEvent, screen } from "@testing-library/react";
import { afterEach, expect, it, vi } from "vitest";
import { show, standIn } from "../../test/shop";
import { Seen } from "./Seen";

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const row = (k: number, more = {}) => ({
  id: `s-${k}`,
  who: "Ebba",
  what: "measures",
  client: "client-1",
  client_name: "Marit Sol",
  day: "2026-11-20",
  times: 3,
  last_at: "2026-11-20T09:00:00Z",
  ...more,
});

it("says who saw what of whom, how often, and has the earlier ones on further pages", async () => {
  const first = [row(0), row(1, { what: "book", client: null, client_name: "", times: 1 })];
  const many = Array.from({ length: 48 }, (_, k) => row(k + 2));
  let page = 0;
  standIn({ "GET /seen": () => ({ body: page++ ? [row(99, { who: "Cai" })] : [...first, ...many] }) });
  show(<Seen />);
  const [one, book] = await screen.findAllByRole("listitem");
  expect(one!.textContent).toBe("20 November 2026EbbaMarit Sol: measurements, 3 times");
  expect(book!.textContent).toBe("20 November 2026Ebbatook all contacts along as a file");
  fireEvent.click(screen.getByRole("button", { name: "Earlier" }));
  expect((await screen.findByText("Cai")).closest("li")!.textContent).toContain("Marit Sol");
  expect(screen.getByRole<HTMLButtonElement>("button", { name: "Earlier" }).disabled).toBe(true);
});

it("says why it is shown to nobody else", async () => {
  standIn({ "GET /seen": () => ({ status: 403, body: { title: "This is for an owner." } }) });
  show(<Seen />);
  expect((await screen.findByRole("alert")).textContent).toBe("This is for an owner.");
});
