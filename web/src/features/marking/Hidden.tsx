import { chakra } from "@chakra-ui/react";
import { useCallAnswer } from "../../api/practice";
import type { Mark as Call } from "../../api/plans";
import type { Unit } from "../../lengths/units";
import { ByTape, Graded } from "../../ui/byTape";
import { words } from "./words";

type HiddenProps = { mark: Call; made: { id: string; stamp: string }; unit: Unit };

/** A call whose number is hidden is worked out first: by the tape or typed; then how it was, with the sum. */
export function Hidden({ mark, made, unit }: HiddenProps) {
  const answer = useCallAnswer();
  if (!mark.by_hand) return <chakra.p color="ink2">{words.notByHand}</chakra.p>;
  if (answer.data) return <Graded grade={answer.data} />;
  return (
    <ByTape
      unit={unit}
      label="Mine"
      error={answer.error}
      busy={answer.isPending}
      answer={(typed) => answer.mutate({ plan: made.id, stamp: made.stamp, call: mark.n, typed })}
    />
  );
}
