import { chakra } from "@chakra-ui/react";
import { useQueryClient } from "@tanstack/react-query";
import { useEffect } from "react";
import { type Reading, useAllReadings } from "../../api/measuring";
import { Press } from "../../ui/press";

type TakenProps = {
  order: string;
  sheet: string;
  point: string;
  counts: Reading | undefined;
  /** Let another one of the readings count. */
  take: (typed: string) => void;
};

/** Who read this point and when: all values where there are several, the last of which counts. */
export function Taken({ order, sheet, point, counts, take }: TakenProps) {
  const all = useAllReadings(sheet).data ?? [];
  const memory = useQueryClient();
  const mine = all.filter((one) => one.key === point && one.typed);
  const last = mine[mine.length - 1];
  const behind = last !== undefined && counts !== undefined && last.id !== counts.id;
  useEffect(() => {
    // Somebody else read this point meanwhile: the sheet is fetched anew, what is being typed here stays.
    if (behind) void memory.invalidateQueries({ queryKey: ["order", order] });
  }, [behind, memory, order]);
  if (!last) return null;
  // Where two people read the same point differently, the one that counts is chosen.
  const others = mine.filter(
    (one, k) =>
      one.taken_by !== last.taken_by &&
      one.typed !== last.typed &&
      mine.findLastIndex((other) => other.typed === one.typed) === k,
  );
  const clock = (iso: string) => new Date(iso).toLocaleTimeString("en-GB", { hour: "2-digit", minute: "2-digit" });
  const said = (one: Reading) => `${one.typed} by ${one.taken_by}, ${clock(one.taken_at)}`;
  return (
    <chakra.p color="ink2" fontSize="16px">
      {mine.length > 1 ? `Read ${mine.length} times, the last counts: ` : "Read: "}
      {mine.slice(-3).map(said).join("; ")}
      {others.map((one) => (
        <Press key={one.id} kind="quiet" onClick={() => take(one.typed)}>
          Let {one.typed} count
        </Press>
      ))}
    </chakra.p>
  );
}
