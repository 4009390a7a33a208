import { Box, chakra } from "@chakra-ui/react";
import { useCallback, useRef, useState } from "react";
import { useNavigate } from "react-router";
import { type Point, type Session, useAdvice, usePoints, useSheetWrites } from "../../api/measuring";
import type { Order } from "../../api/orders";
import type { Plan } from "../../api/plans";
import type { Unit } from "../../lengths/units";
import { useLine } from "../../offline/line";
import { Entry, type Gate } from "../../ui/entry";
import { field, Label } from "../../ui/field";
import { Length } from "../../ui/length";
import { Findings, Unworkable } from "../../ui/findings";
import { Ledger } from "../../ui/ledger";
import { Later } from "../../ui/later";
import { Margin, WithMargin } from "../../ui/margin";
import { Press } from "../../ui/press";
import { Says } from "../../ui/words";
import { Closed } from "./Closed";
import { DigitalTape } from "./DigitalTape";
import { Figure } from "./Figure";
import { shapeOf, SHAPES } from "./figure";
import { Old } from "./Old";
import { Sheet } from "./Sheet";
import { Skip } from "./Skip";
import { Taken } from "./Taken";
import { Ways } from "./Ways";
import { Taped } from "../../ui/taped";

/** One point at a time in the order of taking, the figure beside it, the whole sheet at hand. */
export function Measure({ order, plan, error }: { order: Order; plan: Plan | undefined; error: Error | null }) {
  const [session, setSession] = useState(order.session as Session);
  const points = usePoints(session, order.needs);
  if (order.sheet.closed) return <Closed order={order} plan={plan} />;
  if (!points.data) return <Box padding="16">{points.error ? points.error.message : "Fetching the points…"}</Box>;
  return (
    <Later key={session}>
      <Taking order={order} plan={plan} error={error} points={points.data} session={session} setSession={setSession} />
    </Later>
  );
}

type TakingProps = {
  order: Order;
  plan: Plan | undefined;
  error: Error | null;
  points: Point[];
  session: Session;
  setSession: (session: Session) => void;
};

function Taking({ order, plan, error, points, session, setSession }: TakingProps) {
  const onward = useNavigate();
  const sheet = order.sheet;
  const unit = sheet.unit as Unit;
  const writes = useSheetWrites(order.id, sheet.id);
  const line = useLine();
  const advice = useAdvice(sheet.id).data;
  const taken = new Map(sheet.readings.map((reading) => [reading.key, reading]));
  const [at, setAt] = useState(() => {
    const open = (point: Point) => !taken.has(point.key);
    const first = points.findIndex((point) => point.needed && open(point));
    return Math.max(0, first >= 0 ? first : points.findIndex(open));
  });
  const [held, setHeld] = useState("");
  const gate = useRef<Gate>(null);
  const body = useBodyShape(order.client.id);

  const point = points[at] ?? points[0]!;
  const reading = taken.get(point.key);
  const doubt = advice?.doubts.find((one) => one.key === point.key);
  const last = advice?.last.find((one) => one.key === point.key);
  const step = unit === "in" ? 12.7 : 10;
  const range = advice?.expected.find((one) => one.key === point.key);
  const turned = at > 0 && points[at - 1]!.view !== point.view;

  const go = (to: number) => {
    setHeld("");
    setAt(to);
  };
  const next = () => (at + 1 < points.length ? go(at + 1) : void onward(`/orders/${order.id}/design`));
  /** Moves on, unless what was just typed is doubted: then once more is asked for. */
  const pass = () => {
    const now = writes.advice()?.doubts.find((one) => one.key === point.key && one.again && !one.upheld);
    if (now && held !== now.words) setHeld(now.words);
    else next();
  };

  const fill = useCallback((typed: string) => gate.current?.fill(typed), []);

  return (
    <WithMargin>
      <Box
        flex="1"
        minWidth="0"
        minHeight="0"
        overflowY={{ md: "auto" }}
        padding={{ base: "12", md: "24" }}
        display="grid"
        gap={{ base: "8", md: "24" }}
        gridTemplateColumns={{ base: "minmax(0, 1fr)", lg: "minmax(170px, 230px) minmax(320px, 460px)" }}
        alignContent="start"
      >
        <Box>
          <Box height={{ base: doubt && !doubt.upheld ? "16vh" : "30vh", lg: "440px" }} color="ink">
            <Figure
              point={point}
              shape={shapeOf((key) => taken.get(key)?.mm ?? undefined, SHAPES[body.value]?.shape)}
            />
          </Box>
          {["bust", "waist", "hip"].some((key) => !taken.has(key)) && (
            <Box display={{ base: "none", md: "block" }} marginTop="8">
              <Label text="Drawn, until it is measured, as">
                <chakra.select {...field} value={body.value} onChange={(event) => body.set(event.target.value)}>
                  {Object.entries(SHAPES).map(([key, { name }]) => (
                    <option key={key} value={key}>
                      {name}
                    </option>
                  ))}
                </chakra.select>
              </Label>
            </Box>
          )}
        </Box>
        <Box>
          <chakra.p color="ink2" fontSize="16px">
            <bdi>{order.client.name}</bdi>, {at + 1} of {points.length}
            {point.needed ? "" : ", if you like"}
          </chakra.p>
          <Old taken={sheet.taken_on} />
          {!line && (
            <chakra.p color="madder" fontSize="16px">
              Without the line no reading is doubted: look twice. That is made up for when it is back.
            </chakra.p>
          )}
          <chakra.h1 fontSize={{ base: "28px", md: "36px" }} fontWeight={600} lineHeight="1.15">
            {point.name[0]!.toUpperCase() + point.name.slice(1)}
          </chakra.h1>
          <chakra.p marginBlock="8">
            {(turned || at === 0) && <b>{point.posture}. </b>}
            {point.how} <chakra.span color="ink2">{point.slip}</chakra.span>
          </chakra.p>
          <Entry
            key={point.key}
            name={point.key}
            label={
              <chakra.span color="ink2">
                Read off the tape
                {!reading && range && (
                  <>
                    , usually <Length mm={Math.floor(range.low_mm / step) * step} unit={unit} /> to{" "}
                    <Length mm={Math.ceil(range.high_mm / step) * step} unit={unit} />
                  </>
                )}
                {last && (
                  <>
                    , last time <Length mm={last.mm} unit={unit} />
                  </>
                )}
              </chakra.span>
            }
            unit={unit}
            saved={reading?.typed ?? ""}
            place={`reading:${sheet.id}:${point.key}`}
            keep={(typed, id) => writes.read.mutateAsync({ id, key: point.key, typed })}
            onward={pass}
            gate={gate}
            large
            focus
          />
          <Taken
            order={order.id}
            sheet={sheet.id}
            point={point.key}
            counts={reading}
            take={(typed) => writes.read.mutate({ id: crypto.randomUUID(), key: point.key, typed })}
          />
          {reading && reading.way !== "tape" && <chakra.p color="ink2">≈ an estimate, not taken on the body</chakra.p>}
          {doubt && !doubt.upheld && (
            <Says tone={doubt.again ? "wrong" : "plain"}>
              <Taped>{doubt.words}</Taped> {doubt.again && <b>Measure again?</b>}
              <chakra.span display="block" marginTop="8">
                <Press onClick={() => writes.overrule.mutate({ id: crypto.randomUUID(), key: point.key })}>
                  Measured twice, it is right
                </Press>
              </chakra.span>
            </Says>
          )}
          {doubt?.upheld && <chakra.p color="moss">Measured twice, it is right.</chakra.p>}
          <Box display="flex" gap="8" marginTop="12">
            <Press disabled={at === 0} minHeight="56px" onClick={() => go(at - 1)}>
              Previous point
            </Press>
            <Press
              kind="main"
              flex="1"
              minHeight="56px"
              onClick={() => void gate.current?.commit().then((kept) => kept && pass())}
            >
              {at + 1 < points.length ? `Next: ${points[at + 1]!.name}` : "To Design"}
            </Press>
          </Box>
          <Skip key={`skip ${point.key}`} point={point} writes={writes} onward={next} skipped={sheet.skipped} />
          <Ways
            key={`ways ${point.key}`}
            sheet={sheet.id}
            point={point}
            unit={unit}
            writes={writes}
            ways={advice?.ways ?? []}
          />
        </Box>
      </Box>
      <Margin>
        <Sheet
          order={order}
          points={points}
          at={at}
          go={go}
          advice={advice}
          writes={writes}
          session={session}
          setSession={setSession}
        />
        <DigitalTape fill={fill} />
        {error && <Unworkable error={error} order={order.id} />}
        {plan && !error && (
          <Later>
            <Ledger plan={plan} unit={unit} />
            <Findings plan={plan} />
          </Later>
        )}
      </Margin>
    </WithMargin>
  );
}

/** The body a client is drawn as before girths are taken; this browser remembers it. */
function useBodyShape(client: string) {
  const place = `figure:${client}`;
  const [value, setValue] = useState(() => localStorage.getItem(place) ?? "even");
  const set = (next: string) => {
    localStorage.setItem(place, next);
    setValue(next);
  };
  return { value, set };
}
