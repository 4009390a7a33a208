import { Box } from "@chakra-ui/react";
import type { Plan } from "../../api/shop";
import { Panels } from "../../drawing/Panels";

/** The panels side by side as they are drafted now, the small parts below them. */
export function LiveDraft({ plan }: { plan: Plan }) {
  return (
    <Box as="figure" height="100%" minHeight="320px" display="flex" flexDirection="column">
      <Panels panels={plan.panels} label="The draft as it stands" />
    </Box>
  );
}
