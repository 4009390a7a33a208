import { Box, chakra } from "@chakra-ui/react";
import { type FormEvent, useState } from "react";
import { useNavigate } from "react-router";
import { useClients } from "../../api/clients";
import { type NewOrder as Asked, useMakeOrder } from "../../api/shop";
import { useMe } from "../../api/session";
import { Chips } from "../../ui/chips";
import { field, Label } from "../../ui/field";
import { Press } from "../../ui/press";
import { JUMPSUIT, STYLES, TOPS } from "../../ui/trade";
import { Says } from "../../ui/words";

const ids = () => ({
  client: crypto.randomUUID(),
  sheet: crypto.randomUUID(),
  cloth: crypto.randomUUID(),
  order: crypto.randomUUID(),
  garment: crypto.randomUUID(),
  second: crypto.randomUUID(),
});

const TWO = "two-piece";
const OFFERED: Record<string, Record<string, string>> = {
  Trousers: STYLES,
  Tops: TOPS,
  Outfits: { [TWO]: "Two-piece: trousers and matching top", [JUMPSUIT]: "Jumpsuit" },
};

/** The garments an order starts with. */
function garmentsOf(style: string): Asked["garments"] {
  const trousers = { name: "trousers", style: "straight-trousers", choices: {} };
  if (style === TWO) return [trousers, { name: "top", style: "straight-top", choices: {} }];
  if (style === JUMPSUIT) {
    const choices = { top: { style: "bodice", choices: {} }, lower: { style: "palazzo", choices: {} } };
    return [{ name: JUMPSUIT, style, choices }];
  }
  return [{ name: style in TOPS ? "top" : "trousers", style, choices: {} }];
}

/** A client, what is to be made, and by when; then straight to measuring. */
export function NewOrder() {
  const onward = useNavigate();
  const me = useMe();
  const make = useMakeOrder();
  const [made] = useState(ids);
  const [client, setClient] = useState("");
  const clients = useClients(client.trim());
  const [title, setTitle] = useState("");
  const [day, setDay] = useState(() => new Date(Date.now() + 14 * 86_400_000).toISOString().slice(0, 10));
  const [style, setStyle] = useState("straight-trousers");
  const [wrong, setWrong] = useState("");

  const send = (event: FormEvent) => {
    event.preventDefault();
    const missing = [
      !client.trim() && "the client's name",
      !title.trim() && "what is to be made",
      !day && "the day",
    ].filter(Boolean);
    setWrong(missing.length ? `Still needed: ${missing.join(", ")}.` : "");
    if (missing.length) return;
    const known = clients.data?.find((one) => one.name.toLowerCase() === client.trim().toLowerCase());
    make.mutate(
      {
        ids: { ...made, client: known?.id ?? made.client },
        client: client.trim(),
        known: known !== undefined,
        title: title.trim(),
        promised_on: day,
        garments: garmentsOf(style),
        unit: (me.data?.unit ?? "in") as "in" | "cm",
      },
      { onSuccess: (order) => void onward(`/orders/${order}/measure`) },
    );
  };
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
        {Object.entries(OFFERED).map(([legend, styles]) => (
          <Chips
            key={legend}
            legend={legend}
            value={style}
            options={Object.entries(styles).map(([value, label]) => ({ value, label }))}
            onChoose={setStyle}
          />
        ))}
        <Label text="Promised for">
          <chakra.input {...field} type="date" value={day} onChange={(e) => setDay(e.target.value)} />
        </Label>
        {(wrong || make.error) && <Says tone="wrong">{wrong || make.error?.message}</Says>}
        <Press type="submit" kind="main" disabled={make.isPending}>
          Add and measure
        </Press>
      </chakra.form>
    </Box>
  );
}
