import { Box, chakra } from "@chakra-ui/react";
import { Link } from "react-router";
import { type Chalk, useChalkEnd } from "../../api/chalk";
import { inWords } from "../../api/client";
import type { Order } from "../../api/orders";
import type { Cut, Plan } from "../../api/plans";
import { useMay } from "../../api/session";
import { pieceName } from "../../drawing/names";
import type { Unit } from "../../lengths/units";
import { moment } from "../../ui/day";
import { Length } from "../../ui/length";
import { Press } from "../../ui/press";
import { Says } from "../../ui/words";

type ConfirmProps = { order: Order; cut: Cut; plan: Plan; chalk: Chalk | null };

/** Before the cut: what is cut, how it is placed, what is left of the cloth; then one deliberate press. */
export function Confirm({ order, cut, plan, chalk }: ConfirmProps) {
  const may = useMay();
  const { cutIt } = useChalkEnd(order.id, cut, chalk?.id ?? "");
  const unit = plan.unit as Unit;
  const wrong = plan.checks.some((check) => !check.ok);
  const left = chalk ? plan.marks.length - chalk.ticked.length : 0;
  return (
    <Box as="section" aria-label="Before the cut" marginTop="24" paddingTop="12" borderTop="1px solid {colors.edge}">
      <chakra.h2 fontSize="20px" fontWeight={600}>
        {chalk?.cut_at ? "As it was cut" : "Before the cut"}
      </chakra.h2>
      <chakra.dl
        display="grid"
        gridTemplateColumns="max-content 1fr"
        columnGap="16"
        rowGap="4"
        fontSize="16px"
        marginTop="8"
        css={{ "& dt": { color: "ink2" } }}
      >
        <dt>Pieces</dt>
        <dd>{plan.pieces.map((piece) => `${pieceName(plan, piece)} ${piece.count}`).join(", ")}</dd>
        <dt>Pairs</dt>
        <dd>
          {listed(
            plan,
            plan.pieces.filter((piece) => piece.pair && piece.count > 1),
          ) || "none"}
          {plan.pieces.some((piece) => piece.pair && piece.count > 1) && ": left and right, turned over"}
        </dd>
        <dt>Grain</dt>
        <dd>{grain(plan)}</dd>
        <dt>Direction</dt>
        <dd>
          {order.cloth.one_way
            ? "one way: every top is at the same end of the cloth"
            : "either way: a piece may be turned end for end"}
        </dd>
        <dt>On the fold</dt>
        <dd>
          {listed(
            plan,
            plan.pieces.filter((piece) => piece.on_fold),
          ) || "none"}
        </dd>
        {plan.lay && (
          <>
            <dt>Cloth</dt>
            <dd>
              takes <Length mm={plan.lay.length_mm} unit={unit} />
              {order.cloth.length && `, of ${order.cloth.length} in hand`}
              {order.shelf && !order.cut && ", which comes off the shelf"}
            </dd>
          </>
        )}
      </chakra.dl>
      {chalk?.cut_at ? (
        <chakra.p marginTop="12" color="moss" fontWeight={600}>
          Cut on {moment(chalk.cut_at)} by {chalk.cut_by}.
        </chakra.p>
      ) : (
        <>
          <chakra.p color="ink2" fontSize="15px" marginTop="12" maxWidth="620px">
            Shears or a rotary cutter: away from the hand that holds the cloth, the guard closed after each cut, pins
            out of the way. The maker’s manual and the rules of the workplace go first.
          </chakra.p>
          {!chalk && (
            <chakra.p marginTop="8">
              Nothing is chalked yet. <Link to={`/orders/${order.id}/mark`}>Chalk it on Mark</Link>, then confirm here.
            </chakra.p>
          )}
          {left > 0 && (
            <chakra.p marginTop="8">
              {left} of {plan.marks.length} calls are not ticked.
            </chakra.p>
          )}
          {wrong && (
            <Says tone="wrong">Some of the checks above do not hold. Mend them first, or be sure why not.</Says>
          )}
          {may("cut") ? (
            <Press
              kind="main"
              minHeight="64px"
              paddingInline="32"
              marginTop="12"
              disabled={!chalk?.id || cutIt.isPending}
              onClick={() => cutIt.mutate()}
            >
              Cut it
            </Press>
          ) : (
            <chakra.p color="ink2" marginTop="8">
              Confirming the cut is for a cutter or the owner.
            </chakra.p>
          )}
          {cutIt.error && <Says tone="wrong">{inWords(cutIt.error)}</Says>}
        </>
      )}
    </Box>
  );
}

const listed = (plan: Plan, pieces: Plan["pieces"]) => pieces.map((piece) => pieceName(plan, piece)).join(", ");

/** How the pieces are placed along the cloth: their tops one way, or some turned. */
function grain(plan: Plan): string {
  const turned = new Set(plan.lay?.placements.filter((one) => one.turned).map((one) => one.piece));
  const named = listed(
    plan,
    plan.pieces.filter((piece) => turned.has(piece.id)),
  );
  if (!plan.lay) return "along the selvedge";
  return named ? `along the selvedge; with the top away from the cut end: ${named}` : "along the selvedge, all one way";
}
