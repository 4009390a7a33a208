/** Money: prices, quotes, what is paid; a price before anybody is measured. */
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { answered, server } from "./client";
import type { components } from "./schema.gen";

type Schemas = components["schemas"];
export type OrderMoney = Schemas["MoneyOut"];
export type Quote = Schemas["QuoteOut"];
export type Payment = Schemas["PaymentOut"];
export type Prices = Schemas["PricesOut"];
export type OpenMoney = Schemas["OpenMoneyOut"];
export type OrderSums = Schemas["OrderSumsOut"];
export type GroupMoney = Schemas["GroupMoneyOut"];
export type QuickAsked = Schemas["QuickIn"];
export type Quick = Schemas["QuickOut"];

const MONEY = ["money"];
const PRICES = ["prices"];

/** What an order costs, what was agreed and paid. */
export const useOrderMoney = (id: string) =>
  useQuery({
    queryKey: [...MONEY, id],
    queryFn: () => answered(server.GET("/api/orders/{id}/money", { params: { path: { id } } })),
  });

/** What is to be paid and what came in. */
export const useOpenMoney = (page: number) =>
  useQuery({
    queryKey: [...MONEY, "open", page],
    queryFn: () => answered(server.GET("/api/money", { params: { query: { page } } })),
    placeholderData: (was) => was,
  });

/** Writing a quote, agreeing it, taking and giving back money. */
export function useMoneyWrites(order: string) {
  const memory = useQueryClient();
  const onSuccess = (money: OrderMoney) => {
    memory.setQueryData([...MONEY, order], money);
    void memory.invalidateQueries({ queryKey: [...MONEY, "open"] });
  };
  // Somebody else may have taken money meanwhile: what is there is read again.
  const onError = () => void memory.invalidateQueries({ queryKey: [...MONEY, order] });
  const path = (id: string) => ({ params: { path: { id } } });
  const quote = useMutation({
    mutationFn: ({ id, ...body }: Omit<Schemas["QuoteIn"], "order"> & { id: string }) =>
      answered(server.PUT("/api/quotes/{id}", { ...path(id), body: { ...body, order } })),
    onSuccess,
    onError,
  });
  const agree = useMutation({
    mutationFn: ({ id, total }: { id: string; total: string }) =>
      answered(server.POST("/api/quotes/{id}/agree", { ...path(id), body: { order, total } })),
    onSuccess: (money: OrderMoney) => {
      onSuccess(money);
      void memory.invalidateQueries({ queryKey: ["orders"] });
    },
    onError,
  });
  const pay = useMutation({
    mutationFn: ({ id, ...body }: Omit<Schemas["PaymentIn"], "order"> & { id: string }) =>
      answered(server.PUT("/api/payments/{id}", { ...path(id), body: { ...body, order } })),
    onSuccess,
    onError,
  });
  const takeBack = useMutation({
    mutationFn: (payment: string) =>
      answered(server.PUT("/api/taken-back/{id}", { ...path(crypto.randomUUID()), body: { payment } })),
    onSuccess,
    onError,
  });
  return { quote, agree, pay, takeBack };
}

/** The workshop's currency and prices. */
export const usePrices = () =>
  useQuery({ queryKey: PRICES, queryFn: () => answered(server.GET("/api/prices")), staleTime: 0 });

export function useSettlePrices() {
  const memory = useQueryClient();
  return useMutation({
    mutationFn: (body: Schemas["PricesIn"]) => answered(server.PUT("/api/prices", { body })),
    onSuccess: (prices) => {
      memory.setQueryData(PRICES, prices);
      void memory.invalidateQueries({ queryKey: MONEY });
      void memory.invalidateQueries({ queryKey: ["me"] });
    },
  });
}

/** How large somebody can look. */
export const useLooks = () =>
  useQuery({ queryKey: ["looks"], queryFn: () => answered(server.GET("/api/looks")), staleTime: Infinity });

/** A price before anybody is measured; nothing is stored. */
export const useQuickPrice = () =>
  useMutation({ mutationFn: (body: QuickAsked) => answered(server.POST("/api/quick-prices", { body })) });

/** Where a paper is. */
export const paperAt = {
  quote: (order: string) => `/api/orders/${order}/quote`,
  ticket: (order: string) => `/api/orders/${order}/ticket`,
  receipt: (payment: string) => `/api/payments/${payment}/receipt`,
};
