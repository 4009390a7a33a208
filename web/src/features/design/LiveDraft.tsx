import { Box, chakra } from "@chakra-ui/react";
import { memo } from "react";
import { useDraft } from "../../api/design";
import type { Order } from "../../api/orders";
import type { Plan } from "../../api/plans";
import { panelName } from "../../drawing/names";
import { Panels } from "../../drawing/Panels";
import { useSize } from "../../ui/size";
import type { Made } from "../../api/parts";

/** "front, back, band" */
const named = (panels: Plan["panels"]) => panels.map((panel) => panelName(panel.name).toLowerCase()).join(", ");

/** The panels of a garment, or of a jumpsuit's half, side by side as they are drafted now, the small parts below. */
export const LiveDraft = memo(function LiveDraft({
  panels: all,
  garment,
  half,
}: {
  panels: Plan["panels"];
  garment: string;
  half: string;
}) {
  const id = half ? `${garment}.${half}` : garment;
  const panels = all.filter((panel) => panel.garment === id);
  const [ref, room] = useSize();
  if (panels.length === 0) return <p role="status">Drafting…</p>;
  return (
    <Box ref={ref} as="figure" height="100%" minHeight={{ lg: "320px" }} display="flex" flexDirection="column">
      <Panels panels={panels} room={room} label={`Draft of the ${garment}: ${named(panels)}`} />
    </Box>
  );
});

/** What the style looks like while the client's own draft cannot be made: an invented body fills in what is missing. */
export function StandIn({ order, made }: { order: Order; made: Made }) {
  const draft = useDraft(made.method, made.style, order.sheet.id).data;
  const [ref, room] = useSize();
  if (!draft) return null;
  return (
    <Box ref={ref} as="figure" height="100%" minHeight={{ lg: "320px" }} display="flex" flexDirection="column">
      <chakra.figcaption color="ink2">
        Not this client yet: with its usual choices, an invented body standing in for what is not on the sheet.
      </chakra.figcaption>
      <Panels panels={draft.panels} room={room} label={`The style on an invented body: ${named(draft.panels)}`} />
    </Box>
  );
}
