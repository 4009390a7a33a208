/** A stand-in for the server: answers from a few rows, keeps what is written, refuses what it is asked to. */
import { fireEvent, render, screen } from "@testing-library/react";
import type { ReactNode } from "react";
import { MemoryRouter } from "react-router";
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { ChakraProvider } from "@chakra-ui/react";
import { vi } from "vitest";
import type { Choices } from "../api/design";
import type { Order } from "../api/orders";
import type { Plan } from "../api/plans";
import type { Trade } from "../api/trade";
import { system } from "../app/theme";
import designed from "./design.gen.json";
import traded from "./trade.gen.json";

/** What the server answers: made from the core, see setup/generated.py. */
export const trade = traded as Trade;
export const choices = designed as Choices;
const ALWAYS: Record<string, Answer> = {
  "GET /trade": { body: trade },
  "GET /house-patterns": { body: [] },
  "GET /orders/order-1/design": { body: choices },
};

export type Call = { method: string; path: string; query: Record<string, string>; body: Record<string, unknown> };
type Answer = { status?: number; body: unknown };

/** Answers by "METHOD /path"; what is not there is refused with 404. Every call is remembered in order. */
export function standIn(answers: Record<string, (call: Call) => Answer | Promise<Answer>>) {
  const calls: Call[] = [];
  vi.stubGlobal("fetch", async (request: Request) => {
    const { pathname, searchParams } = new URL(request.url);
    const path = pathname.replace(/^\/api/, "");
    const text = await request.text();
    const body = text ? (JSON.parse(text) as Record<string, unknown>) : {};
    const call = { method: request.method, path, query: Object.fromEntries(searchParams), body };
    calls.push(call);
    const key = Object.keys(answers).find((one) => new RegExp(`^${one}$`).test(`${call.method} ${path}`));
    const known = ALWAYS[`${call.method} ${path}`] ?? { status: 404, body: { title: "Not here" } };
    const { status = 200, body: answer } = key ? await answers[key]!(call) : known;
    return new Response(JSON.stringify(answer), { status, headers: { "content-type": "application/json" } });
  });
  return calls;
}

/** What a hand does: a text typed into the field of that name, a button pressed. */
export const type = (label: string | RegExp, value: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value } });
export const press = (name: string) => fireEvent.click(screen.getByRole("button", { name }));

/** For a text whose numbers are in elements of their own: the innermost element that holds it all. */
export const whole = (text: string) => (_: string, element: Element | null) =>
  element !== null &&
  element.textContent!.includes(text) &&
  ![...element.children].some((child) => child.textContent!.includes(text));

/** A page on a memory of its own, as the application stands it up. */
export function show(page: ReactNode, seed: [unknown[], unknown][] = [], at = "/") {
  const memory = new QueryClient({ defaultOptions: { queries: { retry: false, networkMode: "always" } } });
  memory.setQueryData(["trade"], trade);
  for (const [key, value] of seed) memory.setQueryData(key, value);
  const shown = render(
    <MemoryRouter initialEntries={[at]}>
      <ChakraProvider value={system}>
        <QueryClientProvider client={memory}>{page}</QueryClientProvider>
      </ChakraProvider>
    </MemoryRouter>,
  );
  return { ...shown, memory };
}

export const order = {
  id: "order-1",
  version: 1,
  title: "Choir, concert palazzo",
  promised_on: "2026-12-01",
  client: { id: "client-1", version: 1, name: "Marit Sol", phone: "", note: "" },
  sheet: {
    id: "sheet-1",
    version: 1,
    client: "client-1",
    taken_on: "2026-11-01",
    unit: "in",
    closed: false,
    readings: [],
  },
  cloth: { id: "cloth-1", version: 1, kind: "cotton", colour: "#2F5D62", width: "45 in", length: "", fold: "auto" },
  garments: [
    { id: "g-1", version: 3, order: "order-1", name: "trousers", style: "palazzo", method: "quarter-hip", choices: {} },
  ],
  patterns: [],
} as unknown as Order;

const row = { garment: "trousers", kind: "driven", ease_mm: 25.4, darts_mm: 0, gathers_mm: 0, seams_mm: 152.4 };
const square = (size: number) => [[0, 0], [size, 0], [size, 2 * size], [0, 2 * size]]; // prettier-ignore

export const plan = {
  unit: "in",
  core: "0",
  fold: "lengthwise-centre",
  numbers: {},
  pieces: [],
  marks: [],
  notions: [],
  lay: null,
  yardage: null,
  panels: ["front", "back"].map((name) => ({
    garment: "trousers",
    name,
    points: { C: [0, 200], K: [0, 300], X: [200, 200], H: [0, 150] },
    net: square(200),
    cut: square(200),
    segments: [{ edge: "side", points: [[0, 0], [0, 400]] }], // prettier-ignore
    edges: [],
    darts: [],
  })),
  ledger: [
    { ...row, level: "waist", body_mm: 800.1, cut_mm: 978, sewn_mm: 800.1, closes: true },
    { ...row, level: "hip", body_mm: 1041.4, cut_mm: 1219.2, sewn_mm: 1041.4, closes: false },
  ],
  checks: [
    { code: "girth.waist", where: "trousers", says: "The waist closes", ok: true, tolerance_mm: 1 },
    { code: "seam.side", where: "trousers", says: "The side seams are not equal", ok: false, tolerance_mm: 0.5 },
  ].map((check) => ({
    ...check,
    garment: "trousers",
    path: [],
    left: { label: "front", mm: 1041.4 },
    right: { label: "back", mm: 1044.6 },
  })),
  findings: [
    {
      code: "seam.side",
      weight: "stop",
      where: "",
      station: "",
      garment: "",
      words: "The back's side is 1/8 in longer.",
      params: {},
    },
  ],
} as unknown as Plan;
