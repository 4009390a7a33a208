import { cleanup, fireEvent, screen, waitFor } from "@testing-library/react";
import { afterEach, expect, it, vi } from "vitest";
import { show, standIn } from "../../test/shop";
import { Clients } from "./Clients";
import { History } from "./History";
import { line } from "./history";

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

it("asks the book for what is typed, and says when nobody sounds like it", async () => {
  const asked: string[] = [];
  vi.stubGlobal("fetch", (request: Request) => {
    const { pathname, searchParams } = new URL(request.url);
    const plain = { headers: { "content-type": "application/json" } };
    if (pathname.endsWith("/session")) return Promise.resolve(new Response(JSON.stringify({ rights: [] }), plain));
    const find = searchParams.get("find")!;
    asked.push(find);
    const found = find === "zz" ? [] : [{ id: "1", name: "Marit Sol", phone: "0555" }];
    return Promise.resolve(new Response(JSON.stringify(found), plain));
  });
  show(<Clients />);
  expect((await screen.findByRole("link", { name: "Marit Sol" })).getAttribute("href")).toBe("/clients/1");
  fireEvent.change(screen.getByRole("searchbox"), { target: { value: " zz " } });
  await screen.findByText(/Nobody sounds like that/);
  await waitFor(() => expect(asked).toEqual(["", "zz"]));
});

it("draws a point's values from the oldest to the last, level where nothing changed", () => {
  const ends = (d: string) => [...d.matchAll(/[ML]([\d.]+) ([\d.]+)/g)].map((m) => [Number(m[1]), Number(m[2])]);
  const [first, last] = ends(line([1000, 1040]));
  expect(first![0]).toBeLessThan(last![0]!);
  expect(first![1]).toBeGreaterThan(last![1]!);
  expect(new Set(ends(line([900, 900, 900])).map((at) => at[1])).size).toBe(1);
  expect(Math.max(...ends(line([0, 5000, 100])).map((at) => at[1]!))).toBeLessThanOrEqual(22);
});

it("tells what changed since the sheet before, an estimate with its sign", async () => {
  const reading = (mm: number, way = "tape") => ({
    id: `${mm}`,
    key: "hip",
    typed: "",
    mm,
    way,
    note: "",
    taken_at: "",
    taken_by: "",
  });
  const sheet = (on: string, mm: number, way?: string) => ({
    id: on, version: 1, client: "c", taken_on: on, unit: "in", waist: "worn", corrects: null, closed: true, skipped: [],
    readings: [reading(mm, way)],
  }); // prettier-ignore
  standIn({ "GET /points": () => ({ body: [{ key: "hip", name: "hip", tape: [] }] }) });
  show(<History sheets={[sheet("2026-11-01", 1041.4, "flat"), sheet("2026-04-01", 1016)]} unit="in" />);
  const row = await screen.findByRole("row", { name: /^hip/ });
  expect(row.textContent).toContain("≈ ");
  expect(row.textContent).toContain("+ 1");
  expect(screen.getByText(/2 sheets, the last of 1 November 2026/)).toBeTruthy();
});
