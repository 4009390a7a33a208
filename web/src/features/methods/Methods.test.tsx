import { cleanup, fireEvent, screen, within } from "@testing-library/react";
import { afterEach, expect, it, vi } from "vitest";
import type { Plan } from "../../api/plans";
import { plan, show, standIn, whole } from "../../test/shop";
import { differences } from "./differences";
import { Methods } from "./Methods";

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const number = (name: string, net_mm: number, formula: string) => ({ name, net_mm, cut_mm: net_mm, formula });
const mark = (name: string, say: string) => ({
  stage: "widths",
  panel: "front",
  name,
  say,
  formula: "hip / 4",
  with: "41 / 4",
  reason: `Why ${name}`,
  local_mm: [
    [0, 0],
    [200, 0],
  ],
});
const drafts = {
  "quarter-hip": {
    ...plan,
    marks: [mark("Guide", "first"), mark("Hip width", "second")],
    numbers: { a: number("Crotch depth", 254, "hip / 4"), b: number("Hem", 500, "hem"), c: number("Knee", 200, "x") },
  },
  "half-thigh": {
    ...plan,
    numbers: { a: number("Crotch depth", 279.4, "hip / 4 + 1 in"), b: number("Hem", 500.2, "hem") },
  },
} as unknown as Record<string, Plan>;

it("lists what two drafts have and do not share, the largest first, each with its two sums", () => {
  const [one, other] = [drafts["quarter-hip"]!, drafts["half-thigh"]!];
  const rows = differences(one, other);
  expect(rows.map((row) => row.name)).toEqual(["Crotch depth"]);
  expect(rows[0]!.why).toEqual(["hip / 4", "hip / 4 + 1 in"]);
  expect(differences(one, one)).toEqual([]);
});

it("steps through a method in words and numbers, another laid over it", async () => {
  standIn({
    "GET /drafts/(.*)": ({ path }) => ({ body: drafts[path.split("/")[2]!] }),
    "GET /bodies": () => ({ body: [{ sheet: "s-1", name: "Marit Sol" }] }),
    "POST /drafts/quarter-hip/number": ({ body }) => ({
      body: {
        right: false,
        typed_mm: 279,
        right_mm: 254,
        says: (body as { key: string }).key === "a" ? ["It is 1 in more."] : [],
      },
    }),
  });
  show(<Methods />);
  await screen.findByText(/^Step 1 of 2, front/);
  fireEvent.click(screen.getByRole("button", { name: "Next step" }));
  screen.getByText("Why Hip width");
  expect(screen.getByRole("button", { name: "Next step" })).toHaveProperty("disabled", true);
  const table = await screen.findByRole("table", { name: "Where they differ" });
  within(table).getByText("Crotch depth");
  expect(table.textContent).toContain("hip ÷ 4 + 1″");
  screen.getByRole("img", { name: "Two drafts of one body, over each other" });
  const own = document.querySelector("details")!;
  own.open = true; // a click does not open it here
  fireEvent(own, new Event("toggle"));
  fireEvent.change(await screen.findByLabelText("Which"), { target: { value: "a" } });
  fireEvent.change(screen.getByLabelText("Mine, in inches"), { target: { value: "11" } });
  fireEvent.click(screen.getByRole("button", { name: "Compare" }));
  await screen.findByText(whole("It is 1″ more."));
  fireEvent.change(screen.getByLabelText("Laid over it"), { target: { value: "" } });
  expect(screen.queryByRole("table", { name: "Where they differ" })).toBeNull();
});

it("says why a method cannot draw a style, and what would", async () => {
  const problems = [{ where: "garments.trousers.method", code: "x", what: "No boxers", mend: "Choose another" }];
  standIn({
    "GET /drafts/quarter-hip": () => ({ body: drafts["quarter-hip"] }),
    "GET /drafts/half-thigh": () => ({ status: 422, body: { title: "No", problems } }),
    "GET /bodies": () => ({ body: [] }),
  });
  show(<Methods />);
  const said = await screen.findByText(/No boxers\. Choose another/);
  expect(said.closest("[role=alert]")!.textContent).toContain("Half thigh");
});
