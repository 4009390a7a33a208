import { Box, chakra } from "@chakra-ui/react";
import type { SaidPiece } from "../../api/patterns";
import { field, Label } from "../../ui/field";

/** A piece as it is drawn: its outline as path data, within left, top, width, height. */
export type DrawnPiece = { d: string; box: readonly [number, number, number, number] | number[] };
type SaidProps = { pieces: DrawnPiece[]; said: SaidPiece[]; say: (said: SaidPiece[]) => void };

/** How a piece is cut: a choice of one, since a pair is never on the fold. */
const WAYS = [
  ["one", "once"],
  ["pair", "left and right"],
  ["fold", "on the fold, at its left side"],
] as const;
type Way = (typeof WAYS)[number][0];
const TURNS = [
  ["0", "down the drawing"],
  ["90", "across: turn it right"],
  ["270", "across: turn it left"],
  ["180", "up the drawing"],
] as const;

/** How often a piece is cut: from 1 to 20. */
const within = (typed: number) => Math.min(20, Math.max(1, Math.round(typed) || 1));
const wayOf = (piece: SaidPiece): Way => (piece.on_fold ? "fold" : piece.pair ? "pair" : "one");
const asWay = (piece: SaidPiece, way: string): SaidPiece => ({
  ...piece,
  pair: way === "pair",
  on_fold: way === "fold",
  count: way === "pair" ? piece.count + (piece.count % 2) : way === "fold" ? 1 : piece.count,
});

/** What is said of each piece: its name, how often and how it is cut, where its grain runs. */
export function SaidPieces({ pieces, said, say: sayAll }: SaidProps) {
  const say = (at: number, piece: SaidPiece) => sayAll(said.map((one, k) => (k === at ? piece : one)));
  return (
    <chakra.ol listStyleType="none" display="grid" gap="8">
      {pieces.map((piece, k) => (
        <chakra.li
          key={k}
          display="grid"
          gridTemplateColumns={{ base: "72px minmax(0, 1fr)", md: "72px 2fr 90px 2fr 2fr" }}
          gap="8"
          alignItems="end"
          borderTop="1px solid {colors.hairline}"
          paddingTop="8"
        >
          <Small piece={piece} turned={said[k]!.turned} />
          <Label text={`Piece ${k + 1}`}>
            <chakra.input
              {...field}
              value={said[k]!.name}
              maxLength={40}
              onChange={(event) => say(k, { ...said[k]!, name: event.target.value })}
            />
          </Label>
          <Label text="Cut">
            <chakra.input
              {...field}
              type="number"
              min={1}
              max={20}
              value={said[k]!.count}
              aria-label={`How often piece ${k + 1} is cut`}
              onChange={(event) => say(k, { ...said[k]!, count: within(event.target.valueAsNumber) })}
            />
          </Label>
          <Choice
            text="How"
            of={k}
            value={wayOf(said[k]!)}
            options={WAYS}
            onPick={(way) => say(k, asWay(said[k]!, way))}
          />
          <Box gridColumn={{ base: "1 / -1", md: "auto" }}>
            <Choice
              text="Its grain runs"
              of={k}
              value={String(said[k]!.turned)}
              options={TURNS}
              onPick={(turn) => say(k, { ...said[k]!, turned: Number(turn) as SaidPiece["turned"] })}
            />
          </Box>
        </chakra.li>
      ))}
    </chakra.ol>
  );
}

type ChoiceProps = {
  text: string;
  of: number;
  value: string;
  options: readonly (readonly [string, string])[];
  onPick: (value: string) => void;
};

function Choice({ text, of, value, options, onPick }: ChoiceProps) {
  return (
    <Label text={text}>
      <chakra.select
        {...field}
        value={value}
        aria-label={`${text}, piece ${of + 1}`}
        onChange={(event) => onPick(event.target.value)}
      >
        {options.map(([key, name]) => (
          <option key={key} value={key}>
            {name}
          </option>
        ))}
      </chakra.select>
    </Label>
  );
}

/** The piece as it will be laid, its grain down. */
function Small({ piece, turned }: { piece: DrawnPiece; turned: number }) {
  const [left = 0, top = 0, width = 1, height = 1] = piece.box;
  const size = Math.max(width, height) * 1.1;
  const [x, y] = [left + width / 2, top + height / 2];
  return (
    <chakra.svg
      width="72px"
      height="72px"
      viewBox={`${x - size / 2} ${y - size / 2} ${size} ${size}`}
      fill="none"
      stroke="ink"
      aria-hidden
    >
      <g transform={`rotate(${turned} ${x} ${y})`}>
        <path d={piece.d} strokeWidth={size / 50} />
      </g>
      <chakra.path
        d={`M${x} ${y - size / 5}V${y + size / 5}m${-size / 18} ${-size / 12}l${size / 18} ${size / 12}l${size / 18} ${-size / 12}`}
        stroke="dye"
        strokeWidth={size / 60}
      />
    </chakra.svg>
  );
}
