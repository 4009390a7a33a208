import { chakra } from "@chakra-ui/react";
import type { OrderSums } from "../api/money";
import { day } from "./day";
import { Rows, Under } from "./rows";
import { Way } from "./way";

const LEFT: Record<string, string> = { called_off: "called off", handed_over: "handed over" };

/** What was agreed of each order, what is paid and what is open. */
export function Sums({ orders, caption }: { orders: OrderSums[]; caption: string }) {
  return (
    <Rows
      full
      caption={caption}
      columns={[
        { head: "order" },
        { head: "agreed", number: true, wide: true },
        { head: "paid", number: true, wide: true },
        { head: "open", number: true },
      ]}
      rows={orders.map((one) => ({
        key: one.order,
        cells: [
          <>
            <Way to={`/orders/${one.order}/money`}>{one.title}</Way>
            <Under>
              {one.client_name}, {LEFT[one.state] ?? `promised for ${day(one.promised_on)}`}
            </Under>
          </>,
          one.agreed,
          one.paid,
          one.left ? (
            <>
              <b>{one.left}</b>
              {one.back && <Under>to give back</Under>}
              <chakra.span display={{ md: "none" }}>
                <Under>
                  {one.agreed} − {one.paid}
                </Under>
              </chakra.span>
            </>
          ) : one.deposit ? (
            `no price agreed, ${one.paid} paid`
          ) : (
            "no price agreed"
          ),
        ],
      }))}
    />
  );
}
