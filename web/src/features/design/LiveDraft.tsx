import { Box, chakra } from "@chakra-ui/react";
import { useDraft } from "../../api/design";
import type { Garment, Order, Plan } from "../../api/shop";
import { Panels } from "../../drawing/Panels";

/** The panels side by side as they are drafted now, the small parts below them. */
export function LiveDraft({ plan }: { plan: Plan }) {
  return (
    <Box as="figure" height="100%" minHeight="320px" display="flex" flexDirection="column">
      <Panels panels={plan.panels} label="The draft as it stands" />
    </Box>
  );
}

/** What the style looks like while the client's own draft cannot be made: an invented body fills in what is missing. */
export function StandIn({ order, garment }: { order: Order; garment: Garment }) {
  const draft = useDraft(garment.method, garment.style, order.sheet.id).data;
  if (!draft) return null;
  return (
    <Box as="figure" height="100%" minHeight="320px" display="flex" flexDirection="column">
      <chakra.figcaption color="ink2">
        Not this client yet: with its usual choices, an invented body standing in for what is not on the sheet.
      </chakra.figcaption>
      <Panels panels={draft.panels} label="The style on an invented body" />
    </Box>
  );
}
