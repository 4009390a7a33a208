import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { inWords } from "../../api/client";
import { A_PAGE, type KeptPattern, type SaidPiece, useHousePatterns, usePutHousePattern } from "../../api/patterns";
import { useMay } from "../../api/session";
import { panelName } from "../../drawing/names";
import { field, Label } from "../../ui/field";
import { Press } from "../../ui/press";
import { Says } from "../../ui/words";
import { SaidPieces } from "./SaidPieces";

/** The patterns of the house: small, with how often each piece is cut. */
export function KeptPatterns() {
  const [page, setPage] = useState(1);
  const list = useHousePatterns(page);
  const put = usePutHousePattern();
  const may = useMay();
  const [changing, setChanging] = useState("");
  const rows = list.data ?? [];
  if (list.isPending) return <p>Fetching the patterns…</p>;
  return (
    <Box as="section" aria-label="House patterns" display="grid" gap="12">
      {rows.length === 0 && page === 1 && (
        <p>None is kept yet. Choose a file below: what is kept can be cut with any order, from its Design.</p>
      )}
      <chakra.ul listStyleType="none" display="flex" flexWrap="wrap" gap="12">
        {rows.map((row) => (
          <chakra.li
            key={row.id}
            display="grid"
            gap="8"
            padding="12"
            background="sheet"
            border="1px solid {colors.hairline}"
            borderRadius="cut"
          >
            <b>{row.name}</b>
            {changing === row.id ? (
              <Change key={row.version} row={row} done={() => setChanging("")} />
            ) : (
              <Box display="flex" flexWrap="wrap" gap="8">
                {row.pieces.map((piece) => (
                  <Piece key={piece.name} piece={piece} />
                ))}
              </Box>
            )}
            {may("orders") && changing !== row.id && (
              <Box display="flex" gap="8">
                <Press aria-label={`Change ${row.name}`} onClick={() => setChanging(row.id)}>
                  Change
                </Press>
                <Press
                  kind="quiet"
                  aria-label={`Take ${row.name} off the list`}
                  onClick={() => put.mutate({ id: row.id, version: row.version, name: row.name, removed: true })}
                >
                  Take off
                </Press>
              </Box>
            )}
          </chakra.li>
        ))}
      </chakra.ul>
      {(page > 1 || rows.length === A_PAGE) && (
        <Box display="flex" gap="8">
          <Press disabled={page === 1} onClick={() => setPage(page - 1)}>
            Before
          </Press>
          <Press disabled={rows.length < A_PAGE} onClick={() => setPage(page + 1)}>
            More
          </Press>
        </Box>
      )}
      {put.error && <Says tone="wrong">{inWords(put.error)}</Says>}
    </Box>
  );
}

/** Something else is said of a kept pattern: its name, how its pieces are cut. The orders that it is cut with follow. */
function Change({ row, done }: { row: KeptPattern; done: () => void }) {
  const put = usePutHousePattern();
  const [name, setName] = useState(row.name);
  const [said, setSaid] = useState<SaidPiece[]>(() =>
    row.pieces.map(({ name, count, pair, on_fold }) => ({ name: panelName(name), count, pair, on_fold, turned: 0 })),
  );
  const pieces = row.pieces.map(({ d, across_mm, down_mm }) => ({ d, box: [0, 0, across_mm, down_mm] }));
  return (
    <Box as="section" aria-label={`Change ${row.name}`} display="grid" gap="12" maxWidth="900px">
      <Box maxWidth="360px">
        <Label text="Its name">
          <chakra.input {...field} value={name} maxLength={60} onChange={(event) => setName(event.target.value)} />
        </Label>
      </Box>
      <SaidPieces pieces={pieces} said={said} say={setSaid} />
      <Box display="flex" gap="8">
        <Press
          kind="main"
          disabled={put.isPending || name.trim() === ""}
          onClick={() =>
            put.mutate({ id: row.id, version: row.version, name: name.trim(), pieces: said }, { onSuccess: done })
          }
        >
          Keep the change
        </Press>
        <Press onClick={done}>Leave it as it was</Press>
      </Box>
      {put.error && <Says tone="wrong">{inWords(put.error)}</Says>}
    </Box>
  );
}

function Piece({ piece }: { piece: KeptPattern["pieces"][number] }) {
  const size = Math.max(piece.across_mm, piece.down_mm) * 1.06;
  const how = piece.on_fold ? ", on the fold" : piece.pair ? ", left and right" : "";
  return (
    <chakra.figure display="grid" justifyItems="center" width="96px" fontSize="14px" textAlign="center">
      <chakra.svg
        width="80px"
        height="80px"
        viewBox={`${(piece.across_mm - size) / 2} ${(piece.down_mm - size) / 2} ${size} ${size}`}
        fill="none"
        stroke="ink"
        aria-hidden
      >
        <path d={piece.d} strokeWidth={size / 50} />
        {piece.lines.map((line, k) => (
          <path key={k} d={line} strokeWidth={size / 120} />
        ))}
      </chakra.svg>
      <figcaption>
        {panelName(piece.name)}
        <br />
        cut {piece.count}
        {how}
      </figcaption>
    </chakra.figure>
  );
}
