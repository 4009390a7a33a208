import { cleanup, fireEvent, screen, waitFor } from "@testing-library/react";
import { afterEach, expect, it, vi } from "vitest";
import { show, standIn } from "../../test/shop";
import { People } from "./People";

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const ebba = { id: "e", name: "Ebba", user_name: "ebba", role: "owner", works_here: true };
const invited = {
  id: "i",
  name: "Ivo",
  role: "sewer",
  link: "http://quay.test/join/x",
  for_password: false,
  expires_at: "2026-11-30T10:00:00Z",
};
const team = {
  people: [ebba],
  invitations: [invited],
  messages: [{ to: "signe@quay.test", text: "Come and sew with us.", written_at: "2026-11-20T09:00:00Z" }],
};

it("shows who works here, gives another role, and says why one cannot be given", async () => {
  const calls = standIn({
    "GET /people": () => ({ body: team }),
    "PUT /people/e": () => ({
      status: 422,
      body: { title: "The workshop would have no owner. Make somebody else one." },
    }),
  });
  show(<People />);
  fireEvent.change(await screen.findByLabelText("Role of Ebba"), { target: { value: "cutter" } });
  expect((await screen.findByRole("alert")).textContent).toContain("no owner");
  expect(calls.find((call) => call.method === "PUT")!.body).toEqual({ role: "cutter", works_here: true });
});

it("invites under a role, with the link to hand over, and takes an invitation back", async () => {
  const calls = standIn({
    "GET /people": () => ({ body: team }),
    "PUT /invitations/.*": () => ({ body: invited }),
    "DELETE /invitations/i": () => ({ body: {} }),
  });
  show(<People />);
  expect(await screen.findByText("http://quay.test/join/x")).toBeTruthy();
  fireEvent.click(screen.getByText("Messages that would have been sent"));
  expect(screen.getByText("signe@quay.test").closest("p")!.textContent).toContain("Come and sew with us.");
  fireEvent.click(screen.getByRole("button", { name: "Make the link" }));
  expect(screen.getByRole("alert").textContent).toContain("Type the name");
  fireEvent.change(screen.getByLabelText("Name"), { target: { value: " Signe " } });
  fireEvent.click(screen.getByRole("radio", { name: "Apprentice" }));
  expect(screen.getByRole("radio", { name: "Apprentice", description: /measures and lays/ })).toBeTruthy();
  expect(screen.getByText("reads orders, plans and marks; sees no phone numbers")).toBeTruthy();
  fireEvent.click(screen.getByRole("button", { name: "Make the link" }));
  await waitFor(() => expect(screen.getByLabelText<HTMLInputElement>("Name").value).toBe(""));
  expect(calls.find((call) => call.method === "PUT")!.body).toEqual({ name: "Signe", role: "apprentice", to: "" });
  fireEvent.click(screen.getByRole("button", { name: "Take back" }));
  await waitFor(() =>
    expect(calls.some((call) => call.method === "DELETE" && call.path === "/invitations/i")).toBe(true),
  );
});

it("says so where one may not see it", async () => {
  standIn({ "GET /people": () => ({ status: 403, body: { title: "This is for an owner." } }) });
  show(<People />);
  expect((await screen.findByRole("alert")).textContent).toBe("This is for an owner.");
});
