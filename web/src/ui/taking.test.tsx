import { act, cleanup, fireEvent, screen, waitFor } from "@testing-library/react";
import { afterEach, expect, it, vi } from "vitest";
import { show } from "../test/shop";
import { TakeFile } from "./taking";

type Send = Parameters<typeof TakeFile>[0]["send"];
const line = (number: number, what = "") => ({ number, point: "hip", typed: "41", what, mend: what && "Mend it." });

async function choose(text: string) {
  const file = new File([text], "sheet.csv", { type: "text/csv" });
  file.text = () => Promise.resolve(text);
  await act(async () => void fireEvent.change(screen.getByLabelText("File"), { target: { files: [file] } }));
}

afterEach(cleanup);

it("looks at a file first and takes its good lines only when asked to", async () => {
  const send = vi.fn<Send>(({ keep }) =>
    Promise.resolve({ lines: [line(2), line(3, "Not known"), line(4)], kept: keep ? 2 : 0 }),
  );
  show(<TakeFile text="File" accept=".csv" send={send} />);
  await choose("point,typed");
  expect(send).toHaveBeenLastCalledWith({ text: "point,typed", keep: false });
  expect(screen.getByRole("list", { name: "Lines that cannot be taken" }).textContent).toBe(
    "Line 3, hip: Not known. Mend it.",
  );
  fireEvent.click(screen.getByRole("button", { name: "Keep the 2 good lines" }));
  await screen.findByText("2 lines were taken.");
  expect(send).toHaveBeenLastCalledWith({ text: "point,typed", keep: true });
  await waitFor(() => expect(screen.queryByRole("button")).toBeNull());
});

it("offers nothing to keep where no line is good, and names the first dozen of many", async () => {
  const lines = Array.from({ length: 20 }, (_, k) => line(k + 2, "Not known"));
  show(<TakeFile text="File" accept=".csv" send={() => Promise.resolve({ lines, kept: 0 })} />);
  await choose("x");
  expect(screen.queryByRole("button")).toBeNull();
  expect(screen.getAllByRole("listitem")).toHaveLength(13);
  expect(screen.getByText("and 8 more")).toBeTruthy();
});

it("says a refusal in words and can be tried again", async () => {
  const send = vi.fn<Send>(() => Promise.reject(new Error("This sheet is closed.")));
  show(<TakeFile text="File" accept=".csv" send={send} />);
  await choose("x");
  await waitFor(() => expect(screen.getByRole("alert").textContent).toBe("This sheet is closed."));
  send.mockResolvedValue({ lines: [line(2)], kept: 0 });
  await choose("y");
  expect(screen.getByRole("button", { name: "Take all 1" })).toBeTruthy();
  expect(screen.queryByRole("alert")).toBeNull();
});
