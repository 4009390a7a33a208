import { chakra } from "@chakra-ui/react";
import { inWords } from "../../api/client";
import { useShelf, useShelfWrites } from "../../api/shelf";
import type { Order } from "../../api/orders";
import { plainly } from "../../lengths/taped";
import { type Unit, withUnit } from "../../lengths/units";
import { field, Label } from "../../ui/field";
import { Says } from "../../ui/words";

/** A cloth of the shelf kept for this order: its width, length and all else are taken over. */
export function FromShelf({ order, unit }: { order: Order; unit: Unit }) {
  const rows = useShelf().data ?? [];
  const { keep } = useShelfWrites();
  if (rows.length === 0) return null;
  const free = rows.filter((row) => row.form === "bolt" || row.kept_for.every((one) => one.order === order.id));
  return (
    <>
      <Label text="From the shelf">
        <chakra.select
          {...field}
          value={order.shelf ?? ""}
          onChange={(event) => keep.mutate({ order: order.id, shelf: event.target.value || null })}
        >
          <option value="">Nothing is kept for this order</option>
          {free.map((row) => (
            <option key={row.id} value={row.id}>
              {plainly(
                `${row.name}: ${withUnit(row.width, unit)} wide${row.length && `, ${withUnit(row.length, unit)} long`}`,
              )}
            </option>
          ))}
        </chakra.select>
      </Label>
      {keep.error && <Says tone="wrong">{inWords(keep.error)}</Says>}
    </>
  );
}
