import { chakra } from "@chakra-ui/react";
import type { Plan } from "../../api/plans";
import { boxOf, onCloth } from "../../drawing/frame";
import { pieceName } from "../../drawing/names";
import type { Unit } from "../../lengths/units";
import { Length } from "../../ui/length";
import type { Lay, Placing } from "./moves";

type Props = { plan: Plan; lay: Lay; section: Lay["sections"][number]; unit: Unit };

/** The lay as a table: each piece where its nearest corner is, in the order of the cloth. */
export function LayTable({ plan, lay, section, unit }: Props) {
  const pieces = new Map(plan.pieces.map((piece) => [piece.id, piece]));
  const rows = lay.placements
    .filter((one) => lay.sections[one.section] === section)
    .map((placing) => {
      const piece = pieces.get(placing.piece)!;
      const [x, y, wide, deep] = boxOf(piece.cut.map((point) => onCloth(placing, point)));
      return { placing, name: pieceName(plan, piece), x, y, wide, deep };
    })
    .sort((a, b) => a.x - b.x || a.y - b.y);
  const open = section.layers.length === 1;
  const crosswise = section.crosswise;
  return (
    <chakra.div flex="1" minHeight="0" overflow="auto">
      <chakra.table width="100%" fontSize="16px" css={{ "& th, & td": { textAlign: "left", padding: "4px 8px" } }}>
        <thead>
          <tr>
            <th>Piece</th>
            <th>Layers</th>
            <th>{crosswise ? "From one selvedge" : "From the cut end"}</th>
            <th>{open ? "From one selvedge" : "From the fold"}</th>
            <th>Long</th>
            <th>Wide</th>
            <th>How it is placed</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ placing, name, x, y, wide, deep }, k) => (
            <chakra.tr key={k} borderTop="1px solid {colors.hairline}">
              <chakra.th scope="row" fontWeight={600}>
                {name}
              </chakra.th>
              <td>{layersOf(placing, section)}</td>
              {[x, y, wide, deep].map((mm, at) => (
                <td key={at}>
                  <Length mm={Math.max(0, mm)} unit={unit} />
                </td>
              ))}
              <td>{howPlaced(placing)}</td>
            </chakra.tr>
          ))}
        </tbody>
      </chakra.table>
    </chakra.div>
  );
}

/** Through which layers a piece is cut, and whether it has to be uncovered first. */
function layersOf({ layers, under }: Placing, section: Lay["sections"][number]): string {
  const most = section.layers.length;
  const said = most === 1 ? "one" : layers.length === most ? `all ${most}` : layers.join(" and ");
  return under ? `${said}, under another` : said;
}

const howPlaced = ({ turned, mirrored }: Placing) =>
  [turned && "turned", mirrored && "flipped"].filter(Boolean).join(" and ") || "as drawn";
