import { cleanup, fireEvent, screen } from "@testing-library/react";
import { afterEach, expect, it } from "vitest";
import type { Plan } from "../api/plans";
import { show, standIn } from "../test/shop";
import { OwnNumber } from "./ownNumber";

afterEach(cleanup);

const number = (name: string, mm: number) => ({
  name, net_mm: mm, cut_mm: mm, formula: "", cut_formula: "", with: "", shown: "",
}); // prettier-ignore
const plan = {
  panels: [{ garment: "trousers" }],
  numbers: { "trousers.front.waist_width": number("front, waist", 254), "trousers.length": number("length", 1000) },
} as unknown as Plan;

it("sends one's own number for the one that was picked, and shows what is answered", async () => {
  const calls = standIn({
    "POST /plans/p/number": ({ body }) =>
      (body as { typed: string }).typed === "nine"
        ? { status: 422, body: { problems: [{ where: "", code: "length.unreadable", what: "This cannot be read as a length", mend: "Type it like 38 1/2." }] } }
        : { body: { right: false, typed_mm: 228.6, right_mm: 254, says: ["It is 1 in less than the draft's 10 in.", "The waist comes out 2 in too small."] } },
  }); // prettier-ignore
  show(<OwnNumber plan={plan} of={{ plan: "p" }} unit="in" />);
  fireEvent.click(screen.getByText("Check my own number"));
  await screen.findByText("Which");
  document.querySelector("details")!.open = true; // a click does not open it here
  fireEvent.change(screen.getByLabelText("Mine, in inches"), { target: { value: "nine" } });
  fireEvent.click(screen.getByRole("button", { name: "Compare" }));
  expect((await screen.findByRole("alert")).textContent).toContain("Type it like 38 1/2.");
  expect(screen.getByLabelText<HTMLInputElement>("Mine, in inches").value).toBe("nine");
  fireEvent.change(screen.getByLabelText("Mine, in inches"), { target: { value: "9" } });
  fireEvent.click(screen.getByRole("button", { name: "Compare" }));
  expect((await screen.findByRole("status")).textContent).toContain("2″ too small");
  expect(calls.at(-1)).toMatchObject({ body: { key: "trousers.front.waist_width", typed: "9" } });
});
