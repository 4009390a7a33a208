import { Box, chakra } from "@chakra-ui/react";
import { useId } from "react";

export type Option = { value: string; label: string; hint?: string };

/** One of a few: cards of paper in a row, the chosen one dyed. Arrow keys move as in any set of radio buttons. */
export function Chips(props: {
  legend: string;
  hint?: string;
  value: string;
  options: Option[];
  onChoose: (value: string) => void;
}) {
  const name = useId();
  return (
    <chakra.fieldset border="0" minWidth="0">
      <chakra.legend fontWeight={600} padding="0">
        {props.legend}
        {props.hint && (
          <chakra.span fontWeight="400" color="ink2">
            {" "}
            {props.hint}
          </chakra.span>
        )}
      </chakra.legend>
      <Box display="flex" flexWrap="wrap" gap="4" marginTop="4">
        {props.options.map((option) => (
          <chakra.label
            key={option.value}
            display="inline-flex"
            alignItems="center"
            minHeight="touch"
            paddingInline="12"
            cursor="pointer"
            borderRadius="cut"
            border="1.5px solid {colors.edge}"
            background={option.value === props.value ? "dyeSoft" : "sheet"}
            borderColor={option.value === props.value ? "dye" : "edge"}
            fontWeight={option.value === props.value ? 600 : 400}
            title={option.hint}
            _focusWithin={{ outline: "3px solid {colors.dye}", outlineOffset: "2px" }}
          >
            <chakra.input
              type="radio"
              name={name}
              position="absolute"
              opacity="0"
              width="1px"
              height="1px"
              checked={option.value === props.value}
              onChange={() => props.onChoose(option.value)}
            />
            {option.label}
          </chakra.label>
        ))}
      </Box>
    </chakra.fieldset>
  );
}
