import { Box, chakra } from "@chakra-ui/react";
import type { ReactNode } from "react";
import { useMay, useMe } from "../../api/session";
import { Archive } from "./Archive";
import { Installation } from "./Installation";
import { Keeping } from "./Keeping";
import { NewPassword } from "./Password";
import { SecondStep } from "./SecondStep";
import { Sessions } from "./Sessions";
import { ShortCode } from "./ShortCode";
import { Tablets } from "./Tablets";
import { Workshop } from "./Workshop";
import { Yours } from "./Yours";

/** What the workshop settles for itself, for its owner; and what everybody does for oneself. */
export function Settings() {
  const me = useMe().data;
  const may = useMay();
  if (!me) return null;
  return (
    <Box padding={{ base: "12", md: "24" }} overflowY="auto" height="100%">
      <chakra.h1 fontSize="26px" fontWeight={600}>
        Settings
      </chakra.h1>
      <Box
        display="grid"
        gap={{ base: "32", lg: "48" }}
        marginTop="16"
        gridTemplateColumns={{ base: "minmax(0, 1fr)", lg: may("workshop") ? "repeat(2, minmax(0, 480px))" : "480px" }}
      >
        {may("workshop") && (
          <Part name={me.workshop}>
            <Workshop />
            <Tablets />
            <Archive />
            <Installation />
          </Part>
        )}
        <Part name={`You: ${me.name}, ${me.role}`}>
          {me.at_tablet && (
            <p>
              You came in by your short code. To remove something, and for people and the workshop’s settings, leave and
              come in with your user name and password.
            </p>
          )}
          <Yours me={me} />
          <Keeping />
          <NewPassword />
          <Sessions />
          <SecondStep />
          <ShortCode />
        </Part>
      </Box>
    </Box>
  );
}

function Part({ name, children }: { name: string; children: ReactNode }) {
  return (
    <Box as="section" aria-label={name} display="grid" gap="24" alignContent="start" minWidth="0">
      <chakra.h2 fontSize="22px" fontWeight={600} borderBottom="2px solid {colors.edge}" paddingBottom="4">
        {name}
      </chakra.h2>
      {children}
    </Box>
  );
}
