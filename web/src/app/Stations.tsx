import { Box, chakra } from "@chakra-ui/react";
import { memo } from "react";
import { NavLink } from "react-router";

export const STATIONS = [
  { key: "measure", name: "Measure" },
  { key: "design", name: "Design" },
  { key: "cloth", name: "Cloth" },
  { key: "lay", name: "Lay" },
  { key: "mark", name: "Mark" },
  { key: "check", name: "Check" },
  { key: "sewing", name: "Sew" },
  { key: "fitting", name: "Fit" },
] as const;

type StationsProps = { order: string; at: number; reached: number; knots: Set<string> };

/** The steps of a job as a measuring tape, pulled out as far as the work has come; a knot where something is wrong. */
export const Stations = memo(function Stations({ order, at, reached, knots }: StationsProps) {
  return (
    <Box
      as="nav"
      aria-label="Stations"
      display="flex"
      flex="1"
      minWidth="0"
      border="1px solid {colors.edge}"
      background="sheet"
    >
      {STATIONS.map((station, k) => (
        <Box
          key={station.key}
          flex="1"
          minWidth="0"
          position="relative"
          background={k === at ? "marigold" : k <= reached ? "tape" : "sheet"}
          color={k === at ? "onMarigold" : k <= reached ? "tapeInk" : "ink"}
          borderRight={k === reached ? "7px solid {colors.marigoldDeep}" : "1px solid {colors.hairline}"}
          outline={k === at ? "2px solid {colors.ink}" : undefined}
          outlineOffset="-2px"
          backgroundImage="repeating-linear-gradient(90deg, #2A241066 0 1px, transparent 1px 11px)"
          backgroundSize="100% 7px"
          backgroundPosition="0 100%"
          backgroundRepeat="no-repeat"
          css={{
            "& a": {
              display: "flex",
              alignItems: "center",
              justifyContent: "center",
              gap: "8",
              minHeight: "56px",
              fontSize: "17px",
              textDecoration: "none",
            },
          }}
        >
          <NavLink to={`/orders/${order}/${station.key}`}>
            <b>{k + 1}</b> {station.name}
            {knots.has(station.key) && (
              <chakra.span color={k === at ? "ink" : "madder"} lineHeight="0">
                <svg width="18" height="14" viewBox="0 0 18 14" role="img" aria-label="something is wrong here">
                  <path d="M1 8c4-9 10 9 16 0M1 6c5 8 9-9 16 3" fill="none" stroke="currentColor" strokeWidth="2" />
                </svg>
              </chakra.span>
            )}
          </NavLink>
        </Box>
      ))}
    </Box>
  );
});
