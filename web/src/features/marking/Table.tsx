import { Box } from "@chakra-ui/react";
import { useMemo } from "react";
import type { Order } from "../../api/orders";
import type { Mark as Call, Plan } from "../../api/plans";
import { Cloth, type View } from "../../drawing/Cloth";
import { boxOf, frame, onCloth, pathOf, type XY } from "../../drawing/frame";
import { pieceName } from "../../drawing/names";
import { PieceOn } from "../../drawing/PieceOn";
import { RingOn } from "../../drawing/RingOn";
import { StrokeOn } from "../../drawing/StrokeOn";
import { TapeOn } from "../../drawing/TapeOn";
import type { Unit } from "../../lengths/units";
import { useSize } from "../../ui/size";

type TableProps = {
  order: Order;
  plan: Plan;
  mark: Call;
  at: number;
  zoom: number;
  unit: Unit;
  upright: boolean;
  whole?: boolean;
  /** The calls that are chalked; null where nobody ticks: then those that were passed are shown as chalked. */
  ticked: Set<number> | null;
  /** A control tape that is shown in place of the call's own. */
  control: [XY, XY] | null;
  /** Drawn without the call's own tape, as on the card. */
  still?: boolean;
};

/** The table with the cloth on it, seen so that the panel in hand fills it; on a phone it follows the mark. */
export function Table({ order, plan, mark, at, zoom, unit, upright, whole, ticked, control, still }: TableProps) {
  const [ref, size] = useSize();
  const lay = plan.lay!;
  const pieces = useMemo(() => new Map(plan.pieces.map((piece) => [piece.id, piece])), [plan]);
  const mine = lay.placements[mark.placing!]!;
  const section = lay.sections[mine.section]!;
  const { depth_mm: depth, extent_mm: length } = section;
  const spans = useMemo(() => callsOf(plan), [plan]);
  const tape = mark.cloth_mm as [XY, XY];
  const focus = useMemo(() => {
    if (whole) return [0, 0, length, depth] as const;
    if (upright) return boxOf(tape);
    const [x, , width] = boxOf(pieces.get(mine.piece)!.cut.map((p) => onCloth(mine, p)));
    return [x, 0, width, depth] as const;
  }, [whole, upright, length, depth, tape, pieces, mine]);
  const { view, px } = look(focus, size, depth, upright, zoom, tape);
  // The back is marked out from the cut front, which is traced first; a second back from the cut back.
  const traces = plan.marks.some((one) => one.garment === mark.garment && one.panel === "back" && one.code === "guide");
  const fromFront = mark.panel === "back" && traces && !mark.code.startsWith("second_");
  const traced = fromFront ? pieces.get(`${mark.garment}.front`) : undefined;
  const chalked = ticked ? plan.marks.filter((one) => ticked.has(one.n)) : plan.marks.slice(0, at - 1);
  const passed = chalked.filter((one) => one.placing === mark.placing && one.cloth_mm && one !== mark);
  return (
    <Box ref={ref} width="100%" height="100%" minHeight="0" overflow="hidden" data-clipped>
      <Cloth
        section={section}
        colour={order.cloth.colour}
        unit={unit}
        view={view}
        upright={upright}
        px={px}
        label={`The cloth. ${mark.say}.`}
      >
        {(draw, line) => (
          <>
            {lay.placements.map((placing, k) => {
              if (placing.section !== mine.section) return null;
              // Through other layers, over or under this one: it would be drawn across what is chalked now.
              if (placing.under !== mine.under && !placing.layers.some((layer) => mine.layers.includes(layer)))
                return null;
              const piece = pieces.get(placing.piece)!;
              const [first, last] = spans.get(k) ?? [Infinity, Infinity];
              const state = at < first ? "later" : at > last || at === plan.marks.length ? "done" : "now";
              return (
                <PieceOn
                  key={k}
                  piece={piece}
                  placing={placing}
                  draw={draw}
                  line={line}
                  px={px}
                  state={state}
                  label={`${pieceName(plan, piece)}, cut ${placing.copies}`}
                />
              );
            })}
            {traced && (
              <path
                d={pathOf(
                  traced.cut.map((p) => onCloth(mine, p)),
                  draw.at,
                  true,
                )}
                stroke={line}
                strokeWidth={px}
                strokeOpacity="0.7"
                strokeDasharray={`${2 * px} ${4 * px}`}
                fill="none"
              />
            )}
            <g stroke={line} strokeWidth={1.5 * px} fill="none">
              {passed.map((one) => {
                const [x, y] = draw.at(one.cloth_mm![1]);
                const r = 4 * px;
                return (
                  <path key={one.n} d={`M${x - r} ${y - r}L${x + r} ${y + r}M${x - r} ${y + r}L${x + r} ${y - r}`} />
                );
              })}
              {passed
                .filter((one) => one.kind === "line" && one.stage !== "place" && isLevel(one))
                .map((one) => {
                  const down = one.local_mm[1][1]!;
                  const [across, , width] = boxOf(pieces.get(mine.piece)!.cut);
                  const line_ = [onCloth(mine, [across, down]), onCloth(mine, [across + width, down])];
                  return <path key={`l${one.n}`} strokeOpacity="0.5" strokeWidth={px} d={pathOf(line_, draw.at)} />;
                })}
            </g>
            {mark.path_mm.length > 1 &&
              (mark.shown ? (
                <path
                  d={pathOf(mark.path_mm as XY[], draw.at)}
                  stroke={line}
                  strokeWidth={px}
                  strokeDasharray={`${6 * px} ${4 * px}`}
                  fill="none"
                />
              ) : (
                <StrokeOn d={pathOf(mark.path_mm as XY[], draw.at)} px={px} />
              ))}
            {(mark.kind === "meet" || (mark.kind === "notch" && !mark.shown)) && (
              <RingOn at={draw.at(tape[1])} px={px} />
            )}
            {control ? (
              <TapeOn from={control[0]} to={control[1]} draw={draw} px={px} unit={unit} />
            ) : (
              mark.shown && !still && <TapeOn from={tape[0]} to={tape[1]} draw={draw} px={px} unit={unit} />
            )}
          </>
        )}
      </Cloth>
    </Box>
  );
}

/** A line that is chalked square to the grain: its tape runs along it. */
function isLevel({ local_mm: [a, b] }: Call): boolean {
  return Math.abs(a[1]! - b[1]!) > Math.abs(a[0]! - b[0]!);
}

/** The first and the last call of each placement. */
function callsOf(plan: Plan): Map<number, [number, number]> {
  const spans = new Map<number, [number, number]>();
  for (const { placing, n } of plan.marks) if (placing !== null) spans.set(placing, [spans.get(placing)?.[0] ?? n, n]);
  return spans;
}

/** The part of the cloth to show, with room for the rulers, and how many mm one px is. */
function look(
  [x, y, width, height]: readonly [number, number, number, number],
  size: { width: number; height: number },
  depth: number,
  upright: boolean,
  zoom: number,
  tape: [XY, XY],
): { view: View; px: number } {
  const draw = frame(depth, upright);
  const [a, b] = [draw.at([x, y]), draw.at([x + width, y + height])];
  const [left, top, right, bottom] = [
    Math.min(a[0], b[0]),
    Math.min(a[1], b[1]),
    Math.max(a[0], b[0]),
    Math.max(a[1], b[1]),
  ];
  const room = upright ? 70 : 58;
  let px = Math.max(
    (right - left) / Math.max(80, size.width - 2 * room),
    (bottom - top) / Math.max(80, size.height - 2 * room),
  );
  px = Math.max(px, upright ? 0.6 : 0.35) / zoom;
  const [tx, ty] = draw.at([((tape[0][0] ?? 0) + (tape[1][0] ?? 0)) / 2, ((tape[0][1] ?? 0) + (tape[1][1] ?? 0)) / 2]);
  const [cx, cy] = zoom > 1 ? [tx, ty] : [(left + right) / 2, (top + bottom) / 2];
  const [w, h] = [size.width * px, size.height * px];
  return { view: { x: cx - w / 2, y: cy - h / 2, width: w, height: h }, px };
}
