import "fake-indexeddb/auto";
import { QueryClient, QueryClientProvider, type QueryObserverOptions } from "@tanstack/react-query";
import { act, cleanup, renderHook, waitFor } from "@testing-library/react";
import type { ReactNode } from "react";
import { afterEach, beforeEach, expect, it, vi } from "vitest";
import { answered, readsIn, Refused, server } from "../api/client";
import { orWait, sendWaiting, waiting } from "../api/outbox";
import { useKeeping, useLogOut, useMe } from "../api/session";
import { type Call, standIn } from "../test/shop";
import { keepWhatComes, orKept } from "./answers";
import { entered, isForgotten, keptFor, left, tell, used } from "./device";
import { hasLine, lineIs } from "./line";
import { forgetAnswers, forgetRows, keepAnswer, keptAnswer, rowsOf } from "./store";

const WEEK = 7 * 24 * 3600 * 1000;
const me = { id: "7", name: "Ebba", workshop: "Three Tables", unit: "in", role: "owner", rights: [] };
const tick = (id: string) => ({ id, kind: "tick" as const, path: `/api/ticks/${id}`, body: { call: 1 }, says: id });
const send = (id: string) => () =>
  answered(server.PUT("/api/ticks/{id}", { params: { path: { id } }, body: { call: 1 } as never }));
const cut = () => vi.stubGlobal("fetch", () => Promise.reject(new TypeError("no line")));

beforeEach(async () => {
  localStorage.clear();
  lineIs(true);
  await forgetAnswers();
  for (const who of ["7", "8"]) await forgetRows(who);
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

it("sends what was written in order, with its ids, once", async () => {
  tell("7", true);
  cut();
  expect(await orWait(tick("a"), send("a"))).toBeNull();
  expect(await orWait(tick("b"), send("b"))).toBeNull();
  expect(hasLine()).toBe(false);
  const calls = standIn({ "PUT /ticks/.*": () => ({ body: {} }) });
  expect(await orWait(tick("c"), send("c"))).toBeNull(); // behind those that wait
  const took = await Promise.all([sendWaiting(), sendWaiting()]);
  expect(took).toEqual([3, 3]);
  expect(calls.map((call) => call.path)).toEqual(["/ticks/a", "/ticks/b", "/ticks/c"]);
  expect(calls.every((call) => call.body["waited"] === true)).toBe(true);
  expect(await waiting()).toEqual([]);
});

it("keeps what the server will not have with the reason, and goes on", async () => {
  tell("7", true);
  cut();
  for (const id of ["a", "b"]) await orWait(tick(id), send(id));
  standIn({
    "PUT /ticks/a": () => ({ status: 409, body: { title: "It is cut.", problems: [] } }),
    "PUT /ticks/b": () => ({ body: {} }),
  });
  expect(await sendWaiting()).toBe(1);
  expect((await rowsOf("7")).map((row) => [row.id, row.refused])).toEqual([["a", "It is cut."]]);
});

it("sends what was written behind a slow one as soon as that one is answered, not as something that waited", async () => {
  tell("7", true);
  let answer = () => {};
  const calls = standIn({ "PUT /ticks/.*": () => ({ body: {} }) });
  const first = orWait(
    tick("a"),
    () =>
      new Promise<void>((go) => {
        answer = go;
      }),
  );
  await waitFor(async () => expect((await waiting()).length).toBe(1));
  expect(await orWait(tick("b"), send("b"))).toBeNull();
  expect(await sendWaiting()).toBe(0); // the first is on its way still
  answer();
  await first;
  await waitFor(async () => expect(await waiting()).toEqual([]));
  expect(calls.map((call) => [call.path, call.body["waited"]])).toEqual([["/ticks/b", false]]);
});

it("does not send anew what is refused late, and says why", async () => {
  tell("7", true);
  vi.useFakeTimers({ toFake: ["setTimeout", "clearTimeout"] });
  let refuse: (error: Error) => void = () => {};
  const late = orWait(
    tick("a"),
    () =>
      new Promise<void>((_, no) => {
        refuse = no;
      }),
  );
  await vi.waitFor(async () => expect((await waiting()).length).toBe(1));
  await vi.advanceTimersByTimeAsync(7_000);
  vi.useRealTimers();
  expect(await late).toBeNull();
  const calls = standIn({ "PUT /ticks/.*": () => ({ body: {} }) });
  refuse(new Refused(409, "The plan moved.", []));
  await waitFor(async () => expect((await rowsOf("7"))[0]?.refused).toBe("The plan moved."));
  expect(await sendWaiting()).toBe(0);
  expect(calls).toEqual([]);
});

it("stops where the line is lost again, or nobody is logged in", async () => {
  tell("7", true);
  cut();
  for (const id of ["a", "b"]) await orWait(tick(id), send(id));
  expect(await sendWaiting()).toBe(0);
  standIn({ "PUT /ticks/.*": () => ({ status: 401, body: { title: "Log in." } }) });
  expect(await sendWaiting()).toBe(0);
  expect((await waiting()).length).toBe(2);
});

it("waits while the workshop's unit is being changed, and then sends without the page's unit", async () => {
  tell("7", true);
  readsIn("in");
  cut();
  for (const id of ["a", "b"]) await orWait(tick(id), send(id));
  const headers: (string | null)[] = [];
  const answers = [
    { status: 409, body: { title: "The unit is being changed.", code: "turning", problems: [] } },
    { status: 200, body: {} },
    { status: 200, body: {} },
  ];
  vi.stubGlobal("fetch", (request: Request) => {
    headers.push(request.headers.get("Plavet-Unit"));
    const { status, body } = answers[headers.length - 1]!;
    return Promise.resolve(
      new Response(JSON.stringify(body), { status, headers: { "content-type": "application/json" } }),
    );
  });
  expect(await sendWaiting()).toBe(0);
  expect((await waiting()).map((row) => row.id)).toEqual(["a", "b"]);
  expect(await sendWaiting()).toBe(2);
  expect(headers).toEqual(["", "", ""]);
  readsIn("");
});

it("keeps nothing for who did not ask for it, and refuses at once", async () => {
  entered("7");
  cut();
  await expect(orWait(tick("a"), send("a"))).rejects.toThrow(/line/);
  expect(await rowsOf("7")).toEqual([]);
});

it("sends nobody what somebody else wrote, and shows nobody what is somebody else's", () => {
  tell("7", true);
  expect(entered("7")).toBe(false);
  expect(entered("8")).toBe(true);
  expect(keptFor()).toBeNull();
  entered("7");
  expect(keptFor()).toBe("7");
  left();
  expect(keptFor()).toBeNull();
});

it("is forgotten after seven days unused", () => {
  tell("7", true);
  expect(isForgotten(Date.now() + WEEK - 1000)).toBe(false);
  expect(isForgotten(Date.now() + WEEK + 1000)).toBe(true);
  used(Date.now() + WEEK); // a page that stays open, and is touched
  expect(isForgotten(Date.now() + WEEK + 1000)).toBe(false);
});

/** A page's memory as the application has it. */
function memory() {
  const persister = orKept as NonNullable<QueryObserverOptions["persister"]>;
  const made = new QueryClient({ defaultOptions: { queries: { networkMode: "always", retry: false, persister } } });
  keepWhatComes(made);
  const wrapper = ({ children }: { children: ReactNode }) => (
    <QueryClientProvider client={made}>{children}</QueryClientProvider>
  );
  return { made, wrapper };
}

const answers = (more: Record<string, (call: Call) => { status?: number; body: unknown }> = {}) =>
  standIn({ "GET /session": () => ({ body: me }), "DELETE /session": () => ({ body: {} }), ...more });

it("gives the last answer where the line is lost, a refusal where it is there", async () => {
  tell("7", true);
  const ask = () => answered(server.GET("/api/session"));
  answers();
  await memory().made.fetchQuery({ queryKey: ["order", "1"], queryFn: ask });
  await waitFor(async () => expect(await keptAnswer('["order","1"]')).toEqual(me));
  cut();
  expect(await memory().made.fetchQuery({ queryKey: ["order", "1"], queryFn: ask })).toEqual(me);
  await expect(memory().made.fetchQuery({ queryKey: ["clients"], queryFn: ask })).rejects.toThrow(/line/);
  answers({ "GET /session": () => ({ status: 404, body: { title: "Not here" } }) });
  await expect(memory().made.fetchQuery({ queryKey: ["order", "1"], queryFn: ask })).rejects.toThrow("Not here");
});

it("forgets what is kept when the session was ended elsewhere; what was written waits for its writer", async () => {
  tell("7", true);
  await keepAnswer("x", 1);
  cut();
  await orWait(tick("a"), send("a"));
  answers({ "GET /session": () => ({ status: 401, body: { title: "Log in." } }) });
  const { result } = renderHook(() => useMe(), memory());
  await waitFor(() => expect(result.current.isError).toBe(true));
  expect(await keptAnswer("x")).toBeUndefined();
  expect(keptFor()).toBeNull();
  expect((await rowsOf("7")).length).toBe(1);
});

it("keeps on keeping while something waits to be sent", async () => {
  tell("7", true);
  cut();
  await orWait(tick("a"), send("a"));
  answers();
  const { result } = renderHook(() => ({ me: useMe(), keeping: useKeeping() }), memory());
  await waitFor(() => expect(result.current.me.data).toBeTruthy());
  act(() => result.current.keeping.mutate(false));
  await waitFor(() => expect(result.current.keeping.error?.message).toMatch(/waits to be sent/));
  expect(keptFor()).toBe("7");
});

it("leaves without the line: all is forgotten here, and the session is ended before anything else is asked", async () => {
  vi.stubGlobal("location", { ...window.location, assign: vi.fn() });
  tell("7", true);
  await keepAnswer("x", 1);
  cut();
  await orWait(tick("a"), send("a"));
  const { result } = renderHook(() => useLogOut(), memory());
  act(() => result.current.mutate());
  await waitFor(() => expect(result.current.isSuccess).toBe(true));
  expect(await keptAnswer("x")).toBeUndefined();
  expect(await rowsOf("7")).toEqual([]);
  const again = renderHook(() => useMe(), memory());
  await waitFor(() => expect(again.result.current.error?.message).toMatch(/You left/));
  const calls = answers();
  await act(() => again.result.current.refetch());
  expect(calls.map((call) => `${call.method} ${call.path}`)).toEqual(["DELETE /session", "GET /session"]);
});
