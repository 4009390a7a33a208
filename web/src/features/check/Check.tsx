import { Box, chakra } from "@chakra-ui/react";
import { Fragment, type ReactNode, useState } from "react";
import type { Plan } from "../../api/plans";
import { boxOf, pathOf, sideBySide } from "../../drawing/frame";
import { garmentName, LEGS } from "../../drawing/names";
import { UNIT, type Unit } from "../../lengths/units";
import { Length } from "../../ui/length";
import { Findings } from "../../ui/findings";
import { Sign } from "../../ui/icons";
import { Ledger, LEVELS, OfGarment } from "../../ui/ledger";
import { Margin, WithMargin } from "../../ui/margin";
import { Ease } from "../../ui/ease";
import { useRoomy } from "../../ui/size";
import { Taped } from "../../ui/taped";
import { Unseen } from "../../ui/unseen";

const flat = ([x = 0, y = 0]: readonly number[]): [number, number] => [x, y];
/** The edges a check speaks of, or the level it is taken at. */
const SHOWS: Record<string, { edges?: string[]; level?: string; strips?: boolean }> = {
  "seam.strip": { edges: ["waist", "lower"], strips: true },
  "band.under": { edges: ["centre", "side"], strips: true },
  "hip.room": { level: "H" },
  "hem.turn": { edges: ["hem"] },
  "waist.opening": { edges: ["waist"] },
  "girth.waist": { edges: ["waist"] },
  "band.waist": { edges: ["waist"] },
  "girth.hip": { level: "H" },
  "seam.side": { edges: ["side"] },
  "seam.inner_leg": { edges: ["inner_leg", "back_inner_leg"] },
  "thigh.ease": { level: "C" },
  "extension.order": { edges: ["crotch", "back_crotch"] },
  "leg.width": { level: "C" },
  "girth.hem": { edges: ["hem"] },
  "neck.head": { edges: ["neck"] },
  "girth.bust": { level: "U" },
  "top.opening": { edges: ["waist", "hem"] },
  "top.hip": { level: "H" },
  "seam.shoulder": { edges: ["shoulder"] },
  "seam.top_side": { edges: ["side"] },
  "smooth.neck": { edges: ["neck", "shoulder"] },
  "smooth.armhole": { edges: ["armhole", "shoulder"] },
  "smooth.underarm": { edges: ["armhole", "side"] },
  "smooth.lower": { edges: ["waist", "hem"] },
  "smooth.waist": { edges: ["waist"] },
  "smooth.hem": { edges: ["hem"] },
  "square.neck": { edges: ["neck", "centre"] },
  "cap.armhole": { edges: ["armhole", "cap", "back_cap"] },
  "seam.underarm": { edges: ["underarm", "back_underarm"] },
  "girth.arm": { level: "U" },
  "seam.facing": { edges: ["neck", "armhole"] },
  "join.waist": { edges: ["waist"] },
  "join.dart": { edges: ["waist"] },
  "join.zip": { edges: ["centre", "crotch"] },
  "torso.sit": { edges: ["centre", "crotch"] },
  "torso.crotch": { edges: ["crotch", "back_crotch"] },
};

type Group = { name: string; checks: One[] };

/** What the facts that hold are about, by how their codes begin. */
const ABOUT: [string, RegExp][] = [
  ["All round", /^(girth|band|waist|hip|leg|thigh|top|neck|cuff|elastic|allowance)/],
  ["Seams that are sewn together", /^(seam|join|cap)/],
  ["Curves, corners and hems", /^(smooth|square|zip|hem)/],
  ["Room to wear it, and on the cloth", /./],
];

/** What does not hold, then the rest by what it is about. */
function grouped(checks: One[]): Group[] {
  const about = (check: One) => ABOUT.find(([, codes]) => codes.test(check.code))![0];
  const held = checks.filter((check) => check.ok);
  return [
    { name: "What does not hold", checks: checks.filter((check) => !check.ok) },
    ...ABOUT.map(([name]) => ({ name, checks: held.filter((check) => about(check) === name) })),
  ].filter((group) => group.checks.length > 0);
}

/** Each line a fact with its two numbers, what is wrong first, the rest folded away; the drawing shows where. */
export function Check({ plan, children }: { plan: Plan; children?: ReactNode }) {
  const unit = plan.unit as Unit;
  const groups = grouped(plan.checks);
  const [open, setOpen] = useState(groups[0]?.checks[0]);
  const beside = useRoomy();
  const wrong = plan.checks.filter((check) => !check.ok).length;
  const all = plan.checks.length;
  const stops = plan.findings.filter((finding) => finding.weight === "stop").length;
  return (
    <WithMargin>
      <Box
        flex="1"
        minWidth="0"
        overflowY={{ md: "auto" }}
        padding="16"
        display="grid"
        gap="16"
        gridTemplateColumns={{ base: "minmax(0, 1fr)", lg: "minmax(0, 1fr) 300px" }}
        alignContent="start"
      >
        <Box>
          <chakra.h1 fontSize="26px" fontWeight={600} color={wrong || stops ? "madder" : "moss"}>
            {wrong
              ? `${wrong} of ${all} do not hold`
              : stops
                ? `All ${all} hold, but it cannot be cut so: what stops it is said beside the drawing`
                : `All ${all} hold: it goes round and goes together`}
          </chakra.h1>
          {groups.map(({ name, checks }, n) => (
            <chakra.details key={name} open={n === 0} marginTop="12">
              <chakra.summary fontSize="20px" fontWeight={600}>
                {name} <Sign ok={checks[0]!.ok} label="" />{" "}
                <chakra.span fontWeight="400" color="ink2">
                  {checks.length}
                </chakra.span>
              </chakra.summary>
              <chakra.ul listStyleType="none">
                {checks.map((check, k) => (
                  <chakra.li key={k} borderBottom="1px solid {colors.hairline}">
                    <Fact {...{ plan, check, unit }} open={open === check} show={() => setOpen(check)} />
                    {open === check && !beside && <Where plan={plan} check={check} />}
                  </chakra.li>
                ))}
              </chakra.ul>
            </chakra.details>
          ))}
          <Ease plan={plan} unit={unit} />
          <WholeLedger plan={plan} unit={unit} />
          {children}
        </Box>
        {open && beside && <Where plan={plan} check={open} />}
      </Box>
      <Margin>
        <Ledger plan={plan} unit={unit} />
        <Findings plan={plan} />
      </Margin>
    </WithMargin>
  );
}

type FactProps = { plan: Plan; check: One; unit: Unit; open: boolean; show: () => void };

/** What is compared, whether it holds, and both numbers. */
function Fact({ plan, check, unit, open, show }: FactProps) {
  return (
    <chakra.button
      width="100%"
      textAlign="left"
      padding="8"
      cursor="pointer"
      background={open ? "dyeSoft" : "transparent"}
      aria-pressed={open}
      onClick={show}
      onFocus={show}
      onMouseEnter={show}
    >
      <chakra.span display="block" fontWeight={600} color={check.ok ? "moss" : "madder"}>
        <Sign ok={check.ok} label={check.ok ? "holds" : "does not hold"} /> <Taped>{check.says}</Taped>{" "}
        <chakra.span color="ink2" fontWeight="400">
          {placeOf(plan, check)}
        </chakra.span>
      </chakra.span>
      <chakra.span display="flex" columnGap="24" flexWrap="wrap" fontSize="16px">
        {[check.left, check.right].map((side, k) => (
          <span key={k}>
            <Taped>{side.label}</Taped>{" "}
            <b>
              <Length mm={side.mm} unit={unit} />
            </b>
          </span>
        ))}
      </chakra.span>
    </chakra.button>
  );
}

type One = Plan["checks"][number];

/** Of which panel a check speaks, where it speaks of one: "front, crotch". */
const placeOf = (plan: Plan, { garment, path }: One) => {
  const several = plan.pieces.some((piece) => piece.garment !== garment);
  return [...(several ? [garmentName(garment).toLowerCase()] : []), ...path].join(", ").replaceAll(/[_-]/g, " ");
};

/** Both panels, with the edges or the level of the check drawn heavy. */
function Where({ plan, check }: { plan: Plan; check: One }) {
  const shows = SHOWS[check.code] ?? {};
  const strip = (panel: Plan["panels"][number]) => panel.edges.some((edge) => edge.name === "lower");
  // A check of a jumpsuit's seam speaks of both its halves.
  const of = plan.panels.filter(
    (panel) => panel.garment === check.garment || panel.garment.startsWith(`${check.garment}.`),
  );
  const panels = of.filter((panel) => LEGS.includes(panel.name) || (shows.strips && strip(panel)));
  const { shifts, width } = sideBySide(
    panels.map((panel) => panel.net),
    60,
  );
  return (
    <Box as="figure" position={{ lg: "sticky" }} top="0" height={{ base: "260px", lg: "460px" }} color="ink">
      <svg viewBox={viewOf(panels, width)} width="100%" height="100%" role="img" aria-label="Where it is measured">
        {panels.map((panel, n) => {
          const [x, , across] = boxOf(panel.net);
          const level = shows.level && panel.points[shows.level];
          return (
            <g
              key={panel.garment + panel.name}
              transform={`translate(${shifts[n]} 0)`}
              fill="none"
              stroke="currentColor"
            >
              <path d={pathOf(panel.net, flat, true)} strokeWidth="3" strokeOpacity="0.45" />
              {panel.segments
                .filter((part) => shows.edges?.includes(String(part.edge)))
                .map((part, k) => {
                  const points = part.points as number[][];
                  const d =
                    points.length === 4
                      ? `M${points[0]!.join(" ")}C${points
                          .slice(1)
                          .map((p) => p.join(" "))
                          .join(",")}`
                      : pathOf(points, flat);
                  return <path key={k} d={d} strokeWidth="12" strokeLinecap="round" />;
                })}
              {level && <path d={`M${x} ${level[1]}h${across}`} strokeWidth="10" strokeDasharray="22 12" />}
            </g>
          );
        })}
      </svg>
    </Box>
  );
}

function viewOf(panels: Plan["panels"], width: number): string {
  const boxes = panels.map((panel) => boxOf(panel.net));
  const top = Math.min(...boxes.map((box) => box[1]));
  const bottom = Math.max(...boxes.map((box) => box[1] + box[3]));
  return `-20 ${top - 20} ${width + 40} ${bottom - top + 40}`;
}

/** From the cut cloth to the body: what seams, darts and gathers take, and what is left for the body and its ease. */
function WholeLedger({ plan, unit }: { plan: Plan; unit: Unit }) {
  const heads = ["cut", "seams", "darts", "gathers", "sewn", "body", "ease"];
  const cell = { textAlign: "right", paddingBlock: "4", paddingInline: "4" } as const;
  return (
    <Box role="region" aria-label="From the cut to the body" tabIndex={0} overflowX="auto" marginTop="24">
      <chakra.table width="100%" fontSize="16px">
        <chakra.caption textAlign="left" fontWeight={600} fontSize="20px" paddingBottom="4">
          From the cut to the body, {UNIT[unit].name}
        </chakra.caption>
        <thead>
          <chakra.tr color="ink2" fontSize="14px" background="well">
            <th scope="col">
              <Unseen>Level</Unseen>
            </th>
            {heads.map((head, k) => (
              <chakra.th key={head} {...cell} fontWeight={600} scope="col">
                {k > 0 && k < 4 ? "less " : ""}
                {head}
              </chakra.th>
            ))}
          </chakra.tr>
        </thead>
        <tbody>
          {plan.ledger.map((row, at) => {
            const sizes = [
              row.cut_mm,
              row.seams_mm,
              row.darts_mm,
              row.gathers_mm,
              row.sewn_mm,
              row.body_mm,
              row.ease_mm,
            ];
            return (
              <Fragment key={row.garment + row.level}>
                <OfGarment plan={plan} at={at} span={8} />
                <chakra.tr borderBottom="1px solid {colors.hairline}">
                  <chakra.th scope="row" textAlign="left" fontWeight="400">
                    {LEVELS[row.level]}
                    {row.kind === "resulting" && <chakra.span color="ink2">, as it comes out</chakra.span>}
                  </chakra.th>
                  {sizes.map((mm, k) => (
                    <chakra.td key={heads[k]} {...cell} fontWeight={k === 4 ? 800 : 400}>
                      {mm != null && (k < 5 || row.body_mm != null) && <Length mm={mm} unit={unit} bare />}
                    </chakra.td>
                  ))}
                </chakra.tr>
              </Fragment>
            );
          })}
        </tbody>
      </chakra.table>
    </Box>
  );
}
