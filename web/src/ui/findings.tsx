import { Box, chakra } from "@chakra-ui/react";
import { memo } from "react";
import { Link } from "react-router";
import { Refused } from "../api/client";
import type { Plan } from "../api/plans";
import { garmentName, outfitOf } from "../drawing/names";
import { Taped } from "./taped";

/** What should be looked at, what is wrong first. Drawn anew for another plan. */
export const Findings = memo(function Findings({ plan }: { plan: Plan }) {
  if (plan.findings.length === 0) return null;
  const garments = [...new Set(plan.pieces.map((piece) => piece.garment))];
  const whose = (finding: Plan["findings"][number]) =>
    plan.clients?.[finding.outfit || outfitOf(plan, finding.garment)];
  const tone = { stop: "madder", warn: "madder", note: "ink2" } as const;
  return (
    <Box as="ul" listStyleType="none" display="grid" gap="8" fontSize="16px" aria-label="Findings">
      {plan.findings.map((finding) => (
        <chakra.li key={finding.code + finding.where} color={tone[finding.weight]}>
          {finding.weight === "stop" && <b>Stop. </b>}
          {whose(finding) && <b>{whose(finding)}. </b>}
          {garments.length > 1 && finding.garment && <b>{garmentName(finding.garment)}. </b>}
          <Taped>{finding.words}</Taped>
        </chakra.li>
      ))}
    </Box>
  );
});

/** Why there is no plan yet: every problem, its cure, and the way to the station that mends it. */
export function Unworkable({ error, order }: { error: Error; order: string }) {
  const problems = error instanceof Refused ? error.problems : [];
  return (
    <Box role="status" aria-label="What is missing" display="grid" gap="8">
      <chakra.h2 fontSize="20px" fontWeight={600} color="madder">
        {problems.length ? "Not ready to draft" : error.message}
      </chakra.h2>
      {problems.map((problem) => {
        return (
          <chakra.p key={problem.where + problem.code} fontSize="16px">
            <b>
              <Taped>{problem.what}</Taped>.
            </b>{" "}
            <Taped>{problem.mend}</Taped>{" "}
            {problem.station && (
              <chakra.span color="dye" textDecoration="underline">
                <Link to={`/orders/${order}/${problem.station}`}>Go there</Link>
              </chakra.span>
            )}
          </chakra.p>
        );
      })}
    </Box>
  );
}
