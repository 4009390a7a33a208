import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { inWords, Refused } from "../../api/client";
import { type DrawnUnit, type HousePattern, useLookIntoPattern, useOutsideFile } from "../../api/outside";
import { useMay, useMe } from "../../api/session";
import type { Unit } from "../../lengths/units";
import { Chips } from "../../ui/chips";
import { Label } from "../../ui/field";
import { Length } from "../../ui/length";
import { Press } from "../../ui/press";
import { useTitle } from "../../ui/title";
import { Says } from "../../ui/words";
import { KeepPattern } from "./KeepPattern";
import { KeptPatterns } from "./KeptPatterns";

const MOST = 500_000;
const UNITS: { value: DrawnUnit; label: string }[] = [
  { value: "mm", label: "millimetres" },
  { value: "cm", label: "centimetres" },
  { value: "in", label: "inches" },
  { value: "px", label: "pixels, 96 to the inch" },
];
/** A pattern that another program drew: what is in it, how large it is, what cannot be cut; then on paper. */
export function Outside() {
  useTitle("House patterns");
  const look = useLookIntoPattern();
  const make = useOutsideFile();
  const [file, setFile] = useState<{ text: string; title: string } | null>(null);
  const [unit, setUnit] = useState<DrawnUnit>("");
  const may = useMay();
  const [brought, setBrought] = useState(0);
  const [large, setLarge] = useState(false);
  const take = async (chosen: File | undefined) => {
    look.reset();
    make.reset();
    setUnit("");
    setFile(null);
    setLarge((chosen?.size ?? 0) > MOST);
    if (!chosen || chosen.size > MOST) return;
    const text = await chosen.text();
    setFile({ text, title: chosen.name.replace(/\.[^.]*$/, "") });
    look.mutate({ text, unit: "" });
  };
  const choose = (next: string) => {
    setUnit(next as DrawnUnit);
    make.reset();
    if (file) look.mutate({ text: file.text, unit: next as DrawnUnit });
  };
  const asks = look.error instanceof Refused && look.error.problems.some((one) => one.code === "pattern.unit");
  const found = look.data;
  return (
    <Box padding="16" height="100%" overflowY="auto" display="grid" gap="16" alignContent="start">
      <chakra.h1 fontSize="24px" fontWeight={600}>
        House patterns
      </chakra.h1>
      <KeptPatterns />
      <chakra.h2 fontSize="20px" fontWeight={600}>
        A pattern that another program drew
      </chakra.h2>
      <p>
        SVG or DXF, up to 500 kB: closed lines are pieces, what is within one is drawn on it. Nothing is kept before you
        say so.
      </p>
      <Box maxWidth="520px">
        <Label text="The file">
          <chakra.input
            key={brought}
            type="file"
            accept=".svg,.dxf,image/svg+xml,image/vnd.dxf"
            minHeight="touch"
            paddingBlock="8"
            width="100%"
            fontWeight="400"
            onChange={(event) => void take(event.target.files?.[0])}
          />
        </Label>
      </Box>
      {large && <Says tone="wrong">This file is larger than 500 kB. Export the pieces you need alone.</Says>}
      {look.error && <Says tone="wrong">{inWords(look.error)}</Says>}
      {(asks || unit) && <Chips legend="It is drawn in" value={unit} options={UNITS} onChoose={choose} />}
      {look.isPending && <p>Reading the file…</p>}
      {found && <Drawing found={found} />}
      {found && found.refused.length > 0 && (
        <Box>
          <Says tone="wrong">Nothing is taken of this file until these are mended; each is drawn above.</Says>
          <chakra.ol paddingLeft="24" marginTop="8" color="madder">
            {found.refused.map((one, k) => (
              <li key={k}>
                {one.name && <b>{one.name}: </b>}
                {one.what}. {one.mend}
              </li>
            ))}
          </chakra.ol>
        </Box>
      )}
      {found && file && found.refused.length === 0 && (
        <>
          <Sizes found={found} />
          <Box display="flex" flexWrap="wrap" gap="8" role="group" aria-label="Files of the pattern">
            {found.files.map(({ name, title, says }) => (
              <Press
                key={name}
                title={says}
                disabled={make.isPending}
                onClick={() => make.mutate({ text: file.text, unit, name, title: file.title })}
              >
                {title}
              </Press>
            ))}
          </Box>
          {make.error && <Says tone="wrong">{inWords(make.error)}</Says>}
          {may("orders") && (
            <KeepPattern
              key={`${file.title}${unit}${found.pieces.length}`}
              {...{ found, file, unit }}
              kept={() => {
                look.reset();
                setFile(null);
                setBrought((was) => was + 1);
              }}
            />
          )}
        </>
      )}
    </Box>
  );
}

/** All of it, small: pieces in ink, what is refused in madder with a ring at its place. */
function Drawing({ found }: { found: HousePattern }) {
  const [left, top, width, height] = found.box;
  const px = Math.max(width, height) / 400;
  return (
    <chakra.svg
      width="100%"
      maxWidth="900px"
      height="400px"
      background="sheet"
      border="1px solid {colors.hairline}"
      viewBox={`${left - 12 * px} ${top - 12 * px} ${width + 24 * px} ${height + 24 * px}`}
      role="img"
      aria-label={`${found.pieces.length} pieces and ${found.refused.length} lines that cannot be cut`}
      fill="none"
    >
      {found.pieces.map((piece, k) => (
        <chakra.g key={k} stroke="ink">
          <path d={piece.d} strokeWidth={1.5 * px} />
          {piece.lines.map((line, n) => (
            <path key={n} d={line} strokeWidth={0.7 * px} />
          ))}
        </chakra.g>
      ))}
      {found.refused.map((one, k) => (
        <chakra.g key={k} stroke="madder">
          <path d={`M${one.line.map((point) => point.join(",")).join("L")}`} strokeWidth={1.5 * px} />
          <circle cx={one.at[0]} cy={one.at[1]} r={9 * px} strokeWidth={3 * px} />
          <chakra.text
            x={one.at[0] - 14 * px}
            y={one.at[1] + 5 * px}
            fontSize={`${16 * px}px`}
            fontWeight={600}
            fill="madder"
            stroke="none"
            textAnchor="end"
          >
            {k + 1}
          </chakra.text>
        </chakra.g>
      ))}
    </chakra.svg>
  );
}

/** How large each piece is, to be compared with what one knows: a wrong unit is seen here. */
function Sizes({ found }: { found: HousePattern }) {
  const unit = (useMe().data?.unit ?? "in") as Unit;
  return (
    <chakra.table maxWidth="620px" css={{ "& td, & th": { paddingBlock: "4px" } }}>
      <chakra.caption textAlign="left" paddingBottom="4">
        Compare a piece with what you know of it: where it is larger or smaller, the file is not in true size.
      </chakra.caption>
      <thead>
        <tr>
          {["Piece", "Across", "Down"].map((head, k) => (
            <chakra.th key={head} textAlign={k ? "right" : "left"} fontWeight={600}>
              {head}
            </chakra.th>
          ))}
        </tr>
      </thead>
      <tbody>
        {found.pieces.map((piece, k) => (
          <chakra.tr key={k} borderTop="1px solid {colors.hairline}">
            <chakra.th scope="row" textAlign="left" fontWeight={400}>
              {piece.name}
            </chakra.th>
            <chakra.td textAlign="right">
              <Length mm={piece.across_mm} unit={unit} />
            </chakra.td>
            <chakra.td textAlign="right">
              <Length mm={piece.down_mm} unit={unit} />
            </chakra.td>
          </chakra.tr>
        ))}
      </tbody>
    </chakra.table>
  );
}
