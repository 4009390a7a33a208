import { Box, chakra } from "@chakra-ui/react";
import type { Plan } from "../api/plans";
import { hasSection, roundAs } from "../geometry/ellipse";
import { show, spoken, text, type Unit } from "../lengths/units";
import { garmentName } from "../drawing/names";
import { LEVELS } from "./ledger";
import { Taped } from "./taped";

/** Millimetres of the body to one of the drawing: one scale for all, so that a thigh looks as it is beside a hip. */
const SCALE = 4;
const EDGE = 6;

/** The body at each level with the garment round it, both as far round as the ledger says. */
export function Ease({ plan, unit }: { plan: Plan; unit: Unit }) {
  const rows = plan.ledger.filter((row) => row.body_mm != null && hasSection(row.level));
  if (!rows.length) return null;
  const several = new Set(rows.map((row) => row.garment)).size > 1;
  return (
    <Box as="section" aria-label="Ease round the body" marginTop="24">
      <chakra.h2 fontSize="20px" fontWeight={600}>
        Ease round the body
      </chakra.h2>
      <chakra.p color="ink2" fontSize="16px">
        The body filled, the garment round it, cut across and seen from above: to one scale, the front below. How far
        round each is comes from the ledger; how deep it is for its width is a usual shape, not this client's.
      </chakra.p>
      <chakra.ul listStyleType="none" display="flex" flexWrap="wrap" gap="24" marginTop="8" alignItems="end">
        {rows.map((row) => (
          <li key={`${row.garment}.${row.level}`}>
            <Across
              level={row.level}
              name={`${several ? `${garmentName(row.garment)}, ` : ""}${LEVELS[row.level]!.toLowerCase()}`}
              body={row.body_mm!}
              garment={row.sewn_mm}
              unit={unit}
            />
          </li>
        ))}
      </chakra.ul>
    </Box>
  );
}

type AcrossProps = { level: string; name: string; body: number; garment: number; unit: Unit };

function Across({ level, name, body, garment, unit }: AcrossProps) {
  const [inner, outer] = [roundAs(body, level), roundAs(garment, level)];
  const [rx, ry] = [Math.max(inner.rx, outer.rx), Math.max(inner.ry, outer.ry)];
  const [width, height] = [(2 * rx) / SCALE + 2 * EDGE, (2 * ry) / SCALE + 2 * EDGE];
  const ease = garment - body;
  const tight = ease < -0.5;
  const said = `${name}: body ${spoken(show(body, unit))}, garment ${spoken(show(garment, unit))}`;
  return (
    <chakra.figure margin="0" display="grid" justifyItems="center">
      <svg
        width={width}
        height={height}
        viewBox={`${-width / 2} ${-height / 2} ${width} ${height}`}
        role="img"
        aria-label={said}
      >
        <ellipse rx={inner.rx / SCALE} ry={inner.ry / SCALE} fill="currentColor" fillOpacity="0.16" />
        <ellipse
          rx={outer.rx / SCALE}
          ry={outer.ry / SCALE}
          fill="none"
          stroke="currentColor"
          strokeWidth="2"
          strokeDasharray={tight ? "5 4" : undefined}
        />
      </svg>
      <chakra.figcaption fontSize="16px" textAlign="center" color={tight ? "madder" : "ink"}>
        {name.charAt(0).toUpperCase() + name.slice(1)}
        <chakra.span display="block">
          <Taped>{tight ? `${text(show(-ease, unit))} less than the body` : `${text(show(ease, unit))} of ease`}</Taped>
        </chakra.span>
      </chakra.figcaption>
    </chakra.figure>
  );
}
