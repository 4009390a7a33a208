import { act, cleanup, fireEvent, screen } from "@testing-library/react";
import { afterEach, expect, it } from "vitest";
import { show } from "../test/shop";
import { Folded } from "./folded";

afterEach(cleanup);
const toggled = (open: boolean) => {
  const details = document.querySelector("details")!;
  details.open = open;
  fireEvent(details, new Event("toggle"));
};

it("makes what is folded away when it is first looked at, and keeps it", () => {
  show(<Folded title="More">within</Folded>);
  expect(screen.queryByText("within")).toBeNull();
  toggled(true);
  screen.getByText("within");
  toggled(false);
  screen.getByText("within");
});

it("is unfolded for the printer", () => {
  const opened: boolean[] = [];
  show(
    <Folded title="More" onOpen={(open) => opened.push(open)}>
      within
    </Folded>,
  );
  act(() => void window.dispatchEvent(new Event("beforeprint")));
  screen.getByText("within");
  expect(document.querySelector("details")!.open).toBe(true);
  expect(opened).toContain(true);
});
