import { Box } from "@chakra-ui/react";
import { memo } from "react";
import { KEYS, keyName } from "../../ui/keys";
import { Press } from "../../ui/press";
import { RATES } from "./aloud";
import { words } from "./words";

const SHOWN = ["far", "tick", "hide", "all", "unit", "aloud", "closer", "further", "whole"] as const;

type ToolsProps = {
  shown?: readonly (typeof SHOWN)[number][];
  act: (does: string) => void;
  pressed: Record<string, boolean>;
  rate: number | null;
  setRate: (rate: number | null) => void;
  able: boolean;
  /** Whether this person may tick what is chalked. */
  chalks: boolean;
};

/** A button for all that a key does while marking, with its key. */
export const Tools = memo(function Tools({ shown = SHOWN, act, pressed, rate, setRate, able, chalks }: ToolsProps) {
  return (
    <Box display="flex" flexWrap="wrap" gap="4" marginTop="8" role="toolbar" aria-label="While marking">
      {shown.map((does) => {
        const row = KEYS.find((one) => one.where === "mark" && one.does === does)!;
        const off = (does === "aloud" && !able) || (does === "tick" && !chalks);
        return (
          <Press
            key={does}
            paddingInline="8"
            fontSize="16px"
            disabled={off}
            aria-pressed={does in pressed ? pressed[does] : undefined}
            background={pressed[does] ? "well" : undefined}
            title={off ? words.off[does as keyof typeof words.off] : `${row.words} (${keyName(row.keys[0]!)})`}
            onClick={() => act(does)}
          >
            {words.tools[does]}
          </Press>
        );
      })}
      {rate !== null &&
        RATES.map((one, k) => (
          <Press
            key={one}
            kind="quiet"
            fontSize="16px"
            aria-pressed={rate === one}
            fontWeight={rate === one ? 700 : 400}
            onClick={() => setRate(one)}
          >
            {words.rates[k]}
          </Press>
        ))}
    </Box>
  );
});
