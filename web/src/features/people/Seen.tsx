import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { useSearchParams } from "react-router";
import { type Seen as Row, useSeen } from "../../api/people";
import { day } from "../../ui/day";
import { Press } from "../../ui/press";
import { Says } from "../../ui/words";
import { Way } from "../../ui/way";

const A_PAGE = 50;
const WHAT: Record<Row["what"], string> = {
  contacts: "phone and e-mail",
  measures: "measurements",
  export: "took along as a file",
  list: "the list with phone numbers",
  book: "took all contacts along as a file",
  archive: "took the whole workshop along as a file",
};

/** Who was shown which client's contacts and measurements, and who took them along: for an owner. */
export function Seen() {
  const [asked] = useSearchParams();
  const client = asked.get("client") ?? "";
  const [page, setPage] = useState(1);
  const seen = useSeen(client, page);
  const rows = seen.data ?? [];
  return (
    <Box padding={{ base: "12", md: "24" }} overflowY="auto" height="100%">
      <chakra.h1 fontSize="26px" fontWeight={600}>
        Who saw what
      </chakra.h1>
      <chakra.p color="ink2" marginBottom="16" maxWidth="60ch">
        One line for each person, client and day. Kept for a little over a year; what is about a client goes when the
        client is erased.
      </chakra.p>
      {client && <Way to="/people/seen">Of all clients</Way>}
      {seen.error && <Says tone="wrong">{seen.error.message}</Says>}
      {seen.data && rows.length === 0 && (
        <p>{page === 1 ? "Nobody opened a client or an order yet; who does is listed here." : "No more."}</p>
      )}
      <chakra.ul listStyleType="none" maxWidth="860px">
        {rows.map((row) => (
          <chakra.li
            key={row.id}
            display="grid"
            gridTemplateColumns={{ base: "1fr", md: "170px 140px 1fr" }}
            columnGap="16"
            paddingBlock="10px"
            borderBottom="1px solid {colors.hairline}"
          >
            <chakra.span color="ink2">{day(row.day)}</chakra.span>
            <b>{row.who}</b>
            <chakra.span css={{ "& a": { color: "dye", textDecoration: "underline" } }}>
              {row.client && <Way to={`/clients/${row.client}`}>{row.client_name}</Way>}
              {row.client ? ": " : ""}
              {WHAT[row.what]}
              {row.times > 1 && <chakra.span color="ink2">, {row.times} times</chakra.span>}
            </chakra.span>
          </chakra.li>
        ))}
      </chakra.ul>
      {(page > 1 || rows.length === A_PAGE) && (
        <Box display="flex" gap="12" marginTop="16">
          <Press disabled={page === 1} onClick={() => setPage(page - 1)}>
            Later
          </Press>
          <Press disabled={rows.length < A_PAGE} onClick={() => setPage(page + 1)}>
            Earlier
          </Press>
        </Box>
      )}
    </Box>
  );
}
