import { Box, chakra } from "@chakra-ui/react";
import { memo, useId } from "react";
import { useSilhouettes } from "../../api/design";
import type { Order } from "../../api/orders";
import { Silhouette } from "../../drawing/Silhouette";

type PickerProps = {
  order: Order;
  styles: { key: string; name: string }[];
  value: string;
  onChoose: (style: string) => void;
};

/** The styles as they would hang on this client, each drawn by its own draft. */
export function StylePicker({ order, styles, value, onChoose }: PickerProps) {
  const drawn = useSilhouettes(order.sheet.id, String(order.sheet.readings.length)).data;
  const group = useId();
  return (
    <chakra.fieldset border="0" minWidth="0">
      <chakra.legend fontWeight={600}>Style</chakra.legend>
      <Box display="grid" gridTemplateColumns="repeat(auto-fill, minmax(92px, 1fr))" gap="4" marginTop="4">
        {styles.map(({ key, name }) => (
          <Style key={key} {...{ group, name, onChoose }} style={key} chosen={key === value} half={drawn?.[key]} />
        ))}
      </Box>
    </chakra.fieldset>
  );
}

type StyleProps = {
  group: string;
  style: string;
  name: string;
  chosen: boolean;
  half: Parameters<typeof Silhouette>[0]["half"] | undefined;
  onChoose: (style: string) => void;
};

/** Drawn anew where it is chosen, or no longer. */
const Style = memo(function Style({ group, style, name, chosen, half, onChoose }: StyleProps) {
  return (
    <chakra.label
      display="flex"
      flexDirection="column"
      alignItems="center"
      justifyContent="space-between"
      minHeight="124px"
      padding="4"
      position="relative"
      cursor="pointer"
      textAlign="center"
      fontSize="14px"
      lineHeight="1.2"
      borderRadius="cut"
      border="1.5px solid {colors.hairline}"
      borderColor={chosen ? "dye" : "hairline"}
      background={chosen ? "dyeSoft" : "sheet"}
      fontWeight={chosen ? 600 : 400}
      _focusWithin={{ outline: "3px solid {colors.dye}", outlineOffset: "2px" }}
    >
      <chakra.input
        type="radio"
        name={group}
        position="absolute"
        opacity="0"
        width="1px"
        height="1px"
        checked={chosen}
        onChange={() => onChoose(style)}
      />
      <Box height="84px" display="flex" alignItems="flex-start">
        {half && <Silhouette half={half} />}
      </Box>
      {name}
    </chakra.label>
  );
});
