import { Box, chakra } from "@chakra-ui/react";
import { type ReactNode, useEffect, useState } from "react";
import { NavLink, useLocation } from "react-router";
import { useOutbox } from "../api/outbox";
import { useOwn } from "../api/house";
import { useLogOut, useMe } from "../api/session";
import {
  BenchIcon,
  ClientIcon,
  LampIcon,
  LeaveIcon,
  MethodsIcon,
  PeopleIcon,
  SettingsIcon,
  ShelfIcon,
} from "../ui/icons";
import { inZone } from "../ui/day";
import { letKeys } from "../ui/keys";
import { Announcements } from "../ui/announce";
import { Boundary } from "../ui/boundary";
import { isDim, lastLight, type Light, useLight } from "./light";
import { Line } from "./Line";

const room = {
  display: "flex",
  flexDirection: "column",
  alignItems: "center",
  justifyContent: "center",
  gap: "2px",
  minHeight: "64px",
  width: "100%",
  fontSize: "14px",
  borderRadius: "cut",
  cursor: "pointer",
  textDecoration: "none",
} as const;

/** The slim rail with the rooms; on a phone a bar at the bottom, except inside a job. */
export function Frame({ children, job = false }: { children: ReactNode; job?: boolean }) {
  const me = useMe();
  const leave = useLogOut();
  // What is not sent goes when one leaves: that is asked once more.
  const { waits } = useOutbox();
  const [sure, setSure] = useState(false);
  const own = useOwn();
  const light = (me.data?.light as Light | undefined) ?? lastLight();
  useLight(light);
  const keys = me.data?.single_keys ?? true;
  useEffect(() => letKeys(keys), [keys]);
  const dim = isDim(light);
  inZone(me.data?.time_zone);
  return (
    <Box height="100dvh" display="flex" flexDirection={{ base: "column-reverse", md: "row" }}>
      <Box
        as="nav"
        aria-label="Rooms"
        background="well"
        width={{ md: "rail" }}
        flexShrink="0"
        display={{ base: job ? "none" : "flex", md: "flex" }}
        flexDirection={{ base: "row", md: "column" }}
        padding={{ base: "4px 0", md: "4" }}
        gap={{ base: "0", md: "4" }}
        css={{ "& a": room, "& a.active": { background: "dye", color: "onDye" } }}
      >
        <NavLink to="/" end>
          <BenchIcon />
          Bench
        </NavLink>
        <NavLink to="/clients">
          <ClientIcon />
          Clients
        </NavLink>
        <NavLink to="/shelf">
          <ShelfIcon />
          Shelf
        </NavLink>
        <NavLink to="/methods">
          <MethodsIcon />
          Methods
        </NavLink>
        {me.data?.rights.includes("people") && (
          <NavLink to="/people">
            <PeopleIcon />
            People
          </NavLink>
        )}
        <Box flex="1" display={{ base: "none", md: "block" }} />
        <chakra.button {...room} onClick={() => own.mutate({ light: dim ? "day" : "dim" })} aria-pressed={dim}>
          <LampIcon />
          {dim ? "Bright" : "Dim"}
        </chakra.button>
        <NavLink to="/settings">
          <SettingsIcon />
          Settings
        </NavLink>
        <chakra.button
          {...room}
          onClick={() => (waits.length && !sure ? setSure(true) : leave.mutate())}
          title={me.data?.workshop}
        >
          <LeaveIcon />
          {sure ? "Lose them?" : "Leave"}
        </chakra.button>
      </Box>
      <Box flex="1" minWidth="0" minHeight="0" display="flex" flexDirection="column">
        <Line />
        <Announcements />
        <Box as="main" position="relative" flex="1" minHeight="0" overflow="hidden">
          <Boundary key={useLocation().pathname.split("/").slice(0, 3).join("/")}>{children}</Boundary>
        </Box>
      </Box>
    </Box>
  );
}
