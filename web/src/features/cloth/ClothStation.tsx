import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { inWords } from "../../api/client";
import { type Cloth, type Order, usePutCloth, useTakeChoices } from "../../api/orders";
import type { Plan } from "../../api/plans";
import { useTrade } from "../../api/trade";
import { EndView } from "../../drawing/EndView";
import { show, spoken, type Unit } from "../../lengths/units";
import { Chips } from "../../ui/chips";
import { Entry } from "../../ui/entry";
import { field, Label } from "../../ui/field";
import { Length } from "../../ui/length";
import { ToBuy } from "../../ui/buying";
import { Findings, Unworkable } from "../../ui/findings";
import { Later } from "../../ui/later";
import { Margin, WithMargin } from "../../ui/margin";
import { StaleEdit } from "../../ui/stale";
import { useSize } from "../../ui/size";
import { Says } from "../../ui/words";
import { BuyingFields } from "./BuyingFields";
import { ByWidth } from "./ByWidth";
import { FoldChooser } from "./FoldChooser";
import { FromShelf } from "./FromShelf";
import { InHand } from "./InHand";
import { Sections } from "./Sections";
import { Taped } from "../../ui/taped";

type ClothProps = { order: Order; plan: Plan | undefined; planId: string; error: Error | null; falls: boolean };

/** Kind and width, the fold drawn from its end, how deep it must be, and what to buy. */
export function ClothStation({ order, plan, planId, error, falls }: ClothProps) {
  const put = usePutCloth(order.id, order.cloth.id);
  const taken = useTakeChoices(order.id);
  const cloth = order.cloth;
  const trade = useTrade();
  const unit = (plan?.unit ?? "in") as Unit;
  const keep = (changes: Partial<Cloth>) => put.keep((now) => ({ ...now, ...changes }));
  const [wrong, setWrong] = useState("");
  const press = (changes: Partial<Cloth>) => {
    setWrong("");
    put.press((now) => ({ ...now, ...changes })).catch((refused: Error) => setWrong(inWords(refused)));
  };
  return (
    <WithMargin>
      <Box
        flex="1"
        minWidth="0"
        overflowY={{ md: "auto" }}
        padding="16"
        display="grid"
        gap="16"
        gridTemplateColumns={{ base: "1fr", lg: "minmax(300px, 380px) minmax(0, 1fr)" }}
        alignContent="start"
      >
        <Box display="grid" gap="12" alignContent="start">
          {order.cloth.id !== order.other_cloth?.id && <FromShelf order={order} unit={unit} />}
          <Label text="Kind">
            <chakra.select {...field} value={cloth.kind} onChange={(e) => press({ kind: e.target.value })}>
              {trade.cloths.map(({ key, name }) => (
                <option key={key} value={key}>
                  {name}
                </option>
              ))}
            </chakra.select>
          </Label>
          <Entry
            label="Width, selvedge to selvedge"
            name="width"
            unit={unit}
            saved={cloth.width}
            place={`cloth:${cloth.id}:width`}
            keep={(width) => keep({ width })}
          />
          <Entry
            label="Length in hand, if it is not to be bought"
            name="length"
            unit={unit}
            saved={cloth.length}
            place={`cloth:${cloth.id}:length`}
            keep={(length) => keep({ length })}
          />
          <Chips
            legend="Thickness"
            hint="thick cloth needs room and wider seams"
            value={cloth.thickness ?? "usual"}
            options={trade.thicknesses.map(({ key, name }) => ({ value: key, label: name }))}
            onChoose={(thickness) => press({ thickness })}
          />
          <Chips
            legend="Pleats"
            hint="pleated cloth is not darted"
            value={cloth.pleated ? "pleated" : "plain"}
            options={[
              { value: "plain", label: "Plain" },
              { value: "pleated", label: "In pleats" },
            ]}
            onChoose={(cloth) => press({ pleated: cloth === "pleated" })}
          />
          <Chips
            legend="Print or nap"
            hint="one-way cloth is never turned"
            value={cloth.one_way ? "one" : "any"}
            options={[
              { value: "any", label: "Looks the same both ways" },
              { value: "one", label: "One way" },
            ]}
            onChoose={(way) => press({ one_way: way === "one" })}
          />
          <Label text="Colour">
            <chakra.input
              type="color"
              height="48px"
              width="96px"
              value={cloth.colour}
              onChange={(e) => press({ colour: e.target.value })}
            />
          </Label>
          <details>
            <chakra.summary fontSize="20px" fontWeight={600}>
              Bought and washed
            </chakra.summary>
            <Box display="grid" gap="12" marginTop="4">
              <BuyingFields cloth={cloth} unit={unit} keep={keep} />
            </Box>
          </details>
          <StaleEdit stale={put.stale} settle={put.settle} />
          {wrong && <Says tone="wrong">{wrong}</Says>}
        </Box>
        {plan && (
          <Box display="grid" gap="24" alignContent="start" gridTemplateColumns="minmax(0, 1fr)" minWidth="0">
            <Later>
              <InHand
                key={planId}
                {...{ order, plan, planId, unit }}
                choose={(fold) => press({ fold })}
                take={(choices) => taken.mutateAsync(choices)}
              />
            </Later>
            <Later>
              {cloth.fold === "sections" ? (
                <Sections plan={plan} cloth={cloth} unit={unit} choose={(sections) => press({ sections })} />
              ) : (
                <FoldEnd plan={plan} cloth={cloth} unit={unit} />
              )}
            </Later>
            <Later>
              <FoldChooser plan={plan} planId={planId} cloth={cloth} unit={unit} choose={(fold) => press({ fold })} />
              <ByWidth plan={planId} unit={unit} />
            </Later>
          </Box>
        )}
      </Box>
      <Margin>
        {error && <Unworkable error={error} order={order.id} />}
        {plan && !error && (
          <Later>
            <ToBuy plan={plan} unit={unit} falls={falls} />
            <Findings plan={plan} />
          </Later>
        )}
      </Margin>
    </WithMargin>
  );
}

const QUICK = ["quick_rule", "quick_half", "quick_thigh", "quick_thigh_back"];

/** The cloth seen from its cut end: a line that turns back on itself, the widest piece on it. */
function FoldEnd({ plan, cloth, unit }: { plan: Plan; cloth: Cloth; unit: Unit }) {
  const needed = plan.fold_needed;
  const quick = plan.numbers[`${needed.garment}.fold.quick_rule`];
  const rules = QUICK.flatMap((key) => plan.numbers[`${needed.garment}.fold.${key}`] ?? []);
  const fold = useTrade().folds.find((one) => one.key === plan.fold);
  const folded = (fold?.layers ?? 2) > 1;
  const section = plan.lay?.sections[0];
  const depth = section?.depth_mm ?? plan.checks.find((check) => check.code === "fold.shallow")?.right.mm ?? needed.mm;
  const [ref, room] = useSize();
  // However narrow the room, letters are 15 px high.
  const letters = (15 * 600) / Math.min(640, Math.max(240, room.width));
  const scale = 520 / Math.max(depth, needed.mm, quick?.net_mm ?? 0);
  const crosswise = fold?.crosswise ?? false;
  const top = section?.layers[0];
  const upper = top && !crosswise ? (top.to_mm - top.from_mm) * scale : depth * scale;
  const [d, n, q] = [depth * scale, needed.mm * scale, (quick?.net_mm ?? 0) * scale];
  const shallow = !section && needed.mm > depth;
  return (
    <figure ref={ref}>
      <chakra.figcaption fontSize="20px" fontWeight={600}>
        {section ? section.name : "The cloth"}, seen from {crosswise ? "the selvedge" : "the cut end"}
      </chakra.figcaption>
      <chakra.svg
        viewBox="-24 -30 600 232"
        width="100%"
        maxWidth="640px"
        role="img"
        aria-label={`The depth is ${spoken(show(depth, unit))}, the widest piece ${spoken(show(needed.mm, unit))}`}
      >
        <EndView fold={plan.fold} deep={d} upper={upper} colour={cloth.colour} letters={letters} />
        <text x="-20" y="-12" fontSize={letters} fill="currentColor">
          {folded ? "fold" : "selvedge"}
        </text>
        <text x={d} y="-12" fontSize={letters} fill="currentColor" textAnchor="end">
          {fold?.edge}
        </text>
        {[
          { size: d, y: 108, name: "depth there is" },
          { size: n, y: 142, name: "widest piece" },
          ...(quick ? [{ size: q, y: 176, name: "quick rule" }] : []),
        ].map((row) => (
          <g key={row.name} color={row.name === "widest piece" && shallow ? "var(--chakra-colors-madder)" : undefined}>
            <path
              d={`M0 ${row.y - 6}v12M0 ${row.y}H${row.size}M${row.size} ${row.y - 6}v12`}
              stroke="currentColor"
              strokeWidth="2"
            />
            <text x="6" y={row.y - 6} fontSize={letters} fill="currentColor">
              {row.name}
            </text>
          </g>
        ))}
      </chakra.svg>
      <chakra.dl display="grid" gridTemplateColumns="max-content max-content 1fr" columnGap="16" rowGap="4">
        {[
          ["Depth there is", depth, fold?.depth],
          ["Depth needed", needed.mm, needed.formula],
          ...rules.map((rule, k) => [k === 0 ? "Quick rules" : "", rule.net_mm, `${rule.formula} = ${rule.with}`]),
        ].map(([name, mm, how]) => (
          <Box key={`${String(name)} ${String(how)}`} display="contents">
            <chakra.dt fontWeight={600}>{name}</chakra.dt>
            <dd>
              <Length mm={Number(mm)} unit={unit} />
            </dd>
            <chakra.dd color="ink2">
              <Taped>{how}</Taped>
            </chakra.dd>
          </Box>
        ))}
      </chakra.dl>
      {section && (
        <chakra.p marginTop="4">
          <Taped>{section.say}</Taped>
        </chakra.p>
      )}
      {shallow && !section && (
        <Says tone="wrong">The fold is too shallow for the widest line. Open the cloth, or take a wider one.</Says>
      )}
    </figure>
  );
}
