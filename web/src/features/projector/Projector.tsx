import { Box } from "@chakra-ui/react";
import { useEffect, useState } from "react";
import { useParams, useSearchParams } from "react-router";
import { useOrder } from "../../api/orders";
import { type Cut, type Plan, usePlan } from "../../api/plans";
import { homography, seen } from "../../geometry/homography";
import { Unworkable } from "../../ui/findings";
import { useKeys } from "../../ui/keys";
import { Press } from "../../ui/press";
import { useTitle } from "../../ui/title";
import { Unseen } from "../../ui/unseen";
import { Way } from "../../ui/way";
import { Calibrate } from "./Calibrate";
import { SQUARE, useCalibration } from "./calibration";
import { NextCall } from "./NextCall";
import { useShown } from "./shown";
import { Thrown } from "./Thrown";

/** A piece or the lay in true size on the cloth, by a projector over the table. */
export function Projector() {
  const { id = "" } = useParams();
  const [query] = useSearchParams();
  const order = useOrder(id);
  const cut: Cut = query.get("cloth") === "other" && order.data?.other_cloth ? "other" : "main";
  const plan = usePlan(id, cut, "", "", true);
  useTitle(["Projector", order.data?.client.name, order.data?.title].filter(Boolean).join(", "));
  const error = order.error ?? plan.error;
  return (
    <Box as="main" position="fixed" inset="0" background="#000" color="#FBF8EF" overflow="hidden">
      <Unseen as="h1">Projector</Unseen>
      {plan.data && !error ? (
        <Table key={plan.data.id} plan={plan.data.plan} order={id} />
      ) : (
        <Box padding="24" background="sheet" color="ink">
          {error ? <Unworkable error={error} order={id} /> : "Drafting…"}
        </Box>
      )}
    </Box>
  );
}

/** How large the window is, in px. */
function useWindow(): [number, number] {
  const [size, setSize] = useState<[number, number]>([window.innerWidth, window.innerHeight]);
  useEffect(() => {
    const changed = () => setSize([window.innerWidth, window.innerHeight]);
    window.addEventListener("resize", changed);
    return () => window.removeEventListener("resize", changed);
  }, []);
  return size;
}

/** What is thrown on the table, and the keys and buttons for it. */
function Table({ plan, order }: { plan: Plan; order: string }) {
  const [width, height] = useWindow();
  const calibration = useCalibration(width, height);
  const shown = useShown(plan);
  const [calibrating, setCalibrating] = useState(!calibration.known);
  const [bar, setBar] = useState(true);
  useKeys("projector", (what, _, shift) => {
    if (what === "calibrate") setCalibrating(!calibrating);
    else if (calibrating) return;
    else if (what === "bar") setBar(!bar);
    else shown.do(what, shift);
  });
  if (calibrating) {
    return (
      <Calibrate
        {...calibration}
        done={() => {
          calibration.keep();
          setCalibrating(false);
        }}
      />
    );
  }
  const { piece, section, sections, marks, mark, turned } = shown;
  const back = homography(calibration.corners, SQUARE)!;
  return (
    <>
      <Thrown
        {...{ turned, plan, piece, mark }}
        thrown={calibration.thrown}
        section={section ?? 0}
        middle={seen(back, [width / 2, height / 2])}
      />
      {mark && <NextCall {...{ plan, piece, mark }} nth={marks.indexOf(mark) + 1} of={marks.length} />}
      {bar && (
        <Box position="fixed" left="16px" bottom="16px" right="16px" display="flex" flexWrap="wrap" gap="8">
          <Press onClick={() => shown.do("before")}>Piece before</Press>
          <Press onClick={() => shown.do("piece")}>Next piece</Press>
          {sections > 0 && (
            <Press onClick={() => shown.do("lay")}>
              {section === null ? "The lay" : section + 1 < sections ? "Next section" : "One piece"}
            </Press>
          )}
          <Press onClick={() => shown.do("turn")}>Turn</Press>
          <Press onClick={() => shown.do("flip")}>Flip</Press>
          <Press onClick={() => shown.do("callBefore")}>Call before</Press>
          <Press onClick={() => shown.do("call")}>Next call</Press>
          <Press onClick={() => setCalibrating(true)}>Calibrate</Press>
          <Press onClick={() => setBar(false)}>Hide the buttons (B)</Press>
          <Way to={`/orders/${order}/files`} color="#FBF8EF">
            Back to Files
          </Way>
        </Box>
      )}
    </>
  );
}
