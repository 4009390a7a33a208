import { Box, chakra } from "@chakra-ui/react";
import { lazy, Suspense, useState } from "react";
import { Link, useNavigate, useParams, useSearchParams } from "react-router";
import { Refused } from "../api/client";
import { useMay } from "../api/session";
import { type Order, useOrder } from "../api/orders";
import { type Cut, type Plan, usePlan } from "../api/plans";
import type { Unit } from "../lengths/units";
import { Chips } from "../ui/chips";
import { KEYS, keyName, useKeys } from "../ui/keys";
import { Unworkable } from "../ui/findings";
import { Press } from "../ui/press";
import { useWide } from "../ui/size";
import { Says } from "../ui/words";
import { NoGarment } from "./NoGarment";
import { Stations, STATIONS } from "./Stations";

const Measure = lazy(() => import("../features/measuring/Measure").then((m) => ({ default: m.Measure })));
const Design = lazy(() => import("../features/design/Design").then((m) => ({ default: m.Design })));
const ClothStation = lazy(() => import("../features/cloth/ClothStation").then((m) => ({ default: m.ClothStation })));
const Mark = lazy(() => import("../features/marking/Mark").then((m) => ({ default: m.Mark })));
const LayStation = lazy(() => import("../features/lay/LayStation").then((m) => ({ default: m.LayStation })));
const Check = lazy(() => import("../features/check/Check").then((m) => ({ default: m.Check })));

/** Where what is cut from another cloth has a plan of its own, and where all of a group can be seen on one. */
const TWO_CLOTHS = ["cloth", "mark", "lay"];
const ALL = ["mark", "lay"];

/** The cloths whose plan a station can show. */
function cutsOf(order: Order | undefined, station: string): { value: Cut; label: string }[] {
  if (!order) return [];
  const name = ({ kind, width }: Order["cloth"]) => `${kind}, ${width} wide`;
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
  const cuts = cutsOf(order.data, station);
  const cut = cuts.find((one) => one.value === query.get("cloth"))?.value ?? "main";
  const [unit, setUnit] = useState<"" | Unit>("");
  // Only Mark turns the unit; everywhere else it is the workshop's.
  const plan = usePlan(id, cut, station === "mark" ? unit : "");
  const wide = useWide();
  const onward = useNavigate();
  const [keys, setKeys] = useState(false);
  const [list, setList] = useState(false);
  useKeys("job", (does, key) => {
    if (does === "keys") setKeys((was) => !was);
    const to = STATIONS[Number(key) - 1];
    if (does === "station" && to) void onward(`/orders/${id}/${to.key}`);
  });
  if (order.isPending) return <Box padding="24">Fetching the order…</Box>;
  if (order.isError) {
    return (
      <Box padding="24">
        <Says tone="wrong">{order.error.message}</Says> <Link to="/">Back to the Bench</Link>
      </Box>
    );
  }
  if (!order.data.garments.length) return <NoGarment order={id} />;
  const at = STATIONS.findIndex((one) => one.key === station);
  const made = plan.isError ? undefined : plan.data?.plan;
  const needed = order.data.sheet.readings.length >= 4;
  const reached = made ? (made.lay ? 5 : 2) : needed ? 1 : 0;
  const stations = <Stations order={id} at={at} reached={reached} knots={knotsOf(made, plan.error)} />;
  return (
    <Box height="100%" display="flex" flexDirection="column">
      {wide ? (
        <Box padding="8" paddingBottom="0" display="flex" gap="8">
          {stations}
          <Onward order={id} at={at} />
        </Box>
      ) : (
        <Box display="flex" alignItems="center" gap="8" height="48px" paddingInline="8" background="well">
          <Link to="/">Bench</Link>
          <chakra.span
            flex="1"
            textAlign="center"
            whiteSpace="nowrap"
            overflow="hidden"
            textOverflow="ellipsis"
            fontWeight={600}
          >
            {order.data.client.name}
          </chakra.span>
          <Press kind="quiet" minHeight="40px" aria-expanded={list} onClick={() => setList(!list)}>
            {STATIONS[at]?.name}
          </Press>
        </Box>
      )}
      {!wide && list && (
        <chakra.ul listStyleType="none" background="sheet" padding="8" borderBottom="1px solid {colors.edge}">
          {STATIONS.map((one, k) => (
            <chakra.li key={one.key} minHeight="48px" display="flex" alignItems="center">
              <Link to={`/orders/${id}/${one.key}`} onClick={() => setList(false)}>
                {k + 1} {one.name}
              </Link>
            </chakra.li>
          ))}
        </chakra.ul>
      )}
      {keys && <Keys close={() => setKeys(false)} />}
      <Box flex="1" minHeight="0" display="flex" flexDirection="column" overflowY={{ base: "auto", md: "visible" }}>
        {needs && !may(needs) && (
          <Says tone="plain">
            You may look at this. Changing it is for {needs === "orders" ? "a cutter" : "who measures"} or the owner.
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
        <Box flex="1" minHeight="0">
          <Suspense fallback={<Box padding="24">One moment…</Box>}>
            <Station
              key={cut}
              station={station}
              order={
                cut === "other" ? { ...order.data, cloth: order.data.other_cloth!, shelf: null, cut: null } : order.data
              }
              plan={made}
              planId={plan.data?.id ?? ""}
              error={plan.error}
              turn={setUnit}
            />
          </Suspense>
        </Box>
        {!wide && station !== "mark" && station !== "measure" && (
          <Box padding="12" display="flex">
            <Onward order={id} at={at} />
          </Box>
        )}
      </Box>
    </Box>
  );
}

/** To the next station; from the last one back to the bench. */
function Onward({ order, at }: { order: string; at: number }) {
  const next = STATIONS[at + 1];
  return (
    <chakra.span
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
      <Link to={next ? `/orders/${order}/${next.key}` : "/"}>{next ? `Next: ${next.name}` : "To the Bench"}</Link>
    </chakra.span>
  );
}

type StationProps = {
  station: string;
  order: Order;
  plan: Plan | undefined;
  planId: string;
  error: Error | null;
  turn: (unit: Unit) => void;
};

function Station({ station, order, plan, planId, error, turn }: StationProps) {
  if (station === "measure") return <Measure order={order} plan={plan} error={error} />;
  if (station === "design") return <Design order={order} plan={plan} planId={planId} error={error} />;
  if (station === "cloth") return <ClothStation order={order} plan={plan} planId={planId} error={error} />;
  if (!plan) {
    return (
      <Box padding="24" maxWidth="640px">
        {error ? <Unworkable error={error} order={order.id} /> : "Drafting…"}
      </Box>
    );
  }
  if (station === "mark") return <Mark order={order} plan={plan} planId={planId} turn={turn} />;
  if (station === "lay") return <LayStation key={planId} order={order} plan={plan} planId={planId} />;
  return <Check plan={plan} />;
}

function Keys({ close }: { close: () => void }) {
  return (
    <Box
      role="dialog"
      aria-label="Keys"
      background="sheet"
      border="1px solid {colors.edge}"
      margin="8"
      padding="16"
      maxWidth="640px"
    >
      <chakra.h2 fontSize="20px" fontWeight={600}>
        Keys
      </chakra.h2>
      <chakra.dl display="grid" gridTemplateColumns="max-content 1fr" columnGap="16">
        {KEYS.filter((row) => row.where !== "methods").map((row) => (
          <Box key={row.where + row.does} display="contents">
            <chakra.dt fontWeight={600}>{row.keys.map(keyName).join(", ")}</chakra.dt>
            <dd>{row.words}</dd>
          </Box>
        ))}
      </chakra.dl>
      <Press onClick={close}>Close</Press>
    </Box>
  );
}
