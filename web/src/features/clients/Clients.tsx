import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { Link, useNavigate } from "react-router";
import { BLANK, useClients, useClientWrites, useTakeContacts } from "../../api/clients";
import { useMay } from "../../api/session";
import { field, Label } from "../../ui/field";
import { Press } from "../../ui/press";
import { TakeFile } from "../../ui/taking";
import { Says } from "../../ui/words";
import { FileWay } from "../../ui/way";

const MOST = 100;

/** The client book: found by any part of a name, as it sounds, or of a phone number. */
export function Clients() {
  const [find, setFind] = useState("");
  const [archived, setArchived] = useState(false);
  const clients = useClients(find.trim(), archived);
  const may = useMay();
  const take = useTakeContacts();
  const [id] = useState(() => crypto.randomUUID());
  const onward = useNavigate();
  const { put } = useClientWrites(id);
  const add = () =>
    void put
      .keep(() => ({ id, version: 0, name: find.trim(), ...BLANK }))
      .then((kept) => kept && onward(`/clients/${id}`))
      .catch(() => undefined); // said below
  const found = clients.data ?? [];
  return (
    <Box padding={{ base: "12", md: "24" }} overflowY="auto" height="100%">
      <chakra.h1 fontSize="26px" fontWeight={600} marginBottom="12">
        Clients
      </chakra.h1>
      <Box display="flex" gap="16" alignItems="end" flexWrap="wrap" maxWidth="720px">
        <Box flex="1" minWidth="240px">
          <Label text="Find by name, as it sounds, or by phone">
            <chakra.input
              {...field}
              type="search"
              value={find}
              autoFocus
              autoComplete="off"
              onChange={(event) => setFind(event.target.value)}
            />
          </Label>
        </Box>
        <chakra.label display="flex" gap="8" alignItems="center" minHeight="touch">
          <input type="checkbox" checked={archived} onChange={(event) => setArchived(event.target.checked)} />
          Archived
        </chakra.label>
      </Box>
      {clients.isError && <Says tone="wrong">{clients.error.message}</Says>}
      <chakra.p role="status" color="ink2" fontSize="16px" marginTop="8">
        {clients.data &&
          (found.length >= MOST ? `The first ${MOST}; type more of the name.` : counted(found.length, find))}
      </chakra.p>
      {may("clients") && find.trim() !== "" && <Press onClick={add}>Add {find.trim()} to the book</Press>}
      {put.error && <Says tone="wrong">{put.error.message}</Says>}
      <chakra.ul listStyleType="none" maxWidth="720px">
        {found.map((client) => (
          <chakra.li
            key={client.id}
            borderBottom="1px solid {colors.hairline}"
            display="flex"
            justifyContent="space-between"
            alignItems="center"
            gap="12"
            minHeight="56px"
            css={{ "& a": { flex: 1, fontWeight: 600, textDecoration: "none", paddingBlock: "14px" } }}
          >
            <Link to={`/clients/${client.id}`}>{client.name}</Link>
            <chakra.span color="ink2">{client.phone}</chakra.span>
          </chakra.li>
        ))}
      </chakra.ul>
      <Box marginTop="32" maxWidth="720px" display={may("contacts") ? "grid" : "none"} gap="8">
        <FileWay href="/api/book" download="clients.vcf">
          All contacts as vCard
        </FileWay>
        <chakra.details>
          <chakra.summary>Contacts from a vCard file</chakra.summary>
          <TakeFile text="File" accept=".vcf,.vcard" send={(body) => take.mutateAsync(body)} />
        </chakra.details>
      </Box>
    </Box>
  );
}

function counted(count: number, find: string): string {
  if (count === 0 && find.trim()) return "Nobody sounds like that. Try fewer letters, or part of the phone number.";
  if (count === 0) return "Nobody here yet. Type a name to add a client, or add an order on the Bench.";
  return count === 1 ? "1 client" : `${count} clients`;
}
