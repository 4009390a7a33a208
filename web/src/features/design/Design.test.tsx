import { act, cleanup, fireEvent, screen, waitFor } from "@testing-library/react";
import { afterEach, beforeEach, expect, it, vi } from "vitest";
import { type Garment, useOrder } from "../../api/orders";
import type { ComponentProps } from "react";
import { choices, order, plan, show, standIn, trade, whole } from "../../test/shop";
import { Design, restyled } from "./Design";

const drawn: string[] = [];
vi.mock("../../ui/chips", async (original) => {
  const real = await original<typeof import("../../ui/chips")>();
  return {
    ...real,
    Chips: (props: ComponentProps<typeof real.Chips>) => {
      drawn.push(String(props.legend));
      return <real.Chips {...props} />;
    },
  };
});

/** What is watched on the page, and how it is reported that it came into sight; nothing does by itself. */
const watched = new Map<Element, (found: { isIntersecting: boolean }[]) => void>();
class Watch {
  constructor(private readonly report: (found: { isIntersecting: boolean }[]) => void) {}
  observe = (place: Element) => watched.set(place, this.report);
  disconnect = () => {};
}
const intoSight = (name: string) => {
  for (const [place, report] of watched) report([{ isIntersecting: place.querySelector(`[name="${name}"]`) !== null }]);
};

beforeEach(() => {
  localStorage.clear();
  watched.clear();
  vi.stubGlobal("IntersectionObserver", Watch);
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

/** A server that keeps the garment as it is sent, its version growing. */
function workshop() {
  let version = order.garments[0]!.version!;
  const calls = standIn({
    "PUT /garments/g-1": ({ body }) => ({ body: { ...body, id: "g-1", version: ++version } }),
  });
  return () => calls.filter((call) => call.method === "PUT");
}
/** Every group is opened: their rows are made then. */
const opened = async () => {
  await screen.findByText("Crotch");
  for (const group of document.querySelectorAll("details:not([open]) > summary")) fireEvent.click(group);
  await screen.findByText("Depth to the crotch line");
};
const stand = async () => {
  const shown = show(<Design planId="plan-1" order={order} plan={plan} error={null} />, [[["order", order.id], order]]);
  await opened();
  return shown;
};
const kept = (memory: ReturnType<typeof show>["memory"]) =>
  memory.getQueryData<typeof order>(["order", order.id])!.garments[0]!.choices as Record<string, unknown>;

it("sends a rule when it is chosen, and takes it back when the usual one is", async () => {
  const calls = workshop();
  const { memory } = await stand();
  fireEvent.click(screen.getByRole("radio", { name: "Full" }));
  await waitFor(() => expect(kept(memory)).toEqual({ seat: "full" }));
  expect(calls()[0]).toMatchObject({ method: "PUT", body: { version: 3, choices: { seat: "full" } } });
});

it("takes a length of one's own instead of a rule, and the rule again", async () => {
  workshop();
  const { memory } = await stand();
  const field = document.querySelector<HTMLInputElement>('input[name="crotch_depth"]')!;
  fireEvent.change(field, { target: { value: "8 3/4" } });
  fireEvent.blur(field);
  await waitFor(() => expect(kept(memory)).toEqual({ crotch_depth: "8 3/4" }));
  fireEvent.click(screen.getByRole("radio", { name: "hip / 4 + 1 in" }));
  await waitFor(() => expect(kept(memory)).toEqual({ crotch_depth: "hip/4+1" }));
});

it("writes two quick choices one after the other, the second on the version of the first", async () => {
  const calls = workshop();
  const { memory } = await stand();
  act(() => {
    fireEvent.click(screen.getByRole("radio", { name: "Flat" }));
    fireEvent.click(screen.getByRole("radio", { name: "Level" }));
  });
  await waitFor(() => expect(kept(memory)).toEqual({ seat: "flat", seat_height: "none" }));
  expect(calls().map((call) => (call.body as unknown as Garment).version)).toEqual([3, 4]);
});

it("draws only the row anew that was pressed", async () => {
  workshop();
  const Page = () => <Design planId="plan-1" order={useOrder("order-1").data!} plan={plan} error={null} />;
  const { memory } = show(<Page />, [[["order", order.id], order]]);
  await opened();
  const before = [...drawn];
  drawn.length = 0;
  fireEvent.click(screen.getByRole("radio", { name: "Full" }));
  await waitFor(() => expect(kept(memory)).toEqual({ seat: "full" }));
  expect(new Set(before).size).toBeGreaterThan(5);
  expect(drawn).toContain("Seat");
  expect(drawn.filter((legend) => legend !== "Seat").length).toBeLessThan(5);
});

it("puts an allowance into its own set and keeps the others", async () => {
  workshop();
  const { memory } = await stand();
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
  await stand();
  const field = document.querySelector<HTMLInputElement>('input[name="hem"]')!;
  fireEvent.change(field, { target: { value: "9" } });
  fireEvent.blur(field);
  await screen.findByText(whole("9″ is too much. Less."));
  expect(field.value).toBe("9");
  expect(field.getAttribute("aria-invalid")).toBe("true");
});

it("asks what the server's table asks, in its order, and what it says of each rule", async () => {
  const [waist] = choices.groups;
  const asked = {
    ...choices,
    methods: [{ value: "half-thigh", label: "Half thigh", says: "crotch depth + 1 in", dead: "" }],
    groups: [
      {
        ...waist!,
        rows: [
          {
            ...waist!.rows[0]!,
            key: "cord",
            kind: "rule",
            legend: "A cord",
            hint: "through the casing",
            usual: "thin",
            options: [
              { value: "thin", label: "Thin", says: "never said of what is chosen", dead: "" },
              { value: "thick", label: "Thick", says: "waist + 1 in", dead: "" },
              { value: "none", label: "None", says: "", dead: "Waist is missing" },
            ],
          },
        ],
      },
    ],
  };
  const calls = standIn({
    "GET /orders/order-1/design": () => ({ body: asked }),
    "PUT /garments/g-1": ({ body }) => ({ body: { ...body, id: "g-1", version: 4 } }),
  });
  show(<Design planId="plan-1" order={order} plan={plan} error={null} />, [[["order", order.id], order]]);
  await screen.findByText("A cord");
  screen.getByText(whole("waist + 1″"));
  screen.getByText("Waist is missing");
  expect(screen.queryByText(whole("crotch depth + 1″")), "made when it is first looked at").toBeNull();
  fireEvent.click(screen.getByText(/^Method:/));
  await screen.findByText(whole("crotch depth + 1″"));
  expect(screen.queryByText(/never said/)).toBeNull();
  expect(screen.queryByText("Crotch")).toBeNull();
  fireEvent.click(screen.getByRole("radio", { name: "Thick" }));
  await waitFor(() => expect(calls.find((call) => call.method === "PUT")?.body.choices).toEqual({ cord: "thick" }));
});

it("says what is usual and where it comes from where nothing is typed", async () => {
  standIn({});
  await stand();
  const hem = choices.groups.flatMap((group) => group.rows).find((row) => row.key === "hem")!;
  expect(hem.usually).toBe("2 in");
  expect(document.querySelector<HTMLInputElement>('input[name="hem"]')!.placeholder).toBe(hem.usually);
});

it("leaves out what another method does not read, and takes one that makes the style", () => {
  const garment = { ...order.garments[0]!, choices: { seat: "full", hem: "3" } };
  const boxers = restyled(garment, "boxers", "quarter-hip", trade);
  expect([boxers.method, boxers.choices]).toEqual(["one-piece-leg", { hem: "3" }]);
  expect(restyled(garment, "palazzo", "half-thigh", trade)).toMatchObject({
    method: "half-thigh",
    choices: garment.choices,
  });
});

it("goes by the outfit as the server has it: nothing is joined while a top is being added", async () => {
  const top = { ...order.garments[0]!, id: "g-2", name: "top", style: "straight-top", method: "quarter-bust" };
  let letGo = () => {};
  const calls = standIn({
    "PUT /orders/order-1/outfit": async () => {
      await new Promise<void>((go) => (letGo = go));
      return { body: { ...order, garments: [order.garments[0], top] } };
    },
  });
  const Page = () => <Design planId="plan-1" order={useOrder("order-1").data!} plan={plan} error={null} />;
  show(<Page />, [[["order", order.id], order]]);
  fireEvent.click(screen.getByRole("button", { name: "Add a matching top" }));
  const join = () => screen.getByRole<HTMLButtonElement>("button", { name: "Join into a jumpsuit" });
  await waitFor(() => expect(join().disabled).toBe(true));
  await act(async () => letGo());
  await waitFor(() => expect(join().disabled).toBe(false));
  fireEvent.click(join());
  const puts = () => calls.filter((call) => call.method === "PUT").map((call) => call.body.garments as Garment[]);
  await waitFor(() => expect(puts()).toHaveLength(2));
  expect(
    puts()[1]!
      .map(({ id, style, removed }) => [id, style, removed])
      .slice(1),
  ).toEqual([
    ["g-2", "straight-top", true],
    [order.garments[0]!.id, order.garments[0]!.style, true],
  ]);
  expect(puts()[1]![0]!.choices).toMatchObject({ top: { style: "straight-top" } });
});

it("adds and takes off pockets one by one", async () => {
  workshop();
  const { memory } = await stand();
  fireEvent.click(screen.getByRole("checkbox", { name: /side seam/ }));
  await waitFor(() => expect(kept(memory)).toEqual({ pockets: ["in-seam"] }));
  fireEvent.click(screen.getByRole("checkbox", { name: /Patch behind/ }));
  await waitFor(() => expect(kept(memory)).toEqual({ pockets: ["in-seam", "back-patch"] }));
  fireEvent.click(screen.getByRole("checkbox", { name: /side seam/ }));
  await waitFor(() => expect(kept(memory)).toEqual({ pockets: ["back-patch"] }));
});

it("keeps the choices as a house rule, and uses one of another day", async () => {
  const ours = {
    id: "r-1",
    version: 2,
    name: "Ours",
    method: "half-thigh",
    choices: { seat: "flat" },
    usual: false,
    removed: false,
  };
  let version = 3;
  const calls = standIn({
    "GET /house-rules": () => ({ body: [ours] }),
    "PUT /house-rules/.*": ({ body }) => ({ body }),
    "PUT /garments/g-1": ({ body }) => ({ body: { ...body, id: "g-1", version: ++version } }),
  });
  const { memory } = await stand();
  fireEvent.click(await screen.findByRole("button", { name: "Use" }));
  await waitFor(() => expect(kept(memory)).toEqual({ seat: "flat" }));
  fireEvent.change(screen.getByLabelText("These choices as"), { target: { value: "Ours" } });
  fireEvent.click(screen.getByRole("button", { name: "Keep" }));
  await waitFor(() => expect(calls.map((call) => call.path)).toContain("/house-rules/r-1"));
  const put = calls.find((call) => call.path === "/house-rules/r-1")!;
  expect(put.body).toMatchObject({ version: 2, name: "Ours", method: order.garments[0]!.method });
});

it("draws the style on an invented body while a measure is missing, and says so", async () => {
  standIn({ "GET /drafts/quarter-hip": () => ({ body: plan }) });
  show(<Design planId="plan-1" order={order} plan={undefined} error={new Error("Thigh is missing")} />, [
    [["order", order.id], order],
  ]);
  await screen.findByRole("img", { name: /^The style on an invented body/ });
  screen.getByText(/Not this client yet/);
});

it("makes a house rule the usual one, and says so", async () => {
  let ours = { id: "r-1", version: 2, name: "Ours", method: "half-thigh", choices: {}, usual: false, removed: false };
  standIn({
    "GET /house-rules": () => ({ body: ours.removed ? [] : [ours] }),
    "PUT /house-rules/r-1": ({ body }) => ({ body: (ours = { ...ours, ...body, version: ours.version + 1 }) }),
  });
  await stand();
  fireEvent.click(await screen.findByRole("button", { name: "Usual" }));
  await screen.findByText(/every new garment of it starts so/);
  expect(screen.getByRole("button", { name: "Usual" }).getAttribute("aria-pressed")).toBe("true");
  fireEvent.click(screen.getByRole("button", { name: "Take Ours off the list" }));
  await screen.findByText(/None yet/);
});

it("shows each style as the server draws it on this client", async () => {
  const outline = [[-200, 0], [0, 0], [0, 900], [-180, 900]]; // prettier-ignore
  standIn({ "GET /sheets/sheet-1/silhouettes": () => ({ body: { palazzo: outline } }) });
  await stand();
  const palazzo = screen.getByRole("radio", { name: "Palazzo" }).closest("label")!;
  await waitFor(() => expect(palazzo.querySelectorAll("svg path").length).toBe(2));
  expect(screen.getByRole("radio", { name: "Boxers" }).closest("label")!.querySelector("svg")).toBeNull();
});

it("draws what each rule would move, and an inch more of a length; nothing for the rule that is chosen", async () => {
  vi.stubGlobal("IntersectionObserver", undefined); // a browser that cannot say what is in sight
  const line = [[[0, 0], [100, 0], [100, 300]]]; // prettier-ignore
  const move = { of: "", panel: "back", lines: line, was: line, view: [0, 0, 320, 320], by_mm: 0 };
  const moves = [
    { ...move, key: "seat", way: "rule", rule: "flat" },
    { ...move, key: "hip_ease", way: "more", rule: "", by_mm: 25.4 },
  ];
  const calls = standIn({
    "GET /orders/order-1/design/moves": ({ query }) => ({ body: moves.filter(({ key }) => key === query.choice) }),
  });
  await stand();
  const flat = () => screen.getByRole("radio", { name: "Flat" }).closest("label")!;
  await waitFor(() => expect(flat().querySelector("[data-moved=back]")).toBeTruthy());
  expect(screen.getByRole("radio", { name: "Usual" }).closest("label")!.querySelector("svg")).toBeNull();
  expect(await screen.findByText(whole("1″ more"))).toBeTruthy();
  const asked = calls.filter((call) => call.path.endsWith("/moves")).map(({ query }) => `${query.of}.${query.choice}`);
  expect(asked.sort()).toEqual(choices.groups.flatMap(({ rows }) => rows.map((row) => `${row.of}.${row.key}`)).sort());
});

it("leaves what is typed, and why it was refused, where it is when the drawing comes", async () => {
  const line = [[[0, 0], [100, 0], [100, 300]]]; // prettier-ignore
  const move = { of: "", key: "hip_ease", panel: "back", way: "more", rule: "", lines: line, was: line };
  const says = { where: "", code: "role", what: "This is for an owner", mend: "Ask them." };
  standIn({
    "GET /orders/order-1/design/moves": () => ({ body: [{ ...move, view: [0, 0, 320, 320], by_mm: 25.4 }] }),
    "PUT /garments/g-1": () => ({ status: 403, body: { title: "No", problems: [says] } }),
  });
  await stand();
  const field = document.querySelector<HTMLInputElement>('input[name="hip_ease"]')!;
  fireEvent.change(field, { target: { value: "3" } });
  fireEvent.blur(field);
  await screen.findByText("This is for an owner. Ask them.");
  field.focus();
  act(() => intoSight("hip_ease"));
  await screen.findByText(whole("1″ more"));
  expect(document.activeElement).toBe(field);
  screen.getByText("This is for an owner. Ask them.");
});

it("asks what a choice would move while it is in sight", async () => {
  const calls = standIn({ "GET /orders/order-1/design/moves": () => ({ body: [] }) });
  await stand();
  const asked = () => calls.filter((call) => call.path.endsWith("/moves")).map(({ query }) => query.choice);
  expect(asked()).toEqual([]);
  act(() => intoSight("hip_ease"));
  await waitFor(() => expect(asked()).toEqual(["hip_ease"]));
});
