import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { useNavigate, useParams } from "react-router";
import { type Client, useClient, useClientWrites, useSheets } from "../../api/clients";
import { useBench } from "../../api/orders";
import { useMay, useMe } from "../../api/session";
import type { Unit } from "../../lengths/units";
import { field, Label } from "../../ui/field";
import { Press } from "../../ui/press";
import { StaleEdit } from "../../ui/stale";
import { Says } from "../../ui/words";
import { History } from "./History";
import { Merge } from "./Merge";
import { FileWay, Way } from "../../ui/way";

/** One client: contacts, what to mind, every sheet with what changed, the orders, and the way out of the book. */
export function ClientCard() {
  const { id = "" } = useParams();
  const client = useClient(id);
  const sheets = useSheets(id);
  const bench = useBench();
  const me = useMe();
  const may = useMay();
  if (client.error) {
    return (
      <Box padding="24">
        <Says tone="wrong">{client.error.message}</Says>
        <Way to="/clients">Back to the clients</Way>
      </Box>
    );
  }
  if (!client.data) return <Box padding="24">One moment…</Box>;
  const orders = bench.data?.filter((ticket) => ticket.client === id) ?? [];
  return (
    <Box padding={{ base: "12", md: "24" }} overflowY="auto" height="100%">
      <Box
        display="grid"
        gap="32"
        gridTemplateColumns={{ base: "1fr", lg: "minmax(320px, 440px) 1fr" }}
        alignItems="start"
      >
        <Card key={client.data.id} client={client.data} />
        <Box display="grid" gap="24" minWidth="0">
          <Box>
            <chakra.h2 fontSize="20px" fontWeight={600}>
              Orders
            </chakra.h2>
            {orders.length === 0 && <p>None on the bench.</p>}
            {orders.map((ticket) => (
              <p key={ticket.id}>
                <Way to={`/orders/${ticket.id}/measure`}>{ticket.title}</Way>
              </p>
            ))}
          </Box>
          {sheets.error && <Says tone="wrong">{sheets.error.message}</Says>}
          {sheets.data && <History sheets={sheets.data} unit={(me.data?.unit ?? "in") as Unit} />}
          {may("remove") && <Merge client={client.data} />}
          {may("remove") && <Leaving client={client.data} />}
        </Box>
      </Box>
    </Box>
  );
}

/** Contacts and what to mind; kept when it is saved, with everything typed staying where it is until then. */
function Card({ client }: { client: Client }) {
  const writes = useClientWrites(client.id);
  const may = useMay();
  const [base, setBase] = useState(client);
  const [draft, setDraft] = useState(client);
  const [saved, setSaved] = useState(false);
  const change = (part: Partial<Client>) => {
    setSaved(false);
    setDraft({ ...draft, ...part });
  };
  const save = () =>
    void writes.put
      .keep((now) => merged(now, base, draft))
      .then((kept) => kept && settled(kept))
      .catch(() => undefined); // said below
  const settled = (row: Client) => {
    setBase(row);
    setDraft(row);
    setSaved(true);
  };
  const settle = (mine: boolean) => writes.put.settle(mine).then((row) => row && settled(row));
  const line = (key: "name" | "phone" | "email", text: string, type = "text") => (
    <Label text={text}>
      <chakra.input
        {...field}
        type={type}
        value={draft[key]}
        maxLength={key === "phone" ? 40 : 120}
        autoComplete="off"
        onChange={(event) => change({ [key]: event.target.value })}
      />
    </Label>
  );
  return (
    <chakra.form
      display="grid"
      gap="12"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        if (draft.name.trim()) save();
      }}
    >
      <chakra.h1 fontSize="26px" fontWeight={600}>
        <bdi>{client.name}</bdi>
      </chakra.h1>
      {line("name", "Name")}
      {!draft.name.trim() && <Says tone="wrong">A client needs a name. Type one.</Says>}
      {line("phone", "Phone", "tel")}
      {line("email", "E-mail", "email")}
      <Label text="Would rather not have touched">
        <chakra.input
          {...field}
          value={draft.leave_be}
          maxLength={400}
          onChange={(event) => change({ leave_be: event.target.value })}
        />
      </Label>
      <Label text="Notes">
        <chakra.textarea
          {...field}
          rows={3}
          paddingBlock="8"
          value={draft.note}
          maxLength={2000}
          onChange={(event) => change({ note: event.target.value })}
        />
      </Label>
      <chakra.label display="flex" gap="8" alignItems="center" minHeight="touch">
        <input
          type="checkbox"
          checked={draft.keeps_measures}
          onChange={(event) => change({ keeps_measures: event.target.checked })}
        />
        Agreed that the workshop keeps the measurements
      </chakra.label>
      <chakra.label display="flex" gap="8" alignItems="center" minHeight="touch">
        <input
          type="checkbox"
          checked={draft.takes_reminders}
          onChange={(event) => change({ takes_reminders: event.target.checked })}
        />
        Agreed to be reminded: of fittings, of what is ready, of what is to be paid
      </chakra.label>
      {writes.put.error && <Says tone="wrong">{writes.put.error.message}</Says>}
      <StaleEdit stale={writes.put.stale} settle={settle} />
      {saved && !writes.put.error && <Says tone="good">Saved.</Says>}
      {may("clients") ? (
        <Press kind="main" type="submit" disabled={writes.put.busy}>
          Save
        </Press>
      ) : (
        <Says tone="plain">You may read this card. Changing it is for an owner or a cutter.</Says>
      )}
      {may("clients") && (
        <FileWay
          justifySelf="start"
          href={`/api/clients/${client.id}/export?kind=vcard`}
          download={`${client.name}.vcf`}
        >
          Contact as a file (vCard)
        </FileWay>
      )}
    </chakra.form>
  );
}

/**
 * What was typed on the card since `base`, put on the row as it stands now. Where somebody else changed the very same
 * field meanwhile, the old version is kept, so that the server asks whose is right.
 */
function merged(now: Client, base: Client, draft: Client): Client {
  const typed = (Object.keys(draft) as (keyof Client)[]).filter((key) => draft[key] !== base[key]);
  const clash = typed.some((key) => now[key] !== base[key]);
  const own = Object.fromEntries(typed.map((key) => [key, draft[key]])) as Partial<Client>;
  return { ...(clash ? draft : now), ...own, version: clash ? base.version : now.version };
}

/** Taking along, putting away, erasing. */
function Leaving({ client }: { client: Client }) {
  const writes = useClientWrites(client.id);
  const onward = useNavigate();
  const may = useMay();
  const [sure, setSure] = useState(false);
  const archive = () => void writes.put.keep((now) => ({ ...now, archived: !now.archived })).catch(() => undefined); // said below
  const erase = () => writes.erase.mutate(undefined, { onSuccess: () => void onward("/clients") });
  const file = `/api/clients/${client.id}/export`;
  return (
    <Box display="grid" gap="12">
      <chakra.h2 fontSize="20px" fontWeight={600}>
        Everything about <bdi>{client.name}</bdi>
      </chakra.h2>
      <Box display="flex" gap="16" flexWrap="wrap" alignItems="center">
        <FileWay href={`${file}?kind=csv`} download={`${client.name}.csv`}>
          As a table (CSV)
        </FileWay>
        <FileWay href={file} download={`${client.name}.json`}>
          As a file (JSON)
        </FileWay>
        {may("people") && <Way to={`/people/seen?client=${client.id}`}>Who saw this</Way>}
        <Press onClick={archive}>{client.archived ? "Back into the book" : "Archive"}</Press>
        {!sure && <Press onClick={() => setSure(true)}>Erase…</Press>}
      </Box>
      {sure && (
        <Says tone="wrong">
          All sheets and orders of <bdi>{client.name}</bdi> go for good. That somebody was erased is kept, not who.
          <Box display="flex" gap="8" marginTop="8">
            <Press onClick={erase}>Erase everything</Press>
            <Press autoFocus onClick={() => setSure(false)}>
              Keep
            </Press>
          </Box>
        </Says>
      )}
      <StaleEdit stale={writes.put.stale} settle={writes.put.settle} />
      {(writes.erase.error ?? writes.put.error) && (
        <Says tone="wrong">{(writes.erase.error ?? writes.put.error)!.message}</Says>
      )}
    </Box>
  );
}
