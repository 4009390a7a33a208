import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { inWords } from "../../api/client";
import { useMay } from "../../api/session";
import { plainCloth, useShelfWrites } from "../../api/shelf";
import type { Order } from "../../api/orders";
import type { Plan } from "../../api/plans";
import { pieceName } from "../../drawing/names";
import { apart, show, text, type Unit } from "../../lengths/units";
import { Length } from "../../ui/length";
import { Press } from "../../ui/press";
import { Says } from "../../ui/words";
import { proofOf, stillSaves } from "./bound";
import { meetings, onStripe } from "./stripes";
import { Taped } from "../../ui/taped";

type Lay = NonNullable<Plan["lay"]>;

type Rival = [string, number | null | undefined, string];

/** What it costs, or saves, to fold anew for each section. */
const price = (more: number, unit: Unit) =>
  Math.abs(more) < 1
    ? "one pass; folding anew costs nothing"
    : `one pass; folding anew ${more > 0 ? "costs" : "saves"} ${text(show(Math.abs(more), unit))}`;

type RivalsProps = { plan: Plan; lay: Lay; section: Lay["sections"][number]; unit: Unit; used: number };

/** The lay's length, and the lengths it is compared with; why none can be shorter, for the section that is shown. */
export function Rivals({ plan, lay, section, unit, used }: RivalsProps) {
  const rows: Rival[] = [
    ["This lay", lay.length_mm, ""],
    ["Block by block", lay.habit_mm, "as it is mostly done"],
    ["One careful pass", lay.one_pass_mm, "largest piece first"],
    ...(lay.one_fold_mm == null
      ? []
      : [["On one fold", lay.one_fold_mm, price(apart(lay.length_mm, lay.one_fold_mm, unit), unit)] as Rival]),
    ["On open cloth", lay.open_mm, "one pass, one layer"],
    ["No lay is under", lay.bound_mm, ""],
  ];
  const saves = stillSaves(lay);
  return (
    <Box>
      <chakra.p fontSize="20px" fontWeight={600} color={saves ? "ink" : "moss"} marginBottom="8" data-saves>
        {saves ? (
          <>
            At most <Length mm={saves} unit={unit} /> could still be saved.
          </>
        ) : (
          "This is the shortest there is."
        )}
      </chakra.p>
      <chakra.table width="100%" fontSize="16px">
        <chakra.caption textAlign="left" fontSize="20px" fontWeight={600}>
          Length
        </chakra.caption>
        <tbody>
          {rows.map(([name, mm, why], k) => (
            <tr key={name}>
              <chakra.th textAlign="left" fontWeight={k ? 400 : 800} paddingBlock="4" scope="row">
                {name}
                {why && (
                  <chakra.span display="block" fontSize="14px" color="ink2">
                    <Taped>{why}</Taped>
                  </chakra.span>
                )}
              </chakra.th>
              <chakra.td textAlign="right" fontWeight={k ? 400 : 800}>
                {mm == null ? "too wide" : <Length mm={mm} unit={unit} />}
              </chakra.td>
            </tr>
          ))}
        </tbody>
      </chakra.table>
      <details>
        <chakra.summary fontSize="16px" color="dye">
          Why no lay is shorter than that
        </chakra.summary>
        <Why plan={plan} section={section} unit={unit} named={lay.sections.length > 1} />
      </details>
      <chakra.p marginTop="8">{Math.round(used * 100)} % of the cloth is used.</chakra.p>
    </Box>
  );
}

type WhyProps = { plan: Plan; section: Lay["sections"][number]; unit: Unit; named: boolean };

/** The steps that prove how short a section can be, one under the other; `named` where there are several. */
function Why({ plan, section, unit, named }: WhyProps) {
  const { steps, times } = proofOf(plan, section);
  return (
    <Box fontSize="14px" color="ink2" paddingLeft="12" borderLeft="2px solid {colors.hairline}">
      {!section.counted && <p>With so many pieces this was not worked out further than the following.</p>}
      {named && (
        <p>
          {section.cut}: not under <Length mm={section.bound_mm} unit={unit} />
        </p>
      )}
      {section.bound_steps[0]?.kind === "counted" ? (
        <Counted mm={steps[0]!.mm} times={times} unit={unit} />
      ) : steps.length === 1 ? (
        <p>
          {steps[0]!.name}
          {times > 1 && `, × ${times}`}
        </p>
      ) : (
        <>
          <p>
            Pieces that cannot pass each other, from middle to middle at least so far apart{times > 1 && `, × ${times}`}
            :
          </p>
          <chakra.ul listStyleType="none">
            {steps.map(({ name, mm }, k) => (
              <chakra.li key={k} display="flex" justifyContent="space-between" gap="8">
                <span>
                  {k > 0 && "+ "}
                  {name}
                </span>
                <Length mm={mm} unit={unit} />
              </chakra.li>
            ))}
          </chakra.ul>
        </>
      )}
    </Box>
  );
}

/** What was asked of every way to place the pieces along the table. */
function Counted({ mm, times, unit }: { mm: number; times: number; unit: Unit }) {
  return (
    <>
      <p>Every order of the pieces along the cloth was counted through. Each keeps to this:</p>
      <chakra.ul paddingLeft="16">
        <li>at every place, what is there side by side goes into the cloth as it is folded;</li>
        <li>pieces on the fold are one behind the other;</li>
        <li>pieces that cannot pass each other keep their distance;</li>
        <li>where the pieces are few, rectangles drawn inside them do not overlap.</li>
      </chakra.ul>
      <p>
        No order that does is shorter than <Length mm={mm} unit={unit} /> along the table
        {times > 1 && (
          <>
            , which is <Length mm={mm * times} unit={unit} /> of cloth: {times} lengths are on one another
          </>
        )}
        .
      </p>
    </>
  );
}

/** Whether what is sewn together meets on the same stripe, seam by seam. */
export function Matched({ plan, lay, unit }: { plan: Plan; lay: Lay; unit: Unit }) {
  const met = meetings(plan, lay.placements, lay.sections, lay.repeat_mm);
  if (!(lay.repeat_mm > 0)) return null;
  return (
    <Box fontSize="16px">
      <chakra.h2 fontSize="20px" fontWeight={600}>
        Stripes, every <Length mm={lay.repeat_mm} unit={unit} />
      </chakra.h2>
      {met.length === 0 && <p>Nothing here carries a notch on both sides of a seam to match at.</p>}
      <chakra.ul listStyleType="none">
        {met.map(({ one, other, garment, code, off }) => (
          <chakra.li key={`${one} ${other}`} color={onStripe(off) ? "moss" : "ink"}>
            {pieceName(plan, { garment, panel: "front" })} to back at the {code}:{" "}
            <Taped>{onStripe(off) ? "on the same stripe" : `${text(show(Math.abs(off), unit))} off`}</Taped>
          </chakra.li>
        ))}
      </chakra.ul>
      {met.some(({ off }) => !onStripe(off)) && (
        <chakra.p color="ink2" fontSize="14px">
          Move by hand, choose a piece and match it: it goes along to the next stripe that meets.
        </chakra.p>
      )}
    </Box>
  );
}

type LeftProps = { offcuts: Lay["offcuts"]; order: Order; unit: Unit };

/** What is left over in one piece, largest first; what is wanted goes on the shelf. */
export function Left({ offcuts, order, unit }: LeftProps) {
  const may = useMay();
  const { put } = useShelfWrites();
  const [kept, setKept] = useState<Record<string, string>>({});
  if (offcuts.length === 0) return <p>Nothing larger than a hand is left over.</p>;
  const keep = (one: Lay["offcuts"][number], key: string) => {
    const id = kept[key] ?? crypto.randomUUID();
    const { kind, colour, one_way, shrink_percent } = order.cloth;
    const size = { width: text(show(one.across_mm, unit)), length: text(show(one.along_mm, unit)) };
    const name = `${order.title}, off-cut${one.layers > 1 ? `, ${one.layers} alike` : ""}`;
    const cloth = plainCloth({
      id,
      name: name.slice(0, 80),
      form: "off-cut",
      kind,
      colour,
      one_way,
      shrink_percent,
      ...size,
    });
    put.mutate(cloth, { onSuccess: () => setKept((now) => ({ ...now, [key]: id })) });
  };
  return (
    <Box fontSize="16px">
      <chakra.h2 fontSize="20px" fontWeight={600}>
        Off-cuts
      </chakra.h2>
      <chakra.p color="ink2" fontSize="14px">
        along by across, where no piece touches; each may be a little larger
      </chakra.p>
      <chakra.ul listStyleType="none" display="grid" gap="4">
        {offcuts.map((one) => {
          const key = `${one.section} ${one.x_mm} ${one.y_mm}`;
          return (
            <chakra.li key={key} display="flex" justifyContent="space-between" alignItems="center" gap="8">
              <span>
                <Length mm={one.along_mm} unit={unit} /> by <Length mm={one.across_mm} unit={unit} />
                {one.layers > 1 && `, in ${one.layers} layers`}
              </span>
              {may("orders") && (
                <Press kind="quiet" disabled={key in kept || put.isPending} onClick={() => keep(one, key)}>
                  {key in kept ? "On the shelf" : "Keep it"}
                </Press>
              )}
            </chakra.li>
          );
        })}
      </chakra.ul>
      {put.error && <Says tone="wrong">{inWords(put.error)}</Says>}
    </Box>
  );
}

/** Every piece and how many of it are cut; what is bought besides the cloth. */
export function CutList({ plan, unit }: { plan: Plan; unit: Unit }) {
  return (
    <Box fontSize="16px">
      <chakra.h2 fontSize="20px" fontWeight={600}>
        To cut
      </chakra.h2>
      <chakra.ul listStyleType="none">
        {plan.pieces.map((piece) => (
          <li key={piece.id}>
            {pieceName(plan, piece)}, cut {piece.count}
            {piece.on_fold ? " on the fold" : piece.pair ? ", left and right" : ""}
            {piece.sewn_to && (
              <chakra.span display="block" fontSize="14px" color="ink2">
                sewn to {piece.sewn_to}
              </chakra.span>
            )}
          </li>
        ))}
      </chakra.ul>
      <chakra.h2 fontSize="20px" fontWeight={600} marginTop="12">
        To have at hand
      </chakra.h2>
      <chakra.ul listStyleType="none">
        {plan.notions.map((notion) => (
          <li key={notion.garment + notion.name}>
            {notion.count > 1 && `${notion.count} × `}
            {notion.name}
            {notion.length_mm != null && (
              <>
                , <Length mm={notion.length_mm} unit={unit} />
              </>
            )}
            {notion.width_mm != null && (
              <>
                {" "}
                by <Length mm={notion.width_mm} unit={unit} />
              </>
            )}
          </li>
        ))}
      </chakra.ul>
    </Box>
  );
}
