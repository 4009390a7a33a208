import { Box, chakra } from "@chakra-ui/react";
import { type ReactNode, useCallback, useEffect, useMemo, useRef, useState } from "react";
import { useSearchParams } from "react-router";
import { inWords } from "../../api/client";
import { useDesign, useDrawn } from "../../api/design";
import { type Order, usePutGarment } from "../../api/orders";
import { type Made, type Part, partsOf } from "../../api/parts";
import type { Plan } from "../../api/plans";
import { called, methodName, methodOf, styleOf, type Trade, useTrade } from "../../api/trade";
import type { Unit } from "../../lengths/units";
import { announce } from "../../ui/announce";
import { Chips } from "../../ui/chips";
import { Findings, Unworkable } from "../../ui/findings";
import { Ledger } from "../../ui/ledger";
import { Later } from "../../ui/later";
import { Margin, WithMargin } from "../../ui/margin";
import { OwnNumber } from "../../ui/ownNumber";
import { StaleEdit } from "../../ui/stale";
import { Says } from "../../ui/words";
import { Folded } from "../../ui/folded";
import { Group } from "./Group";
import { HouseRules } from "./HouseRules";
import { LiveDraft, StandIn } from "./LiveDraft";
import { Outfit } from "./Outfit";
import { effect } from "./OneChoice";
import { changed, chosen, type Row } from "./outfit";
import { Patterns } from "./Patterns";
import { StylePicker } from "./StylePicker";

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
  // A new plan is also laid, marked and checked: what it draws is there before.
  const drawn = useDrawn(order.id, plan ? planId : "", stamp);

  const method = part.method || (styleOf(trade, part.style)?.first ?? "");
  const [wrong, setWrong] = useState("");
  /** What is pressed: its refusal is said above the choices. What is typed says it beside its field. */
  const pressed = (change: (now: Made) => Made) => {
    setWrong("");
    put
      .press((row) => changed(row, part.half, change))
      .catch((refused: Error) => setWrong(called(trade, inWords(refused))));
  };
  const typed = (change: (now: Made) => Made) => put.keep((row) => changed(row, part.half, change));
  const writes = useRef({ pressed, typed });
  useEffect(() => {
    writes.current = { pressed, typed };
  });
  // The same ones at every drawing, so that only the rows that change are drawn anew.
  const press = useCallback((row: Row, value: string) => {
    const option = row.options.find((one) => one.value === value);
    if (option) announce([`${row.legend}: ${option.label}`, option.says].filter(Boolean).join(". "));
    writes.current.pressed(chosen(row, value));
  }, []);
  const restyle = useCallback(
    (style: string) => writes.current.pressed((one) => restyled(one, style, one.method, trade)),
    [trade],
  );
  const of = useMemo(() => ({ plan: planId }), [planId]);
  const keep = useCallback((row: Row, value: string) => writes.current.typed(chosen(row, value)), []);

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
            onChoose={restyle}
          />
          <Folded title={`Method: ${methodName(trade, method)}`}>
            <chakra.p color="ink2" paddingBottom="8">
              {methodOf(trade, method)?.says}
            </chakra.p>
            <Chips
              legend="Drafted by"
              value={method}
              options={(asked?.methods ?? []).map(effect(method))}
              onChoose={(by) => pressed((one) => restyled(one, one.style, by, trade))}
            />
          </Folded>
          <HouseRules garment={{ ...garment, method }} use={(rule) => pressed((one) => ({ ...one, ...rule }))} />
          <Patterns order={order} />
          <StaleEdit stale={put.stale} settle={put.settle} />
          {wrong && <Says tone="wrong">{wrong}</Says>}
          {!asked && <p>Fetching the choices…</p>}
          {asked && (
            <Later>
              {asked.groups.map((group, k) => (
                <Group
                  key={group.key}
                  first={k < 1}
                  drawn={plan !== undefined}
                  {...{ order, part, group, unit, stamp, press, keep }}
                />
              ))}
            </Later>
          )}
        </Box>
        <Box
          flex={{ base: "none", lg: "1" }}
          order={{ base: -1, lg: 0 }}
          minWidth="0"
          height={{ base: "340px", md: "36vh", lg: "auto" }}
          minHeight={{ lg: "320px" }}
          padding="16"
        >
          {plan && !error ? (
            <Later>
              <LiveDraft panels={drawn ?? plan.panels} garment={part.row.name} half={part.half} />
            </Later>
          ) : (
            <StandIn order={order} made={{ ...garment, method }} />
          )}
        </Box>
      </Box>
      <Margin>
        {error && <Unworkable error={error} order={order.id} />}
        {plan && !error && (
          <Later>
            <Ledger plan={plan} unit={unit} />
            <OwnNumber plan={plan} of={of} unit={unit} />
            <Findings plan={plan} />
          </Later>
        )}
      </Margin>
    </WithMargin>
  );
}
