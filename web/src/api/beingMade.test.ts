import { expect, it, vi } from "vitest";
import { whenMade } from "./beingMade";
import { Refused } from "./client";

const waits = () => new Refused(409, "18 outfits take a while.", [], undefined, "being_made");

it("is asked for again until it is there", async () => {
  const ask = vi.fn().mockRejectedValueOnce(waits()).mockRejectedValueOnce(waits()).mockResolvedValue("a plan");
  expect(await whenMade(ask, undefined, 1)).toBe("a plan");
  expect(ask).toHaveBeenCalledTimes(3);
});

it("is not asked for again where it is refused, nobody looks any more, or it takes for ever", async () => {
  const refused = vi.fn().mockRejectedValue(new Refused(422, "The hip is missing."));
  await expect(whenMade(refused, undefined, 1)).rejects.toThrow("The hip is missing.");
  expect(refused).toHaveBeenCalledTimes(1);
  const left = new AbortController();
  left.abort();
  const ask = vi.fn().mockRejectedValue(waits());
  await expect(whenMade(ask, left.signal, 1)).rejects.toThrow("take a while");
  expect(ask).toHaveBeenCalledTimes(1);
  await expect(whenMade(ask, undefined, 0)).rejects.toThrow("take a while");
  expect(ask).toHaveBeenCalledTimes(81);
});
