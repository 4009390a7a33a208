import { cleanup, fireEvent } from "@testing-library/react";
import { afterEach, expect, it, vi } from "vitest";
import type { Sign } from "../../api/fitting";
import { show } from "../../test/shop";
import { Figure } from "./Figure";

afterEach(cleanup);

const sign = (key: string, name: string): Sign => ({ key, name, kind: "lower", pinned: "", sided: false });

it("chooses what is seen at the place that is pressed, and shows which is chosen", () => {
  const choose = vi.fn();
  const signs = [sign("seat_tight", "The seat is tight"), sign("bags_under_seat", "It bags under the seat")];
  const { container } = show(<Figure view="back" signs={signs} chosen="seat_tight" choose={choose} />);
  const [tight, bags] = [...container.querySelectorAll("g")];
  expect([tight, bags].map((one) => one!.querySelector("title")!.textContent)).toEqual(signs.map((one) => one.name));
  fireEvent.click(bags!);
  expect(choose.mock.calls).toEqual([["bags_under_seat"]]);
  const [, chosen] = tight!.querySelectorAll("circle");
  const [, other] = bags!.querySelectorAll("circle");
  expect(Number(chosen!.getAttribute("r"))).toBeGreaterThan(Number(other!.getAttribute("r")));
});
