import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { useLearned, useLearners } from "../../api/practice";
import { day } from "../../ui/day";
import { Press } from "../../ui/press";
import { Says } from "../../ui/words";
import { LearnedTable } from "./LearnedTable";
import { WorkShown } from "./WorkShown";

const A_PAGE = 50;

/** What everybody who works here has learned, for an owner. */
export function Learners() {
  const [page, setPage] = useState(1);
  const [open, setOpen] = useState("");
  const learners = useLearners(page);
  const rows = learners.data ?? [];
  return (
    <Box padding={{ base: "12", md: "24" }} overflowY="auto" height="100%" tabIndex={0}>
      <chakra.h1 fontSize="26px" fontWeight={600}>
        What is learned
      </chakra.h1>
      <chakra.p color="ink2" marginBottom="16" maxWidth="60ch">
        {rows[0] && `A rule is learned where the last ${rows[0].in_a_row} answers were right.`}
      </chakra.p>
      {learners.error && <Says tone="wrong">{learners.error.message}</Says>}
      <chakra.ul listStyleType="none" maxWidth="640px">
        {rows.map((one) => (
          <chakra.li key={one.id} borderBottom="1px solid {colors.hairline}" paddingBlock="8">
            <Box display="flex" justifyContent="space-between" alignItems="center" gap="12" flexWrap="wrap">
              <span>
                <b>{one.name}</b>
                <chakra.span color="ink2" display="block" fontSize="16px">
                  {one.asked
                    ? `${one.learned} of ${one.rules} rules learned; ${one.right} of ${one.asked} answers right, the last on ${day(one.last_at!.slice(0, 10))}`
                    : "has not practised yet"}
                </chakra.span>
              </span>
              {one.asked > 0 && (
                <Press aria-expanded={open === one.id} onClick={() => setOpen(open === one.id ? "" : one.id)}>
                  {open === one.id ? "Close" : "Rule by rule"}
                </Press>
              )}
            </Box>
            {open === one.id && <Of who={one.id} />}
          </chakra.li>
        ))}
      </chakra.ul>
      {(page > 1 || rows.length === A_PAGE) && (
        <Box display="flex" gap="12" marginTop="16">
          <Press disabled={page === 1} onClick={() => setPage(page - 1)}>
            Before
          </Press>
          <Press disabled={rows.length < A_PAGE} onClick={() => setPage(page + 1)}>
            More
          </Press>
        </Box>
      )}
      <WorkShown />
    </Box>
  );
}

function Of({ who }: { who: string }) {
  const learned = useLearned(who);
  if (learned.error) return <Says tone="wrong">{learned.error.message}</Says>;
  return learned.data ? <LearnedTable rows={learned.data} /> : null;
}
