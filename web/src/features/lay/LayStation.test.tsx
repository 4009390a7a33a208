import { cleanup, fireEvent, screen, waitFor, within } from "@testing-library/react";
import { afterEach, beforeEach, expect, it, vi } from "vitest";
import type { Order } from "../../api/orders";
import type { Plan } from "../../api/plans";
import { order, plan, show, standIn } from "../../test/shop";
import { LayStation } from "./LayStation";

beforeEach(() => {
  vi.stubGlobal("ResizeObserver", class { observe() {} disconnect() {} }); // prettier-ignore
});
afterEach(() => {
  cleanup();
  sessionStorage.clear();
  vi.unstubAllGlobals();
});

const block = (id: string, wide: number, long: number) => ({
  id: `trousers.${id}`, garment: "trousers", panel: id, count: 2, pair: true, on_fold: false, layers: 2,
  cut: [[0, 0], [wide, 0], [wide, long], [0, long], [0, 0]], net: [], grain: [], notches: [], lines: {}, sewn_to: "", strokes: [],
}); // prettier-ignore
const placing = (id: string, x_mm: number, y_mm: number) => ({
  piece: `trousers.${id}`, copies: 2, layers: [1, 2], section: 0, x_mm, y_mm, turned: false, mirrored: false, under: false,
}); // prettier-ignore
const layer = (number: number) => ({ number, from_mm: 0, to_mm: 508 });
const step = (kind: string, inches: number, piece = "trousers.front", other = "") => ({
  kind,
  mm: inches * 25.4,
  piece,
  other,
});
const section = {
  part: "all", cut: "The whole cloth", fold: "lengthwise-centre", name: "", say: "Fold it.", depth_mm: 508, extent_mm: 1270,
  from_mm: 0, to_mm: 1270, bound_mm: 1219.2, counted: true, folds_mm: [0], layers: [layer(1), layer(2)],
  bound_steps: [step("half", 10), step("apart", 26, "trousers.front", "trousers.back"), step("half", 12, "trousers.back")],
}; // prettier-ignore
const laid = {
  ...plan,
  pieces: [block("front", 254, 508), block("back", 254, 609.6)],
  lay: {
    sections: [section], placements: [placing("front", 0, 0), placing("back", 660.4, 0)], offcuts: [], repeat_mm: 0,
    length_mm: 1270, bound_mm: 1219.2, proof_off_mm: 2.5, habit_mm: 1300, one_pass_mm: 1290, open_mm: 1000, one_fold_mm: null,
  },
  yardage: { length_mm: 1270, buy_mm: 1371.6, formula: "", can_save: "No lay can save another half yard.", least_buy_mm: 1371.6, cost: null, cost_formula: "", utilisation: 0.5, by_width: [] },
} as unknown as Plan; // prettier-ignore
const me = [["me"], { unit: "in", rights: ["lays", "orders"] }] as [unknown[], unknown];

type Answers = Parameters<typeof standIn>[0];
function page(answers: Answers, held: Partial<Order> = {}, changes: Partial<Plan> = {}) {
  const calls = standIn({ "GET /shelf": () => ({ body: [bolt] }), ...answers });
  show(<LayStation order={{ ...order, ...held } as Order} plan={{ ...laid, ...changes } as Plan} planId="p" />, [me]);
  return calls;
}
const bolt = { id: "bolt", name: "Navy twill", form: "bolt", length: "400 in", kept_for: [] };

it("says step by step why none can be shorter", () => {
  page({});
  const steps = screen.getByText("half of front").closest("ul")!;
  const rows = within(steps).getAllByRole("listitem");
  expect(rows.map((row) => row.firstChild!.textContent)).toEqual([
    "half of front",
    "+ front to back",
    "+ half of back",
  ]);
  expect(rows.map((row) => within(row).getByRole("img").getAttribute("aria-label"))).toEqual([
    "10 inches", "26 inches", "12 inches",
  ]); // prettier-ignore
});

it("says in one line how near the best the lay is, and counts what is proved meanwhile", async () => {
  page({});
  expect(document.querySelector("[data-saves]")!.textContent).toMatch(/^At most .* could still be saved\.$/);
  expect(within(document.querySelector<HTMLElement>("[data-saves]")!).getByRole("img").getAttribute("aria-label")).toBe(
    "2 inches",
  );
  cleanup();
  const near = {
    ...laid.lay!,
    bound_mm: 1268,
    sections: [{ ...section, bound_steps: [{ ...step("counted", 49.9, "") }] }],
  };
  page({}, {}, { lay: near as unknown as Plan["lay"] });
  screen.getByText("This is the shortest there is.");
  screen.getByText(/Every order of the pieces along the cloth was counted through/);
});

it("says a plain bound in one line, and how many lengths of cloth are on one of the table", () => {
  const across = { ...section, bound_mm: 1016, bound_steps: [step("whole", 20)] };
  page({}, {}, { lay: { ...laid.lay!, sections: [across] } } as unknown as Partial<Plan>);
  screen.getByText("the longest piece: front, × 2");
});

it("takes what is cut off the cloth that is kept, says what is left, and puts it back", async () => {
  const cut = { id: "c", name: "Navy twill", length_mm: 1270, was: "400 in", left: "350 in" };
  const kept = { shelf: "bolt", cut: null } as Partial<Order>;
  const calls = page(
    { "PUT /plans/p/cut": () => ({ body: { ...order, ...kept, cut } }), "POST /cuts/c/undo": () => ({ status: 422, body: { title: "Navy twill was cut or measured again since." } }) },
    kept,
  ); // prettier-ignore
  fireEvent.click(await screen.findByRole("button", { name: /^It is cut: take/ }));
  await waitFor(() => expect(calls.some((call) => call.method === "PUT")).toBe(true));
  cleanup();
  show(<LayStation order={{ ...order, ...kept, cut } as Order} plan={laid} planId="p" />, [me]);
  screen.getByText(/were cut off Navy twill, 350 in are left/);
  fireEvent.click(screen.getByRole("button", { name: "It was not cut" }));
  await screen.findByText(/measured again since/);
});

it("moves, pins and undoes by keys, says the length live, and keeps what was moved when it is refused", async () => {
  const refused = { status: 422, body: { title: "Two pieces overlap.", problems: [] } };
  const calls = page({ "PUT /plans/p/hand": () => refused });
  fireEvent.click(screen.getByRole("button", { name: "Move by hand" }));
  const back = () => screen.getByRole("button", { name: /^Back, / });
  const says = () => screen.getByRole("status").textContent;
  const press = (key: string, more = {}) => fireEvent.keyDown(back(), { key, ...more });

  press("ArrowLeft", { shiftKey: true });
  expect(says()).toBe("Length 49″, 1″ shorter");
  press("k");
  press("ArrowLeft");
  expect(says()).toContain("It is pinned. Take the pin out to move it.");
  expect(back().getAttribute("aria-label")).toContain("pinned");
  press("z", { ctrlKey: true });
  press("z", { ctrlKey: true });
  expect(says()).toContain("Length 50″");
  press("z", { ctrlKey: true, shiftKey: true });
  fireEvent.click(screen.getByRole("button", { name: "Keep this lay" }));
  await screen.findByText(/Two pieces overlap/);
  expect(says()).toContain("Length 49″, 1″ shorter");
  const sent = calls.find((call) => call.method === "PUT")!.body as { placements: { piece: string; x_mm: number }[] };
  expect(sent.placements.find((one) => one.piece === "trousers.back")!.x_mm).toBeCloseTo(635.4, 1);
});

it("stops a piece at what is in its way and says so", () => {
  page({});
  fireEvent.click(screen.getByRole("button", { name: "Move by hand" }));
  const back = screen.getByRole("button", { name: /^Back, / });
  for (let k = 0; k < 8; k++) fireEvent.keyDown(back, { key: "ArrowLeft", shiftKey: true });
  const status = screen.getByRole("status").textContent;
  expect(status).toContain("It touches what is in its way.");
  expect(status).toContain("Length 44″, 6″ shorter");
});

it("is a table too: each piece where its nearest corner is", () => {
  const under = { ...placing("back", 660.4, 254), layers: [2], copies: 1, under: true, mirrored: true };
  page({}, {}, { lay: { ...laid.lay!, placements: [under, placing("front", 0, 0)] } } as unknown as Partial<Plan>);
  fireEvent.click(screen.getByRole("button", { name: "As a table" }));
  const [, ...rows] = within(screen.getAllByRole("table")[0]!).getAllByRole("row");
  const texts = rows.map((row) =>
    [...row.children].map((cell) => cell.querySelector("[role=img]")?.getAttribute("aria-label") ?? cell.textContent),
  );
  expect(texts).toEqual([
    ["Front", "all 2", "0 inches", "0 inches", "20 inches", "10 inches", "as drawn"],
    ["Back", "2, under another", "26 inches", "0 inches", "24 inches", "10 inches", "flipped"],
  ]);
  // Moved by hand, a piece is said to be where the table has it.
  fireEvent.click(screen.getByRole("button", { name: "Move by hand" }));
  screen.getByRole("button", { name: "Back, 26 inches along, 0 inches across" });
  screen.getByRole("button", { name: "Front, 0 inches along, 0 inches across" });
});
