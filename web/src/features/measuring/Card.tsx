import { Box, chakra } from "@chakra-ui/react";
import { useParams, useSearchParams } from "react-router";
import { type Point, type Session, usePoints } from "../../api/measuring";
import { type Order, useOrder } from "../../api/orders";
import { UNIT, type Unit } from "../../lengths/units";
import { day } from "../../ui/day";
import { Paper, PaperHeading } from "../../ui/paper";
import { useTitle } from "../../ui/title";
import { Press } from "../../ui/press";
import { Reading } from "../../ui/reading";

const VIEW_NAMES: Record<string, string> = {
  front: "From the front",
  side: "From the side",
  back: "From behind",
  bent: "Elbow bent",
  seated: "Seated",
};

/** The measurement card for the printer: blank to fill by hand, or filled, in the order of taking. */
export function Card() {
  const { id = "" } = useParams();
  const [asked, ask] = useSearchParams();
  const session = (asked.get("session") ?? "trousers") as Session;
  const blank = asked.get("blank") === "1";
  const order = useOrder(id);
  const points = usePoints(session);
  useTitle(order.data ? `Measurements, ${order.data.client.name}` : "Measurements");
  if (!order.data || !points.data) return <Box padding="24">{order.error?.message ?? "One moment…"}</Box>;
  return (
    <Paper
      bar={
        <Press onClick={() => ask({ session, blank: blank ? "" : "1" })}>
          {blank ? "Filled in" : "Blank, to fill by hand"}
        </Press>
      }
    >
      <Sheet order={order.data} points={points.data} blank={blank} />
    </Paper>
  );
}

function Sheet({ order, points, blank }: { order: Order; points: Point[]; blank: boolean }) {
  const { sheet } = order;
  const unit = sheet.unit as Unit;
  const views = [...new Set(points.map((point) => point.view))];
  return (
    <Box maxWidth="720px" fontSize="15px">
      <PaperHeading />
      <chakra.h1 fontSize="24px" fontWeight={600}>
        {blank ? "Measurements" : `Measurements of ${order.client.name}`}
      </chakra.h1>
      <p>
        {blank
          ? "Name ____________________   Day ______________   Unit: inches / cm   Waist: natural / low / high / as worn"
          : `${day(sheet.taken_on)}, in ${UNIT[unit].name}, no ease. Waist: ${sheet.waist === "worn" ? "as worn" : sheet.waist}.`}
      </p>
      {views.map((view) => (
        <chakra.table key={view} width="100%" marginTop="12" css={{ breakInside: "avoid" }}>
          <chakra.caption textAlign="left" fontWeight={600}>
            {VIEW_NAMES[view] ?? view}
          </chakra.caption>
          <tbody>
            {points
              .filter((point) => point.view === view)
              .map((point) => {
                const reading = sheet.readings.find((one) => one.key === point.key);
                const skipped = sheet.skipped.find((one) => one.key === point.key);
                return (
                  <chakra.tr key={point.key} borderBottom="1px solid #999" height="32px">
                    <chakra.th textAlign="left" fontWeight={600} width="34%" scope="row">
                      {point.name}
                    </chakra.th>
                    <chakra.td fontSize="14px">{point.how}</chakra.td>
                    <chakra.td textAlign="right" width="110px" fontWeight={600}>
                      {!blank && reading?.mm != null && <Reading mm={reading.mm} way={reading.way} unit={unit} />}
                      {!blank && skipped?.note}
                    </chakra.td>
                  </chakra.tr>
                );
              })}
          </tbody>
        </chakra.table>
      ))}
      {!blank && order.client.leave_be && <chakra.p marginTop="12">{order.client.leave_be}</chakra.p>}
    </Box>
  );
}
