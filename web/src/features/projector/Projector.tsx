import { Box, chakra } from "@chakra-ui/react";
import { useEffect, useState } from "react";
import { useParams, useSearchParams } from "react-router";
import { useOrder } from "../../api/orders";
import { type Cut, type Plan, usePlan } from "../../api/plans";
import { pieceName } from "../../drawing/names";
import { homography, seen } from "../../geometry/homography";
import type { Unit } from "../../lengths/units";
import { Unworkable } from "../../ui/findings";
import { useKeys } from "../../ui/keys";
import { Length } from "../../ui/length";
import { Press } from "../../ui/press";
import { Taped } from "../../ui/taped";
import { useTitle } from "../../ui/title";
import { Unseen } from "../../ui/unseen";
import { Way } from "../../ui/way";
import { Calibrate } from "./Calibrate";
import { begun, type Corners, keep, kept, known, SIDE, throwOf, WORDS } from "./calibration";
import { Thrown, type Turned } from "./Thrown";

const LAST = "last-projector";
const STRAIGHT: Turned = { quarters: 0, flipped: false, across: 0, down: 0 };
const WALK: Record<string, readonly [number, number]> = { left: [-1, 0], right: [1, 0], up: [0, -1], down: [0, 1] };

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

function Table({ plan, order }: { plan: Plan; order: string }) {
  const unit = plan.unit as Unit;
  const [width, height] = useWindow();
  const [name, setName] = useState(() => localStorage.getItem(LAST) ?? known()[0] ?? "Over the table");
  const [corners, setCorners] = useState<Corners>(() => kept(name) ?? begun(width, height, WORDS));
  const [calibrating, setCalibrating] = useState(() => kept(name) === null);
  const [bar, setBar] = useState(true);
  const [at, setAt] = useState(0);
  const [section, setSection] = useState<number | null>(null);
  const [call, setCall] = useState(0);
  const [turned, setTurned] = useState(STRAIGHT);
  const sections = plan.lay?.sections.length ?? 0;
  const piece = section === null ? plan.pieces[at]! : null;
  const marks = piece
    ? plan.marks.filter((one) => one.garment === piece.garment && one.panel === piece.panel)
    : plan.marks.filter((one) => one.placing !== null && plan.lay!.placements[one.placing]!.section === section);
  const mark = marks[Math.min(call, marks.length - 1)];
  const show = (next: number, of: number | null) => {
    setAt(next);
    setSection(of);
    setCall(0);
    setTurned(STRAIGHT);
  };
  const does: Record<string, () => void> = {
    turn: () => setTurned({ ...turned, quarters: (turned.quarters + 1) % 4 }),
    flip: () => setTurned({ ...turned, flipped: !turned.flipped }),
    piece: () => show((at + 1) % plan.pieces.length, null),
    before: () => show((at + plan.pieces.length - 1) % plan.pieces.length, null),
    lay: () => show(at, section === null ? (sections ? 0 : null) : section + 1 < sections ? section + 1 : null),
    call: () => setCall(Math.min(call + 1, marks.length - 1)),
    callBefore: () => setCall(Math.max(call - 1, 0)),
    calibrate: () => setCalibrating(!calibrating),
    bar: () => setBar(!bar),
  };
  useKeys("projector", (what) => {
    if (calibrating && what !== "calibrate") return;
    does[what]?.();
  });
  useEffect(() => {
    const walk = (event: KeyboardEvent) => {
      const by = WALK[event.key.replace("Arrow", "").toLowerCase()];
      if (!by || calibrating) return;
      event.preventDefault();
      const far = event.shiftKey ? 100 : 10;
      setTurned((was) => ({ ...was, across: was.across + far * by[0], down: was.down + far * by[1] }));
    };
    window.addEventListener("keydown", walk);
    return () => window.removeEventListener("keydown", walk);
  }, [calibrating]);
  const thrown = throwOf(corners)!;
  const back = homography(corners, [
    [0, 0],
    [SIDE, 0],
    [SIDE, SIDE],
    [0, SIDE],
  ])!;
  if (calibrating) {
    return (
      <Calibrate
        corners={corners}
        name={name}
        move={setCorners}
        choose={(next) => {
          setName(next);
          setCorners(kept(next.trim()) ?? corners);
        }}
        done={() => {
          keep(name.trim(), corners);
          localStorage.setItem(LAST, name.trim());
          setCalibrating(false);
        }}
      />
    );
  }
  return (
    <>
      <Thrown
        {...{ thrown, turned, plan, piece, mark }}
        section={section ?? 0}
        middle={seen(back, [width / 2, height / 2])}
      />
      {mark && (
        <Box position="fixed" left="16px" top="16px" maxWidth="36vw">
          <chakra.p fontSize="18px">
            {piece ? pieceName(plan, piece) : "The lay"}, call {marks.indexOf(mark) + 1} of {marks.length}
          </chakra.p>
          <chakra.p fontSize="34px" fontWeight={600} lineHeight="1.15">
            {mark.name}
          </chakra.p>
          {mark.shown && (
            <chakra.p fontSize="64px" fontWeight={800} lineHeight="1.1" color="#F0B22E">
              <Length mm={mark.reads_mm} unit={unit} />
            </chakra.p>
          )}
          <chakra.p fontSize="20px">
            {mark.from && (
              <>
                from <Taped>{mark.from}</Taped>,{" "}
              </>
            )}
            <Taped>{mark.along}</Taped>
          </chakra.p>
        </Box>
      )}
      {bar && (
        <Box position="fixed" left="16px" bottom="16px" right="16px" display="flex" flexWrap="wrap" gap="8">
          <Press onClick={does.before}>Piece before</Press>
          <Press onClick={does.piece}>Next piece</Press>
          {sections > 0 && (
            <Press onClick={does.lay}>
              {section === null ? "The lay" : section + 1 < sections ? "Next section" : "One piece"}
            </Press>
          )}
          <Press onClick={does.turn}>Turn</Press>
          <Press onClick={does.flip}>Flip</Press>
          <Press onClick={does.callBefore}>Call before</Press>
          <Press onClick={does.call}>Next call</Press>
          <Press onClick={does.calibrate}>Calibrate</Press>
          <Press onClick={does.bar}>Hide the buttons (B)</Press>
          <Way to={`/orders/${order}/files`} color="#FBF8EF">
            Back to Files
          </Way>
        </Box>
      )}
    </>
  );
}
