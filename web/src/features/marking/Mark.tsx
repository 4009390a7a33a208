import { Box, chakra } from "@chakra-ui/react";
import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import { useSearchParams } from "react-router";
import { type Chalk, useTick } from "../../api/chalk";
import type { Order } from "../../api/orders";
import type { Cut, Mark as Call, Plan } from "../../api/plans";
import { useMay } from "../../api/session";
import type { XY } from "../../drawing/frame";
import { outfitOf, pieceName } from "../../drawing/names";
import type { Unit } from "../../lengths/units";
import { announce } from "../../ui/announce";
import { useAwake } from "../../ui/awake";
import { useKeys } from "../../ui/keys";
import { Findings } from "../../ui/findings";
import { Ledger } from "../../ui/ledger";
import { Later } from "../../ui/later";
import { OwnNumber } from "../../ui/ownNumber";
import { Press } from "../../ui/press";
import { useTall, useWide } from "../../ui/size";
import { Says } from "../../ui/words";
import { AllCalls } from "./AllCalls";
import { sentence, useAloud } from "./aloud";
import { Chalked } from "./Chalked";
import { Controls } from "./Controls";
import { Hidden } from "./Hidden";
import { Figure, FromTo, Heading, Why } from "./Said";
import { Fold, Refold, sectionAt, under } from "./Section";
import { Table } from "./Table";
import { Tools } from "./Tools";
import { words } from "./words";

type MarkProps = {
  order: Order;
  cut: Cut;
  plan: Plan;
  /** The plan that is shown, and what the order as it stands has otherwise. */
  made: { id: string; stamp: string; newer: string[] };
  chalk: Chalk | null;
  /** How often it was rubbed out before. */
  earlier: number;
  turn: (unit: Unit) => void;
};

/**
 * The heart: the folded cloth, and the calls one after the other, each with its tape from the datum to the mark.
 * `turn` fetches the plan in another unit: number and sum change together. From the first call that is ticked on, the
 * plan does not move.
 */
export function Mark({ order, cut, plan, made, chalk, earlier, turn }: MarkProps) {
  const [query] = useSearchParams();
  const wide = useWide();
  const tall = useTall();
  const may = useMay();
  const [far, setFar] = useState(false);
  const [hidden, setHidden] = useState(false);
  const [list, setList] = useState(false);
  const [zoom, setZoom] = useState(1);
  const [control, setControl] = useState<[XY, XY] | null>(null);
  const unit = plan.unit as Unit;
  const marks = plan.marks;
  const place = `call:${order.cloth.id}${plan.clients ? ":all" : ""}`;
  const ticked = new Set(chalk?.ticked);
  const [call, setCall] = useState(
    () => Number(query.get("call") ?? stopped(chalk, marks.length) ?? localStorage.getItem(place) ?? 1) || 1,
  );
  const at = Math.min(Math.max(call, 1), marks.length);
  const mark = marks[at - 1]!;
  const section = sectionAt(plan, at);
  // Only what can be worked out from the measures is hidden.
  const unseen = hidden && mark.by_hand;
  const practises = hidden && mark.shown && <Hidden key={mark.n} mark={mark} made={made} unit={unit} />;
  const chalks = may("chalk") && !chalk?.cut_at;
  const tick = useTick(order.id, cut, { plan: made.id, stamp: made.stamp });
  const put = (chalked: boolean) => {
    const says = `${order.title}, call ${at}: ${mark.name.toLowerCase()}${chalked ? "" : ", rubbed out"}`;
    tick.mutate({ id: crypto.randomUUID(), call: at, chalked, says });
  };
  const drawing = useRef<HTMLDivElement>(null);
  useEffect(() => drawing.current?.focus({ preventScroll: true }), []);
  useEffect(() => localStorage.setItem(place, String(at)), [at, place]);
  const [rate, setRate, able] = useAloud(sentence(mark, unit, unseen));
  useEffect(
    () => announce(`${sentence(mark, unit, unseen)}${mark.waits ? ` ${words.waits}` : ""}`),
    [mark, unit, unseen],
  );
  useAwake();
  const act = (does: string) => {
    if (does === "chalked" && chalks && !ticked.has(at)) put(true);
    setControl(null);
    if (does === "next" || does === "chalked") setCall(Math.min(at + 1, marks.length));
    if (does === "tick" && chalks) put(!ticked.has(at));
    if (does === "previous") setCall(Math.max(at - 1, 1));
    if (does === "first") setCall(1);
    if (does === "last") setCall(marks.length);
    if (does === "far") setFar((was) => !was);
    if (does === "hide") setHidden((was) => !was);
    if (does === "all") setList((was) => !was);
    if (does === "unit") turn(unit === "in" ? "cm" : "in");
    if (does === "closer") setZoom((was) => Math.min(6, was * 1.4));
    if (does === "further") setZoom((was) => Math.max(0.4, was / 1.4));
    if (does === "whole") setZoom(1);
    if (does === "aloud" && able) setRate(rate === null ? 1 : null);
  };
  useKeys("mark", act);
  const acts = useRef(act);
  useEffect(() => {
    acts.current = act;
  });
  // The same ones at every call, so that only what a call changes is drawn anew.
  const tool = useCallback((does: string) => acts.current(does), []);
  const outfit = outfitOf(plan, mark.garment);
  const ofOutfit = useCallback((row: Plan["ledger"][number]) => outfitOf(plan, row.garment) === outfit, [plan, outfit]);
  const of = useMemo(() => ({ plan: made.id }), [made.id]);
  const goTo = (call: number) => {
    setControl(null);
    setCall(call);
  };
  const [aloud, done] = [rate !== null, ticked.has(at)];
  const pressed = useMemo(
    () => ({ far, hide: hidden, all: list, aloud, tick: done }),
    [far, hidden, list, aloud, done],
  );
  const hands = { act: tool, pressed, rate, setRate, able, chalks };
  const tools = <Tools {...hands} />;
  const table = { order, plan, mark, at, unit, ticked: chalk ? ticked : null, control };
  const next = marks[at];
  const endOfPiece = next?.garment !== mark.garment || next.panel !== mark.panel;
  const warnings = (
    <>
      {at === 1 && !section && <chakra.p color="ink2">{words.noLay}</chakra.p>}
      {section && sectionAt(plan, at - 1) !== section && (wide || at > 1) && (
        <Refold plan={plan} section={section} unit={unit} />
      )}
      {under(plan, at) && <Says tone="plain">{words.under}</Says>}
      {tick.error && <Says tone="wrong">{tick.error.message}</Says>}
      {endOfPiece && chalk && <Controls {...{ plan, chalk, mark, unit }} reads={chalks} show={setControl} go={goTo} />}
      {at === marks.length && <Left marks={marks} ticked={ticked} chalks={chalks} go={setCall} />}
    </>
  );
  const chalked = <Chalked order={order.id} {...{ cut, plan, chalk, earlier, at }} newer={made.newer} go={setCall} />;

  const last = at === marks.length;
  const buttons = (
    <Box display="flex" gap="8">
      <Press flex="1" minHeight="64px" paddingInline="8" disabled={at === 1} onClick={() => act("previous")}>
        {words.previous}
      </Press>
      <Press
        flex="1.4"
        minHeight="64px"
        paddingInline="8"
        kind="main"
        disabled={last && (!chalks || ticked.has(at))}
        onClick={() => act("chalked")}
      >
        {!chalks || ticked.has(at) ? words.next : last ? words.chalkedLast : words.chalked}
      </Press>
    </Box>
  );
  if (far) {
    return (
      <Box height="100%" padding="24" display="flex" flexDirection="column" background="sheet" overflowY="auto">
        {chalked}
        <Heading plan={plan} mark={mark} ticked={ticked.has(at)} />
        <chakra.h1 fontSize="48px" fontWeight={600}>
          {mark.name}
        </chakra.h1>
        <chakra.p fontSize={{ base: "120px", md: "min(240px, 25vh)" }} fontWeight={800} lineHeight="1" data-call>
          <Figure mark={mark} hidden={unseen} unit={unit} />
        </chakra.p>
        <FromTo mark={mark} size="min(64px, 8vh)" />
        {practises}
        <Box display="flex" gap="16" flexWrap="wrap" alignItems="center" marginBlock="16">
          <Box width="420px" maxWidth="100%" height="120px">
            <Table {...table} zoom={1} upright={false} whole />
          </Box>
          <Tools {...hands} shown={["far", "tick", "hide", "unit", "aloud"]} />
        </Box>
        {mark.waits && <Says tone="plain">{words.waits}</Says>}
        {warnings}
        <Box marginTop="auto" position="sticky" bottom="-24px" background="sheet" paddingBlock="8">
          {buttons}
        </Box>
      </Box>
    );
  }
  return (
    <Box height="100%" display="flex" flexDirection={{ base: "column", md: "row" }} minHeight="0">
      <Box
        flex={{ base: "0 0 40%", md: "1" }}
        minWidth="0"
        minHeight="0"
        display="flex"
        flexDirection="column"
        padding={{ base: "4", md: "16" }}
      >
        {wide && (
          <Box display="flex" justifyContent="space-between" gap="16" marginBottom="8" fontSize="17px" flexWrap="wrap">
            <span>
              <b>{pieceName(plan, mark)}</b> <chakra.span color="ink2">{order.title}</chakra.span>
            </span>
            <Fold section={section} unit={unit} />
          </Box>
        )}
        {list ? (
          <AllCalls
            marks={marks}
            ticked={ticked}
            name={(one) => pieceName(plan, one)}
            card={`/orders/${order.id}/calls${query.get("cloth") ? `?cloth=${query.get("cloth")}` : ""}`}
            at={at}
            unit={unit}
            go={setCall}
            close={() => setList(false)}
          />
        ) : (
          <Box
            ref={drawing}
            flex="1"
            minHeight="0"
            tabIndex={0}
            aria-label="Drawing"
            borderRadius="cut"
            _focusVisible={{ outline: "1px dashed {colors.edge}", outlineOffset: "-1px" }}
          >
            <Later>{mark.cloth_mm ? <Table {...table} zoom={zoom} upright={!wide || tall} /> : words.noLay}</Later>
          </Box>
        )}
        {wide && tools}
      </Box>
      <Box
        as="aside"
        aria-label="The call"
        background="sheet"
        borderLeft={{ md: "1px solid {colors.hairline}" }}
        width={{ md: "margin" }}
        flex={{ base: "1", md: "0 0 auto" }}
        display="flex"
        flexDirection="column"
        minHeight="0"
      >
        <Box flex="1" minHeight="0" overflowY="auto" padding="16" paddingTop={{ base: "8", md: "16" }}>
          {wide && chalked}
          <Heading plan={plan} mark={mark} ticked={ticked.has(at)} />
          <chakra.h1 fontSize={{ base: "28px", md: "36px" }} fontWeight={600} lineHeight="1.15">
            {mark.name}
          </chakra.h1>
          <chakra.p
            fontSize={{ base: "72px", md: "112px" }}
            fontWeight={800}
            lineHeight="1.12"
            letterSpacing="-0.02em"
            data-call
          >
            <Figure mark={mark} hidden={unseen} unit={unit} bare />
          </chakra.p>
          <FromTo mark={mark} />
          {practises}
          {wide ? (
            <Why mark={mark} hidden={unseen} />
          ) : (
            <details>
              <summary>Why, and what else</summary>
              <Why mark={mark} hidden={unseen} />
              {tools}
            </details>
          )}
          {!wide && chalked}
          {warnings}
          {wide && (
            <Box marginTop="16">
              <Later>
                <Ledger plan={plan} unit={unit} only={ofOutfit} />
                <OwnNumber plan={plan} of={of} unit={unit} />
                {at === marks.length && <Findings plan={plan} />}
              </Later>
            </Box>
          )}
        </Box>
        <Box padding="12" borderTop="1px solid {colors.hairline}">
          {buttons}
        </Box>
      </Box>
    </Box>
  );
}

/** Where somebody goes on: at the first call after one's own last tick, else after the last one, that is not chalked. */
function stopped(chalk: Chalk | null, calls: number): number | undefined {
  if (!chalk) return undefined;
  const ticked = new Set(chalk.ticked);
  const mine = chalk.places.find((one) => one.mine)?.call ?? Math.max(0, ...chalk.ticked);
  for (let n = mine; n <= calls; n++) if (n > 0 && !ticked.has(n)) return n;
  return calls;
}

/** At the last call: all is chalked, or what is left. */
function Left(props: { marks: Call[]; ticked: Set<number>; chalks: boolean; go: (n: number) => void }) {
  const left = props.chalks ? props.marks.filter((one) => !props.ticked.has(one.n)) : [];
  if (left.length > 1) {
    return (
      <Says tone="plain">
        {left.length} calls are not ticked yet.{" "}
        <Press kind="quiet" onClick={() => props.go(left[0]!.n)}>
          To the first of them
        </Press>
      </Says>
    );
  }
  return (
    <chakra.p color="moss" fontWeight={600} marginTop="12">
      {left.length ? words.lastOne : words.done}
    </chakra.p>
  );
}
