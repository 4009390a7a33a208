import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { useNavigate } from "react-router";
import { type Order, type Plan, type Point, usePoints, usePutReading } from "../../api/shop";
import type { Unit } from "../../lengths/units";
import { Entry } from "../../ui/entry";
import { Length } from "../../ui/length";
import { Findings, Ledger, Margin, Unworkable, WithMargin } from "../../ui/margin";
import { Press } from "../../ui/press";
import { Figure } from "./Figure";

/** One point at a time in the order of taking, the figure beside it, the whole sheet at hand. */
export function Measure({ order, plan, error }: { order: Order; plan: Plan | undefined; error: Error | null }) {
  const points = usePoints();
  if (!points.data) return <Box padding="16">Fetching the points…</Box>;
  return <Session order={order} plan={plan} error={error} points={points.data} />;
}

type SessionProps = { order: Order; plan: Plan | undefined; error: Error | null; points: Point[] };

function Session({ order, plan, error, points }: SessionProps) {
  const onward = useNavigate();
  const put = usePutReading(order.id);
  const unit = order.sheet.unit as Unit;
  const taken = new Map(order.sheet.readings.map((reading) => [reading.key, reading]));
  const [at, setAt] = useState(() =>
    Math.max(
      0,
      points.findIndex((point) => point.needed && !taken.has(point.key)),
    ),
  );
  const point = points[at]!;
  const next = () => (at + 1 < points.length ? setAt(at + 1) : void onward(`/orders/${order.id}/design`));

  return (
    <WithMargin>
      <Box
        flex="1"
        minHeight="0"
        overflowY={{ md: "auto" }}
        padding={{ base: "12", md: "24" }}
        display="grid"
        gap={{ base: "8", md: "24" }}
        gridTemplateColumns={{ base: "1fr", md: "minmax(170px, 230px) minmax(320px, 460px)" }}
        alignContent="start"
      >
        <Box height={{ base: "30vh", md: "440px" }} color="ink">
          <Figure point={point.key} name={point.name} />
        </Box>
        <Box>
          <chakra.p color="ink2" fontSize="16px">
            {order.client.name}, {at + 1} of {points.length}
            {point.needed ? "" : ", if you like"}
          </chakra.p>
          <chakra.h1
            fontSize={{ base: "28px", md: "36px" }}
            fontWeight={600}
            lineHeight="1.15"
            textTransform="capitalize"
          >
            {point.name}
          </chakra.h1>
          <chakra.p marginBlock="8">
            {point.how} <chakra.span color="ink2">{point.slip}</chakra.span>
          </chakra.p>
          <Entry
            key={point.key}
            name={point.key}
            label={<chakra.span color="ink2">Read off the tape</chakra.span>}
            unit={unit}
            saved={taken.get(point.key)?.typed ?? ""}
            place={`reading:${order.sheet.id}:${point.key}`}
            keep={(typed, id) => put.mutateAsync({ id, sheet: order.sheet.id, key: point.key, typed })}
            onward={next}
            large
            focus
          />
          <Box display="flex" gap="8" marginTop="12">
            <Press disabled={at === 0} minHeight="56px" onClick={() => setAt(at - 1)}>
              Previous point
            </Press>
            <Press kind="main" flex="1" minHeight="56px" onClick={next}>
              {at + 1 < points.length ? `Next: ${points[at + 1]!.name}` : "To Design"}
            </Press>
          </Box>
        </Box>
      </Box>
      <Margin>
        <Sheet order={order} points={points} at={at} go={setAt} unit={unit} />
        {error && <Unworkable error={error} order={order.id} />}
        {plan && !error && <Ledger plan={plan} unit={unit} />}
        {plan && !error && <Findings plan={plan} />}
      </Margin>
    </WithMargin>
  );
}

type SheetProps = { order: Order; points: Point[]; at: number; go: (at: number) => void; unit: Unit };

/** The sheet as it stands: what was typed, and the points still open. */
function Sheet({ order, points, at, go, unit }: SheetProps) {
  const taken = new Map(order.sheet.readings.map((reading) => [reading.key, reading]));
  return (
    <Box>
      <chakra.h2 fontSize="20px" fontWeight={600}>
        Sheet of {order.sheet.taken_on}
      </chakra.h2>
      <chakra.ul listStyleType="none">
        {points.map((point, k) => {
          const reading = taken.get(point.key);
          return (
            <li key={point.key}>
              <chakra.button
                width="100%"
                display="flex"
                justifyContent="space-between"
                alignItems="center"
                minHeight="40px"
                paddingInline="8"
                textAlign="left"
                cursor="pointer"
                borderBottom="1px solid {colors.hairline}"
                background={k === at ? "marigold" : "transparent"}
                color={k === at ? "onMarigold" : "ink"}
                aria-current={k === at ? "step" : undefined}
                onClick={() => go(k)}
              >
                <span>{point.name}</span>
                <b>
                  {reading?.mm != null ? (
                    <Length mm={reading.mm} unit={unit} />
                  ) : (
                    <chakra.span fontWeight="400" color={k === at ? "onMarigold" : point.needed ? "madder" : "ink2"}>
                      {point.needed ? "to take" : "open"}
                    </chakra.span>
                  )}
                </b>
              </chakra.button>
            </li>
          );
        })}
      </chakra.ul>
    </Box>
  );
}
