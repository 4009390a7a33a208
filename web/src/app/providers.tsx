import { ChakraProvider } from "@chakra-ui/react";
import { MutationCache, QueryClient, QueryClientProvider, type QueryObserverOptions } from "@tanstack/react-query";
import type { ReactNode } from "react";
import { Refused } from "../api/client";
import { readAllAnew } from "../api/session";
import { keepWhatComes, orKept } from "../offline/answers";
import { system } from "./theme";

/** What the server said. */
export const memory = new QueryClient({
  mutationCache: new MutationCache({
    onError: (error) => {
      // The workshop's unit is another one by now.
      if (error instanceof Refused && error.code === "turned") void readAllAnew(memory);
    },
  }),
  defaultOptions: {
    queries: {
      networkMode: "always",
      retry: false,
      staleTime: 5_000,
      refetchOnWindowFocus: false,
      persister: orKept as NonNullable<QueryObserverOptions["persister"]>,
    },
    mutations: { networkMode: "always", retry: false },
  },
});
keepWhatComes(memory);

/** What every page stands on: the theme and the memory of what the server said. */
export function Providers({ children }: { children: ReactNode }) {
  return (
    <ChakraProvider value={system}>
      <QueryClientProvider client={memory}>{children}</QueryClientProvider>
    </ChakraProvider>
  );
}
