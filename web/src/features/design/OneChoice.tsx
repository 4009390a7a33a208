import { Box, chakra } from "@chakra-ui/react";
import { memo } from "react";
import { show, text, type Unit } from "../../lengths/units";
import type { Move } from "../../api/design";
import { Moved } from "../../drawing/Moved";
import { Chips, type Option } from "../../ui/chips";
import { Entry } from "../../ui/entry";
import type { Row } from "./outfit";
import { Taped } from "../../ui/taped";

/** What a rule would change and move, or why it cannot be; nothing for the one that is chosen. */
export const effect =
  (chosen: string | readonly string[], moves: readonly Move[] = NONE) =>
  (option: Row["options"][number]): Option => {
    const move = moves.find((one) => one.rule === option.value);
    const is = typeof chosen === "string" ? option.value === chosen : chosen.includes(option.value);
    if (is) return { value: option.value, label: option.label };
    return {
      value: option.value,
      label: option.label,
      says: option.says || undefined,
      dead: option.dead || undefined,
      drawing: move && !option.dead && <Moved move={move} />,
    };
  };

/** What no choice moves. */
export const NONE: readonly Move[] = [];

type ChoiceProps = {
  row: Row;
  /** What it would move if it were made otherwise. */
  moves: readonly Move[];
  /** What is chosen; undefined where nothing is. */
  own: unknown;
  unit: Unit;
  /** Where an unsaved text waits in this browser. */
  place: string;
  press: (row: Row, value: string) => void;
  keep: (row: Row, typed: string) => Promise<unknown>;
};

/** One row of the server's table of choices: a rule, some of several, a length or a number. Drawn anew where it changes. */
export const OneChoice = memo(function OneChoice({ row, moves, own, unit, place, press, keep }: ChoiceProps) {
  if (row.kind === "some" || row.kind === "rule") {
    const value = row.kind === "some" ? ((own as string[] | undefined) ?? []) : String(own ?? row.usual);
    const chips = (
      <Chips
        legend={row.legend}
        hint={row.hint}
        value={value}
        options={row.options.map(effect(value, moves))}
        onChoose={(value) => press(row, value)}
      />
    );
    if (!row.typed) return chips;
    const ruled = row.options.some((one) => one.value === value);
    return (
      <Box display="grid" gap="4">
        {chips}
        <Entry
          label={
            <chakra.span fontWeight="400" color="ink2">
              or a length of your own
            </chakra.span>
          }
          name={row.key}
          unit={unit}
          saved={ruled ? "" : String(value)}
          place={place}
          keep={(typed) => keep(row, typed)}
        />
        <TypedSays row={row} />
      </Box>
    );
  }
  const times = row.kind === "number";
  const [move] = moves;
  // One tree with and without the drawing: it comes later, and what is being typed stays as it is.
  return (
    <Box display="flex" gap="8" alignItems="start">
      <Box display="grid" gap="4" flex="1" minWidth="0">
        <Entry
          label={
            <>
              {row.legend}{" "}
              <chakra.span fontWeight="400" color="ink2">
                <Taped>{[row.hint, row.usually && `usually ${row.usually}`].filter(Boolean).join(", ")}</Taped>
              </chakra.span>
            </>
          }
          name={row.key}
          unit={unit}
          plain={times ? "times" : undefined}
          also={times ? (typed) => /^[0-9]+([.,][0-9]+)?$/.test(typed) : undefined}
          saved={String(own ?? "")}
          placeholder={row.usually}
          place={place}
          keep={(typed) => keep(row, typed)}
        />
        <TypedSays row={row} />
      </Box>
      {move && (
        <chakra.span display="grid" justifyItems="center" fontSize="14px" color="ink2" lineHeight="1.2">
          <Moved move={move} />
          <Taped>{`${text(show(move.by_mm, unit))} ${move.way}`}</Taped>
        </chakra.span>
      )}
    </Box>
  );
});

/** What a length of one's own changes on this client, and what the fittings add. */
function TypedSays({ row }: { row: Row }) {
  return (
    <>
      {row.typed_says && (
        <chakra.p color="ink2">
          Against the usual: <Taped>{row.typed_says}</Taped>
        </chakra.p>
      )}
      {row.fitting && (
        <chakra.p color="dye" fontWeight={600}>
          <Taped>{row.fitting}</Taped>
        </chakra.p>
      )}
    </>
  );
}
