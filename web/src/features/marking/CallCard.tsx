import { Box, chakra } from "@chakra-ui/react";
import type { ReactNode } from "react";
import { useParams, useSearchParams } from "react-router";
import { useOrder } from "../../api/orders";
import { useChalk } from "../../api/chalk";
import { useCallCode } from "../../api/files";
import { type Cut, type Mark, type Plan, usePlan } from "../../api/plans";
import type { Unit } from "../../lengths/units";
import { day } from "../../ui/day";
import { Unworkable } from "../../ui/findings";
import { Paper, PaperHeading } from "../../ui/paper";
import { useTitle } from "../../ui/title";
import { byPiece, CallTable, CutList } from "./CallTable";
import { Prepare } from "./Section";
import { Table } from "./Table";
import { words } from "./words";

/** Every call for the printer, piece by piece: a tick for the chalk, the number large, where the tape is, its sum. */
export function CallCard() {
  const { id = "" } = useParams();
  const [query] = useSearchParams();
  const order = useOrder(id);
  const cut = (query.get("cloth") as Cut | null) ?? "main";
  const chalk = useChalk(id, cut, false);
  const ticked = new Set(chalk.data?.chalk?.ticked);
  const answer = usePlan(id, cut, "", chalk.data?.chalk?.id ?? "", !chalk.isPending);
  useTitle(["Calls", order.data?.client.name, order.data?.title].filter(Boolean).join(", "));
  if (answer.error) {
    return (
      <Box padding="24">
        <Unworkable error={answer.error} order={id} />
      </Box>
    );
  }
  if (!order.data || !answer.data) return <Box padding="24">{order.error?.message ?? "One moment…"}</Box>;
  const { plan } = answer.data;
  const unit = plan.unit as Unit;
  const groups = byPiece(plan.marks);
  const sectionOf = (mark: Mark | undefined) =>
    mark?.placing == null ? undefined : plan.lay!.sections[plan.lay!.placements[mark.placing]!.section];
  return (
    <Paper>
      <OnEachPage head={`${order.data.client.name}: ${order.data.title}, promised for ${day(order.data.promised_on)}`}>
        <PaperHeading />
        <chakra.h1 fontSize="24px" fontWeight={600}>
          {plan.marks.length} calls, {plan.pieces.length} pieces
        </chakra.h1>
        {!plan.lay && <p>{words.noLay}</p>}
        {plan.lay?.sections.map((section) => {
          const first = plan.marks.find((mark) => sectionOf(mark) === section);
          return (
            first && (
              <Box key={section.part + section.from_mm} height="180px" marginTop="8" css={{ breakInside: "avoid" }}>
                <Table {...{ plan, unit, ticked, order: order.data, mark: first, at: first.n }} {...STILL} />
              </Box>
            )
          );
        })}
        <CutList plan={plan} />
        {groups.map((marks, k) => [
          sectionOf(marks[0]) && sectionOf(marks[0]) !== sectionOf(groups[k - 1]?.[0]) && (
            <FoldSo plan={plan} key={`fold${k}`} section={sectionOf(marks[0])!} anew={k > 0} />
          ),
          <CallTable
            key={marks[0]!.n}
            {...{ plan, marks, unit, ticked }}
            code={<Code order={id} call={marks[0]!.n} cloth={cut} />}
          />,
        ])}
      </OnEachPage>
    </Paper>
  );
}

/** Read by a telephone, it opens Mark at the first call of a piece. */
function Code({ order, call, cloth }: { order: string; call: number; cloth: Cut }) {
  const code = useCallCode(order, call, cloth).data;
  if (!code) return null;
  return <img src={code.picture} alt={`Opens call ${call} on Mark`} width="66" height="66" />;
}

/** The drawing of the card: the whole cloth, no tape in hand. */
const STILL = { zoom: 1, upright: false, whole: true, still: true, control: null };

/** A printer repeats the head of a table on every page: whose card it is, and by when. */
function OnEachPage({ head, children }: { head: string; children: ReactNode }) {
  return (
    <chakra.table role="presentation" width="100%" maxWidth="760px" fontSize="15px">
      <thead>
        <tr>
          <chakra.td fontWeight={600} fontSize="17px" paddingBottom="8">
            {head}
          </chakra.td>
        </tr>
      </thead>
      <tbody>
        <tr>
          <td>{children}</td>
        </tr>
      </tbody>
    </chakra.table>
  );
}

type Section = NonNullable<Plan["lay"]>["sections"][number];

/** How the cloth is prepared for the calls that follow. */
function FoldSo({ plan, section, anew }: { plan: Plan; section: Section; anew: boolean }) {
  return (
    <Box marginTop={anew ? "16" : "8"} css={{ breakInside: "avoid" }}>
      <b>{section.part === "all" ? words.prepare : `${section.cut}: ${words.prepare.toLowerCase()}`}</b>
      <Prepare plan={plan} section={section} />
    </Box>
  );
}
