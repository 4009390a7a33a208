import { cleanup, screen } from "@testing-library/react";
import { afterEach, expect, it } from "vitest";
import type { Plan } from "../api/plans";
import { show } from "../test/shop";
import { panelName } from "./names";
import { Panels } from "./Panels";
import { Silhouette } from "./Silhouette";

const ROOM = { width: 800, height: 480 };

afterEach(cleanup);

type Panel = Plan["panels"][number];
const panel = (name: string, width: number, height: number): Panel =>
  ({
    name,
    points: { C: [0, 200] },
    net: [],
    cut: [
      [0, 0],
      [width, 0],
      [width, height],
      [0, height],
    ],
    darts: [],
    lines: name === "front" ? { pocket: [[0, 50], [80, 0]] } : {}, // prettier-ignore
  }) as unknown as Panel;

/** Where each named panel's cut line is drawn: its box on the sheet. */
function boxes() {
  const sheet = screen.getByRole("img", { name: "The draft" });
  const [, , wide, high] = sheet.getAttribute("viewBox")!.split(" ").map(Number);
  return { sheet, wide: wide!, high: high! };
}

it("draws legs side by side, parts below them, and the lines that are inside a panel", () => {
  show(
    <Panels
      panels={[panel("front", 300, 900), panel("back", 340, 900), panel("pocket-bag", 170, 300)]}
      label="The draft"
      room={ROOM}
    />,
  );
  const { sheet, wide, high } = boxes();
  for (const name of ["Front", "Back", "Pocket bag"]) expect(sheet.textContent).toContain(name);
  expect(wide).toBeGreaterThan(300 + 340);
  expect(high).toBeGreaterThan(900 + 300);
  expect(sheet.querySelectorAll('path[data-role="chalk"]').length).toBe(1);
  expect(sheet.querySelectorAll('path[data-role="cut"]').length).toBe(3);
});

it("gives small parts beside each other room for their names", () => {
  const small = ["front-neck-facing", "back-neck-facing", "cuff"].map((name) => panel(name, 120, 140));
  show(<Panels panels={[panel("front", 300, 900), ...small]} label="The draft" room={ROOM} />);
  const texts = [...screen.getByRole("img").querySelectorAll("text")].slice(1);
  const [one, other] = texts.map((text) => ({ x: Number(text.getAttribute("x")), y: Number(text.getAttribute("y")) }));
  const size = Number(texts[0]!.getAttribute("font-size"));
  expect(texts[0]!.textContent).toBe("Front neck facing");
  // In the browser this name is 0.462 of its letters' size wide for each.
  expect(other!.y > one!.y || other!.x - one!.x > 0.47 * size * texts[0]!.textContent.length).toBe(true);
});

it("lays a long band down and makes the sheet wide enough for it", () => {
  show(<Panels panels={[panel("front", 300, 900), panel("band", 100, 1400)]} label="The draft" room={ROOM} />);
  const { sheet, wide } = boxes();
  expect(wide).toBeGreaterThanOrEqual(1400);
  expect(sheet.innerHTML).toContain("rotate(90)");
});

it("names a panel as it is written on the cloth", () => {
  expect(["front", "pocket-bag", "leg"].map(panelName)).toEqual(["Front", "Pocket bag", "Leg"]);
});

it("hangs a garment as its half and the mirror image", () => {
  const half = [[-200, 0], [0, 0], [0, 900], [-180, 900]]; // prettier-ignore
  const { container } = show(<Silhouette half={half} />);
  const [left, right] = [...container.querySelectorAll("path")].map((path) => path.getAttribute("d"));
  expect(left).toContain("-200.00,0.00");
  expect(right).toContain("200.00,0.00");
});
