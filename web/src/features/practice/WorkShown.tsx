import { Box, chakra } from "@chakra-ui/react";
import type { ReactNode } from "react";
import { inWords } from "../../api/client";
import { useMay, useMe } from "../../api/session";
import { type Recurring, useHouseCorrections, useWork } from "../../api/work";
import { show, text, type Unit } from "../../lengths/units";
import { announce } from "../../ui/announce";
import { Press } from "../../ui/press";
import { Rows } from "../../ui/rows";
import { Says } from "../../ui/words";
import { Months } from "./Months";

/** "1/4 in more" */
const off = (mm: number, unit: Unit) => `${text(show(Math.abs(mm), unit))} ${mm < 0 ? "less" : "more"}`;
const signed = (mm: number, unit: Unit) => `${mm < 0 ? "\u2212" : "+"} ${text(show(Math.abs(mm), unit))}`;

/** What the work of this workshop has shown: how long steps take, how readings differ, what fittings change again. */
export function WorkShown() {
  const work = useWork();
  const { keep, drop } = useHouseCorrections();
  const may = useMay()("workshop");
  const unit = (useMe().data?.unit ?? "in") as Unit;
  if (work.error) return <Says tone="wrong">{work.error.message}</Says>;
  if (!work.data) return null;
  const { minutes, readings, corrections, house } = work.data;
  const wrong = keep.error ?? drop.error;
  const isRule = (one: Recurring) =>
    house.some((rule) => rule.kind === one.kind && rule.method === one.method && rule.choice === one.choice);
  return (
    <Box as="section" aria-label="What the work has shown" display="grid" gap="24" marginTop="32" maxWidth="900px">
      <chakra.h2 fontSize="22px" fontWeight={600}>
        What the work has shown
      </chakra.h2>
      <Months months={work.data.months} unit={unit} />
      <Table
        caption="How long steps take here"
        says="The middle of the last 20 times, and the usual as if it had been timed five times."
        empty="Nothing was timed yet. On Sewing, press Begin before a step and Done after it."
        heads={["Step", "usual", "here", "timed"]}
        rows={minutes.map((one) => [
          one.title,
          `${one.usual} min`,
          `${Math.round(one.minutes)} min${one.summed && ` = ${one.summed}`}`,
          one.times === 1 ? "once" : `${one.times} times`,
        ])}
      />
      <Table
        caption="What is sewn, compared with the plan"
        empty="Three readings of one kind are needed, by one person on one cloth."
        heads={["Measured", "by", "cloth", "in the middle", "from", "to", "readings"]}
        rows={readings.map((one) => [
          one.name,
          one.by,
          one.cloth,
          off(one.mean, unit),
          off(one.least, unit),
          off(one.most, unit),
          String(one.times),
        ])}
      />
      {wrong && <Says tone="wrong">{inWords(wrong)}</Says>}
      <Table
        caption="What fittings change again and again"
        empty="Five fittings of one kind and method that changed something are needed."
        heads={["Choice", "method", "changed", "in the middle", "from", "to", ...(may ? ["house rule"] : [])]}
        rows={corrections.map((one) => [
          one.name,
          one.method_name,
          `in ${one.found} of ${one.fittings}`,
          signed(one.middle, unit),
          signed(one.least, unit),
          signed(one.most, unit),
          ...(may
            ? [
                isRule(one) ? (
                  "it is one"
                ) : (
                  <Press
                    disabled={keep.isPending}
                    aria-label={`Make it a house rule: ${one.name}`}
                    onClick={() => keep.mutate(one, { onSuccess: () => announce(`${one.name}: a house rule now`) })}
                  >
                    Make it one
                  </Press>
                ),
              ]
            : []),
        ])}
      />
      {house.length > 0 && (
        <Table
          caption="House rules from fittings"
          says="In the drafts of every client who has no correction of the same."
          empty=""
          heads={["Choice", "method", "changed by", "found", ...(may ? [""] : [])]}
          rows={house.map((one) => [
            one.name,
            one.method_name,
            signed(one.by_mm, unit),
            `in ${one.found} of ${one.fittings}`,
            ...(may
              ? [
                  <Press
                    key="drop"
                    disabled={drop.isPending}
                    aria-label={`Drop the house rule: ${one.name}`}
                    onClick={() => drop.mutate(one, { onSuccess: () => announce(`${one.name}: dropped`) })}
                  >
                    Drop
                  </Press>,
                ]
              : []),
          ])}
        />
      )}
    </Box>
  );
}

type TableProps = { caption: string; says?: string; empty: string; heads: string[]; rows: ReactNode[][] };

function Table({ caption, says, empty, heads, rows }: TableProps) {
  return (
    <Box overflowX="auto">
      <chakra.h3 fontSize="18px" fontWeight={600} marginBottom="4">
        {caption}
      </chakra.h3>
      {says && <chakra.p color="ink2">{says}</chakra.p>}
      {rows.length === 0 ? (
        <chakra.p color="ink2">{empty}</chakra.p>
      ) : (
        <Rows
          caption={caption}
          columns={heads.map((head) => ({ head }))}
          rows={rows.map((cells, n) => ({ key: `${n}`, cells }))}
        />
      )}
    </Box>
  );
}
