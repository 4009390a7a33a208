import { Box, chakra } from "@chakra-ui/react";
import type { ReactNode } from "react";
import { useParams, useSearchParams } from "react-router";
import { useOrder } from "../../api/orders";
import { useChalk } from "../../api/chalk";
import { type Cut, type Mark, type Plan, usePlan } from "../../api/plans";
import { pieceName } from "../../drawing/names";
import type { Unit } from "../../lengths/units";
import { day } from "../../ui/day";
import { Length } from "../../ui/length";
import { Unworkable } from "../../ui/findings";
import { Paper, PaperHeading } from "../../ui/paper";
import { useTitle } from "../../ui/title";
import { Prepare, under } from "./Section";
import { Table } from "./Table";
import { words } from "./words";
import { Taped } from "../../ui/taped";

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
  const groups: Mark[][] = [];
  for (const mark of plan.marks) {
    const last = groups.at(-1)?.[0];
    if (last && last.garment === mark.garment && last.panel === mark.panel) groups.at(-1)!.push(mark);
    else groups.push([mark]);
  }
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
        <chakra.ul listStyleType="none" marginTop="8" css={{ columns: 2 }}>
          {plan.pieces.map((piece) => (
            <li key={piece.id}>
              <b>{pieceName(plan, piece)}</b>, cut {piece.count}
              {piece.on_fold ? " on the fold" : piece.pair ? ", left and right" : ""}
            </li>
          ))}
        </chakra.ul>
        {groups.map((marks, k) => [
          sectionOf(marks[0]) && sectionOf(marks[0]) !== sectionOf(groups[k - 1]?.[0]) && (
            <FoldSo key={`fold${k}`} section={sectionOf(marks[0])!} anew={k > 0} />
          ),
          <chakra.table key={marks[0]!.n} width="100%" marginTop="12" css={{ "& tr": { breakInside: "avoid" } }}>
            <chakra.caption textAlign="left" fontWeight={600} fontSize="17px">
              {pieceName(plan, marks[0]!)}
            </chakra.caption>
            <tbody>
              {marks.map((mark) => (
                <chakra.tr key={mark.n} borderBottom="1px solid #999" verticalAlign="top">
                  <chakra.td width="54px">
                    <chakra.span
                      display="inline-block"
                      width="12px"
                      height="12px"
                      border="1px solid black"
                      background={ticked.has(mark.n) ? "black" : undefined}
                      marginRight="8"
                    />
                    {mark.n}
                  </chakra.td>
                  <chakra.th scope="row" textAlign="left" fontWeight={600} width="30%">
                    {mark.name}
                  </chakra.th>
                  <chakra.td textAlign="right" fontWeight={600} fontSize="20px" whiteSpace="nowrap" paddingInline="12">
                    {mark.shown && <Length mm={mark.reads_mm} unit={unit} />}
                  </chakra.td>
                  <chakra.td fontSize="14px">
                    {mark.from && `from ${mark.from}, `}
                    {mark.along}
                    <br />
                    <Taped>{mark.formula}</Taped>
                    {mark.waits && <Warning>{words.waits}</Warning>}
                    {under(plan, mark.n) && <Warning>{words.under}</Warning>}
                  </chakra.td>
                </chakra.tr>
              ))}
            </tbody>
          </chakra.table>,
        ])}
      </OnEachPage>
    </Paper>
  );
}

const Warning = ({ children }: { children: string }) => (
  <chakra.b display="block" fontSize="14px">
    {children}
  </chakra.b>
);

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
function FoldSo({ section, anew }: { section: Section; anew: boolean }) {
  return (
    <Box marginTop={anew ? "16" : "8"} css={{ breakInside: "avoid" }}>
      <b>{section.part === "all" ? words.prepare : `${section.cut}: ${words.prepare.toLowerCase()}`}</b>
      <Prepare section={section} />
    </Box>
  );
}
