import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { type Client, useClients, useClientWrites } from "../../api/clients";
import { field, Label } from "../../ui/field";
import { Press } from "../../ui/press";
import { Says } from "../../ui/words";

/** Bringing a second entry of the same person into this one. */
export function Merge({ client }: { client: Client }) {
  const writes = useClientWrites(client.id);
  const [find, setFind] = useState("");
  const found = useClients(find.trim() || client.name);
  const others = found.data?.filter((one) => one.id !== client.id).slice(0, 5) ?? [];
  return (
    <chakra.details>
      <chakra.summary fontSize="20px" fontWeight={600}>
        The same person twice in the book
      </chakra.summary>
      <Box display="grid" gap="8" maxWidth="440px">
        <Label text="Find the other entry">
          <chakra.input {...field} type="search" value={find} onChange={(event) => setFind(event.target.value)} />
        </Label>
        {others.length === 0 && <p>No other name sounds like it.</p>}
        {others.map((other) => (
          <Box key={other.id} display="flex" justifyContent="space-between" alignItems="center" gap="8">
            <span>
              {other.name} <chakra.span color="ink2">{other.phone}</chakra.span>
            </span>
            <Press onClick={() => writes.merge.mutate(other.id)}>Bring it into this one</Press>
          </Box>
        ))}
        {writes.merge.error && <Says tone="wrong">{writes.merge.error.message}</Says>}
        {writes.merge.isSuccess && <Says tone="good">Both are one now.</Says>}
      </Box>
    </chakra.details>
  );
}
