import { Box, chakra } from "@chakra-ui/react";
import { type FormEvent, useState } from "react";
import { inWords, type Refused } from "../../api/client";
import { type OrderMoney, paperAt, type Payment, useMoneyWrites } from "../../api/money";
import { announce } from "../../ui/announce";
import { Chips } from "../../ui/chips";
import { day } from "../../ui/day";
import { field, Label } from "../../ui/field";
import { Press } from "../../ui/press";
import { useTyped } from "../../ui/typed";
import { FileWay } from "../../ui/way";
import { Says } from "../../ui/words";

const OWED: Record<OrderMoney["owed"], string> = {
  unknown: "No price is agreed yet",
  to_pay: "To be paid",
  nothing: "Nothing is open",
  to_give_back: "To be given back",
};
const KINDS = [
  { value: "deposit", label: "Deposit" },
  { value: "payment", label: "Payment" },
  { value: "refund", label: "Given back" },
];
const WAYS = [
  { value: "cash", label: "Cash" },
  { value: "card", label: "Card" },
  { value: "bank", label: "Bank transfer" },
  { value: "other", label: "Another way" },
];

/** What is paid of an order and what is left; money taken or given back. */
export function Paid({ money }: { money: OrderMoney }) {
  return (
    // On a phone, where something is agreed, it is paid more often than it is read again.
    <Box as="section" aria-label="Paid" display="grid" gap="12" order={{ base: money.agreed ? -1 : 0, lg: 0 }}>
      <Box role="status">
        <chakra.h2 fontSize="20px" fontWeight={600}>
          {OWED[money.owed]}
        </chakra.h2>
        {money.left && money.owed !== "nothing" && (
          <chakra.p fontSize="44px" fontWeight={800} lineHeight="1.1">
            {money.left}
          </chakra.p>
        )}
        <chakra.p color="ink2" fontSize="16px">
          {money.total
            ? `${money.total} agreed \u2212 ${money.paid} paid`
            : money.payments.length > 0 && `${money.paid} paid`}
        </chakra.p>
      </Box>
      {money.payments.length > 0 && <Entries money={money} />}
      <Take money={money} />
    </Box>
  );
}

const struck = { textDecoration: "line-through" } as const;

function Entries({ money }: { money: OrderMoney }) {
  const { takeBack } = useMoneyWrites(money.order);
  const [sure, setSure] = useState("");
  const undo = (one: Payment) => {
    if (sure !== one.id) return setSure(one.id);
    takeBack.mutate(one.id, { onSuccess: () => announce(`Receipt ${one.receipt}: taken back`) });
    setSure("");
  };
  return (
    <>
      <chakra.ul listStyleType="none">
        {money.payments.map((one) => (
          <chakra.li
            key={one.id}
            borderTop="1px solid {colors.hairline}"
            paddingBlock="4"
            display="grid"
            gridTemplateColumns="minmax(0, 1fr) auto"
            columnGap="12"
          >
            <chakra.span display="block" _firstLetter={{ textTransform: "uppercase" }} {...(one.undone ? struck : {})}>
              {one.name}, {one.way}
              <chakra.span color="ink2">
                , {day(one.day)}, {one.by}
              </chakra.span>
            </chakra.span>
            <chakra.span textAlign="right" fontWeight={600} {...(one.undone ? struck : {})}>
              {one.amount}
            </chakra.span>
            <chakra.span color="ink2" fontSize="16px" overflowWrap="anywhere">
              {one.against ? `against receipt ${one.against}` : one.note}
            </chakra.span>
            <span />
            <Box gridColumn="1 / -1" display="flex" gap="12" flexWrap="wrap" alignItems="center">
              <FileWay href={paperAt.receipt(one.id)}>Receipt {one.receipt}</FileWay>
              {!one.undone && !one.against && (
                <Press kind="quiet" aria-label={`A mistake: receipt ${one.receipt}`} onClick={() => undo(one)}>
                  {sure === one.id ? "Press once more: it was a mistake" : "A mistake"}
                </Press>
              )}
            </Box>
          </chakra.li>
        ))}
      </chakra.ul>
      {takeBack.error && <Says tone="wrong">{inWords(takeBack.error)}</Says>}
    </>
  );
}

/** Money that changes hands; what was typed stays until the server has it, and sent twice it is taken once. */
function Take({ money }: { money: OrderMoney }) {
  const { pay } = useMoneyWrites(money.order);
  const { typed, type, id, taken } = useTyped(`money:${money.order}:amount`, "");
  const [kind, setKind] = useState(money.payments.length || !money.total ? "payment" : "deposit");
  const [way, setWay] = useState("cash");
  const [note, setNote] = useState("");
  const [over, setOver] = useState("");
  const [goes, setGoes] = useState("");
  const fetched = money.ready && goes === "along" && kind !== "refund";
  const send = (event: FormEvent) => {
    event.preventDefault();
    pay.mutate(
      {
        id: id(),
        kind: kind as "payment",
        way: way as "cash",
        amount: typed,
        paid: money.paid_written,
        note,
        over: over !== "" && over === typed,
        fetched,
      },
      {
        onSuccess: () => {
          taken();
          type("");
          setNote("");
          setOver("");
          announce(kind === "refund" ? "Given back" : fetched ? "Taken, and handed over" : "Taken");
        },
        onError: (error) => setOver((error as Refused).code === "overpaid" ? typed : ""),
      },
    );
  };
  return (
    <chakra.form onSubmit={send} noValidate display="grid" gap="12" aria-label="Take money">
      <Chips legend="What" value={kind} options={KINDS} onChoose={setKind} />
      <Box display="grid" gap="4">
        <Label text="Amount">
          <chakra.input
            {...field}
            inputMode="decimal"
            maxLength={20}
            fontSize="26px"
            autoComplete="off"
            value={typed}
            onChange={(event) => type(event.target.value)}
          />
        </Label>
        {money.owed === "to_pay" && typed !== money.left_written && kind !== "refund" && (
          <Press kind="quiet" justifySelf="start" onClick={() => type(money.left_written)}>
            All of it: {money.left}
          </Press>
        )}
      </Box>
      <Chips legend="How" value={way} options={WAYS} onChoose={setWay} />
      {money.ready && kind !== "refund" && (
        <Chips
          legend="What is ready"
          value={goes || "here"}
          options={[
            { value: "here", label: "Stays here" },
            { value: "along", label: "Is taken along" },
          ]}
          onChoose={setGoes}
        />
      )}
      <Label text="Note">
        <chakra.input {...field} maxLength={120} value={note} onChange={(event) => setNote(event.target.value)} />
      </Label>
      {pay.error && <Says tone="wrong">{inWords(pay.error)}</Says>}
      <Box>
        <Press type="submit" kind="main" disabled={!typed.trim() || pay.isPending}>
          {kind === "refund" ? "Give it back" : "Take it"}
        </Press>
      </Box>
    </chakra.form>
  );
}
