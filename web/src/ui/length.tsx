import { chakra } from "@chakra-ui/react";
import { show, spoken, type Unit } from "../lengths/units";

const Stack = chakra("span", {
  base: {
    display: "inline-flex",
    flexDirection: "column",
    alignItems: "center",
    verticalAlign: "middle",
    lineHeight: "1",
    fontSize: "0.57em",
    marginInline: "0.12em",
  },
});
const Bar = chakra("span", {
  base: { height: "0.09em", width: "100%", background: "currentColor", marginBlock: "0.06em" },
});

/** A length as a tape shows it, its fraction stacked; a screen reader hears it as a person says it. */
export function Length({ mm, unit, bare = false }: { mm: number; unit: Unit; bare?: boolean }) {
  const shown = show(mm, unit);
  const whole = unit === "cm" ? `${shown.whole}${shown.over ? `.${shown.over}` : ""}` : shown.whole;
  const fraction = unit === "in" && shown.over > 0;
  return (
    <chakra.span role="img" aria-label={spoken(shown)} whiteSpace="nowrap">
      {shown.negative && "−"}
      {(!fraction || shown.whole > 0) && whole}
      {fraction && (
        <Stack>
          <span>{shown.over}</span>
          <Bar />
          <span>{shown.under}</span>
        </Stack>
      )}
      {!bare && (
        <chakra.span fontSize="0.6em" fontWeight="400" marginLeft="0.2em">
          {unit}
        </chakra.span>
      )}
    </chakra.span>
  );
}
