import { Box, chakra } from "@chakra-ui/react";
import { useId } from "react";
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
        {styles.map(({ key: style, name: label }) => (
          <chakra.label
            key={style}
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
            borderColor={style === value ? "dye" : "hairline"}
            background={style === value ? "dyeSoft" : "sheet"}
            fontWeight={style === value ? 600 : 400}
            _focusWithin={{ outline: "3px solid {colors.dye}", outlineOffset: "2px" }}
          >
            <chakra.input
              type="radio"
              name={group}
              position="absolute"
              opacity="0"
              width="1px"
              height="1px"
              checked={style === value}
              onChange={() => onChoose(style)}
            />
            <Box height="84px" display="flex" alignItems="flex-start">
              {drawn?.[style] && <Silhouette half={drawn[style]} />}
            </Box>
            {label}
          </chakra.label>
        ))}
      </Box>
    </chakra.fieldset>
  );
}
