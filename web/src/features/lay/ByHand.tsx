import { Box, chakra } from "@chakra-ui/react";
import { type KeyboardEvent, type PointerEvent, useRef, useState } from "react";
import { inWords } from "../../api/client";
import { type Order, type Plan, usePutHandLay } from "../../api/shop";
import { Cloth, type View } from "../../drawing/Cloth";
import { pieceName } from "../../drawing/names";
import { dartsOf, PieceOn } from "../../drawing/PieceOn";
import { show, text, type Unit } from "../../lengths/units";
import { Press } from "../../ui/press";
import { Says } from "../../ui/words";
import { cuttingOf, type Lay, moved, type Placing, reachOf, turned } from "./moves";

const STEP: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

type Props = {
  order: Order;
  plan: Plan;
  planId: string;
  lay: Lay;
  unit: Unit;
  view: View;
  px: number;
  /** Left; `kept` where the lay is now as it was moved. */
  done: (kept: boolean) => void;
};

/** The lay with its pieces in hand: dragged or moved by keys, never one over another; undone, redone, kept. */
export function ByHand({ order, plan, planId, lay, unit, view, px, done }: Props) {
  const [steps, setSteps] = useState<(readonly Placing[])[]>([lay.placements]);
  const [at, setAt] = useState(0);
  const [said, setSaid] = useState("");
  const held = useRef<{ index: number; x: number; y: number; from: readonly Placing[] } | null>(null);
  const [dragged, setDragged] = useState<readonly Placing[] | null>(null);
  const put = usePutHandLay(order.id, planId);
  const cutting = cuttingOf(plan, lay, order.cloth.one_way);
  const now = dragged ?? steps[at]!;
  const pieces = new Map(plan.pieces.map((piece) => [piece.id, piece]));
  const per = lay.length_mm / reachOf(lay.placements, cutting);
  const length = reachOf(now, cutting) * per;
  const take = (next: readonly Placing[] | null, otherwise = "") => {
    setSaid(next && next !== steps[at] ? "" : otherwise);
    if (!next || next === steps[at]) return;
    setSteps([...steps.slice(0, at + 1), next]);
    setAt(at + 1);
  };
  const keys = (event: KeyboardEvent, index: number) => {
    const key = event.key.toLowerCase();
    if ((event.ctrlKey || event.metaKey) && key === "z") {
      event.preventDefault();
      setAt(event.shiftKey ? Math.min(steps.length - 1, at + 1) : Math.max(0, at - 1));
      return;
    }
    const way = STEP[event.key];
    if (way) {
      const size = event.shiftKey ? 25 : 5;
      take(moved(steps[at]!, index, [way[0] * size, way[1] * size], cutting), "It touches what is in its way.");
    } else if (key === "r") take(turned(steps[at]!, index, "turn", cutting), TURNS.turn);
    else if (key === "f") take(turned(steps[at]!, index, "flip", cutting), TURNS.flip);
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  const grab = (event: PointerEvent<SVGGElement>, index: number) => {
    event.currentTarget.setPointerCapture(event.pointerId);
    held.current = { index, x: event.clientX, y: event.clientY, from: steps[at]! };
  };
  const drag = (event: PointerEvent<SVGGElement>) => {
    if (!held.current) return;
    const { index, x, y, from } = held.current;
    // The picture may be drawn a little smaller than it was reckoned: what counts is how it lies on the screen.
    const scale = 1 / (event.currentTarget.ownerSVGElement?.getScreenCTM()?.a ?? 1 / px);
    setDragged(moved(from, index, [(event.clientX - x) * scale, (event.clientY - y) * scale], cutting));
  };
  const drop = () => {
    if (held.current && dragged) take(dragged);
    held.current = null;
    setDragged(null);
  };
  const apart = length - lay.length_mm;
  return (
    <>
      <Box
        flex="1"
        minHeight="0"
        overflow="hidden"
        css={{ "& g[tabindex]:focus-visible": { outline: "3px solid {colors.marigold}" } }}
      >
        <Cloth section={lay.sections[0]!} colour={order.cloth.colour} unit={unit} view={view} px={px} label="The lay">
          {(draw, line) =>
            now.map((placing, k) => {
              const piece = pieces.get(placing.piece)!;
              const name = pieceName(plan, piece);
              return (
                <chakra.g
                  key={k}
                  tabIndex={0}
                  role="button"
                  aria-label={`${name}, ${text(show(placing.x_mm, unit))} along, ${text(show(placing.y_mm, unit))} across`}
                  cursor="grab"
                  style={{ touchAction: "none" }}
                  pointerEvents="all"
                  onKeyDown={(event: KeyboardEvent) => keys(event, k)}
                  onPointerDown={(event: PointerEvent<SVGGElement>) => grab(event, k)}
                  onPointerMove={drag}
                  onPointerUp={drop}
                  onPointerCancel={drop}
                >
                  <PieceOn
                    darts={dartsOf(plan, piece)}
                    piece={piece}
                    placing={placing}
                    draw={draw}
                    line={line}
                    px={px}
                    state="done"
                    label={name}
                  />
                </chakra.g>
              );
            })
          }
        </Cloth>
      </Box>
      <Box display="flex" gap="8" alignItems="center" flexWrap="wrap" marginTop="8">
        <Press disabled={at === 0} onClick={() => setAt(at - 1)}>
          Undo
        </Press>
        <Press disabled={at === steps.length - 1} onClick={() => setAt(at + 1)}>
          Redo
        </Press>
        <Press
          kind="main"
          disabled={at === 0 || put.isPending}
          onClick={() => put.mutate([...steps[at]!], { onSuccess: () => done(true) })}
        >
          Keep this lay
        </Press>
        <Press onClick={() => done(false)}>Leave it as it was</Press>
        <span role="status">
          <b>Length {text(show(length, unit))}</b>
          {Math.abs(apart) > 0.5 && `, ${text(show(Math.abs(apart), unit))} ${apart > 0 ? "longer" : "shorter"}`}
          {said && `. ${said}`}
        </span>
      </Box>
      <chakra.p color="ink2" fontSize="15px">
        Drag a piece, or go to it with Tab: arrows move it, with Shift further; R turns it, F flips it; Ctrl Z undoes.
      </chakra.p>
      {put.error && <Says tone="wrong">{inWords(put.error)}</Says>}
    </>
  );
}

const TURNS = {
  turn: "There is no room to turn it here, or the cloth has one way.",
  flip: "There is no room to flip it here, or it would come out mirrored.",
};
