import { Box, chakra } from "@chakra-ui/react";
import { useLeaveEverywhere, useSessions } from "../../api/session";
import { moment } from "../../ui/day";
import { Press } from "../../ui/press";
import { Says } from "../../ui/words";

/** Where one is logged in, and ending one session or all. */
export function Sessions() {
  const { list, end } = useSessions();
  const leave = useLeaveEverywhere();
  const wrong = list.error ?? end.error ?? leave.error;
  return (
    <Box display="grid" gap="12" justifyItems="start">
      <chakra.h2 fontSize="20px" fontWeight={600}>
        Where you are logged in
      </chakra.h2>
      <chakra.ul listStyleType="none" width="100%">
        {list.data?.map((one) => (
          <chakra.li
            key={one.id}
            display="flex"
            gap="12"
            alignItems="center"
            minHeight="56px"
            borderBottom="1px solid {colors.hairline}"
          >
            <chakra.span flex="1">
              <b>{one.device}</b>
              {one.here && ", here"}
              <chakra.span display="block" color="ink2" fontSize="16px">
                last used {moment(one.used_at)}
              </chakra.span>
            </chakra.span>
            {!one.here && <Press onClick={() => end.mutate(one.id)}>End</Press>}
          </chakra.li>
        ))}
      </chakra.ul>
      <p>A session that nobody uses for a week ends by itself.</p>
      <Press onClick={() => leave.mutate()}>Leave on every device</Press>
      {wrong && <Says tone="wrong">{wrong.message}</Says>}
    </Box>
  );
}
