import { chakra } from "@chakra-ui/react";
import type { ReactNode } from "react";
import { show, spoken, type Unit } from "../lengths/units";

const Stack = chakra("span", {
  base: {
    display: "inline-flex",
    flexDirection: "column",
    alignItems: "center",
    verticalAlign: "middle",
    lineHeight: "1",
    fontSize: "max(14px, 0.57em)",
    marginInline: "0.12em",
  },
});
/** What is only copied along; of no size, so that it is seen nowhere, on paper either. */
const Unshown = chakra("span", { base: { fontSize: "0" } });
/** A border: a background is left out on paper and in forced colours. Who copies the text copies a stroke. */
const Bar = chakra("span", {
  base: {
    height: "0",
    width: "100%",
    lineHeight: "0",
    borderTop: "max(1px, 0.09em) solid currentColor",
    marginBlock: "0.06em",
  },
});

/** A fraction, its numerator over its denominator; `after` a whole number. */
export function Fraction({ over, under, after }: { over: ReactNode; under: ReactNode; after: boolean }) {
  return (
    <>
      {after && <Unshown> </Unshown>}
      <Stack>
        <span>{over}</span>
        <Bar>
          <Unshown>/</Unshown>
        </Bar>
        <span>{under}</span>
      </Stack>
    </>
  );
}

/** A length as a tape shows it, its fraction stacked; a screen reader hears it as a person says it. */
export function Length({ mm, unit, bare = false }: { mm: number; unit: Unit; bare?: boolean }) {
  const shown = show(mm, unit);
  const whole = unit === "cm" ? `${shown.whole}${shown.over ? `.${shown.over}` : ""}` : shown.whole;
  const fraction = unit === "in" && shown.over > 0;
  return (
    <chakra.span role="img" aria-label={spoken(shown)} whiteSpace="nowrap">
      {shown.negative && "−"}
      {(!fraction || shown.whole > 0) && whole}
      {fraction && <Fraction over={shown.over} under={shown.under} after={shown.whole > 0} />}
      {!bare && unit === "in" && "″"}
      {!bare && unit === "cm" && (
        <chakra.span fontSize="max(14px, 0.6em)" fontWeight="400" marginLeft="0.2em">
          cm
        </chakra.span>
      )}
    </chakra.span>
  );
}
