import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { inWords } from "../../api/client";
import type { Order } from "../../api/orders";
import type { Plan } from "../../api/plans";
import { useSearch } from "../../api/searches";
import type { Unit } from "../../lengths/units";
import { Length } from "../../ui/length";
import { Press } from "../../ui/press";
import { Says } from "../../ui/words";
import { Taped } from "../../ui/taped";
import { Unseen } from "../../ui/unseen";

const EACH = 2;
type Props = {
  order: Order;
  plan: Plan;
  planId: string;
  unit: Unit;
  choose: (fold: string) => void;
  /** Take the choices of a saving, of each garment by its name. */
  take: (choices: Record<string, Record<string, unknown>>) => Promise<unknown>;
};

/** Whether the cloth in hand is enough, and what would make it so: each saving drafted and laid for real. */
export function InHand({ order, plan, planId, unit, choose, take }: Props) {
  const [wrong, setWrong] = useState("");
  const search = useSearch(order.id, planId, "savings");
  const { run: look, working } = search;
  const short = plan.findings.find((finding) => finding.code === "cloth.short");
  if (!order.cloth.length && !look) return null;
  const tries = look?.found.filter((one) => one.code !== "now") ?? [];
  const now = look?.found.find((one) => one.code === "now");
  const best = tries.toSorted((a, b) => b.saves_mm - a.saves_mm);
  return (
    <Box maxWidth="760px">
      <chakra.h2 fontSize="20px" fontWeight={600}>
        Is the cloth in hand enough?
      </chakra.h2>
      {short ? <Says tone="wrong">{short.words}</Says> : <Says tone="good">Yes: {order.cloth.length} are enough.</Says>}
      <Box display="flex" gap="12" alignItems="center" marginTop="8" flexWrap="wrap">
        {working ? (
          <Press onClick={search.stop}>Stop</Press>
        ) : (
          <Press kind={short ? "main" : "plain"} onClick={() => search.begin(EACH)} disabled={search.pending}>
            Try what would save cloth
          </Press>
        )}
        <span role="status">
          {working &&
            look &&
            (look.tried ? `${tries.length} savings found so far` : "One moment: it waits for its turn")}
          {look && !working && (best.length ? "" : "Nothing that was tried saves cloth.")}
        </span>
      </Box>
      {search.error && <Says tone="wrong">{search.error.message}</Says>}
      {wrong && <Says tone="wrong">{wrong}</Says>}
      {look && look.found.length > 0 && (
        <chakra.table
          width="100%"
          fontSize="16px"
          marginTop="8"
          css={{ "& td, & th": { padding: "4px 8px", textAlign: "right" } }}
        >
          <thead>
            <chakra.tr background="well">
              <chakra.th css={{ "&&": { textAlign: "left" } }}>each by itself, searched for {EACH} s</chakra.th>
              <th>saves</th>
              <th>needs</th>
              <th>enough</th>
              <th>
                <Unseen>What to do</Unseen>
              </th>
            </chakra.tr>
          </thead>
          <tbody>
            {[...(now ? [now] : []), ...best].map((saving) => (
              <chakra.tr key={saving.code} borderBottom="1px solid {colors.hairline}">
                <chakra.th scope="row" fontWeight="400" css={{ "&&": { textAlign: "left" } }}>
                  <Taped>{saving.says}</Taped>
                </chakra.th>
                <td>{saving.code === "now" ? "" : <Length mm={saving.saves_mm} unit={unit} />}</td>
                <td>
                  <Length mm={saving.needs_mm} unit={unit} />
                </td>
                <chakra.td color={saving.enough ? "moss" : "ink2"} fontWeight={saving.enough ? 600 : 400}>
                  {saving.enough ? "yes" : "no"}
                </chakra.td>
                <td>
                  {saving.code.startsWith("fold.") && (
                    <Press kind="quiet" onClick={() => choose(saving.code.slice("fold.".length))}>
                      Fold it so
                    </Press>
                  )}
                  {Object.keys(saving.choices).length > 0 && (
                    <Press
                      kind="quiet"
                      onClick={() => {
                        setWrong("");
                        take(saving.choices).catch((error: Error) => setWrong(inWords(error)));
                      }}
                    >
                      Do it so
                    </Press>
                  )}
                </td>
              </chakra.tr>
            ))}
          </tbody>
        </chakra.table>
      )}
    </Box>
  );
}
