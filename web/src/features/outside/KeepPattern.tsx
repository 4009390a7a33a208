import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { inWords } from "../../api/client";
import type { DrawnUnit, HousePattern } from "../../api/outside";
import { type SaidPiece, usePutHousePattern } from "../../api/patterns";
import { field, Label } from "../../ui/field";
import { Press } from "../../ui/press";
import { Says } from "../../ui/words";
import { SaidPieces } from "./SaidPieces";

type KeepProps = { found: HousePattern; file: { text: string; title: string }; unit: DrawnUnit; kept: () => void };

/** What the file does not say of its pieces is asked; then the pattern is kept, to be cut with any order. */
export function KeepPattern({ found, file, unit, kept }: KeepProps) {
  const put = usePutHousePattern();
  const [name, setName] = useState(file.title.slice(0, 60));
  const [said, setSaid] = useState<SaidPiece[]>(() =>
    found.pieces.map((one) => ({ name: one.name, count: 1, pair: false, on_fold: false, turned: 0 })),
  );
  const [id] = useState(() => crypto.randomUUID());
  const keep = () =>
    put.mutate({ id, name: name.trim(), text: file.text, unit, pieces: said }, { onSuccess: () => kept() });
  return (
    <Box as="section" aria-label="Keep it" display="grid" gap="12" maxWidth="900px">
      <chakra.h2 fontSize="20px" fontWeight={600}>
        Keep it, to be cut with an order
      </chakra.h2>
      <Box maxWidth="360px">
        <Label text="Its name">
          <chakra.input {...field} value={name} maxLength={60} onChange={(event) => setName(event.target.value)} />
        </Label>
      </Box>
      <SaidPieces pieces={found.pieces} said={said} say={setSaid} />
      <Box>
        <Press kind="main" disabled={put.isPending || name.trim() === ""} onClick={keep}>
          Keep this pattern
        </Press>
      </Box>
      {put.error && <Says tone="wrong">{inWords(put.error)}</Says>}
    </Box>
  );
}
