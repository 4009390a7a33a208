import { Box, chakra } from "@chakra-ui/react";
import { type FormEvent, useState } from "react";
import { useNavigate, useSearchParams } from "react-router";
import { inWords } from "../../api/client";
import { useClients } from "../../api/clients";
import { useOpenJob } from "../../api/jobs";
import { type NewOrder as Asked, useMakeOrder } from "../../api/newOrder";
import { useMe } from "../../api/session";
import { kindOf, pairOf, type Trade, useTrade } from "../../api/trade";
import { Chips } from "../../ui/chips";
import { CouldPromise } from "../../ui/couldPromise";
import { today } from "../../ui/day";
import { field, Label } from "../../ui/field";
import { Press } from "../../ui/press";
import { Says } from "../../ui/words";
import { type Chosen, JobFile } from "./JobFile";

const ids = () => ({
  client: crypto.randomUUID(),
  sheet: crypto.randomUUID(),
  cloth: crypto.randomUUID(),
  order: crypto.randomUUID(),
  garment: crypto.randomUUID(),
  second: crypto.randomUUID(),
});

const TWO = "two-piece";

/** What an order can start with: a garment of any kind, two that go together, or two that are sewn together. */
function offered(trade: Trade) {
  const named = (list: { key: string; name: string }[]) => list.map(({ key, name }) => ({ value: key, label: name }));
  return [
    ...trade.kinds.map((kind) => ({ legend: kind.name, options: named(kind.styles) })),
    {
      legend: "Outfits",
      options: [{ value: TWO, label: "Two-piece: trousers and matching top" }, ...named(trade.pairs)],
    },
  ];
}

/** The garments an order starts with. */
function garmentsOf(trade: Trade, style: string): Asked["garments"] {
  if (style === TWO) return trade.kinds.map((kind) => ({ name: kind.half, style: kind.start, choices: {} }));
  const pair = pairOf(trade, style);
  if (!pair) return [{ name: kindOf(trade, style)?.half ?? "garment", style, choices: {} }];
  const halves = Object.entries(pair.halves).map(([kind, start]) => [kind, { style: start, choices: {} }]);
  return [{ name: pair.key, style, choices: Object.fromEntries(halves) as Record<string, unknown> }];
}

/** A client, what is to be made, and by when; then straight to measuring. */
export function NewOrder() {
  const onward = useNavigate();
  const me = useMe();
  const make = useMakeOrder();
  const trade = useTrade();
  const [made] = useState(ids);
  const [client, setClient] = useState("");
  const clients = useClients(client.trim());
  const [title, setTitle] = useState("");
  const [day, setDay] = useState(() => today(14));
  const [asked] = useSearchParams();
  const [style, setStyle] = useState(() => {
    const wanted = asked.get("style") ?? "";
    return kindOf(trade, wanted) || pairOf(trade, wanted) ? wanted : "straight-trousers";
  });
  const [wrong, setWrong] = useState("");
  const [sure, setSure] = useState("");
  const open = useOpenJob();
  const [file, setFile] = useState<Chosen | null>(null);
  const choose = (chosen: Chosen | null) => {
    setFile(chosen);
    if (chosen && !client.trim()) setClient(chosen.held.client);
    if (chosen && !title.trim()) setTitle(chosen.held.styles.join(" and "));
  };

  const send = (event: FormEvent) => {
    event.preventDefault();
    const missing = [
      !client.trim() && "the client's name",
      !title.trim() && "what is to be made",
      !day && "the day",
    ].filter(Boolean);
    setWrong(missing.length ? `Still needed: ${missing.join(", ")}.` : "");
    if (missing.length) return;
    if (day < today() && sure !== day) {
      setSure(day);
      setWrong("This day is past. Press once more to keep it, or choose another.");
      return;
    }
    const known = clients.data?.find((one) => one.name.toLowerCase() === client.trim().toLowerCase());
    if (file) {
      open.mutate(
        {
          id: made.order,
          text: file.text,
          client: known?.id ?? null,
          name: client.trim(),
          title: title.trim(),
          promised_on: day,
        },
        { onSuccess: (order) => void onward(`/orders/${order}/design`) },
      );
      return;
    }
    make.mutate(
      {
        ids: { ...made, client: known?.id ?? made.client },
        client: client.trim(),
        known: known !== undefined,
        title: title.trim(),
        promised_on: day,
        taken_on: today(),
        garments: garmentsOf(trade, style),
        unit: (me.data?.unit ?? "in") as "in" | "cm",
      },
      { onSuccess: (order) => void onward(`/orders/${order}/measure`) },
    );
  };
  const error = make.error ?? open.error;
  return (
    <Box padding={{ base: "12", md: "24" }} overflowY="auto" height="100%">
      <chakra.h1 fontSize="26px" fontWeight={600}>
        Add an order
      </chakra.h1>
      <chakra.form onSubmit={send} noValidate display="grid" gap="16" maxWidth="520px" marginTop="16">
        <Label text="Client">
          <chakra.input
            {...field}
            list="clients"
            value={client}
            onChange={(e) => setClient(e.target.value)}
            autoFocus
            maxLength={120}
            autoComplete="off"
          />
        </Label>
        <datalist id="clients">
          {clients.data?.map((one) => (
            <option key={one.id} value={one.name} />
          ))}
        </datalist>
        <Label text="What is to be made">
          <chakra.input {...field} value={title} onChange={(e) => setTitle(e.target.value)} maxLength={120} />
        </Label>
        <Label text="Promised for">
          <chakra.input {...field} type="date" value={day} onChange={(e) => setDay(e.target.value)} />
        </Label>
        {!file && <CouldPromise styles={garmentsOf(trade, style).map((one) => one.style)} day={day} take={setDay} />}
        <JobFile chosen={file} choose={choose} />
        {!file &&
          offered(trade).map(({ legend, options }) => (
            <Chips key={legend} legend={legend} value={style} options={options} onChoose={setStyle} />
          ))}
        <Box position="sticky" bottom="-24px" background="calico" paddingBlock="12" display="grid" gap="8">
          {(wrong || error) && <Says tone="wrong">{wrong || (error && inWords(error))}</Says>}
          <Press type="submit" kind="main" minHeight="56px" disabled={make.isPending || open.isPending}>
            {file ? "Open it as an order" : "Add and measure"}
          </Press>
        </Box>
      </chakra.form>
    </Box>
  );
}
