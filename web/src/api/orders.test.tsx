import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { act, cleanup, renderHook, waitFor } from "@testing-library/react";
import type { ReactNode } from "react";
import { afterEach, expect, it, vi } from "vitest";
import { type Call, order, standIn } from "../test/shop";
import { type Garment, type Order, useOrder, usePutGarment, useTakeChoices } from "./orders";
import { back } from "./undo";

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

type Body = Record<string, unknown> & { version: number };

/** A server that keeps garments, refuses a stale version, and answers each write only when it is let go. */
function workshop(garments: Garment[], refuse: (body: Body) => boolean = () => false) {
  const rows = new Map(garments.map((one) => [one.id, one]));
  const whole = () => ({ ...order, garments: [...rows.values()] });
  const held: (() => void)[] = [];
  const calls = standIn({
    "GET /orders/order-1": () => ({ body: whole() }),
    "PUT /garments/.*": async ({ path, body }: Call) => {
      await new Promise<void>((go) => held.push(go));
      const id = path.split("/")[2]!;
      if (body["version"] !== rows.get(id)!.version)
        return { status: 409, body: { title: "Stale", theirs: rows.get(id) } };
      if (refuse(body as Body)) return { status: 422, body: { title: "That cannot be." } };
      const row = { ...(body as Body), id, version: (body["version"] as number) + 1 } as unknown as Garment;
      rows.set(id, row);
      return { body: row };
    },
  });
  const memory = new QueryClient({ defaultOptions: { queries: { retry: false, networkMode: "always" } } });
  memory.setQueryData(["order", order.id], whole());
  const wrapper = ({ children }: { children: ReactNode }) => (
    <QueryClientProvider client={memory}>{children}</QueryClientProvider>
  );
  const letGo = async (times = 1) => {
    for (let k = 0; k < times; k++) {
      await waitFor(() => expect(held.length).toBeGreaterThan(0));
      await act(async () => held.shift()!());
    }
  };
  const shown = (at = 0) => memory.getQueryData<Order>(["order", order.id])!.garments[at]!.choices;
  return { rows, memory, wrapper, letGo, shown, puts: () => calls.filter((call) => call.method === "PUT") };
}

const [trousers] = order.garments as [Garment];
const toggled = (value: string) => (row: Garment) => {
  const had = (row.choices["pockets"] as string[] | undefined) ?? [];
  const pockets = had.includes(value) ? had.filter((one) => one !== value) : [...had, value];
  return { ...row, choices: { ...row.choices, pockets } };
};

it("shows at once what is pressed, and sends each change once, on the version of the one before", async () => {
  const shop = workshop([trousers]);
  const { result } = renderHook(() => usePutGarment("order-1", "g-1"), shop);
  let done: Promise<unknown>[] = [];
  act(() => {
    done = ["slant", "back-patch", "slant"].map((value) => result.current.press(toggled(value)));
  });
  await waitFor(() => expect(shop.shown()).toEqual({ pockets: ["back-patch"] }));
  // The order is read anew meanwhile: what is on its way is still shown, and not sent twice over.
  const { result: read } = renderHook(() => useOrder("order-1"), shop);
  await act(() => read.current.refetch());
  expect(shop.shown()).toEqual({ pockets: ["back-patch"] });
  await shop.letGo(done.length);
  await act(() => Promise.all(done));
  expect(shop.puts().map(({ body }) => [body["version"], body["choices"]])).toEqual([
    [3, { pockets: ["slant"] }],
    [4, { pockets: ["slant", "back-patch"] }],
    [5, { pockets: ["back-patch"] }],
  ]);
  expect(shop.shown()).toEqual({ pockets: ["back-patch"] });
});

it("shows what was there before where a press is refused, with what was pressed after it", async () => {
  const shop = workshop([trousers], (body) => JSON.stringify(body).includes("slant"));
  const { result } = renderHook(() => usePutGarment("order-1", "g-1"), shop);
  let bad: Promise<unknown> = Promise.resolve();
  let good: Promise<unknown> = Promise.resolve();
  act(() => {
    bad = result.current.press(toggled("slant")).catch((error: Error) => error.message);
    good = result.current.press(toggled("back-patch"));
  });
  await shop.letGo();
  expect(await bad).toBe("That cannot be.");
  expect(shop.shown()).toEqual({ pockets: ["back-patch"] });
  await shop.letGo();
  await act(() => good);
  expect(shop.rows.get("g-1")!.choices).toEqual({ pockets: ["back-patch"] });
});

it("writes a saving's choices into the garments and halves they are of, and takes them back as one", async () => {
  const suit = {
    ...trousers,
    id: "g-2",
    name: "suit",
    choices: {
      top: { style: "bodice", method: "two-measure", choices: { hem: "1 in", sleeve: "none" } },
      lower: { style: "palazzo", method: "quarter-hip", choices: {} },
    },
  };
  const shop = workshop([trousers, suit]);
  const { result } = renderHook(() => useTakeChoices("order-1"), shop);
  const taken = { trousers: { hem: "1 1/2 in" }, suit: { top: { hem: "1/2 in" }, lower: { length: "38 in" } } };
  act(() => result.current.mutate(taken));
  await shop.letGo(2);
  await waitFor(() => expect(result.current.isSuccess).toBe(true));
  expect(shop.rows.get("g-1")!.choices).toEqual({ hem: "1 1/2 in" });
  expect(shop.rows.get("g-2")!.choices).toEqual({
    top: { style: "bodice", method: "two-measure", choices: { hem: "1/2 in", sleeve: "none" } },
    lower: { style: "palazzo", method: "quarter-hip", choices: { length: "38 in" } },
  });
  let undone: Promise<boolean> = Promise.resolve(false);
  act(() => {
    undone = back("order-1", "undo");
  });
  await shop.letGo(2);
  expect(await undone).toBe(true);
  expect([shop.rows.get("g-1")!.choices, shop.rows.get("g-2")!.choices]).toEqual([trousers.choices, suit.choices]);
});
