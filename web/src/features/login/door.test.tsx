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
    "POST /session": ({ body }) =>
      body.code === "123456"
        ? { body: me }
        : { status: 401, body: { code: "step", title: "Type the code that your app shows now." } },
  });
  const { memory } = show(<LogIn />);
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
