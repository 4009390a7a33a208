import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { type Chalk, useChalkEnd } from "../../api/chalk";
import type { Cut, Plan } from "../../api/plans";
import { useMay } from "../../api/session";
import { pieceName } from "../../drawing/names";
import { moment } from "../../ui/day";
import { Press } from "../../ui/press";
import { Says } from "../../ui/words";
import { Taped } from "../../ui/taped";

type ChalkedProps = {
  order: string;
  cut: Cut;
  plan: Plan;
  chalk: Chalk | null;
  /** How often it was rubbed out before. */
  earlier: number;
  newer: string[];
  at: number;
  go: (call: number) => void;
};

/** By which plan the cloth is chalked, how far, who else is at it, and what a newer plan has otherwise. */
export function Chalked({ order, cut, plan, chalk, earlier, newer, at, go }: ChalkedProps) {
  const may = useMay();
  const [kept, setKept] = useState("");
  const [sure, setSure] = useState(false);
  const { rubOut } = useChalkEnd(order, cut, chalk?.id ?? "");
  if (!chalk) return null;
  const others = chalk.places.filter((one) => !one.mine);
  const told = newer.join("; ");
  const end = (
    <Press
      disabled={rubOut.isPending}
      onClick={() => {
        if (sure) rubOut.mutate();
        setSure(!sure);
      }}
    >
      {sure ? `Yes, rub out ${chalk.ticked.length} marks` : "Rub out and start anew"}
    </Press>
  );
  return (
    <Box fontSize="15px" color="ink2" marginBottom="8" data-chalked>
      <p>
        {chalk.cut_at ? (
          <>
            Cut on {moment(chalk.cut_at)} by {chalk.cut_by}.
          </>
        ) : (
          <>
            {chalk.ticked.length} of {plan.marks.length} chalked, by the plan of {moment(chalk.began_at)}
            {earlier > 0 && `; rubbed out ${earlier === 1 ? "once" : `${earlier} times`} before`}
          </>
        )}
      </p>
      {others.map((one) => {
        const mark = plan.marks[one.call - 1];
        return (
          <p key={one.who}>
            <bdi>{one.who}</bdi> is at{" "}
            <chakra.button textDecoration="underline" cursor="pointer" onClick={() => go(one.call)}>
              {mark ? `${pieceName(plan, mark).toLowerCase()}, ${mark.name.toLowerCase()}` : `call ${one.call}`}
            </chakra.button>
            {one.call === at && ", where you are"}.
          </p>
        );
      })}
      {newer.length > 0 && kept !== told && (
        <Says tone="plain">
          <chakra.p color="ink">
            {chalk.cut_at
              ? "The order has changed since it was cut. The cloth is as it was cut; what would need new cloth: "
              : "The chalk stays as it is. A newer plan differs: "}
            <b>
              <Taped>{told}</Taped>
            </b>
            .
          </chakra.p>
          <Box display="flex" gap="8" flexWrap="wrap" marginTop="8">
            <Press onClick={() => setKept(told)}>Keep the chalk</Press>
            {may("chalk") && !chalk.cut_at && chalk.id && end}
          </Box>
        </Says>
      )}
      {rubOut.error && <Says tone="wrong">{rubOut.error.message}</Says>}
    </Box>
  );
}
