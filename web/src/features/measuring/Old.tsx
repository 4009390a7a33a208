import { day, daysTo } from "../../ui/day";
import { Says } from "../../ui/words";

const YEAR = 365;

/** A sheet that is over a year old: bodies change. */
export function Old({ taken }: { taken: string }) {
  if (daysTo(taken) > -YEAR) return null;
  return (
    <Says tone="plain">
      This sheet is of {day(taken)}, over a year ago. Measure anew what may have changed, or ask the client.
    </Says>
  );
}
