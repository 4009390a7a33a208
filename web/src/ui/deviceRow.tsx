import { chakra } from "@chakra-ui/react";
import type { ReactNode } from "react";

/** A device in a list: what it is called, whether it is this one, what else is said of it, what can be done with it. */
export function DeviceRow(props: { name: string; here: string; says: string; children?: ReactNode }) {
  return (
    <chakra.li display="flex" gap="12" alignItems="center" minHeight="56px" borderBottom="1px solid {colors.hairline}">
      <chakra.span flex="1">
        <b>{props.name}</b>
        {props.here}
        <chakra.span display="block" color="ink2" fontSize="16px">
          {props.says}
        </chakra.span>
      </chakra.span>
      {props.children}
    </chakra.li>
  );
}
