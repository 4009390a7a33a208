import { Box, chakra } from "@chakra-ui/react";
import { Suspense, useEffect, useMemo, useRef, useState } from "react";
import { Link, useNavigate, useParams, useSearchParams } from "react-router";
import { type Chalk, frozenBy, useChalk } from "../api/chalk";
import { useTakenAlong } from "../api/along";
import { Refused } from "../api/client";
import { useMay, useMe } from "../api/session";
import { type Order, type Station as Key, useLife, useOrder } from "../api/orders";
import { type Cut, type Plan, usePlan } from "../api/plans";
import { back, useUndo } from "../api/undo";
import { useOwnSearch } from "../api/searches";
import { type Unit, withUnit } from "../lengths/units";
import { Chips } from "../ui/chips";
import { useKeys } from "../ui/keys";
import { Unworkable } from "../ui/findings";
import { Press } from "../ui/press";
import { moment } from "../ui/day";
import { Length } from "../ui/length";
import { useWide } from "../ui/size";
import { useKeptFocus } from "../ui/focus";
import { Later } from "../ui/later";
import { useTitle } from "../ui/title";
import { Says } from "../ui/words";
import { early } from "./early";
import { Keys } from "./Keys";
import { NoGarment } from "./NoGarment";
import { Stations, STATIONS } from "./Stations";
import { Unseen } from "../ui/unseen";
import { Way } from "../ui/way";

const Measure = early(() => import("../features/measuring/Measure").then((m) => m.Measure));
const Design = early(() => import("../features/design/Design").then((m) => m.Design));
const ClothStation = early(() => import("../features/cloth/ClothStation").then((m) => m.ClothStation));
const Mark = early(() => import("../features/marking/Mark").then((m) => m.Mark));
const LayStation = early(() => import("../features/lay/LayStation").then((m) => m.LayStation));
const Check = early(() => import("../features/check/Check").then((m) => m.Check));
const Sewing = early(() => import("../features/sewing/Sewing").then((m) => m.Sewing));
const Fitting = early(() => import("../features/fitting/Fitting").then((m) => m.Fitting));
const Confirm = early(() => import("../features/check/Confirm").then((m) => m.Confirm));

/** Their scripts come while the order does. */
const PAGES: Record<string, { begin: () => void }> = {
  measure: Measure,
  design: Design,
  cloth: ClothStation,
  mark: Mark,
  lay: LayStation,
  check: { begin: () => (Check.begin(), Confirm.begin()) },
  sewing: Sewing,
  fitting: Fitting,
};

/** Where what is cut from another cloth has a plan of its own, and where all of a group can be seen on one. */
const TWO_CLOTHS = ["cloth", "mark", "lay"];
const ALL = ["mark", "lay"];

/** Where a shorter lay is looked for by itself. */
const ABOUT_CLOTH = ["cloth", "lay", "mark"];

/** Where what is changed can be taken back. */
const CHANGED = ["design", "cloth"];

/** What is there before the plan is. */
const BEFORE_PLAN = ["measure", "design", "cloth", "fitting"];

/** Where the drawing says where one is: its heading is only heard. */
const NO_HEADING = ["design", "cloth", "lay"];

/** Where the plan is read that is chalked: what is cut is sewn. */
const CHALKED = ["mark", "check", "sewing"];

/** The cloths whose plan a station can show. */
function cutsOf(order: Order | undefined, station: string, unit: Unit): { value: Cut; label: string }[] {
  if (!order) return [];
  const name = ({ kind, width }: Order["cloth"]) => `${kind}, ${withUnit(width, unit)} wide`;
  const cuts: { value: Cut; label: string }[] = [{ value: "main", label: name(order.cloth) }];
  if (order.other_cloth && TWO_CLOTHS.includes(station)) cuts.push({ value: "other", label: name(order.other_cloth) });
  if (order.group > 1 && ALL.includes(station)) cuts.push({ value: "all", label: `All ${order.group} on one cloth` });
  return cuts;
}

/** The right that changing a station takes. */
const NEEDS: Record<string, string> = { measure: "measure", design: "orders", cloth: "orders" };

/** Which stations have something wrong: from what cannot be worked with, or from what a check found. */
function knotsOf(plan: Plan | undefined, error: Error | null): Set<string> {
  if (error instanceof Refused) return new Set(error.problems.map((one) => one.station ?? ""));
  const stops = plan?.findings.filter((finding) => finding.weight === "stop") ?? [];
  return new Set(stops.flatMap((finding) => [finding.station || "check", "check"]));
}

/** One order, station by station. */
export function Job() {
  const { id = "", station = "measure" } = useParams();
  const order = useOrder(id);
  const may = useMay();
  const needs = NEEDS[station];
  const [query, ask] = useSearchParams();
  const cuts = cutsOf(order.data, station, (useMe().data?.unit ?? "in") as Unit);
  const cut = cuts.find((one) => one.value === query.get("cloth"))?.value ?? "main";
  const [unit, setUnit] = useState<"" | Unit>("");
  const byChalk = CHALKED.includes(station);
  const answer = useChalk(id, cut, byChalk);
  const { chalk = null, earlier = 0 } = answer.data ?? {};
  // What is chalked does not move: there the plan is read that was frozen by the first tick.
  const frozen = byChalk ? frozenBy(chalk) : "";
  // Only Mark turns the unit; everywhere else it is the workshop's.
  const plan = usePlan(id, cut, station === "mark" ? unit : "", frozen, !byChalk || !answer.isPending);
  useOwnSearch(id, plan.data, ABOUT_CLOTH.includes(station) && !frozen && may("lays"));
  useTakenAlong(order.data);
  useEffect(() => PAGES[station]?.begin(), [station]);
  // Another station: the keyboard goes on there, unless the station has a place of its own for it.
  const sheet = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (!sheet.current?.contains(document.activeElement)) sheet.current?.focus({ preventScroll: true });
  }, [station]);
  useKeptFocus(sheet);
  useTitle(
    [STATIONS.find((one) => one.key === station)?.name, order.data?.client.name, order.data?.title]
      .filter(Boolean)
      .join(", "),
  );
  const wide = useWide();
  const onward = useNavigate();
  const life = useLife(id);
  const pass = (station: Key) => may("steps") && life.pass.mutate(station);
  const [keys, setKeys] = useState(false);
  const [list, setList] = useState(false);
  useKeys("job", (does, key) => {
    if (does === "keys") setKeys((was) => !was);
    const to = STATIONS[Number(key) - 1];
    if (does === "station" && to) void onward(`/orders/${id}/${to.key}`);
  });
  const drawn = plan.isError ? undefined : plan.data?.plan;
  const knots = useMemo(() => knotsOf(drawn, plan.error), [drawn, plan.error]);
  if (order.isPending) return <Box padding="24">Fetching the order…</Box>;
  if (order.isError) {
    return (
      <Box padding="24">
        <Says tone="wrong">{order.error.message}</Says> <Way to="/">Back to the Bench</Way>
      </Box>
    );
  }
  if (!order.data.garments.length) return <NoGarment order={id} />;
  const at = STATIONS.findIndex((one) => one.key === station);
  const { passed, measured } = order.data;
  const left = STATIONS.findIndex((one) => !passed.includes(one.key) && !(measured && one.key === "measure"));
  const reached = left < 0 ? STATIONS.length - 1 : left;
  // What is worked at with one hand fills a small screen; of all others the page is as long as what it holds.
  const inHand = station === "mark" || station === "measure";
  const stations = <Stations order={id} at={at} reached={reached} knots={knots} />;
  return (
    <Box height="100%" display="flex" flexDirection="column">
      {wide ? (
        <Box padding="8" paddingBottom="0" display="flex" gap="8">
          {stations}
          {CHANGED.includes(station) && <Undo order={id} />}
          <Way to={`/orders/${id}/files`} minHeight="56px" paddingInline="8">
            Files
          </Way>
          <Onward order={id} at={at} pass={pass} />
        </Box>
      ) : (
        <Box display="flex" alignItems="center" gap="8" height="48px" paddingInline="8" background="well">
          <Way to="/">Bench</Way>
          <chakra.span
            flex="1"
            textAlign="center"
            whiteSpace="nowrap"
            overflow="hidden"
            textOverflow="ellipsis"
            fontWeight={600}
          >
            <bdi>{order.data.client.name}</bdi>
          </chakra.span>
          <Press kind="quiet" minWidth="48px" minHeight="44px" aria-expanded={list} onClick={() => setList(!list)}>
            {STATIONS[at]?.name}
          </Press>
        </Box>
      )}
      {!wide && list && (
        <chakra.ul listStyleType="none" background="sheet" padding="8" borderBottom="1px solid {colors.edge}">
          {STATIONS.map((one, k) => (
            <chakra.li key={one.key} minHeight="48px" display="flex" alignItems="center">
              <Way to={`/orders/${id}/${one.key}`} onClick={() => setList(false)}>
                {k + 1} {one.name}
              </Way>
            </chakra.li>
          ))}
          <chakra.li minHeight="48px" display="flex" alignItems="center">
            <Way to={`/orders/${id}/files`}>Files</Way>
          </chakra.li>
        </chakra.ul>
      )}
      {keys && <Keys close={() => setKeys(false)} />}
      <Box flex="1" minHeight="0" display="flex" flexDirection="column" overflowY={{ base: "auto", md: "visible" }}>
        {needs && !may(needs) && (
          <Says tone="plain">
            You may look at this. Changing it is for {needs === "orders" ? "a cutter" : "who measures"} or the owner.
          </Says>
        )}
        {chalk?.cut_at && !byChalk && drawn?.lay && (
          <Says tone="plain">
            It was cut on {moment(chalk.cut_at)} by {chalk.cut_by}. What is changed here does not change that cloth:
            cutting it anew takes <Length mm={drawn.lay.length_mm} unit={drawn.unit as Unit} />.
          </Says>
        )}
        {cuts.length > 1 && (
          <Box padding="16" paddingBottom="0">
            <Chips
              legend="Cut from"
              value={cut}
              options={cuts}
              onChoose={(to) => ask(to === "main" ? {} : { cloth: to }, { replace: true })}
            />
          </Box>
        )}
        {NO_HEADING.includes(station) && (
          <Unseen as="h1">
            {STATIONS[at]?.name}, {order.data.title}
          </Unseen>
        )}
        <Box
          ref={sheet}
          id="station"
          flex={{ base: inHand ? "1" : "1 0 auto", md: "1" }}
          minHeight={{ base: inHand ? "0" : "auto", md: "0" }}
          tabIndex={-1}
          outline="none"
        >
          <Suspense fallback={<Box padding="24">One moment…</Box>}>
            <Later key={`${station} ${cut} ${drawn || BEFORE_PLAN.includes(station) ? "" : "waits"}`}>
              <Station
                station={station}
                order={
                  cut === "other"
                    ? { ...order.data, cloth: order.data.other_cloth!, shelf: null, cut: null }
                    : order.data
                }
                plan={drawn}
                planId={plan.data?.id ?? ""}
                error={plan.error}
                cut={cut}
                made={plan.data && { ...plan.data, newer: plan.data.newer ?? [] }}
                chalk={chalk}
                earlier={earlier}
                turn={setUnit}
              />
            </Later>
          </Suspense>
        </Box>
        {!wide && !inHand && (
          <Box padding="12" display="flex">
            <Onward order={id} at={at} pass={pass} />
          </Box>
        )}
      </Box>
    </Box>
  );
}

/** The last change taken back, or put again; also by Ctrl Z and Ctrl Shift Z. */
function Undo({ order }: { order: string }) {
  const { canUndo, canRedo } = useUndo(order);
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      const typing = event.target instanceof HTMLElement && event.target.closest("input:not([type=radio]), textarea");
      if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== "z" || typing) return;
      event.preventDefault();
      void back(order, event.shiftKey ? "redo" : "undo").catch(() => undefined);
    };
    window.addEventListener("keydown", listen);
    return () => window.removeEventListener("keydown", listen);
  }, [order]);
  if (!canUndo && !canRedo) return null;
  return (
    <>
      <Press minHeight="56px" disabled={!canUndo} onClick={() => void back(order, "undo").catch(() => undefined)}>
        Undo
      </Press>
      <Press minHeight="56px" disabled={!canRedo} onClick={() => void back(order, "redo").catch(() => undefined)}>
        Redo
      </Press>
    </>
  );
}

/** To the next station; from the last one back to the bench. */
function Onward({ order, at, pass }: { order: string; at: number; pass: (station: Key) => unknown }) {
  const [here, next] = [STATIONS[at], STATIONS[at + 1]];
  return (
    <chakra.span
      data-screen
      css={{
        "& a": {
          display: "flex",
          alignItems: "center",
          justifyContent: "center",
          minHeight: "56px",
          paddingInline: "16px",
          border: "1.5px solid {colors.dye}",
          borderRadius: "cut",
          background: "sheet",
          color: "dye",
          fontWeight: 600,
          whiteSpace: "nowrap",
          textDecoration: "none",
        },
      }}
      flex={{ base: "1", md: "0 0 auto" }}
    >
      <Link to={next ? `/orders/${order}/${next.key}` : "/"} onClick={() => here && pass(here.key)}>
        {next ? `Next: ${next.name}` : "To the Bench"}
      </Link>
    </chakra.span>
  );
}

type Made = { id: string; stamp: string; newer: string[]; searched: string };
type StationProps = {
  station: string;
  order: Order;
  plan: Plan | undefined;
  planId: string;
  error: Error | null;
  cut: Cut;
  made: Made | undefined;
  chalk: Chalk | null;
  earlier: number;
  turn: (unit: Unit) => void;
};

function Station({ station, order, plan, planId, error, cut, made, chalk, earlier, turn }: StationProps) {
  if (station === "measure") return <Measure order={order} plan={plan} error={error} />;
  if (station === "design") return <Design order={order} plan={plan} planId={planId} error={error} />;
  if (station === "cloth") return <ClothStation {...{ order, plan, planId, error }} falls={falls(made)} />;
  if (station === "fitting") return <Fitting order={order} />;
  if (!plan || !made) {
    return (
      <Box padding="24" maxWidth="640px">
        {error ? <Unworkable error={error} order={order.id} /> : "Drafting…"}
      </Box>
    );
  }
  if (station === "mark") return <Mark {...{ order, cut, plan, made, chalk, earlier, turn }} />;
  if (station === "lay") return <LayStation key={planId} {...{ order, plan, planId }} falls={falls(made)} />;
  if (station === "sewing") return <Sewing {...{ order, plan, planId }} />;
  return (
    <Check plan={plan}>
      <Confirm {...{ order, cut, plan, chalk }} />
    </Check>
  );
}

/** Whether a shorter lay may still be found. */
const falls = (made: Made | undefined) => made !== undefined && made.searched !== "done";
