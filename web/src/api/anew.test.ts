import { QueryClient, MutationObserver, QueryObserver } from "@tanstack/react-query";
import { expect, it } from "vitest";
import { planAnew, scopeOf } from "./anew";

it("asks for one plan after the last of several writes that wait for one another", async () => {
  const memory = new QueryClient();
  let asked = 0;
  const watch = new QueryObserver(memory, { queryKey: ["plan", "o"], queryFn: () => Promise.resolve((asked += 1)) });
  const stop = watch.subscribe(() => undefined);
  await new Promise((done) => setTimeout(done, 5));
  expect(asked).toBe(1);
  const write = new MutationObserver(memory, {
    scope: { id: scopeOf("o") },
    mutationFn: async () => {
      await new Promise((done) => setTimeout(done, 5));
      await planAnew(memory, "o");
    },
  });
  await Promise.all(Array.from({ length: 6 }, () => write.mutate()));
  await new Promise((done) => setTimeout(done, 5));
  expect(asked).toBe(2);
  await planAnew(memory, "o");
  expect(asked).toBe(3);
  stop();
});
