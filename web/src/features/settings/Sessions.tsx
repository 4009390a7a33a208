import { Box, chakra } from "@chakra-ui/react";
import { useLeaveEverywhere, useSessions } from "../../api/session";
import { moment } from "../../ui/day";
import { DeviceRow } from "../../ui/deviceRow";
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
          <DeviceRow
            key={one.id}
            name={one.device}
            here={one.here ? ", here" : ""}
            says={`last used ${moment(one.used_at)}`}
          >
            {!one.here && <Press onClick={() => end.mutate(one.id)}>End</Press>}
          </DeviceRow>
        ))}
      </chakra.ul>
      <p>A session that nobody uses for a week ends by itself.</p>
      <Press onClick={() => leave.mutate()}>Leave on every device</Press>
      {wrong && <Says tone="wrong">{wrong.message}</Says>}
    </Box>
  );
}
