import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { useMay } from "../../api/session";
import { useWeek } from "../../api/week";
import { moment, today } from "../../ui/day";
import { Press } from "../../ui/press";
import { Way } from "../../ui/way";
import { Says } from "../../ui/words";
import { Board, type Put } from "./Board";
import { NotKept } from "./NotKept";
import { NewSchedule } from "./NewSchedule";
import { OfOrder } from "./OfOrder";
import { Promise } from "./Promise";

/** Who does what on which day, what cannot be kept and why; whether a day can be promised. */
export function Week() {
  const [later, setLater] = useState(0);
  const [order, setOrder] = useState("");
  const [put, setPut] = useState<Put | null>(null);
  const open = (one: string, where: Put | null = null) => {
    setOrder(one);
    setPut(where);
  };
  const week = useWeek(today(7 * later));
  const holds = useMay();
  const [may, contacts] = [holds("orders"), holds("contacts")];
  const { rows = [], broken = [], kept_at, more } = week.data ?? {};
  return (
    <Box padding={{ base: "12", md: "24" }} overflowY="auto" height="100%" display="grid" gap="16" alignContent="start">
      <Box display="flex" flexWrap="wrap" gap="16" alignItems="center">
        <chakra.h1 fontSize="26px" fontWeight={600} flex="1" minWidth="140px">
          Week
          <chakra.span fontWeight="400" color="ink2" fontSize="17px" marginLeft="12">
            {kept_at ? `by the schedule kept on ${moment(kept_at)}` : "what is promised first is done first"}
          </chakra.span>
        </chakra.h1>
        <Way to="/">Bench</Way>
        <Way to="/week/hours">Hours</Way>
        {contacts && <Way to="/reminders">Reminders</Way>}
        <Press disabled={later === 0} onClick={() => setLater(later - 1)}>
          Week before
        </Press>
        <Press onClick={() => setLater(later + 1)}>Week after</Press>
      </Box>
      {week.error && <Says tone="wrong">{week.error.message}</Says>}
      {more && <Says tone="plain">Only the 200 orders that are promised first are scheduled.</Says>}
      <Box
        display="grid"
        gap="24"
        gridTemplateColumns={{ base: "1fr", lg: "minmax(0, 1fr) {sizes.margin}" }}
        alignItems="start"
      >
        <Box display="grid" gap="24" minWidth="0" gridColumn={{ lg: 2 }} gridRow={{ lg: 1 }}>
          {order && (
            <OfOrder
              key={order}
              id={order}
              people={rows.map(({ person, name }) => ({ person, name }))}
              put={put}
              setPut={setPut}
            />
          )}
          <Promise />
          <NotKept broken={broken} caption="Promises that are not kept so" />
          {may && <NewSchedule />}
        </Box>
        <Board
          rows={rows}
          chosen={order}
          choose={(one) => open(one === order ? "" : one)}
          put={may ? (one) => open(one.order, one) : undefined}
        />
      </Box>
    </Box>
  );
}
