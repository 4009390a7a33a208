import { cleanup, fireEvent, screen, waitFor } from "@testing-library/react";
import { afterEach, expect, it, vi } from "vitest";
import { show, standIn } from "../../test/shop";
import { NewOrder } from "./NewOrder";

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const known = [{ id: "marit", name: "Marit Sol", phone: "" }];
const put = (...refused: string[]) =>
  standIn({
    "GET /session": () => ({ body: { unit: "cm", rights: [] } }),
    "GET /clients": () => ({ body: known }),
    "PUT /.*": ({ path, body }) =>
      refused.some((one) => path.startsWith(one)) ? { status: 500, body: { title: "Our own fault." } } : { body },
  });
const writes = (calls: ReturnType<typeof put>) => calls.filter((call) => call.method === "PUT");
const fill = (label: string, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } });
const send = () => fireEvent.click(screen.getByRole("button", { name: "Add and measure" }));

it("says all that is missing at once and sends nothing", () => {
  const calls = put();
  show(<NewOrder />);
  send();
  expect(screen.getByRole("alert").textContent).toBe("Still needed: the client's name, what is to be made.");
  expect(writes(calls)).toHaveLength(0);
});

it("takes a client of the book as it is, and opens a sheet in the workshop's unit", async () => {
  const calls = put();
  show(<NewOrder />);
  fill("Client", "marit sol");
  fill("What is to be made", "Choir palazzo");
  await waitFor(() => expect(document.querySelectorAll("datalist option")).toHaveLength(1));
  send();
  await waitFor(() => expect(writes(calls)).toHaveLength(3));
  const kinds = writes(calls).map((call) => call.path.split("/")[1]);
  expect(kinds).toEqual(["sheets", "cloths", "orders"]);
  expect(writes(calls)[0]!.body).toMatchObject({ client: "marit", unit: "cm", waist: "worn" });
  expect(writes(calls)[2]!.body.garments).toMatchObject([{ style: "straight-trousers", method: "" }]);
});

it("sent again after a failure makes nothing twice", async () => {
  const calls = put("/orders");
  show(<NewOrder />);
  fill("Client", "Runa Strand");
  fill("What is to be made", "Crew trousers");
  send();
  await screen.findByText("Our own fault.");
  const first = writes(calls).map((call) => call.path);
  expect(first).toHaveLength(4);
  send();
  await waitFor(() => expect(writes(calls)).toHaveLength(8));
  expect(
    writes(calls)
      .slice(4)
      .map((call) => call.path),
  ).toEqual(first);
});
