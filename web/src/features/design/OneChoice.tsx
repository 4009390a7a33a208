import { Box, chakra } from "@chakra-ui/react";
import { memo } from "react";
import type { Unit } from "../../lengths/units";
import { Chips } from "../../ui/chips";
import { Entry } from "../../ui/entry";
import type { Row } from "./outfit";
import { Taped } from "../../ui/taped";

/** What a rule would change, or why it cannot be; nothing for the one that is chosen. */
export const effect = (chosen: string) => (option: Row["options"][number]) => ({
  value: option.value,
  label: option.label,
  ...(option.value !== chosen && { says: option.says || undefined, dead: option.dead || undefined }),
});

type ChoiceProps = {
  row: Row;
  /** What is chosen; undefined where nothing is. */
  own: unknown;
  unit: Unit;
  /** Where an unsaved text waits in this browser. */
  place: string;
  press: (row: Row, value: string) => void;
  keep: (row: Row, typed: string) => Promise<unknown>;
};

/** One row of the server's table of choices: a rule, some of several, a length or a number. Drawn anew where it changes. */
export const OneChoice = memo(function OneChoice({ row, own, unit, place, press, keep }: ChoiceProps) {
  if (row.kind === "some" || row.kind === "rule") {
    const value = row.kind === "some" ? ((own as string[] | undefined) ?? []) : String(own ?? row.usual);
    const chips = (
      <Chips
        legend={row.legend}
        hint={row.hint}
        value={value}
        options={row.options.map(effect(String(value)))}
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
  return (
    <Box display="grid" gap="4">
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
  );
});

/** What a length of one's own changes on this client. */
function TypedSays({ row }: { row: Row }) {
  return row.typed_says ? <chakra.p color="ink2">Against the usual: {row.typed_says}</chakra.p> : null;
}
