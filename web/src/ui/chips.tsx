import { Box, chakra } from "@chakra-ui/react";
import { type ReactNode, useId } from "react";
import { Taped } from "./taped";

/** `says` is what it would change, `dead` why it cannot be chosen now, `drawing` a small one of what it would move. */
export type Option = { value: string; label: string; says?: string; dead?: string; drawing?: ReactNode };

type ChipsProps = {
  legend: string;
  hint?: string;
  /** The chosen one, or all that are chosen where several may be. */
  value: string | string[];
  options: Option[];
  onChoose: (value: string) => void;
};

/** One of a few, or some of them: cards of paper in a row, the chosen one dyed. Arrow keys move among radio buttons. */
export function Chips(props: ChipsProps) {
  const name = useId();
  const several = Array.isArray(props.value);
  // Side by side they are chips; drawn, one under the other, so that the drawings are compared.
  const drawn = props.options.some((option) => option.drawing);
  const chosen = (value: string) => (several ? props.value.includes(value) : value === props.value);
  return (
    <chakra.fieldset border="0" minWidth="0">
      <chakra.legend fontWeight={600} padding="0">
        {props.legend}
        {props.hint && (
          <chakra.span fontWeight="400" color="ink2">
            {" "}
            <Taped>{props.hint}</Taped>
          </chakra.span>
        )}
      </chakra.legend>
      <Box display="flex" flexWrap="wrap" gap="4" marginTop="4">
        {props.options.map((option) => (
          <chakra.label
            key={option.value}
            display="inline-flex"
            alignItems="center"
            gap="12"
            maxWidth="100%"
            flexBasis={drawn ? "100%" : undefined}
            paddingBlock={option.drawing ? "4" : undefined}
            position="relative"
            minHeight="touch"
            paddingInline="12"
            cursor="pointer"
            borderRadius="cut"
            border="1.5px solid {colors.edge}"
            background={chosen(option.value) ? "dyeSoft" : "sheet"}
            borderColor={chosen(option.value) ? "dye" : "edge"}
            fontWeight={chosen(option.value) ? 600 : 400}
            css={
              chosen(option.value)
                ? {
                    "@media (forced-colors: active)": {
                      forcedColorAdjust: "none",
                      background: "Highlight",
                      color: "HighlightText",
                    },
                  }
                : undefined
            }
            _focusWithin={{ outline: "3px solid {colors.dye}", outlineOffset: "2px" }}
          >
            <chakra.input
              type={several ? "checkbox" : "radio"}
              name={name}
              position="absolute"
              opacity="0"
              width="1px"
              height="1px"
              checked={chosen(option.value)}
              aria-label={option.label}
              aria-describedby={option.dead || option.says ? `${name}-${option.value}` : undefined}
              onChange={() => props.onChoose(option.value)}
            />
            {option.drawing}
            <chakra.span minWidth="0">
              <span>
                <Taped>{option.label}</Taped>
              </span>
              {(option.dead ?? option.says) && (
                <chakra.span
                  id={`${name}-${option.value}`}
                  display="block"
                  fontSize="14px"
                  fontWeight="400"
                  color={option.dead ? "madder" : "ink2"}
                  lineHeight="1.25"
                >
                  <Taped>{option.dead ?? option.says}</Taped>
                </chakra.span>
              )}
            </chakra.span>
          </chakra.label>
        ))}
      </Box>
    </chakra.fieldset>
  );
}
