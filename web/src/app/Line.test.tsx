import "fake-indexeddb/auto";
import { act, cleanup, screen, waitFor } from "@testing-library/react";
import { useQuery } from "@tanstack/react-query";
import { afterEach, beforeEach, expect, it, vi } from "vitest";
import { answered, server } from "../api/client";
import { orWait, sendWaiting } from "../api/outbox";
import { tell } from "../offline/device";
import { lineIs } from "../offline/line";
import { forgetRows } from "../offline/store";
import { show, standIn } from "../test/shop";
import { Line } from "./Line";

beforeEach(async () => {
  localStorage.clear();
  lineIs(true);
  await forgetRows("7");
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

/** A page that shows how often it was fetched. */
function Page() {
  const { data } = useQuery({ queryKey: ["page"], queryFn: () => answered(server.GET("/api/session")) });
  return <p>{JSON.stringify(data)}</p>;
}

it("fetches the pages anew when what waited is with the server", async () => {
  tell("7", true);
  vi.stubGlobal("fetch", () => Promise.reject(new TypeError("no line")));
  const body = { call: 1 };
  const put = () => answered(server.PUT("/api/ticks/{id}", { params: { path: { id: "a" } }, body: body as never }));
  expect(await orWait({ id: "a", kind: "tick", path: "/api/ticks/a", body, says: "a" }, put)).toBeNull();
  let fetched = 0;
  standIn({ "GET /session": () => ({ body: { fetched: ++fetched } }), "PUT /ticks/a": () => ({ body: {} }) });
  show(
    <>
      <Line />
      <Page />
    </>,
  );
  await screen.findByText(/1 tick/);
  await waitFor(() => screen.getByText('{"fetched":1}'));
  await act(async () => void (await sendWaiting()));
  await waitFor(() => screen.getByText('{"fetched":2}'));
});
