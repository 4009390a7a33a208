import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { type Order, type Plan, useLayRun, useStartLay, useStopLay } from "../../api/shop";
import { Cloth } from "../../drawing/Cloth";
import { pieceName } from "../../drawing/names";
import { dartsOf, PieceOn } from "../../drawing/PieceOn";
import type { Unit } from "../../lengths/units";
import { Length } from "../../ui/length";
import { Findings, Margin, ToBuy, WithMargin } from "../../ui/margin";
import { Press } from "../../ui/press";
import { useSize } from "../../ui/size";
import { Says } from "../../ui/words";

/** The whole cloth lengthwise with every piece on it, what the lay is held against, and the search for a shorter one. */
export function LayStation({ order, plan, planId }: { order: Order; plan: Plan; planId: string }) {
  const [run, setRun] = useState<string | null>(() => sessionStorage.getItem(`lay:${planId}`));
  const start = useStartLay();
  const stop = useStopLay();
  const look = useLayRun(run, order.id);
  const unit = plan.unit as Unit;
  const [ref, size] = useSize();
  const found = look.data?.lay;
  const lay = found && plan.lay && found.length_mm < plan.lay.length_mm ? found : plan.lay;
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
  const section = lay.sections[0]!;
  const depth = section.depth_mm;
  const px = Math.max((lay.length_mm * 1.02) / Math.max(100, size.width - 90), depth / Math.max(100, size.height - 90));
  const view = {
    x: lay.length_mm / 2 - (size.width * px) / 2 - 12 * px,
    y: depth / 2 - (size.height * px) / 2 - 12 * px,
    width: size.width * px,
    height: size.height * px,
  };
  const working = look.data && ["queued", "running"].includes(look.data.state);
  const begin = () => {
    const id = crypto.randomUUID();
    start.mutate(
      { id, plan: planId },
      {
        onSuccess: () => {
          sessionStorage.setItem(`lay:${planId}`, id);
          setRun(id);
        },
      },
    );
  };
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
        <Box ref={ref} flex="1" minHeight="0" overflow="hidden">
          <Cloth
            length={lay.length_mm}
            depth={depth}
            folded={section.fold !== "open"}
            colour={order.cloth.colour}
            unit={unit}
            view={view}
            px={px}
            label="The lay"
          >
            {(draw, line) =>
              lay.placements.map((placing, k) => {
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
                    darts={dartsOf(plan, piece)}
                    key={k}
                    piece={piece}
                    placing={placing}
                    draw={draw}
                    line={line}
                    px={px}
                    state="done"
                    label={`${pieceName(plan, piece)}, ${count}`}
                  />
                );
              })
            }
          </Cloth>
        </Box>
        <Box display="flex" gap="12" alignItems="center" flexWrap="wrap" marginTop="8">
          {working ? (
            <>
              <progress max={look.data?.to_try || 1} value={look.data?.tried ?? 0} aria-label="Orders tried" />
              <span role="status">
                {look.data?.tried ? `${look.data.tried} of ${look.data.to_try} orders tried` : "Waiting for the worker"}
              </span>
              <Press onClick={() => run && stop.mutate(run)}>Stop</Press>
            </>
          ) : (
            <>
              <Press kind="main" onClick={begin} disabled={start.isPending}>
                Look for a shorter lay
              </Press>
              <span role="status">{look.data && done(look.data.state, look.data.tried, look.data.lay != null)}</span>
            </>
          )}
          {start.error && <Says tone="wrong">{start.error.message}</Says>}
        </Box>
      </Box>
      <Margin>
        <ToBuy plan={plan} unit={unit} />
        <Rivals lay={lay} unit={unit} used={plan.yardage?.utilisation ?? 0} />
        <CutList plan={plan} unit={unit} />
        <Findings plan={plan} />
      </Margin>
    </WithMargin>
  );
}

function done(state: string, tried: number, better: boolean): string {
  if (state === "failed") return "The search broke off. What was found before stays.";
  const ending = better ? "A shorter lay was found and taken." : "None was shorter.";
  return `${state === "stopped" ? "Stopped" : "Done"}: ${tried} orders tried. ${ending}`;
}

/** The lay's length, and the lengths it is held against. */
function Rivals({ lay, unit, used }: { lay: NonNullable<Plan["lay"]>; unit: Unit; used: number }) {
  const rows: [string, number | null | undefined, string][] = [
    ["This lay", lay.length_mm, ""],
    ["Block by block", lay.habit_mm, "as it is mostly done"],
    ["One careful pass", lay.one_pass_mm, "largest piece first"],
    ["On open cloth", lay.open_mm, "one pass, one layer"],
    ["None is shorter than", lay.bound_mm, "longest piece, or all areas"],
  ];
  return (
    <Box>
      <chakra.table width="100%" fontSize="16px">
        <chakra.caption textAlign="left" fontSize="20px" fontWeight={600}>
          Length
        </chakra.caption>
        <tbody>
          {rows.map(([name, mm, why], k) => (
            <tr key={name}>
              <chakra.th textAlign="left" fontWeight={k ? 400 : 800} paddingBlock="4" scope="row">
                {name}
                {why && (
                  <chakra.span display="block" fontSize="14px" color="ink2">
                    {why}
                  </chakra.span>
                )}
              </chakra.th>
              <chakra.td textAlign="right" fontWeight={k ? 400 : 800}>
                {mm == null ? "too wide" : <Length mm={mm} unit={unit} />}
              </chakra.td>
            </tr>
          ))}
        </tbody>
      </chakra.table>
      <chakra.p marginTop="8">{Math.round(used * 100)} % of the cloth is used.</chakra.p>
    </Box>
  );
}

/** Every piece and how many of it are cut; what is bought besides the cloth. */
function CutList({ plan, unit }: { plan: Plan; unit: Unit }) {
  return (
    <Box fontSize="16px">
      <chakra.h2 fontSize="20px" fontWeight={600}>
        To cut
      </chakra.h2>
      <chakra.ul listStyleType="none">
        {plan.pieces.map((piece) => (
          <li key={piece.id}>
            {pieceName(plan, piece)}, cut {piece.count}
            {piece.on_fold ? " on the fold" : piece.pair ? ", left and right" : ""}
            {piece.sewn_to && (
              <chakra.span display="block" fontSize="14px" color="ink2">
                sewn to {piece.sewn_to.replaceAll(".", " ").replaceAll("_", " ")}
              </chakra.span>
            )}
          </li>
        ))}
      </chakra.ul>
      <chakra.h2 fontSize="20px" fontWeight={600} marginTop="12">
        To have at hand
      </chakra.h2>
      <chakra.ul listStyleType="none">
        {plan.notions.map((notion) => (
          <li key={notion.garment + notion.name}>
            {notion.count > 1 && `${notion.count} x `}
            {notion.name}
            {notion.length_mm != null && (
              <>
                , <Length mm={notion.length_mm} unit={unit} />
              </>
            )}
            {notion.width_mm != null && (
              <>
                {" "}
                by <Length mm={notion.width_mm} unit={unit} />
              </>
            )}
          </li>
        ))}
      </chakra.ul>
    </Box>
  );
}
