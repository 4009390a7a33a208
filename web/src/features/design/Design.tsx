import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { inWords } from "../../api/client";
import { type Choices, useDesign } from "../../api/design";
import { type Garment, type Order, type Plan, usePutGarment } from "../../api/shop";
import type { Unit } from "../../lengths/units";
import { Chips } from "../../ui/chips";
import { Entry } from "../../ui/entry";
import { Findings, Ledger, Margin, Unworkable, WithMargin } from "../../ui/margin";
import { StaleEdit } from "../../ui/stale";
import { called, METHODS } from "../../ui/trade";
import { Says } from "../../ui/words";
import { HouseRules } from "./HouseRules";
import { LiveDraft, StandIn } from "./LiveDraft";
import { StylePicker } from "./StylePicker";
import { GROUPS, type Now, type Row } from "./words";

type Chosen = Record<string, unknown>;

/**
 * The garment as it would be with another style or method: choices that the method does not read are left out. Before
 * the server has told what makes what, it is left to choose the method.
 */
export function restyled(garment: Garment, style: string, method: string, told: Choices | undefined): Garment {
  if (!told) return { ...garment, style, method: style === garment.style ? method : "" };
  const makes = told.makes[style] ?? [method];
  const by = makes.includes(method) ? method : (told.first[style] ?? makes[0]!);
  const unused = told.unused[by] ?? [];
  const choices = Object.fromEntries(Object.entries(garment.choices).filter(([key]) => !unused.includes(key)));
  return { ...garment, style, method: by, choices };
}

/** The garment in plain choices; the draft answers at once. */
export function Design({ order, plan, error }: { order: Order; plan: Plan | undefined; error: Error | null }) {
  const put = usePutGarment(order.id);
  const garment = order.garments[0]!;
  const unit = (plan?.unit ?? "in") as Unit;
  const stamp = [garment.version, order.sheet.readings.length, order.cloth.version].join();
  const told = useDesign(order.id, stamp).data;

  const write = (change: (now: Garment) => Garment) => put.keep(change);
  const choose = (row: Row, value: string) =>
    write((now) => {
      const choices: Chosen = { ...now.choices };
      const nested = row.kind === "length" ? row.of : undefined;
      const part: Chosen = nested ? { ...((choices[nested] as Chosen) ?? {}) } : choices;
      const usual = told?.usual[nested ? `${nested}.${row.key}` : row.key];
      if (row.kind === "some") {
        const had = (choices[row.key] as string[] | undefined) ?? [];
        const next = had.includes(value) ? had.filter((one) => one !== value) : [...had, value];
        if (next.length) choices[row.key] = next;
        else delete choices[row.key];
      } else if (value === "" || (row.kind === "rule" && value === usual)) delete part[row.key];
      else part[row.key] = value;
      if (nested) choices[nested] = part;
      return { ...now, choices };
    });
  const now: Now = { ...garment, value: (key) => valueOf(garment, told, key) };
  const [wrong, setWrong] = useState("");
  /** A choice that is pressed: its refusal is said above the choices. A typed one says it beside its field. */
  const press = (done: Promise<unknown>) => {
    setWrong("");
    void done.catch((refused: Error) => setWrong(called(inWords(refused))));
  };

  return (
    <WithMargin>
      <Box flex="1" minWidth="0" minHeight="0" display="flex" flexDirection={{ base: "column", lg: "row" }}>
        <Box
          flex={{ lg: "0 0 430px" }}
          overflowY={{ md: "auto" }}
          padding="16"
          display="grid"
          gap="16"
          alignContent="start"
        >
          <StylePicker
            order={order}
            value={garment.style}
            onChoose={(style) => press(write((one) => restyled(one, style, one.method, told)))}
          />
          <chakra.details borderTop="1px solid {colors.hairline}" paddingTop="8">
            <chakra.summary fontSize="20px" fontWeight={600} cursor="pointer" minHeight="40px">
              Method: {METHODS[garment.method]?.name}
            </chakra.summary>
            <chakra.p color="ink2" paddingBottom="8">
              {METHODS[garment.method]?.says}
            </chakra.p>
            <Chips
              legend="Drafted by"
              value={garment.method}
              options={(told?.makes[garment.style] ?? [garment.method]).map((method) => ({
                value: method,
                label: METHODS[method]?.name ?? method,
                ...effectOf(told, "method", method, garment.method),
              }))}
              onChoose={(method) => press(write((one) => restyled(one, one.style, method, told)))}
            />
          </chakra.details>
          <HouseRules garment={garment} use={(rule) => press(write((one) => ({ ...one, ...rule })))} />
          <StaleEdit stale={put.stale} settle={put.settle} />
          {wrong && <Says tone="wrong">{wrong}</Says>}
          {GROUPS.map((group, k) => {
            const rows = group.rows.filter(
              (row) => !(told?.unused[garment.method] ?? []).includes(row.key) && (row.when?.(now) ?? true),
            );
            if (rows.length === 0) return null;
            return (
              <chakra.details key={group.name} open={k < 1} borderTop="1px solid {colors.hairline}" paddingTop="8">
                <chakra.summary fontSize="20px" fontWeight={600} cursor="pointer" minHeight="40px">
                  {group.name}
                </chakra.summary>
                <Box display="grid" gap="12" paddingBlock="8">
                  {rows.map((row) => (
                    <OneChoice
                      key={row.key}
                      row={row}
                      garment={garment}
                      told={told}
                      unit={unit}
                      now={now}
                      choose={choose}
                      press={press}
                    />
                  ))}
                </Box>
              </chakra.details>
            );
          })}
        </Box>
        <Box flex="1" minWidth="0" minHeight="320px" padding="16">
          {plan && !error ? <LiveDraft plan={plan} /> : <StandIn order={order} garment={garment} />}
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

function valueOf(garment: Garment, told: Choices | undefined, key: string): string {
  const own = (garment.choices as Chosen)[key];
  if (Array.isArray(own)) return own.join(", ");
  return own === undefined ? (told?.usual[key] ?? "") : String(own);
}

/** What a rule would change, or why it cannot be; nothing for the one that is chosen. */
function effectOf(told: Choices | undefined, choice: string, rule: string, chosen: string) {
  const found = told?.effects.find((one) => one.choice === choice && one.rule === rule);
  if (!found || rule === chosen) return {};
  return found.refused ? { dead: found.refused } : { says: found.says || undefined };
}

type ChoiceProps = {
  row: Row;
  garment: Garment;
  told: Choices | undefined;
  unit: Unit;
  now: Now;
  choose: (row: Row, value: string) => Promise<unknown>;
  press: (done: Promise<unknown>) => void;
};

function OneChoice({ row, garment, told, unit, now, choose, press }: ChoiceProps) {
  const choices = garment.choices as Chosen;
  if (row.kind === "some") {
    const value = (choices[row.key] as string[] | undefined) ?? [];
    return (
      <Chips
        legend={row.legend}
        hint={row.hint}
        value={value}
        options={row.options}
        onChoose={(one) => press(choose(row, one))}
      />
    );
  }
  if (row.kind === "rule") {
    const value = now.value(row.key);
    return (
      <Chips
        legend={row.legend}
        hint={row.hint}
        value={value}
        options={row.options.map((option) => ({ ...option, ...effectOf(told, row.key, option.value, value) }))}
        onChoose={(v) => press(choose(row, v))}
      />
    );
  }
  const from = row.of ? ((choices[row.of] as Chosen) ?? {}) : choices;
  const usual = told?.usual[row.of ? `${row.of}.${row.key}` : row.key] || row.unset || "";
  return (
    <Entry
      label={
        <>
          {row.legend}{" "}
          <chakra.span fontWeight="400" color="ink2">
            {[row.hint, usual && `usually ${usual}`].filter(Boolean).join(", ")}
          </chakra.span>
        </>
      }
      name={row.key}
      unit={unit}
      plain={row.key === "fullness" ? "times" : undefined}
      also={row.key === "fullness" ? (typed) => /^[0-9]+([.,][0-9]+)?$/.test(typed) : undefined}
      saved={String(from[row.key] ?? "")}
      placeholder={usual}
      place={`choice:${garment.id}:${row.key}`}
      keep={(typed) => choose(row, typed)}
    />
  );
}
