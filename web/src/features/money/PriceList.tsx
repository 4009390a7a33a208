import { Box, chakra } from "@chakra-ui/react";
import type { FormEvent } from "react";
import { inWords } from "../../api/client";
import { type Prices, usePrices, useSettlePrices } from "../../api/money";
import { announce } from "../../ui/announce";
import { Chips } from "../../ui/chips";
import { field, Label, Pick } from "../../ui/field";
import { Press } from "../../ui/press";
import { Taped } from "../../ui/taped";
import { useTyped } from "../../ui/typed";
import { Way } from "../../ui/way";
import { Says } from "../../ui/words";

/** What the workshop takes: its currency, an hour's work, what is bought besides cloth, tax, rounding. */
export function PriceList() {
  const prices = usePrices();
  return (
    <Box padding={{ base: "12", md: "24" }} overflowY="auto" height="100%" display="grid" gap="16" alignContent="start">
      <Box display="flex" gap="16" alignItems="center">
        <chakra.h1 fontSize="26px" fontWeight={600} flex="1">
          Prices
        </chakra.h1>
        <Way to="/money">Money</Way>
      </Box>
      {prices.error && <Says tone="wrong">{inWords(prices.error)}</Says>}
      {prices.data && <Fields prices={prices.data} />}
    </Box>
  );
}

type Held = {
  currency: string;
  rate: string;
  notions: Record<string, string>;
  step: string;
  tax: string;
  tax_percent: string;
  tax_within: boolean;
};

const heldOf = (prices: Prices): Held => ({
  currency: prices.currency,
  rate: prices.rate,
  notions: Object.fromEntries(prices.notions.map((one) => [one.code, one.price])),
  step: prices.step,
  tax: prices.tax,
  tax_percent: prices.tax_percent,
  tax_within: prices.tax_within,
});

function Fields({ prices }: { prices: Prices }) {
  const settle = useSettlePrices();
  const saved = JSON.stringify(heldOf(prices));
  const { typed, type, taken } = useTyped("prices", saved);
  const held = JSON.parse(typed) as Held;
  const set = (change: Partial<Held>) => type(JSON.stringify({ ...held, ...change }));
  const keep = (event: FormEvent) => {
    event.preventDefault();
    settle.mutate(
      { ...held, version: prices.version },
      {
        onSuccess: (kept) => {
          taken();
          // As the server has it: 32,50 is 32.50.
          type(JSON.stringify(heldOf(kept)));
          announce("The prices are kept");
        },
      },
    );
  };
  return (
    <chakra.form onSubmit={keep} noValidate display="grid" gap="24" maxWidth="860px">
      <Box display="grid" gap="16" gridTemplateColumns={{ base: "1fr", md: "1fr 1fr" }}>
        <Pick
          text="Currency"
          value={held.currency}
          options={[
            ["", "None"],
            ...prices.currencies.map(({ code, name }): [string, string] => [code, `${name}, ${code}`]),
          ]}
          onPick={(currency) => set({ currency })}
        />
        <Label text="An hour of work">
          <chakra.input {...amount} value={held.rate} onChange={(event) => set({ rate: event.target.value })} />
        </Label>
        <Label text="Tax, what it is called">
          <chakra.input
            {...field}
            maxLength={30}
            placeholder="VAT"
            value={held.tax}
            onChange={(event) => set({ tax: event.target.value })}
          />
        </Label>
        <Label text="Tax, in percent">
          <chakra.input
            {...amount}
            maxLength={8}
            placeholder="none"
            value={held.tax_percent}
            onChange={(event) => set({ tax_percent: event.target.value })}
          />
        </Label>
        <Chips
          legend="Prices are"
          value={held.tax_within ? "within" : "added"}
          options={[
            { value: "within", label: "with the tax in them" },
            { value: "added", label: "without it; it is added" },
          ]}
          onChoose={(value) => set({ tax_within: value === "within" })}
        />
        <Pick
          text="A total is rounded to"
          value={held.step}
          options={[["", "Not rounded"], ...prices.steps.map((step): [string, string] => [step, step])]}
          onPick={(step) => set({ step })}
        />
      </Box>
      <chakra.fieldset border="0" minWidth="0">
        <chakra.legend fontWeight={600} fontSize="20px" padding="0">
          Besides cloth
        </chakra.legend>
        <chakra.p color="ink2" fontSize="16px" marginBottom="8">
          What has a length is taken by the {prices.per}. Cloth has its price on the shelf, or on Cloth.
        </chakra.p>
        <Box display="grid" gap="8" gridTemplateColumns={{ base: "1fr", md: "1fr 1fr" }} columnGap="24">
          {prices.notions.map((one) => (
            <chakra.label
              key={one.code}
              display="grid"
              gridTemplateColumns="minmax(0, 1fr) 110px"
              gap="12"
              alignItems="center"
            >
              <span>
                <Taped>{one.name}</Taped>
                <chakra.span color="ink2">, {one.per}</chakra.span>
              </span>
              <chakra.input
                {...amount}
                value={held.notions[one.code] ?? ""}
                onChange={(event) => set({ notions: { ...held.notions, [one.code]: event.target.value } })}
              />
            </chakra.label>
          ))}
        </Box>
      </chakra.fieldset>
      {settle.error && <Says tone="wrong">{inWords(settle.error)}</Says>}
      <Box>
        <Press type="submit" kind="main" disabled={typed === saved || settle.isPending}>
          Keep these prices
        </Press>
      </Box>
    </chakra.form>
  );
}

const amount = { ...field, inputMode: "decimal", maxLength: 20, textAlign: "right" } as const;
