import { cleanup, fireEvent, screen, waitFor } from "@testing-library/react";
import { afterEach, expect, it, vi } from "vitest";
import { press, show, standIn, type } from "../../test/shop";
import { SecondStep } from "./SecondStep";
import { Sessions } from "./Sessions";

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

it("turns the second step on by the app's first code, and shows the written codes once", async () => {
  let on = false;
  standIn({
    "GET /session/step": () => ({ body: { on, left: on ? 8 : 0 } }),
    "POST /session/step": () => ({ body: { typed: "ABCD EFGH", address: "otpauth://x", picture: "data:image/svg" } }),
    "PUT /session/step": ({ body }) => {
      on = body.code === "123456";
      const wrong = { where: "code", code: "person", what: "This is not the code", mend: "Wait for its next one." };
      return on ? { body: { codes: ["aa11", "bb22"] } } : { status: 422, body: { title: "No", problems: [wrong] } };
    },
    "POST /session/step/off": () => {
      on = false;
      return { body: {} };
    },
  });
  show(<SecondStep />);
  fireEvent.click(await screen.findByRole("button", { name: "Turn it on" }));
  expect(await screen.findByText("ABCD EFGH")).toBeTruthy();
  expect(screen.getByRole("img").getAttribute("src")).toBe("data:image/svg");
  type("Code of your app", "999999");
  press("Check the code");
  expect((await screen.findByRole("alert")).textContent).toContain("Wait for its next one.");
  type("Code of your app", "123456");
  press("Check the code");
  expect(await screen.findByText("bb22")).toBeTruthy();
  expect(await screen.findByText(/8 of the written ones are left/)).toBeTruthy();
  type("Password, to turn it off", "three-tables");
  press("Turn it off");
  expect(await screen.findByRole("button", { name: "Turn it on" })).toBeTruthy();
});

it("lists where one is logged in, and ends a session elsewhere", async () => {
  const rows = [
    { id: "1", device: "Firefox on Linux", began_at: null, used_at: "2026-11-20T09:00:00Z", here: true },
    { id: "2", device: "Safari on iPhone", began_at: null, used_at: "2026-11-19T09:00:00Z", here: false },
  ];
  standIn({
    "GET /session/all": () => ({ body: rows }),
    "DELETE /session/all/2": () => {
      rows.pop();
      return { body: {} };
    },
  });
  show(<Sessions />);
  expect((await screen.findByText("Firefox on Linux")).closest("li")!.textContent).toContain("here");
  press("End");
  await waitFor(() => expect(screen.queryByText("Safari on iPhone")).toBeNull());
});
