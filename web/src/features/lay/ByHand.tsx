import { Box, chakra } from "@chakra-ui/react";
import { type KeyboardEvent, type PointerEvent, useRef, useState } from "react";
import { inWords } from "../../api/client";
import type { Order } from "../../api/orders";
import { type Plan, usePutHandLay } from "../../api/plans";
import { useSearch } from "../../api/searches";
import { boxOf, onCloth, pathOf } from "../../drawing/frame";
import { pieceName } from "../../drawing/names";
import { PieceOn } from "../../drawing/PieceOn";
import { apart, show, spoken, text, type Unit } from "../../lengths/units";
import { doesAt } from "../../ui/keys";
import { Press } from "../../ui/press";
import { Says } from "../../ui/words";
import { LongTable } from "./LongTable";
import { meetings, onStripe, toMatch } from "./stripes";
import { cuttingOf, type Lay, moved, type Placing, reachOf, samePins, turned, type Turn } from "./moves";
import { Taped } from "../../ui/taped";

const STEP: Record<string, [number, number]> = {
  back: [-1, 0],
  on: [1, 0],
  in: [0, -1],
  out: [0, 1],
};

type Props = {
  order: Order;
  plan: Plan;
  planId: string;
  lay: Lay;
  /** Which of its sections is in hand. */
  section: number;
  unit: Unit;
  /** Left; `kept` where the lay is now as it was moved. */
  done: (kept: boolean) => void;
};

/** The lay with its pieces in hand: dragged or moved by keys, never one over another; undone, redone, kept. */
export function ByHand({ order, plan, planId, lay, section, unit, done }: Props) {
  const [steps, setSteps] = useState<State[]>([
    { placings: lay.placements.filter((one) => one.section === section), pins: [] },
  ]);
  const [at, setAt] = useState(0);
  const [said, setSaid] = useState("");
  const held = useRef<{ index: number; x: number; y: number; from: readonly Placing[] } | null>(null);
  const [dragged, setDragged] = useState<readonly Placing[] | null>(null);
  const put = usePutHandLay(order.id, planId);
  // One id for each state it may be kept in: sent again, it is the same lay.
  const ids = useRef(new WeakMap<State, string>());
  const keep = () => {
    const state = steps[at]!;
    const id = ids.current.get(state) ?? crypto.randomUUID();
    ids.current.set(state, id);
    put.mutate({ id, placements: [...others, ...placings] }, { onSuccess: () => done(true) });
  };
  const cutting = cuttingOf(plan, lay.sections[section]!, order.cloth.one_way);
  const { placings, pins } = steps[at]!;
  const now = dragged ?? placings;
  const [chosen, setChosen] = useState<number | null>(null);
  const search = useSearch(order.id, planId, "rest");
  const [asked, setAsked] = useState<string | null>(null);
  const pieces = new Map(plan.pieces.map((piece) => [piece.id, piece]));
  const { from_mm, to_mm } = cutting.section;
  const per = (to_mm - from_mm) / reachOf(steps[0]!.placings, cutting);
  const length = reachOf(now, cutting) * per;
  const others = lay.placements.filter((one) => one.section !== section);
  const step = (next: State) => {
    setSteps([...steps.slice(0, at + 1), next]);
    setAt(at + 1);
  };
  const take = (next: readonly Placing[] | null, otherwise = "") => {
    setSaid(next && next !== placings ? "" : otherwise);
    if (next && next !== placings) step({ placings: next, pins });
  };
  const pin = (index: number) =>
    step({ placings, pins: pins.includes(index) ? pins.filter((one) => one !== index) : [...pins, index] });
  const turn = (index: number, how: Turn) => {
    if (pins.includes(index)) setSaid(PINNED);
    else take(turned(placings, index, how, cutting), TURNS[how]);
  };
  // What it meets may be in another section: the pieces in hand come first.
  const met = meetings(plan, [...placings, ...others], lay.sections, lay.repeat_mm);
  const match = (index: number) => {
    const by = toMatch(met, index);
    if (pins.includes(index)) setSaid(PINNED);
    else if (by === null) setSaid("There is no notch on both sides of a seam to match it at.");
    else if (onStripe(by)) setSaid("It meets its stripe already.");
    else {
      // The next stripe that it can reach, this way or the other.
      const next = [0, 1, -1, 2, -2].map((more) => by + more * lay.repeat_mm).sort((a, b) => Math.abs(a) - Math.abs(b));
      const tried = next.map((dx) => ({ dx, to: moved(placings, index, [dx, 0], cutting) }));
      const whole = tried.find(({ dx, to }) => Math.abs(to[index]!.x_mm - placings[index]!.x_mm - dx) < 1e-6);
      take(whole?.to ?? null, "No stripe that meets can be reached from here: what is beside it is in the way.");
    }
  };
  const rest = () => {
    setSaid("");
    const placements = [...others, ...placings];
    setAsked(search.begin(REST, { placements, pins: pins.map((one) => one + others.length) }));
  };
  const { run, working } = search;
  if (asked !== null && run?.id === asked && !working) {
    setAsked(null);
    const found = run.lay?.placements.filter((one) => one.section === section);
    if (found) step({ placings: found, pins: samePins(placings, pins, found) });
    setSaid(
      run.state === "failed" ? "The search broke off." : found ? "" : "There is no shorter way around these pins.",
    );
  }
  const keys = (event: KeyboardEvent, index: number) => {
    if (working) return;
    if (event.ctrlKey || event.metaKey) {
      if (event.key.toLowerCase() !== "z") return;
      event.preventDefault();
      setAt(event.shiftKey ? Math.min(steps.length - 1, at + 1) : Math.max(0, at - 1));
      return;
    }
    const does = doesAt("lay", event);
    if (!does) return;
    const way = STEP[does];
    if (way && pins.includes(index)) setSaid(PINNED);
    else if (way) {
      const size = event.shiftKey ? 25 : 5;
      take(moved(placings, index, [way[0] * size, way[1] * size], cutting), "It touches what is in its way.");
    } else if (does === "turn" || does === "flip") turn(index, does);
    else if (does === "pin") pin(index);
    else if (lay.repeat_mm > 0) match(index);
    event.preventDefault();
    event.stopPropagation();
  };
  const grab = (event: PointerEvent<SVGGElement>, index: number) => {
    setChosen(index);
    if (working) return;
    if (pins.includes(index)) return setSaid(PINNED);
    event.currentTarget.setPointerCapture(event.pointerId);
    held.current = { index, x: event.clientX, y: event.clientY, from: placings };
  };
  const drag = (event: PointerEvent<SVGGElement>) => {
    if (!held.current) return;
    const { index, x, y, from } = held.current;
    // The picture may be drawn a little smaller than it was reckoned: what counts is how it is on the screen.
    const scale = 1 / (event.currentTarget.ownerSVGElement?.getScreenCTM()?.a ?? 1);
    setDragged(moved(from, index, [(event.clientX - x) * scale, (event.clientY - y) * scale], cutting));
  };
  const drop = () => {
    if (held.current && dragged) take(dragged);
    held.current = null;
    setDragged(null);
  };
  const longer = apart(length, to_mm - from_mm, unit);
  return (
    <>
      <LongTable section={cutting.section} colour={order.cloth.colour} unit={unit} repeat={lay.repeat_mm}>
        {(draw, line, px) =>
          now.map((placing, k) => {
            const piece = pieces.get(placing.piece)!;
            const name = pieceName(plan, piece);
            const [x, y, wide, deep] = boxOf(piece.cut.map((point) => onCloth(placing, point)));
            const [cx, cy] = draw.at([x + wide / 2, y + deep / 2]);
            return (
              <chakra.g
                key={k}
                tabIndex={0}
                role="button"
                aria-label={`${name}, ${spoken(show(Math.max(0, x), unit))} along, ${spoken(show(Math.max(0, y), unit))} across${pins.includes(k) ? ", pinned" : ""}`}
                onFocus={() => setChosen(k)}
                cursor={pins.includes(k) ? "default" : "grab"}
                style={{ touchAction: "none" }}
                pointerEvents="all"
                onKeyDown={(event: KeyboardEvent) => keys(event, k)}
                onPointerDown={(event: PointerEvent<SVGGElement>) => grab(event, k)}
                onPointerMove={drag}
                onPointerUp={drop}
                onPointerCancel={drop}
              >
                <PieceOn piece={piece} placing={placing} draw={draw} line={line} px={px} state="done" label={name} />
                {k === chosen && (
                  <path
                    d={pathOf(
                      piece.cut.map((point) => onCloth(placing, point)),
                      draw.at,
                      true,
                    )}
                    stroke="#E9A81F"
                    strokeWidth={3 * px}
                    fill="none"
                  />
                )}
                {pins.includes(k) && <Pin x={cx} y={cy} px={px} />}
              </chakra.g>
            );
          })
        }
      </LongTable>
      <Box display="flex" gap="8" alignItems="center" flexWrap="wrap" marginTop="8">
        <Press disabled={chosen === null || working} onClick={() => turn(chosen!, "turn")}>
          Turn
        </Press>
        <Press disabled={chosen === null || working} onClick={() => turn(chosen!, "flip")}>
          Flip
        </Press>
        <Press disabled={chosen === null || working} onClick={() => pin(chosen!)}>
          {chosen !== null && pins.includes(chosen) ? "Take the pin out" : "Pin"}
        </Press>
        {lay.repeat_mm > 0 && (
          <Press disabled={chosen === null || working} onClick={() => match(chosen!)}>
            Match
          </Press>
        )}
        {working ? (
          <Press onClick={search.stop}>Stop, {Math.round((run?.gone_ms ?? 0) / 1000)} s</Press>
        ) : (
          <Press disabled={search.pending} onClick={rest}>
            Lay the rest
          </Press>
        )}
        <Press disabled={at === 0 || working} onClick={() => setAt(at - 1)}>
          Undo
        </Press>
        <Press disabled={at === steps.length - 1 || working} onClick={() => setAt(at + 1)}>
          Redo
        </Press>
        <Press kind="main" disabled={at === 0 || put.isPending || working} onClick={keep}>
          Keep this lay
        </Press>
        <Press onClick={() => done(false)}>Leave it as it was</Press>
        <span role="status">
          <b>
            <Taped>{`Length ${text(show(length, unit))}`}</Taped>
          </b>
          <Taped>
            {longer !== 0 && `, ${text(show(Math.abs(longer), unit))} ${longer > 0 ? "longer" : "shorter"}`}
          </Taped>
          {said && `. ${said}`}
        </span>
      </Box>
      <chakra.p color="ink2" fontSize="15px">
        Drag a piece, or go to it with Tab: arrows move it, with Shift further; R turns it, F flips it, K pins it
        {lay.repeat_mm > 0 && ", M takes it to the next stripe that matches"}; Ctrl Z undoes. What is pinned stays where
        it is when the rest is laid.
      </chakra.p>
      {search.error && <Says tone="wrong">{inWords(search.error)}</Says>}
      {put.error && <Says tone="wrong">{inWords(put.error)}</Says>}
    </>
  );
}

/** How long the rest is laid, in seconds. */
const REST = 5;
const PINNED = "It is pinned. Take the pin out to move it.";

type State = { placings: readonly Placing[]; pins: readonly number[] };

/** A pin stuck through the cloth. */
function Pin({ x, y, px }: { x: number; y: number; px: number }) {
  return (
    <g strokeWidth={2 * px}>
      <path d={`M${x - 16 * px} ${y + 6 * px}L${x + 8 * px} ${y - 8 * px}`} stroke="#F3E3A6" />
      <circle cx={x + 10 * px} cy={y - 9 * px} r={6 * px} fill="#E9A81F" stroke="#2A2410" />
    </g>
  );
}

const TURNS = {
  turn: "There is no room to turn it here, or the cloth has one way.",
  flip: "There is no room to flip it here, or it would come out mirrored.",
};
