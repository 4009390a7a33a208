import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import type { Plan } from "../../api/shop";
import { boxOf, pathOf, sideBySide } from "../../drawing/frame";
import { LEGS } from "../../drawing/names";
import type { Unit } from "../../lengths/units";
import { Length } from "../../ui/length";
import { Findings, Ledger, Margin, WithMargin } from "../../ui/margin";

const flat = ([x = 0, y = 0]: readonly number[]): [number, number] => [x, y];
/** The edges a check speaks of, or the level it is taken at. */
const SHOWS: Record<string, { edges?: string[]; level?: string; strips?: boolean }> = {
  "seam.strip": { edges: ["waist", "lower"], strips: true },
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
};

/** Each line a fact with its two numbers, what is wrong first; the drawing shows where. */
export function Check({ plan }: { plan: Plan }) {
  const unit = plan.unit as Unit;
  const checks = [...plan.checks].sort((a, b) => Number(a.ok) - Number(b.ok));
  const [open, setOpen] = useState(0);
  const wrong = checks.filter((check) => !check.ok).length;
  return (
    <WithMargin>
      <Box
        flex="1"
        minWidth="0"
        overflowY={{ md: "auto" }}
        padding="16"
        display="grid"
        gap="16"
        gridTemplateColumns={{ base: "1fr", lg: "1fr 300px" }}
        alignContent="start"
      >
        <Box>
          <chakra.h1 fontSize="26px" fontWeight={600} color={wrong ? "madder" : "moss"}>
            {wrong
              ? `${wrong} of ${checks.length} do not hold`
              : `All ${checks.length} hold: it goes round and goes together`}
          </chakra.h1>
          <chakra.ul listStyleType="none" marginTop="12">
            {checks.map((check, k) => (
              <chakra.li key={k} borderBottom="1px solid {colors.hairline}">
                <chakra.button
                  width="100%"
                  textAlign="left"
                  padding="8"
                  cursor="pointer"
                  background={open === k ? "dyeSoft" : "transparent"}
                  aria-pressed={open === k}
                  onClick={() => setOpen(k)}
                  onFocus={() => setOpen(k)}
                  onMouseEnter={() => setOpen(k)}
                >
                  <chakra.span display="block" fontWeight={600} color={check.ok ? "moss" : "madder"}>
                    <Sign ok={check.ok} /> {check.says}
                  </chakra.span>
                  <chakra.span display="flex" gap="24" flexWrap="wrap" fontSize="16px">
                    <span>
                      {check.left.label}{" "}
                      <b>
                        <Length mm={check.left.mm} unit={unit} />
                      </b>
                    </span>
                    <span>
                      {check.right.label}{" "}
                      <b>
                        <Length mm={check.right.mm} unit={unit} />
                      </b>
                    </span>
                  </chakra.span>
                </chakra.button>
              </chakra.li>
            ))}
          </chakra.ul>
        </Box>
        <Where plan={plan} code={checks[open]?.code ?? ""} />
      </Box>
      <Margin>
        <Ledger plan={plan} unit={unit} />
        <Findings plan={plan} />
      </Margin>
    </WithMargin>
  );
}

function Sign({ ok }: { ok: boolean }) {
  return (
    <svg
      width="16"
      height="16"
      viewBox="0 0 16 16"
      fill="none"
      stroke="currentColor"
      strokeWidth="2"
      role="img"
      aria-label={ok ? "holds" : "does not hold"}
    >
      <path d={ok ? "M2 9l4 4 8-10" : "M3 3l10 10M13 3L3 13"} />
    </svg>
  );
}

/** Both panels, with the edges or the level of the check drawn heavy. */
function Where({ plan, code }: { plan: Plan; code: string }) {
  const shows = SHOWS[code] ?? {};
  const strip = (panel: Plan["panels"][number]) => panel.edges.some((edge) => edge.name === "lower");
  const panels = plan.panels.filter((panel) => LEGS.includes(panel.name) || (shows.strips && strip(panel)));
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
            <g key={panel.name} transform={`translate(${shifts[n]} 0)`} fill="none" stroke="currentColor">
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
