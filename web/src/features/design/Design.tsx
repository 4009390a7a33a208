import { Box, chakra } from "@chakra-ui/react";
import { type Garment, type Order, type Plan, usePutGarment } from "../../api/shop";
import type { Unit } from "../../lengths/units";
import { Chips } from "../../ui/chips";
import { Entry } from "../../ui/entry";
import { Findings, Ledger, Margin, Unworkable, WithMargin } from "../../ui/margin";
import { StaleEdit } from "../../ui/stale";
import { LiveDraft } from "./LiveDraft";
import { GROUPS, type Row, STYLES } from "./words";

/** The garment in plain choices; the draft answers at once. */
export function Design({ order, plan, error }: { order: Order; plan: Plan | undefined; error: Error | null }) {
  const put = usePutGarment(order.id);
  const garment = order.garments[0]!;
  const unit = (plan?.unit ?? "in") as Unit;

  const choose = (row: Row, value: string) =>
    put.keep((now) => {
      const choices = { ...now.choices } as Record<string, unknown>;
      const nested = row.kind === "length" && row.of ? row.of : null;
      const part = nested ? { ...((choices[nested] as Record<string, unknown>) ?? {}) } : choices;
      if (value === "" || (row.kind === "rule" && value === row.usual)) delete part[row.key];
      else part[row.key] = value;
      if (nested) choices[nested] = part;
      return { ...now, choices };
    });

  return (
    <WithMargin>
      <Box flex="1" minWidth="0" minHeight="0" display="flex" flexDirection={{ base: "column", lg: "row" }}>
        <Box
          flex={{ lg: "0 0 400px" }}
          overflowY={{ md: "auto" }}
          padding="16"
          display="grid"
          gap="16"
          alignContent="start"
        >
          <Chips
            legend="Style"
            value={garment.style}
            options={STYLES}
            onChoose={(style) => void put.keep((now) => ({ ...now, style }))}
          />
          <StaleEdit stale={put.stale} settle={put.settle} />
          {GROUPS.map((group, k) => (
            <chakra.details key={group.name} open={k < 1} borderTop="1px solid {colors.hairline}" paddingTop="8">
              <chakra.summary fontSize="20px" fontWeight={600} cursor="pointer" minHeight="40px">
                {group.name}
              </chakra.summary>
              <Box display="grid" gap="12" paddingBlock="8">
                {group.rows
                  .filter((row) => !row.only || row.only === garment.style)
                  .map((row) => (
                    <OneChoice key={row.key} row={row} garment={garment} unit={unit} choose={choose} />
                  ))}
              </Box>
            </chakra.details>
          ))}
        </Box>
        <Box flex="1" minWidth="0" minHeight="320px" padding="16">
          {plan && <LiveDraft plan={plan} />}
        </Box>
      </Box>
      <Margin>
        {error && <Unworkable error={error} order={order.id} />}
        {plan && !error && <Ledger plan={plan} unit={unit} />}
        {plan && !error && <Findings plan={plan} />}
      </Margin>
    </WithMargin>
  );
}

type ChoiceProps = { row: Row; garment: Garment; unit: Unit; choose: (row: Row, value: string) => Promise<unknown> };

function OneChoice({ row, garment, unit, choose }: ChoiceProps) {
  const choices = garment.choices as Record<string, unknown>;
  if (row.kind === "rule") {
    const value = String(choices[row.key] ?? row.usual);
    return (
      <Chips
        legend={row.legend}
        hint={row.hint}
        value={value}
        options={row.options}
        onChoose={(v) => void choose(row, v)}
      />
    );
  }
  const from = row.of ? ((choices[row.of] as Record<string, unknown>) ?? {}) : choices;
  return (
    <Entry
      label={
        <>
          {row.legend}{" "}
          <chakra.span fontWeight="400" color="ink2">
            {row.hint && `${row.hint}, `}usually {row.usual}
          </chakra.span>
        </>
      }
      name={row.key}
      unit={unit}
      saved={String(from[row.key] ?? "")}
      placeholder={row.usual}
      place={`choice:${garment.id}:${row.key}`}
      keep={(typed) => choose(row, typed)}
    />
  );
}
