import { Box, chakra } from "@chakra-ui/react";
import { type ReactNode, useState } from "react";
import { useSearchParams } from "react-router";
import { inWords } from "../../api/client";
import { type Choices, useDesign } from "../../api/design";
import { type Order, usePutGarment } from "../../api/orders";
import type { Plan } from "../../api/plans";
import { called, methodName, methodOf, styleOf, type Trade, useTrade } from "../../api/trade";
import type { Unit } from "../../lengths/units";
import { Chips } from "../../ui/chips";
import { Entry } from "../../ui/entry";
import { Findings, Unworkable } from "../../ui/findings";
import { Ledger } from "../../ui/ledger";
import { Margin, WithMargin } from "../../ui/margin";
import { OwnNumber } from "../../ui/ownNumber";
import { StaleEdit } from "../../ui/stale";
import { Says } from "../../ui/words";
import { HouseRules } from "./HouseRules";
import { LiveDraft, StandIn } from "./LiveDraft";
import { Outfit } from "./Outfit";
import { changed, type Made, type Part, partsOf } from "./outfit";
import { StylePicker } from "./StylePicker";

type Chosen = Record<string, unknown>;
type Row = Choices["groups"][number]["rows"][number];

/** The garment as it would be with another style or method: choices that the method does not read are left out. */
export function restyled<One extends Made>(garment: One, style: string, method: string, trade: Trade): One {
  const makes = styleOf(trade, style);
  const by = !makes || makes.methods.includes(method) ? method : makes.first;
  const unused = methodOf(trade, by)?.unused ?? [];
  const choices = Object.fromEntries(Object.entries(garment.choices).filter(([key]) => !unused.includes(key)));
  return { ...garment, style, method: by, choices };
}

/** The garment in plain choices; the draft answers at once. */
type DesignStation = { order: Order; plan: Plan | undefined; planId: string; error: Error | null };

export function Design({ order, plan, planId, error }: DesignStation) {
  const trade = useTrade();
  const parts = partsOf(order, trade);
  const [query, ask] = useSearchParams();
  const chosen = Number(query.get("part")) || 0;
  const at = Math.min(chosen, parts.length - 1);
  const part = parts[at]!;
  if (!trade.kinds.length) return <Box padding="16">Fetching the styles…</Box>;
  return (
    <DesignPart
      key={part.row.id + part.half}
      {...{ order, plan, planId, error, part, trade }}
      outfit={<Outfit {...{ order, parts, at }} go={(to) => ask(to ? { part: String(to) } : {}, { replace: true })} />}
    />
  );
}

type DesignProps = {
  order: Order;
  plan: Plan | undefined;
  planId: string;
  error: Error | null;
  part: Part;
  trade: Trade;
  outfit: ReactNode;
};

function DesignPart({ order, plan, planId, error, part, trade, outfit }: DesignProps) {
  const put = usePutGarment(order.id, part.row.id);
  const garment = part;
  const unit = (plan?.unit ?? "in") as Unit;
  const stamp = [part.row.version, order.sheet.readings.length, order.cloth.version].join();
  const asked = useDesign(order.id, part.row.name, part.half, stamp).data;

  const method = part.method || (styleOf(trade, part.style)?.first ?? "");
  const write = (change: (now: Made) => Made) => put.keep((row) => changed(row, part.half, change));
  const choose = (row: Row, value: string) =>
    write((now) => {
      const choices: Chosen = { ...now.choices };
      const set: Chosen = row.of ? { ...((choices[row.of] as Chosen) ?? {}) } : choices;
      if (row.kind === "some") {
        const had = (choices[row.key] as string[] | undefined) ?? [];
        const next = had.includes(value) ? had.filter((one) => one !== value) : [...had, value];
        if (next.length) choices[row.key] = next;
        else delete choices[row.key];
      } else if (value === "" || (row.kind === "rule" && value === row.usual)) delete set[row.key];
      else set[row.key] = value;
      if (row.of) choices[row.of] = set;
      return { ...now, choices };
    });
  const [wrong, setWrong] = useState("");
  /** A choice that is pressed: its refusal is said above the choices. A typed one says it beside its field. */
  const press = (done: Promise<unknown>) => {
    setWrong("");
    void done.catch((refused: Error) => setWrong(called(trade, inWords(refused))));
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
            styles={trade.kinds.find((kind) => kind.key === part.kind)?.styles ?? []}
            value={garment.style}
            onChoose={(style) => press(write((one) => restyled(one, style, one.method, trade)))}
          />
          <chakra.details borderTop="1px solid {colors.hairline}" paddingTop="8">
            <chakra.summary fontSize="20px" fontWeight={600} cursor="pointer" minHeight="40px">
              Method: {methodName(trade, method)}
            </chakra.summary>
            <chakra.p color="ink2" paddingBottom="8">
              {methodOf(trade, method)?.says}
            </chakra.p>
            <Chips
              legend="Drafted by"
              value={method}
              options={(asked?.methods ?? []).map(effect(method))}
              onChoose={(by) => press(write((one) => restyled(one, one.style, by, trade)))}
            />
          </chakra.details>
          <HouseRules garment={{ ...garment, method }} use={(rule) => press(write((one) => ({ ...one, ...rule })))} />
          <StaleEdit stale={put.stale} settle={put.settle} />
          {wrong && <Says tone="wrong">{wrong}</Says>}
          {!asked && <p>Fetching the choices…</p>}
          {asked?.groups.map((group, k) => (
            <chakra.details key={group.key} open={k < 1} borderTop="1px solid {colors.hairline}" paddingTop="8">
              <chakra.summary fontSize="20px" fontWeight={600} cursor="pointer" minHeight="40px">
                {group.name}
              </chakra.summary>
              <Box display="grid" gap="12" paddingBlock="8">
                {group.rows.map((row) => (
                  <OneChoice key={row.of + row.key} {...{ row, part, unit, choose, press }} />
                ))}
              </Box>
            </chakra.details>
          ))}
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
        {plan && !error && <OwnNumber plan={plan} of={{ plan: planId }} unit={unit} />}
        {plan && !error && <Findings plan={plan} />}
      </Margin>
    </WithMargin>
  );
}

/** What a rule would change, or why it cannot be; nothing for the one that is chosen. */
const effect = (chosen: string) => (option: Row["options"][number]) => ({
  value: option.value,
  label: option.label,
  ...(option.value !== chosen && { says: option.says || undefined, dead: option.dead || undefined }),
});

type ChoiceProps = {
  row: Row;
  part: Part;
  unit: Unit;
  choose: (row: Row, value: string) => Promise<unknown>;
  press: (done: Promise<unknown>) => void;
};

/** One row of the server's table of choices: a rule, some of several, a length or a number. */
function OneChoice({ row, part, unit, choose, press }: ChoiceProps) {
  const own = (row.of ? ((part.choices[row.of] as Chosen) ?? {}) : part.choices)[row.key];
  if (row.kind === "some" || row.kind === "rule") {
    const value = row.kind === "some" ? ((own as string[] | undefined) ?? []) : String(own ?? row.usual);
    const chips = (
      <Chips
        legend={row.legend}
        hint={row.hint}
        value={value}
        options={row.options.map(effect(String(value)))}
        onChoose={(one) => press(choose(row, one))}
      />
    );
    if (!row.typed) return chips;
    const ruled = row.options.some((one) => one.value === value);
    return (
      <Box display="grid" gap="4">
        {chips}
        <Entry
          label={
            <chakra.span fontWeight="400" color="ink2">
              or a length of your own
            </chakra.span>
          }
          name={row.key}
          unit={unit}
          saved={ruled ? "" : String(value)}
          place={`choice:${part.row.id}:${part.half}${row.key}`}
          keep={(typed) => choose(row, typed)}
        />
        <TypedSays row={row} />
      </Box>
    );
  }
  const times = row.kind === "number";
  return (
    <Box display="grid" gap="4">
      <Entry
        label={
          <>
            {row.legend}{" "}
            <chakra.span fontWeight="400" color="ink2">
              {[row.hint, row.usually && `usually ${row.usually}`].filter(Boolean).join(", ")}
            </chakra.span>
          </>
        }
        name={row.key}
        unit={unit}
        plain={times ? "times" : undefined}
        also={times ? (typed) => /^[0-9]+([.,][0-9]+)?$/.test(typed) : undefined}
        saved={String(own ?? "")}
        placeholder={row.usually}
        place={`choice:${part.row.id}:${part.half}${row.key}`}
        keep={(typed) => choose(row, typed)}
      />
      <TypedSays row={row} />
    </Box>
  );
}

/** What a length of one's own changes on this client. */
function TypedSays({ row }: { row: Row }) {
  return row.typed_says ? <chakra.p color="ink2">Against the usual: {row.typed_says}</chakra.p> : null;
}
