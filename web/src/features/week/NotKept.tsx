import { Box, chakra } from "@chakra-ui/react";
import type { Broken } from "../../api/week";
import { day } from "../../ui/day";

/** The promises that are not kept so, each with why and what would keep it. */
export function NotKept({ broken, caption }: { broken: Broken[]; caption: string }) {
  return (
    <Box as="section" aria-label={caption}>
      <chakra.h2 fontSize="20px" fontWeight={600}>
        {caption}
      </chakra.h2>
      {broken.length === 0 && <p>None: every promise is kept.</p>}
      <chakra.ul listStyleType="none">
        {broken.map((one) => (
          <chakra.li key={one.order} borderTop="1px solid {colors.hairline}" paddingBlock="8">
            <chakra.p overflowWrap="anywhere">
              <b>{one.title}</b>, {one.client_name}:{" "}
              <chakra.span color="madder">
                promised for {day(one.promised_on)},{" "}
                {one.done_on ? `done on ${day(one.done_on)}` : "and not done by anybody"}
              </chakra.span>
            </chakra.p>
            {one.says.map((text) => (
              <chakra.p key={text} color="ink2" fontSize="16px">
                {text}
              </chakra.p>
            ))}
          </chakra.li>
        ))}
      </chakra.ul>
    </Box>
  );
}
