import { Box } from "@chakra-ui/react";
import { useState } from "react";
import type { Order } from "../../api/orders";
import type { Plan } from "../../api/plans";
import { useSearch } from "../../api/searches";
import { type Frame, pathOf } from "../../drawing/frame";
import { pieceName } from "../../drawing/names";
import { PieceOn } from "../../drawing/PieceOn";
import { SizedText } from "../../drawing/SizedText";
import { show, text, type Unit } from "../../lengths/units";
import { Chips } from "../../ui/chips";
import { ToBuy } from "../../ui/buying";
import { Findings } from "../../ui/findings";
import { Later } from "../../ui/later";
import { Margin, WithMargin } from "../../ui/margin";
import { Press } from "../../ui/press";
import { Says } from "../../ui/words";
import { ByHand } from "./ByHand";
import { stillSaves } from "./bound";
import { CutList, Left, Matched, Rivals } from "./Figures";
import { CutOff } from "./CutOff";
import { LayTable } from "./LayTable";
import { LongTable } from "./LongTable";
import { Taped } from "../../ui/taped";

/** The whole cloth lengthwise with every piece on it, what the lay is compared with, and the search for a shorter one. */
type LayProps = { order: Order; plan: Plan; planId: string; falls?: boolean };

export function LayStation({ order, plan, planId, falls }: LayProps) {
  const search = useSearch(order.id, planId, "shorter");
  const { run } = search;
  const unit = plan.unit as Unit;
  const [byHand, setByHand] = useState(false);
  const [asTable, setAsTable] = useState(false);
  const [at, setAt] = useState(0);
  const found = run?.lay;
  const shorter = found && plan.lay && found.length_mm < plan.lay.length_mm ? found : plan.lay;
  // What is proved while the search goes on counts at once.
  const lay = shorter && { ...shorter, bound_mm: Math.max(shorter.bound_mm, run?.bound_mm ?? 0) };
  if (!lay) {
    return (
      <Box height="100%" display="flex" flexDirection={{ base: "column", md: "row" }}>
        <Box flex="1" padding="24">
          <Says tone="wrong">No lay is possible on this cloth. The margin says what would mend it.</Says>
        </Box>
        <Margin>
          <Findings plan={plan} />
        </Margin>
      </Box>
    );
  }
  const section = lay.sections[at] ?? lay.sections[0]!;
  const leave = (kept: boolean) => {
    setByHand(false);
    if (!kept) return;
    // What an earlier search found is no longer how it is.
    search.forget();
  };
  const here = (one: { section: number }) => lay.sections[one.section] === section;
  const pieces = new Map(plan.pieces.map((piece) => [piece.id, piece]));
  return (
    <WithMargin>
      <Box
        flex="1"
        minWidth="0"
        minHeight={{ base: "300px", md: "0" }}
        display="flex"
        flexDirection="column"
        padding="16"
      >
        {lay.sections.length > 1 && !byHand && (
          <Box marginBottom="8">
            <Chips
              legend="Section"
              value={String(at)}
              options={lay.sections.map((one, k) => ({
                value: String(k),
                label: `${one.cut}, ${text(show(one.to_mm - one.from_mm, unit))}`,
              }))}
              onChoose={(k) => setAt(Number(k))}
            />
          </Box>
        )}
        {byHand ? (
          <ByHand
            order={order}
            plan={plan}
            planId={planId}
            lay={lay}
            section={lay.sections.indexOf(section)}
            unit={unit}
            done={leave}
          />
        ) : asTable ? (
          <LayTable plan={plan} lay={lay} section={section} unit={unit} />
        ) : (
          <Later>
            <LongTable section={section} colour={order.cloth.colour} unit={unit} repeat={lay.repeat_mm}>
              {(draw, line, px) => [
                ...lay.offcuts
                  .filter(here)
                  .map((one, k) => <OffcutOn key={`o${k}`} offcut={one} draw={draw} line={line} px={px} unit={unit} />),
                ...lay.placements.filter(here).map((placing, k) => {
                  const piece = pieces.get(placing.piece);
                  if (!piece) return null;
                  const count =
                    placing.copies === 2
                      ? "2 at once"
                      : piece.on_fold
                        ? "1 on the fold"
                        : placing.mirrored
                          ? "right"
                          : "1";
                  return (
                    <PieceOn
                      key={k}
                      piece={piece}
                      placing={placing}
                      draw={draw}
                      line={line}
                      px={px}
                      state={placing.under ? "later" : "done"}
                      under={placing.under}
                      label={`${pieceName(plan, piece)}, ${count}${placing.under ? ", under" : ""}`}
                    />
                  );
                }),
              ]}
            </LongTable>
          </Later>
        )}
        {!byHand && (
          <Box display="flex" gap="8" alignItems="center" flexWrap="wrap" marginTop="8">
            {search.working && run ? (
              <>
                <progress
                  max={run.seconds * 1000}
                  value={run.gone_ms}
                  aria-label="Time of the search"
                  style={{ accentColor: "var(--chakra-colors-dye)" }}
                />
                <span role="status">{progress(run)}</span>
                <Press onClick={search.stop}>Stop</Press>
              </>
            ) : (
              <>
                {TIMES.map(({ seconds, name }, k) => (
                  <Press
                    key={seconds}
                    kind={k || !stillSaves(lay) ? "plain" : "main"}
                    onClick={() => search.begin(seconds)}
                    disabled={search.pending}
                  >
                    {name}
                  </Press>
                ))}
                <Press onClick={() => setByHand(true)}>Move by hand</Press>
                <Press onClick={() => setAsTable(!asTable)}>{asTable ? "As a drawing" : "As a table"}</Press>
                <span role="status">{run && done(run)}</span>
              </>
            )}
            {search.error && <Says tone="wrong">{search.error.message}</Says>}
          </Box>
        )}
      </Box>
      <Margin>
        {lay.placements.filter(here).some((one) => one.under) && (
          <Says tone="plain">Drawn faint: what is under another layer, and is cut after that is folded back.</Says>
        )}
        <p>
          {lay.sections.length > 1 && <b>{section.cut}. </b>}
          <Taped>{section.say}</Taped>
        </p>
        <ToBuy plan={plan} unit={unit} falls={falls} />
        <Rivals plan={plan} lay={lay} section={section} unit={unit} used={plan.yardage?.utilisation ?? 0} />
        <Matched plan={plan} lay={lay} unit={unit} />
        <CutOff key={order.cut?.id} order={order} plan={plan} planId={planId} unit={unit} />
        <Left offcuts={lay.offcuts} order={order} unit={unit} />
        <CutList plan={plan} unit={unit} />
        <Findings plan={plan} />
      </Margin>
    </WithMargin>
  );
}

type Run = NonNullable<ReturnType<typeof useSearch>["run"]>;

const TIMES = [
  { seconds: 10, name: "Look for a shorter lay" },
  { seconds: 60, name: "Look one minute" },
  { seconds: 300, name: "Look five minutes" },
];

const progress = (run: Run) =>
  run.tried
    ? `${Math.round(run.gone_ms / 1000)} of ${run.seconds} s, ${run.tried} tried`
    : "One moment: it waits for its turn";

function done(run: Run): string {
  if (run.state === "failed") return "The search broke off. What was found before stays.";
  const found = run.lay
    ? "A shorter lay was found and taken."
    : run.proved
      ? ""
      : "None was shorter; another search looks elsewhere.";
  const proved = run.proved ? "It is proved that none is shorter by more than a tenth of an inch." : "";
  return `${run.state === "stopped" ? "Stopped" : "Done"} after ${run.tried} were tried. ${found} ${proved}`;
}

type Offcut = NonNullable<Plan["lay"]>["offcuts"][number];
type OffcutProps = { offcut: Offcut; draw: Frame; line: string; px: number; unit: Unit };

/** A rectangle that is left over, dotted, with its size where there is room for it. */
function OffcutOn({ offcut, draw, line, px, unit }: OffcutProps) {
  const { x_mm: x, y_mm: y, along_mm: wide, across_mm: deep } = offcut;
  const [left, top] = draw.at([x + wide / 2, y + deep / 2]);
  const size = `${text(show(wide, unit))} x ${text(show(deep, unit))}`;
  return (
    <g>
      <path
        d={pathOf(
          [
            [x, y],
            [x + wide, y],
            [x + wide, y + deep],
            [x, y + deep],
          ],
          draw.at,
          true,
        )}
        fill={line}
        fillOpacity="0.07"
        stroke={line}
        strokeWidth={px}
        strokeDasharray={`${px} ${4 * px}`}
        strokeLinecap="round"
      />
      {wide > size.length * 6.5 * px && deep > 40 * px && (
        <SizedText text={size} x={left} y={top + 5 * px} least={14 * px} fill={line} />
      )}
    </g>
  );
}
