import { Box, chakra } from "@chakra-ui/react";
import { useParams } from "react-router";
import { inWords } from "../../api/client";
import { type OrderMoney as Money, paperAt, useMoneyWrites, useOrderMoney } from "../../api/money";
import { announce } from "../../ui/announce";
import { moment } from "../../ui/day";
import { Press } from "../../ui/press";
import { Rows } from "../../ui/rows";
import { useTitle } from "../../ui/title";
import { useTyped } from "../../ui/typed";
import { FileWay, Way } from "../../ui/way";
import { Says } from "../../ui/words";
import { Lines } from "./Lines";
import { Paid } from "./Paid";
import { Typed } from "./Typed";

/** What an order costs with every sum, what was agreed of it, what is paid and what is left. */
export function OrderMoney() {
  const { id = "" } = useParams();
  const money = useOrderMoney(id);
  useTitle(["Money", money.data?.client_name, money.data?.title].filter(Boolean).join(", "));
  return (
    <Box padding={{ base: "12", md: "24" }} overflowY="auto" height="100%" display="grid" gap="16" alignContent="start">
      <Box>
        <chakra.h1 fontSize="26px" fontWeight={600} overflowWrap="anywhere">
          Money{money.data && ` of ${money.data.client_name}: ${money.data.title}`}
        </chakra.h1>
        <Box display="flex" gap="16" flexWrap="wrap">
          <Way to={`/orders/${id}/measure`}>Open the order</Way>
          <Way to="/money">All that is open</Way>
        </Box>
      </Box>
      {money.error && <Says tone="wrong">{inWords(money.error)}</Says>}
      {!money.data && !money.error && <p>Reckoning…</p>}
      {money.data && (
        <Box
          display="grid"
          gap={{ base: "24", lg: "48" }}
          gridTemplateColumns={{ base: "minmax(0, 1fr)", lg: "minmax(0, 1fr) 360px" }}
          alignItems="start"
        >
          <Asked money={money.data} />
          <Paid money={money.data} />
        </Box>
      )}
    </Box>
  );
}

function Asked({ money }: { money: Money }) {
  const { agree } = useMoneyWrites(money.order);
  // The same quote until the server has it, however often it is pressed.
  const fresh = useTyped(`money:${money.order}:agree`, "");
  const { agreed, now } = money;
  const settled = agreed !== null && money.changes.length === 0 && money.open === null;
  const press = () => {
    if (!now) return;
    fresh.type(now.written);
    agree.mutate(
      { id: money.open?.id ?? fresh.id(), total: now.written },
      {
        onSuccess: () => {
          fresh.taken();
          announce(`Agreed: ${now.total}`);
        },
      },
    );
  };
  return (
    <Box display="grid" gap="24" minWidth="0">
      {agreed && (
        <Box as="section" aria-label="Agreed" display="grid" gap="8">
          <chakra.h2 fontSize="20px" fontWeight={600}>
            Agreed for {agreed.quote.total}
          </chakra.h2>
          <chakra.p color="ink2" fontSize="16px">
            {moment(agreed.at)}, written down by {agreed.by}. It stays as it is.
          </chakra.p>
          <Lines quote={agreed.quote} caption="What was agreed" />
        </Box>
      )}
      <Box as="section" aria-label="What it costs" display="grid" gap="12">
        {!settled && (
          <chakra.h2 fontSize="20px" fontWeight={600}>
            {agreed ? "As it stands today" : "What it costs"}
          </chakra.h2>
        )}
        {agreed && money.changes.length > 0 && <Changes changes={money.changes} />}
        {!now && <Why money={money} />}
        {now && !agreed && <Lines quote={now} caption="What it costs" />}
        {now && !settled && now.without.length > 0 && (
          <Says tone="plain">
            Without a price, and not in the total: {now.without.join(", ")}. Type the price of cloth on{" "}
            <Way to={`/orders/${money.order}/cloth`}>Cloth</Way>, others under <Way to="/money/prices">Prices</Way>.
          </Says>
        )}
        {agree.error && <Says tone="wrong">{inWords(agree.error)}</Says>}
        <Box display="flex" gap="16" flexWrap="wrap" alignItems="center">
          {now && !settled && (
            <Press kind="main" disabled={agree.isPending} onClick={press}>
              {agreed ? `Agree the newer one, ${now.total}` : `Agree ${now.total}`}
            </Press>
          )}
          {(now || agreed) && <FileWay href={paperAt.quote(money.order)}>Quote on paper</FileWay>}
          <FileWay href={paperAt.ticket(money.order)}>Job ticket</FileWay>
        </Box>
      </Box>
      <Typed money={money} />
    </Box>
  );
}

function Changes({ changes }: { changes: Money["changes"] }) {
  const numbers = { number: true };
  return (
    <Rows
      full
      caption="What is otherwise than agreed"
      columns={[{ head: "otherwise than agreed" }, { head: "was", ...numbers }, { head: "is", ...numbers }]}
      rows={changes.map(({ title, was, now }) => ({
        key: title,
        cells: [title, was || "not there", now || "not there"],
      }))}
    />
  );
}

/** What is missing before an order has a price, and where it is mended. */
function Why({ money }: { money: Money }) {
  return (
    <Box display="grid" gap="8">
      <Says tone="plain">It has no price of its own yet: it is drafted first.</Says>
      <chakra.ul paddingInlineStart="24">
        {money.why.map((one) => (
          <li key={one.what}>
            {one.what}. {one.mend} {one.station && <Way to={`/orders/${money.order}/${one.station}`}>Go there</Way>}
          </li>
        ))}
      </chakra.ul>
      <p>
        Until then: <Way to="/money/quick">a quick price</Way>.
      </p>
    </Box>
  );
}
