import { describe, expect, it } from "vitest";
import cases from "../../../tests/shared/lengths.json";
import { apart, read, show, spoken, text, type Unit, Unreadable, withUnit } from "./units";

const value = (fraction: string) =>
  fraction
    .split("/")
    .map(Number)
    .reduce((over, under) => over / under);

describe("lengths as typed", () => {
  it.each(cases.read)("$typed", (wanted) => {
    if ("mm" in wanted) expect(read(wanted.typed, wanted.unit as Unit)).toBeCloseTo(value(wanted.mm!), 6);
    else {
      let code = "";
      try {
        read(wanted.typed, wanted.unit as Unit);
      } catch (refused) {
        code = (refused as Unreadable).code;
      }
      expect(code).toBe(wanted.refused);
    }
  });
});

describe("lengths shown as typed", () => {
  it.each([
    ["60", "60 in"],
    ["1 1/2", "1 1/2 in"],
    ["58½", "58½ in"],
    ["150 cm", "150 cm"],
    ["5 m", "5 m"],
    ['60"', '60"'],
    ["", ""],
  ])("%s", (typed, said) => expect(withUnit(typed, "in")).toBe(said));
});

describe("lengths as the tape shows them", () => {
  it.each(cases.show)("$text", (wanted) => {
    const shown = show(value(wanted.mm), wanted.unit as Unit);
    expect(text(shown)).toBe(wanted.text);
    expect(shown).toMatchObject({ exact: wanted.exact, whole: wanted.whole, over: wanted.over, under: wanted.under });
  });
  it("says them", () => {
    expect(spoken(show(11.5 * 25.4, "in"))).toBe("11 and a half inches");
    expect(spoken(show(0.875 * 25.4, "in"))).toBe("7 eighths of an inch");
    expect(spoken(show(25.4, "in"))).toBe("1 inch");
  });
});

it("says how much longer one length is than another by what is shown of both", () => {
  // 63 in and 63 1/16 in: a sixteenth, though they are hardly apart.
  expect(apart(1601.1, 1600.9, "in")).toBeCloseTo(25.4 / 16);
  expect(apart(1600.2, 1601.7, "in")).toBeCloseTo(-25.4 / 16);
  expect(apart(10.4, 9.6, "cm")).toBe(0);
});
