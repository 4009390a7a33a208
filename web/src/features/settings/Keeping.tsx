import { Box, chakra } from "@chakra-ui/react";
import { useKeeping, useMe } from "../../api/session";
import { keptFor } from "../../offline/device";
import { Press } from "../../ui/press";
import { Says } from "../../ui/words";

/** Whether this device keeps opened orders, so that work goes on where the line is lost. */
export function Keeping() {
  const me = useMe().data;
  const keeping = useKeeping();
  if (!me) return null;
  const on = keptFor() === me.id;
  return (
    <Box as="section" aria-label="This device" display="grid" gap="8">
      <chakra.h2 fontSize="20px" fontWeight={600}>
        This device
      </chakra.h2>
      <p>
        {on
          ? "This device keeps the orders that you open: measuring and marking go on where the line is lost, and what you write is sent when it is back."
          : "Where the line is lost, nothing can be measured or ticked. Let this device keep the orders that you open, and it goes on."}
      </p>
      <chakra.p color="ink2" fontSize="16px">
        What is kept has clients’ measures in it. It goes from here when you leave, when this session is ended from
        another device, and when nobody opened Plavet for seven days. Use it on a device of the workshop alone.
      </chakra.p>
      {keeping.error && <Says tone="wrong">{keeping.error.message}</Says>}
      <Press aria-pressed={on} disabled={keeping.isPending} onClick={() => keeping.mutate(!on)}>
        {on ? "Keep nothing on this device" : "Keep opened orders on this device"}
      </Press>
    </Box>
  );
}
