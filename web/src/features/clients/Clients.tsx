import { Box, chakra } from "@chakra-ui/react";
import { Link } from "react-router";
import { useBench, useClients } from "../../api/shop";
import { Says } from "../../ui/words";

/** Everybody the workshop sews for, with what is on the bench for them. */
export function Clients() {
  const clients = useClients();
  const bench = useBench();
  return (
    <Box padding={{ base: "12", md: "24" }} overflowY="auto" height="100%">
      <chakra.h1 fontSize="26px" fontWeight={600} marginBottom="16">
        Clients
      </chakra.h1>
      {clients.isError && <Says tone="wrong">{clients.error.message}</Says>}
      {clients.data?.length === 0 && (
        <Says tone="plain">Nobody yet. A client is added with an order, on the Bench.</Says>
      )}
      <chakra.ul listStyleType="none" maxWidth="720px">
        {clients.data?.map((client) => (
          <chakra.li key={client.id} borderBottom="1px solid {colors.hairline}" paddingBlock="12">
            <b>{client.name}</b>
            {bench.data
              ?.filter((ticket) => ticket.client_name === client.name)
              .map((ticket) => (
                <chakra.span key={ticket.id} display="block" color="dye" textDecoration="underline">
                  <Link to={`/orders/${ticket.id}/measure`}>{ticket.title}</Link>
                </chakra.span>
              ))}
          </chakra.li>
        ))}
      </chakra.ul>
    </Box>
  );
}
