import { cleanup, screen, waitFor } from "@testing-library/react";
import { Route, Routes } from "react-router";
import { afterEach, expect, it, vi } from "vitest";
import { press, show, standIn, type } from "../../test/shop";
import { Join } from "./Join";
import { LogIn } from "./LogIn";

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

it("asks for the code of the second step where there is one, and keeps what was typed", async () => {
  const me = { name: "Ebba", workshop: "Quay", unit: "in", role: "owner", rights: [] };
  const calls = standIn({
    "GET /session/tablet": () => ({ body: null }),
    "POST /session": ({ body }) =>
      body.code === "123456"
        ? { body: me }
        : { status: 401, body: { code: "step", title: "Type the code that your app shows now." } },
  });
  const { memory } = show(<LogIn />);
  await screen.findByLabelText("User name");
  type("User name", "ebba");
  type("Password", "three-tables");
  expect(screen.queryByLabelText("Code of your app")).toBeNull();
  press("Open the workshop");
  expect((await screen.findByRole("alert")).textContent).toContain("that your app shows");
  type("Code of your app", "123456");
  press("Open the workshop");
  await waitFor(() => expect(memory.getQueryData(["me"])).toEqual(me));
  expect(calls.at(-1)!.body).toEqual({ user_name: "ebba", password: "three-tables", code: "123456" });
});

it("lets one pick oneself on a tablet, says what is wrong with a code, and goes back to who is here", async () => {
  const me = { id: "1", name: "Siv", workshop: "Quay", unit: "in", role: "sewer", rights: [] };
  const here = { workshop: "Quay", name: "Cutting table", people: [{ id: "1", name: "Siv" }] };
  const calls = standIn({
    "GET /session/tablet": () => ({ body: here }),
    "POST /session/tablet": ({ body }) =>
      body.code === "2580" ? { body: me } : { status: 401, body: { code: "code", title: "This is not your code." } },
  });
  const { memory } = show(<LogIn />);
  expect((await screen.findByRole("heading", { level: 1 })).textContent).toBe("Quay, Cutting table");
  press("With user name and password");
  press("Pick yourself instead");
  press("Siv");
  press("Somebody else");
  press("Siv");
  type("Your short code", "1111");
  press("Open the workshop");
  expect((await screen.findByRole("alert")).textContent).toBe("This is not your code.");
  type("Your short code", "2580");
  press("Open the workshop");
  await waitFor(() => expect(memory.getQueryData(["me"])).toEqual(me));
  expect(calls.at(-1)!.body).toEqual({ person: "1", code: "2580" });
});

it("chooses a new password by a link, for the name that has it", async () => {
  const welcome = { workshop: "Quay", name: "Siv", role: "sewer", user_name: "siv", first: false, unit: "in" };
  const wrong = { where: "password", code: "person", what: "The password is too short", mend: "Choose a longer one." };
  const calls = standIn({
    "GET /session/join/x": () => ({ body: welcome }),
    "POST /session/join/x": () => ({ status: 422, body: { title: "No", problems: [wrong] } }),
  });
  show(
    <Routes>
      <Route path="/join/:token" element={<Join />} />
    </Routes>,
    [],
    "/join/x",
  );
  expect((await screen.findByRole("heading")).textContent).toBe("Siv, choose a new password");
  expect(screen.getByLabelText<HTMLInputElement>("User name").value).toBe("siv");
  type(/^Password/, "short");
  press("Come in");
  expect((await screen.findByRole("alert")).textContent).toBe("The password is too short. Choose a longer one.");
  expect(screen.getByLabelText<HTMLInputElement>(/^Password/).value).toBe("short");
  expect(calls.at(-1)!.body).toMatchObject({ password: "short" });
});
