import { Box, chakra } from "@chakra-ui/react";
import { useEffect, useRef, useState } from "react";
import { useSearchParams } from "react-router";
import type { Order } from "../../api/orders";
import type { Mark as Call, Plan } from "../../api/plans";
import { outfitOf, pieceName } from "../../drawing/names";
import type { Unit } from "../../lengths/units";
import { useAwake } from "../../ui/awake";
import { useKeys } from "../../ui/keys";
import { Length } from "../../ui/length";
import { Findings } from "../../ui/findings";
import { Ledger } from "../../ui/ledger";
import { OwnNumber } from "../../ui/ownNumber";
import { Press } from "../../ui/press";
import { useWide } from "../../ui/size";
import { Says } from "../../ui/words";
import { sentence, useAloud } from "./aloud";
import { Table } from "./Table";
import { Tools } from "./Tools";
import { words } from "./words";

type MarkProps = { order: Order; plan: Plan; planId: string; turn: (unit: Unit) => void };

/**
 * The heart: the folded cloth, and the calls one after the other, each with its tape from the datum to the mark.
 * `turn` fetches the plan in another unit: number and sum change together.
 */
export function Mark({ order, plan, planId, turn }: MarkProps) {
  const [query] = useSearchParams();
  const wide = useWide();
  const [far, setFar] = useState(false);
  const [hidden, setHidden] = useState(false);
  const [list, setList] = useState(false);
  const [zoom, setZoom] = useState(1);
  const unit = plan.unit as Unit;
  const marks = plan.marks;
  const place = `call:${order.cloth.id}${plan.clients ? ":all" : ""}`;
  const [call, setCall] = useState(() => Number(query.get("call") ?? localStorage.getItem(place) ?? 1) || 1);
  const at = Math.min(Math.max(call, 1), marks.length);
  const mark = marks[at - 1]!;
  const section = sectionAt(plan, at);
  const drawing = useRef<HTMLDivElement>(null);
  useEffect(() => drawing.current?.focus({ preventScroll: true }), []);
  useEffect(() => localStorage.setItem(place, String(at)), [at, place]);
  const [rate, setRate, able] = useAloud(sentence(mark, unit, hidden));
  useAwake();
  const act = (does: string) => {
    if (does === "next") setCall(Math.min(at + 1, marks.length));
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
  const hands = { act, pressed: { far, hide: hidden, all: list, aloud: rate !== null }, rate, setRate, able };
  const tools = <Tools {...hands} />;
  const warnings = (
    <>
      {at === 1 && !section && <chakra.p color="ink2">{words.noLay}</chakra.p>}
      {section && sectionAt(plan, at - 1) !== section && (wide || at > 1) && (
        <Refold plan={plan} section={section} unit={unit} />
      )}
      {under(plan, at) && <Says tone="plain">{words.under}</Says>}
      {at === marks.length && (
        <chakra.p color="moss" fontWeight={600} marginTop="12">
          {words.done}
        </chakra.p>
      )}
    </>
  );

  const buttons = (
    <Box display="flex" gap="8">
      <Press flex="1" minHeight="64px" paddingInline="8" disabled={at === 1} onClick={() => setCall(at - 1)}>
        {words.previous}
      </Press>
      <Press
        flex="1"
        minHeight="64px"
        paddingInline="8"
        kind="main"
        disabled={at === marks.length}
        onClick={() => setCall(at + 1)}
      >
        {words.next}
      </Press>
    </Box>
  );
  if (far) {
    return (
      <Box height="100%" padding="24" display="flex" flexDirection="column" background="sheet">
        <Heading plan={plan} mark={mark} />
        <chakra.h1 fontSize="48px" fontWeight={600}>
          {mark.name}
        </chakra.h1>
        <chakra.p fontSize={{ base: "120px", md: "240px" }} fontWeight={800} lineHeight="1" data-call>
          <Figure mark={mark} hidden={hidden} unit={unit} />
        </chakra.p>
        <FromTo mark={mark} size="32px" />
        <Box display="flex" gap="16" flexWrap="wrap" alignItems="center" marginBlock="16">
          <Box width="420px" maxWidth="100%" height="120px">
            <Table order={order} plan={plan} mark={mark} at={at} zoom={1} unit={unit} upright={false} whole />
          </Box>
          <Tools {...hands} shown={["far", "hide", "unit", "aloud"]} />
        </Box>
        {mark.waits && <Says tone="plain">{words.waits}</Says>}
        {warnings}
        <Box marginTop="auto">{buttons}</Box>
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
            {mark.cloth_mm ? (
              <Table order={order} plan={plan} mark={mark} at={at} zoom={zoom} unit={unit} upright={!wide} />
            ) : (
              words.noLay
            )}
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
          <Heading plan={plan} mark={mark} />
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
            <Figure mark={mark} hidden={hidden} unit={unit} bare />
          </chakra.p>
          {hidden ? <chakra.p color="ink2">{words.hidden}</chakra.p> : <FromTo mark={mark} />}
          {wide ? (
            <Why mark={mark} hidden={hidden} />
          ) : (
            <details>
              <summary>Why, and what else</summary>
              <Why mark={mark} hidden={hidden} />
              {tools}
            </details>
          )}
          {warnings}
          {wide && (
            <Box marginTop="16">
              <Ledger
                plan={plan}
                unit={unit}
                only={(row) => outfitOf(plan, row.garment) === outfitOf(plan, mark.garment)}
              />
              <OwnNumber plan={plan} of={{ plan: planId }} unit={unit} />
              {at === marks.length && <Findings plan={plan} />}
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

/** Which call of which piece: a long outfit is followed piece by piece. */
function Heading({ plan, mark }: { plan: Plan; mark: Call }) {
  const key = (one: Call) => `${one.garment}.${one.panel}`;
  const mine = plan.marks.filter((one) => key(one) === key(mark));
  const pieces = [...new Set(plan.marks.map(key))];
  return (
    <chakra.p color="ink2" fontSize="16px" aria-live="polite" data-call-n={mark.n} data-calls={plan.marks.length}>
      Call {mine.indexOf(mark) + 1} of {mine.length}, {pieceName(plan, mark).toLowerCase()}; piece{" "}
      {pieces.indexOf(key(mark)) + 1} of {pieces.length}
    </chakra.p>
  );
}

/** The number of a call, or what is done where it has none. */
function Figure({ mark, hidden, unit, bare }: { mark: Call; hidden: boolean; unit: Unit; bare?: boolean }) {
  if (!mark.shown) return <chakra.span fontSize="0.6em">{words.does[mark.kind]}</chakra.span>;
  return hidden ? "?" : <Length mm={mark.reads_mm} unit={unit} bare={bare} />;
}

function FromTo({ mark, size = "24px" }: { mark: Call; size?: string }) {
  return (
    <chakra.p fontSize={{ base: "20px", md: size }} lineHeight="1.3">
      {mark.from && (
        <>
          from <b>{mark.from}</b>,{" "}
        </>
      )}
      {mark.along}
    </chakra.p>
  );
}

function Why({ mark, hidden }: { mark: Call; hidden: boolean }) {
  return (
    <Box marginTop="12" fontSize="17px">
      {!hidden && mark.shown && (
        <Box background="well" padding="8" paddingInline="12" borderRadius="cut">
          <p>{mark.formula}</p>
          <chakra.p fontWeight={600}>
            {mark.with} {mark.exact ? "=" : "≈"} {mark.shown}
          </chakra.p>
        </Box>
      )}
      <chakra.p color="ink2" marginTop="8" fontSize="16px">
        {mark.reason}
      </chakra.p>
      {mark.waits && (
        <chakra.p color="madder" marginTop="8">
          {words.waits}
        </chakra.p>
      )}
    </Box>
  );
}

type Section = NonNullable<Plan["lay"]>["sections"][number];

/** The section of the cloth that a call is chalked on. */
function sectionAt(plan: Plan, call: number): Section | undefined {
  const placing = plan.marks[call - 1]?.placing;
  return placing == null ? undefined : plan.lay?.sections[plan.lay.placements[placing]!.section];
}

/** Whether this is the first call on a piece that is under another layer. */
function under(plan: Plan, call: number): boolean {
  const placing = plan.marks[call - 1]?.placing;
  if (placing == null || plan.marks[call - 2]?.placing === placing) return false;
  return plan.lay?.placements[placing]?.under ?? false;
}

/** How the cloth is folded before its first call; in sections, what is cut off first. */
function Refold({ plan, section, unit }: { plan: Plan; section: Section; unit: Unit }) {
  const { sections } = plan.lay!;
  const number = sections.indexOf(section);
  return (
    <Box color={number ? "ink" : "ink2"} fontSize="16px" marginTop="12" data-refold={section.part}>
      {sections.length > 1 && (
        <p>
          <b>
            Section {number + 1} of {sections.length}, {section.cut.toLowerCase()}:{" "}
            <Length mm={section.to_mm - section.from_mm} unit={unit} /> of cloth.
          </b>{" "}
          {number > 0 && words.cutOff}
        </p>
      )}
      <p>
        {section.say} {section.layers.length === 1 ? words.open : words.folded}
      </p>
    </Box>
  );
}

function Fold({ section, unit }: { section: Section | undefined; unit: Unit }) {
  if (!section) return null;
  return (
    <chakra.span color="ink2">
      {section.name}, <Length mm={section.depth_mm} unit={unit} /> deep
    </chakra.span>
  );
}

function AllCalls(props: {
  marks: Call[];
  name: (mark: Call) => string;
  card: string;
  at: number;
  unit: Unit;
  go: (n: number) => void;
  close: () => void;
}) {
  return (
    <Box flex="1" minHeight="0" overflowY="auto">
      <Box display="flex" gap="16" alignItems="center">
        <Press onClick={props.close}>{words.drawing}</Press>
        <chakra.a href={props.card} target="_blank" color="dye" textDecoration="underline">
          Print all calls
        </chakra.a>
      </Box>
      <chakra.table
        width="100%"
        fontSize="16px"
        marginTop="8"
        css={{ "& td": { paddingInline: "8", paddingBlock: "4" } }}
      >
        <caption>{words.all}</caption>
        <tbody>
          {props.marks.map((mark) => (
            <chakra.tr
              key={mark.n}
              background={mark.n === props.at ? "marigold" : undefined}
              color={mark.n === props.at ? "onMarigold" : undefined}
            >
              <td>{mark.n}</td>
              <td>{props.name(mark)}</td>
              <td>
                <chakra.button
                  textDecoration="underline"
                  minHeight="32px"
                  textAlign="left"
                  cursor="pointer"
                  onClick={() => props.go(mark.n)}
                >
                  {mark.name}
                </chakra.button>
              </td>
              <chakra.td textAlign="right" fontWeight={600} whiteSpace="nowrap">
                {mark.shown && <Length mm={mark.reads_mm} unit={props.unit} />}
              </chakra.td>
              <td>
                {mark.from && `from ${mark.from}, `}
                {mark.along}
              </td>
            </chakra.tr>
          ))}
        </tbody>
      </chakra.table>
    </Box>
  );
}
