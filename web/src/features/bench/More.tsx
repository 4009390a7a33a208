import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { useNavigate } from "react-router";
import { inWords, type Refused } from "../../api/client";
import { type Ticket, useLife } from "../../api/orders";
import { useMay } from "../../api/session";
import { CouldPromise } from "../../ui/couldPromise";
import { day as inFull, today } from "../../ui/day";
import { field, Label } from "../../ui/field";
import { Press } from "../../ui/press";
import { Way } from "../../ui/way";
import { Says } from "../../ui/words";

export const STATES: Record<Ticket["state"], string> = {
  asked: "asked for",
  agreed: "agreed",
  measured: "measured",
  chalked: "chalked",
  cut: "cut",
  sewing: "being sewn",
  fitting: "at the fitting",
  finishing: "being finished",
  ready: "ready",
  handed_over: "handed over",
  called_off: "called off",
};
export const GONE: readonly Ticket["state"][] = ["handed_over", "called_off"];
/** What is given by hand; the others follow from what is done. */
const BY_HAND = ["agreed", "sewing", "fitting", "finishing", "ready", "handed_over", "called_off"] as const;

/** What is done with an order as a whole: its state, its day, the same again. */
export function More({ ticket }: { ticket: Ticket }) {
  const may = useMay();
  const onward = useNavigate();
  const { step, undo, move, again } = useLife(ticket.id);
  const [day, setDay] = useState(ticket.promised_on);
  const [reason, setReason] = useState("");
  const [sure, setSure] = useState("");
  const past = day < today();
  const wrong = step.error ?? undo.error ?? move.error ?? again.error;
  const keepDay = () => {
    if (!day || day === ticket.promised_on) return;
    if (past && sure !== day) return setSure(day);
    setSure("");
    move.mutate({ promised_on: day, reason: reason.trim() }, { onSuccess: () => setReason("") });
  };
  if (!may("steps")) return null;
  return (
    <details data-screen>
      <chakra.summary display="flex" alignItems="center" color="dye">
        More
      </chakra.summary>
      <Box display="grid" gap="12">
        {may("money") && <Way to={`/orders/${ticket.id}/money`}>Money</Way>}
        <Label text="State">
          <chakra.select
            {...field}
            value=""
            onChange={(event) => step.mutate(event.target.value as Ticket["state"])}
            disabled={step.isPending}
          >
            <option value="">{STATES[ticket.state]}; set it to …</option>
            {BY_HAND.map((one) => (
              <option key={one} value={one}>
                {STATES[one]}
              </option>
            ))}
          </chakra.select>
        </Label>
        <Press onClick={() => undo.mutate()} disabled={undo.isPending}>
          Take the last state back
        </Press>
        {may("orders") && (
          <>
            <Label text="Promised for">
              <chakra.input {...field} type="date" value={day} onChange={(event) => setDay(event.target.value)} />
            </Label>
            {day !== ticket.promised_on && (
              <Label text="Why it is moved">
                <chakra.input
                  {...field}
                  value={reason}
                  maxLength={120}
                  onChange={(event) => setReason(event.target.value)}
                />
              </Label>
            )}
            {day !== ticket.promised_on && !GONE.includes(ticket.state) && (
              <CouldPromise order={ticket.id} day={day} take={setDay} />
            )}
            {ticket.moved_from && (
              <chakra.p color="ink2" fontSize="16px">
                Promised for {inFull(ticket.moved_from)} before{ticket.moved_because && `: ${ticket.moved_because}`}.
              </chakra.p>
            )}
            {past && sure === day && (
              <Says tone="plain">This day is past. Press once more to keep it, or choose another.</Says>
            )}
            <Press onClick={keepDay} disabled={!day || day === ticket.promised_on || move.isPending}>
              Move the day
            </Press>
            <Press
              disabled={again.isPending}
              onClick={() =>
                again.mutate(
                  { promised_on: today(14), old: (again.error as Refused | null)?.code === "old_readings" },
                  { onSuccess: (made) => void onward(`/orders/${made.id}/measure`) },
                )
              }
            >
              The same again
            </Press>
          </>
        )}
        {wrong && <Says tone="wrong">{inWords(wrong)}</Says>}
      </Box>
    </details>
  );
}
