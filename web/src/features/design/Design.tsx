import { Box, chakra } from "@chakra-ui/react";
import { type ReactNode, useState } from "react";
import { useSearchParams } from "react-router";
import { inWords } from "../../api/client";
import { type Choices, useDesign } from "../../api/design";
import { type Order, type Plan, usePutGarment } from "../../api/shop";
import type { Unit } from "../../lengths/units";
import { Chips } from "../../ui/chips";
import { Entry } from "../../ui/entry";
import { Findings, Ledger, Margin, Unworkable, WithMargin } from "../../ui/margin";
import { StaleEdit } from "../../ui/stale";
import { called, METHODS, STYLES, TOPS } from "../../ui/trade";
import { Says } from "../../ui/words";
import { HouseRules } from "./HouseRules";
import { LiveDraft, StandIn } from "./LiveDraft";
import { Outfit } from "./Outfit";
import { changed, type Made, type Part, partsOf } from "./outfit";
import type { Now, Row } from "./rows";
import { StylePicker } from "./StylePicker";
import { TOP_GROUPS } from "./topWords";
import { GROUPS } from "./words";

type Chosen = Record<string, unknown>;

/**
 * The garment as it would be with another style or method: choices that the method does not read are left out. Before
 * the server has told what makes what, it is left to choose the method.
 */
export function restyled<One extends Made>(garment: One, style: string, method: string, told?: Choices): One {
  if (!told) return { ...garment, style, method: style === garment.style ? method : "" };
  const makes = told.makes[style] ?? [method];
  const by = makes.includes(method) ? method : (told.first[style] ?? makes[0]!);
  const unused = told.unused[by] ?? [];
  const choices = Object.fromEntries(Object.entries(garment.choices).filter(([key]) => !unused.includes(key)));
  return { ...garment, style, method: by, choices };
}

/** The garment in plain choices; the draft answers at once. */
export function Design({ order, plan, error }: { order: Order; plan: Plan | undefined; error: Error | null }) {
  const parts = partsOf(order);
  const [query, ask] = useSearchParams();
  const chosen = Number(query.get("part")) || 0;
  const at = Math.min(chosen, parts.length - 1);
  const part = parts[at]!;
  return (
    <DesignPart
      key={part.row.id + part.half}
      {...{ order, plan, error, part }}
      outfit={<Outfit {...{ order, parts, at }} go={(to) => ask(to ? { part: String(to) } : {}, { replace: true })} />}
    />
  );
}

type DesignProps = { order: Order; plan: Plan | undefined; error: Error | null; part: Part; outfit: ReactNode };

function DesignPart({ order, plan, error, part, outfit }: DesignProps) {
  const put = usePutGarment(order.id, part.row.id);
  const garment = part;
  const joined = part.half !== "";
  const groups = part.top ? TOP_GROUPS : GROUPS;
  const unit = (plan?.unit ?? "in") as Unit;
  const stamp = [part.row.version, order.sheet.readings.length, order.cloth.version].join();
  const told = useDesign(order.id, part.row.name, part.half, stamp).data;

  const method = part.method || (told?.first[part.style] ?? "");
  const write = (change: (now: Made) => Made) => put.keep((row) => changed(row, part.half, change));
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
  const now: Now = { style: part.style, method, joined, value: (key) => valueOf(garment, told, key) };
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
          {outfit}
          <StylePicker
            order={order}
            styles={part.top ? TOPS : STYLES}
            value={garment.style}
            onChoose={(style) => press(write((one) => restyled(one, style, one.method, told)))}
          />
          <chakra.details borderTop="1px solid {colors.hairline}" paddingTop="8">
            <chakra.summary fontSize="20px" fontWeight={600} cursor="pointer" minHeight="40px">
              Method: {METHODS[method]?.name}
            </chakra.summary>
            <chakra.p color="ink2" paddingBottom="8">
              {METHODS[method]?.says}
            </chakra.p>
            <Chips
              legend="Drafted by"
              value={method}
              options={(told?.makes[garment.style] ?? [method]).map((by) => ({
                value: by,
                label: METHODS[by]?.name ?? by,
                ...effectOf(told, "method", by, method),
              }))}
              onChoose={(by) => press(write((one) => restyled(one, one.style, by, told)))}
            />
          </chakra.details>
          <HouseRules garment={{ ...garment, method }} use={(rule) => press(write((one) => ({ ...one, ...rule })))} />
          <StaleEdit stale={put.stale} settle={put.settle} />
          {wrong && <Says tone="wrong">{wrong}</Says>}
          {groups.map((group, k) => {
            const rows = group.rows.filter(
              (row) => !(told?.unused[method] ?? []).includes(row.key) && (row.when?.(now) ?? true),
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
                      part={part}
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
          {plan && !error ? (
            <LiveDraft plan={plan} part={part} />
          ) : (
            <StandIn order={order} made={{ ...garment, method }} />
          )}
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

function valueOf(garment: Made, told: Choices | undefined, key: string): string {
  const own = garment.choices[key];
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
  part: Part;
  told: Choices | undefined;
  unit: Unit;
  now: Now;
  choose: (row: Row, value: string) => Promise<unknown>;
  press: (done: Promise<unknown>) => void;
};

function OneChoice({ row, part, told, unit, now, choose, press }: ChoiceProps) {
  const choices: Chosen = part.choices;
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
      place={`choice:${part.row.id}:${part.half}${row.key}`}
      keep={(typed) => choose(row, typed)}
    />
  );
}
