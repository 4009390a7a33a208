import { expect, it } from "vitest";
import { KEYS } from "./keys";

it("gives each key one meaning: a place inside a job shares none with the job", () => {
  const all = KEYS.flatMap((row) => row.keys);
  expect(new Set(all).size).toBe(all.length);
});
