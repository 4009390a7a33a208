import { Box, chakra } from "@chakra-ui/react";
import type { FormEvent } from "react";
import { inWords } from "../../api/client";
import { type OrderMoney, useMoneyWrites } from "../../api/money";
import { announce } from "../../ui/announce";
import { Chips } from "../../ui/chips";
import { field, Label } from "../../ui/field";
import { Press } from "../../ui/press";
import { useTyped } from "../../ui/typed";
import { Says } from "../../ui/words";

type Extra = { name: string; amount: string };
type Held = { extras: Extra[]; discount: string; fitting: boolean };
const NOTHING: Extra = { name: "", amount: "" };
const MOST = 12;

/** What is typed of a quote besides what follows from the plan: extras, what is taken off, a fitting. */
export function Typed({ money }: { money: OrderMoney }) {
  const { quote } = useMoneyWrites(money.order);
  const saved: Held = money.typed;
  const { typed, type, id, taken } = useTyped(`money:${money.order}:quote`, JSON.stringify(saved));
  const held = JSON.parse(typed) as Held;
  const set = (change: Partial<Held>) => type(JSON.stringify({ ...held, ...change }));
  const changed = typed !== JSON.stringify(saved);
  const rows = held.extras.length < MOST ? [...held.extras, NOTHING] : held.extras;
  const setRow = (k: number, change: Partial<Extra>) => {
    const next = rows.map((one, at) => (at === k ? { ...one, ...change } : one));
    set({ extras: next.filter((one) => one.name !== "" || one.amount !== "") });
  };
  const keep = (event: FormEvent) => {
    event.preventDefault();
    quote.mutate(
      { id: money.open?.id ?? id(), version: money.open?.version ?? 0, ...held },
      {
        onSuccess: () => {
          taken();
          announce("The quote is kept");
        },
      },
    );
  };
  return (
    <chakra.form onSubmit={keep} noValidate display="grid" gap="12" aria-label="Besides">
      <chakra.fieldset border="0" minWidth="0" display="grid" gap="8">
        <chakra.legend fontWeight={600} padding="0" marginBottom="4">
          Extras
        </chakra.legend>
        {rows.map((one, k) => (
          <Box key={k} display="grid" gap="8" gridTemplateColumns="minmax(0, 1fr) 110px">
            <chakra.input
              {...field}
              aria-label={`Extra ${k + 1}`}
              placeholder={k === held.extras.length ? "express, alteration" : ""}
              maxLength={80}
              value={one.name}
              onChange={(event) => setRow(k, { name: event.target.value })}
            />
            <chakra.input
              {...field}
              aria-label={`Amount of extra ${k + 1}`}
              inputMode="decimal"
              maxLength={20}
              textAlign="right"
              value={one.amount}
              onChange={(event) => setRow(k, { amount: event.target.value })}
            />
          </Box>
        ))}
      </chakra.fieldset>
      <Label text="Taken off: an amount, or a share such as 10 %">
        <chakra.input
          {...field}
          maxLength={20}
          value={held.discount}
          onChange={(event) => set({ discount: event.target.value })}
        />
      </Label>
      <Chips
        legend="A fitting"
        value={held.fitting ? "yes" : "no"}
        options={[
          { value: "no", label: "without" },
          { value: "yes", label: "with one" },
        ]}
        onChoose={(value) => set({ fitting: value === "yes" })}
      />
      {quote.error && <Says tone="wrong">{inWords(quote.error)}</Says>}
      <Box>
        <Press type="submit" disabled={!changed || quote.isPending}>
          Reckon with it
        </Press>
      </Box>
    </chakra.form>
  );
}
