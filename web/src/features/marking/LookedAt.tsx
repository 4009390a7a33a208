import { Box, chakra } from "@chakra-ui/react";
import { useLocation } from "react-router";
import { useLookedAt } from "../../api/files";
import type { Piece } from "../../api/plans";
import { boxOf } from "../../drawing/frame";
import { pieceName } from "../../drawing/names";
import { Strokes } from "../../drawing/Strokes";
import type { Unit } from "../../lengths/units";
import { moment } from "../../ui/day";
import { Paper } from "../../ui/paper";
import { useTitle } from "../../ui/title";
import { Says } from "../../ui/words";
import { byPiece, CallTable, CutList } from "./CallTable";

const NONE: ReadonlySet<number> = new Set();
const EDGE = 20;

/** A plan for somebody who has no account: its pieces, drawn, and every call. */
export function LookedAt() {
  const look = useLookedAt(useLocation().hash.slice(1));
  useTitle(look.data?.title ?? "A plan");
  if (look.error) {
    return (
      <Box as="main" padding="24" maxWidth="480px">
        <chakra.h1 fontSize="24px" fontWeight={600}>
          A plan
        </chakra.h1>
        <Says tone="wrong">This link has ended, or was never one. Ask who gave it to you for a new one.</Says>
      </Box>
    );
  }
  if (!look.data) return <Box padding="24">One moment…</Box>;
  const { workshop, heading, title, until, plan } = look.data;
  return (
    <Paper bar={<chakra.span alignSelf="center">This link ends on {moment(until)}.</chakra.span>}>
      <Box maxWidth="760px">
        <p>
          <b>{workshop}</b>
          {heading && `, ${heading}`}
        </p>
        <chakra.h1 fontSize="24px" fontWeight={600}>
          {title}
        </chakra.h1>
        <CutList plan={plan} />
        <Box display="flex" flexWrap="wrap" gap="16" marginTop="16">
          {plan.pieces.map((piece) => (
            <chakra.figure key={piece.id} margin="0" css={{ breakInside: "avoid" }}>
              <Drawn piece={piece} name={pieceName(plan, piece)} />
              <chakra.figcaption>{pieceName(plan, piece)}</chakra.figcaption>
            </chakra.figure>
          ))}
        </Box>
        {byPiece(plan.marks).map((marks) => (
          <CallTable key={marks[0]!.n} {...{ plan, marks }} unit={plan.unit as Unit} ticked={NONE} />
        ))}
      </Box>
    </Paper>
  );
}

/** A piece, small: one scale for all of them. */
function Drawn({ piece, name }: { piece: Piece; name: string }) {
  const [x, y, width, height] = boxOf(piece.cut);
  const [wide, high] = [width + 2 * EDGE, height + 2 * EDGE];
  return (
    <svg
      width={wide / 5}
      height={high / 5}
      viewBox={`${x - EDGE} ${y - EDGE} ${wide} ${high}`}
      role="img"
      aria-label={`${name}, drawn`}
      stroke="currentColor"
      fill="none"
    >
      <Strokes strokes={piece.strokes} px={5} />
    </svg>
  );
}
