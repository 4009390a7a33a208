import { Box, chakra } from "@chakra-ui/react";
import { inWords } from "../../api/client";
import { type Correction, useCorrections, useHold } from "../../api/fitting";
import type { Unit } from "../../lengths/units";
import { announce } from "../../ui/announce";
import { day } from "../../ui/day";
import { Press } from "../../ui/press";
import { Taped } from "../../ui/taped";
import { Says } from "../../ui/words";
import { signed } from "./CureCard";

type CorrectionsProps = { order: string; client: { id: string; name: string }; unit: Unit; may: boolean };

/** What was found at the client's fittings: each holds until it is dropped, and can be taken back. */
export function Corrections({ order, client, unit, may }: CorrectionsProps) {
  const list = useCorrections(client.id);
  const hold = useHold(order, client.id);
  const rows = list.data ?? [];
  const change = ({ id, version }: Correction, to: { removed: boolean } | { only: boolean }, says: string) =>
    hold.mutate({ id, version, ...to }, { onSuccess: () => announce(says) });
  return (
    <Box as="section" aria-label="Found at fittings" display="grid" gap="8">
      <chakra.h2 fontSize="20px" fontWeight={600}>
        Found at <bdi>{client.name}</bdi>’s fittings
      </chakra.h2>
      {list.isSuccess && rows.length === 0 && <p>Nothing yet. What is kept here changes the next draft.</p>}
      {hold.error && <Says tone="wrong">{inWords(hold.error)}</Says>}
      <chakra.ul listStyleType="none" display="grid" gap="8">
        {rows.map((row) => (
          <chakra.li
            key={row.id}
            padding="12"
            display="grid"
            gap="4"
            background={row.removed ? "well" : "sheet"}
            border="1px solid {colors.hairline}"
            borderRadius="cut"
          >
            <span>
              <b>{day(row.fitted_on)}</b>: <Taped>{row.sign_name + (row.pinned && ` (${row.pinned} pinned)`)}</Taped>
            </span>
            <span>
              {row.changes.map((one, k) => (
                <span key={one.choice}>
                  {k > 0 && ", "}
                  {one.name}{" "}
                  <b>
                    <Taped>{signed(one.by_mm, unit)}</Taped>
                  </b>
                </span>
              ))}
              {row.side !== "both" && `, on the ${row.side} side alone`}
              {row.only && `, for the ${row.garment} of one order alone`}
              {row.removed && ", dropped"}
            </span>
            {row.reason && <chakra.span color="ink2">{row.reason}</chakra.span>}
            <chakra.span color="ink2" fontSize="16px">
              Kept by {row.by || "somebody"}
            </chakra.span>
            {row.against.length > 0 && (
              <chakra.b fontSize="16px" color="madder">
                Another one changes the same the other way: look at both.
              </chakra.b>
            )}
            {may && (
              <Box display="flex" gap="8" flexWrap="wrap">
                <Press
                  disabled={hold.isPending}
                  aria-label={`${row.removed ? "Take back" : "Drop"}: ${row.cure_name}`}
                  onClick={() => change(row, { removed: !row.removed }, row.removed ? "Taken back" : "Dropped")}
                >
                  {row.removed ? "Take back" : "Drop"}
                </Press>
                {!row.removed && row.garment && (
                  <Press
                    disabled={hold.isPending}
                    kind="quiet"
                    onClick={() => change(row, { only: !row.only }, "Changed")}
                  >
                    {row.only ? "For every draft" : "For that garment alone"}
                  </Press>
                )}
              </Box>
            )}
          </chakra.li>
        ))}
      </chakra.ul>
    </Box>
  );
}
