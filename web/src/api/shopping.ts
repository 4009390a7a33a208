/** What is to be bought for the orders that wait. */
import { useQuery } from "@tanstack/react-query";
import { answered, server } from "./client";

/** Cloth and notions for the orders that are promised by a day and not cut yet. */
export const useShopping = (until: string) =>
  useQuery({
    queryKey: ["shopping", until],
    enabled: until !== "",
    queryFn: () => answered(server.GET("/api/shopping", { params: { query: { until } } })),
    placeholderData: (was) => was,
  });
