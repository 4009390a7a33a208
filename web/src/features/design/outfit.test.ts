import { expect, it } from "vitest";
import type { Garment, Order } from "../../api/orders";
import { trade } from "../../test/shop";
import { partsOf } from "../../api/parts";
import { apart, changed, freeName, joined, newOf } from "./outfit";

const pair = trade.pairs[0]!;

const row = (name: string, style: string, choices: Record<string, unknown> = {}): Garment => ({
  id: `id-${name}`,
  version: 1,
  order: "o",
  name,
  style,
  method: "",
  choices,
  removed: false,
  from_another_cloth: false,
});
const suit = row("jumpsuit", "jumpsuit", {
  top: { style: "bodice", choices: { sleeve: "long" } },
  lower: { style: "palazzo", method: "quarter-hip", choices: { waist_join: "tucks", hem: "2" } },
});
const order = { garments: [row("trousers", "palazzo"), row("top", "straight-top"), suit] } as unknown as Order;

it("takes a jumpsuit for two parts, each with its own style and choices", () => {
  expect(partsOf(order, trade).map((part) => [part.name, part.style, part.kind, part.half])).toEqual([
    ["Trousers", "palazzo", "lower", ""],
    ["Top", "straight-top", "top", ""],
    ["Jumpsuit, top", "bodice", "top", "top"],
    ["Jumpsuit, trousers", "palazzo", "lower", "lower"],
  ]);
});

it("changes one half and leaves the other as it was", () => {
  const done = changed(suit, "top", (now) => ({ ...now, choices: { ...now.choices, finish: "bias" } }));
  expect(done.choices.top).toEqual({ style: "bodice", method: "", choices: { sleeve: "long", finish: "bias" } });
  expect(done.choices.lower).toBe(suit.choices.lower);
  expect(done.style).toBe("jumpsuit");
});

it("joins two garments without the choices that their seam makes, and parts them again", () => {
  const top = { style: "bodice", method: "quarter-bust", choices: { closure: "front-zip", sleeve: "short" } };
  const lower = { style: "palazzo", method: "half-thigh", choices: { waist_finish: "casing", band: "none", hem: "3" } };
  expect(joined(pair, { top, lower })).toEqual({
    top: { style: "bodice", method: "quarter-bust", choices: { sleeve: "short" } },
    lower: { style: "palazzo", method: "half-thigh", choices: { hem: "3" } },
  });
  expect(apart(pair, { waist_join: "tucks", hem: "2" })).toEqual({ hem: "2" });
});

it("starts a garment of each kind from a style there is", () => {
  for (const kind of trade.kinds) expect(kind.styles.map((one) => one.key)).toContain(newOf(trade, kind.key).style);
});

it("finds a name that is free", () => {
  expect([freeName(order, "top"), freeName(order, "cape")]).toEqual(["top-2", "cape"]);
});
