import { Box, chakra } from "@chakra-ui/react";
import { type FormEvent, useState } from "react";
import { type Person, type Role, useTeam, useTeamWrites } from "../../api/people";
import { Chips } from "../../ui/chips";
import { day } from "../../ui/day";
import { field, Label } from "../../ui/field";
import { Press } from "../../ui/press";
import { Says } from "../../ui/words";
import { ROLES } from "./roles";
import { Way } from "../../ui/way";

/** Who works here and under which role; inviting by a link; the messages that would have been sent. */
export function People() {
  const team = useTeam();
  const writes = useTeamWrites();
  if (team.error) {
    return (
      <Box padding="24">
        <Says tone="wrong">{team.error.message}</Says>
      </Box>
    );
  }
  const wrong = writes.put.error ?? writes.withdraw.error ?? writes.link.error;
  return (
    <Box padding={{ base: "12", md: "24" }} overflowY="auto" height="100%">
      <chakra.h1 fontSize="26px" fontWeight={600} marginBottom="12">
        People
      </chakra.h1>
      <chakra.p marginBottom="16" color="dye" textDecoration="underline">
        <Way to="/people/seen">Who saw what of our clients</Way>
        <chakra.span marginLeft="24" display="inline-block">
          <Way to="/people/learned">What is learned by practising</Way>
        </chakra.span>
      </chakra.p>
      <Box
        display="grid"
        gap="32"
        gridTemplateColumns={{ base: "1fr", lg: "1fr minmax(320px, 440px)" }}
        alignItems="start"
      >
        <Box display="grid" gap="24" minWidth="0">
          {wrong && <Says tone="wrong">{wrong.message}</Says>}
          <chakra.ul listStyleType="none">
            {team.data?.people.map((person) => (
              <Row
                key={person.id}
                person={person}
                put={(changed) => writes.put.mutate(changed)}
                link={() => writes.link.mutate(person.id)}
              />
            ))}
          </chakra.ul>
          {team.data && team.data.invitations.length > 0 && (
            <Box>
              <chakra.h2 fontSize="20px" fontWeight={600}>
                Open links
              </chakra.h2>
              {team.data.invitations.map((one) => (
                <Box key={one.id} display="flex" gap="12" alignItems="center" flexWrap="wrap" minHeight="56px">
                  <chakra.span flex="1">
                    <b>{one.name}</b>, {one.for_password ? "for a new password" : one.role}, until{" "}
                    {day(one.expires_at.slice(0, 10))}
                    <chakra.span display="block" color="ink2" fontSize="16px" overflowWrap="anywhere">
                      {one.link}
                    </chakra.span>
                  </chakra.span>
                  <Press onClick={() => writes.withdraw.mutate(one.id)}>Take back</Press>
                </Box>
              ))}
            </Box>
          )}
          {team.data && team.data.messages.length > 0 && (
            <chakra.details>
              <chakra.summary>Messages that would have been sent</chakra.summary>
              {team.data.messages.map((one) => (
                <chakra.p key={one.written_at} fontSize="16px" overflowWrap="anywhere" marginBottom="8">
                  <b>{one.to || "no address"}</b>: {one.text}
                </chakra.p>
              ))}
            </chakra.details>
          )}
        </Box>
        <Invite writes={writes} />
      </Box>
    </Box>
  );
}

function Row({ person, put, link }: { person: Person; put: (person: Person) => void; link: () => void }) {
  return (
    <chakra.li
      display="flex"
      gap="12"
      alignItems="center"
      flexWrap="wrap"
      minHeight="64px"
      paddingBlock="8"
      borderBottom="1px solid {colors.hairline}"
    >
      <chakra.span flex="1" minWidth="140px" color={person.works_here ? "ink" : "ink2"}>
        <b>{person.name}</b> <chakra.span color="ink2">{person.user_name}</chakra.span>
        {!person.works_here && ", does not work here now"}
      </chakra.span>
      <chakra.select
        {...field}
        width="160px"
        aria-label={`Role of ${person.name}`}
        value={person.role}
        onChange={(event) => put({ ...person, role: event.target.value })}
      >
        {ROLES.map((role) => (
          <option key={role.value} value={role.value}>
            {role.label}
          </option>
        ))}
      </chakra.select>
      {person.works_here && <Press onClick={link}>Forgotten password</Press>}
      <Press onClick={() => put({ ...person, works_here: !person.works_here })}>
        {person.works_here ? "Let go" : "Take back"}
      </Press>
    </chakra.li>
  );
}

function Invite({ writes }: { writes: ReturnType<typeof useTeamWrites> }) {
  const [id, setId] = useState(() => crypto.randomUUID());
  const [name, setName] = useState("");
  const [to, setTo] = useState("");
  const [role, setRole] = useState<Role>("sewer");
  const [wrong, setWrong] = useState("");
  const send = (event: FormEvent) => {
    event.preventDefault();
    setWrong(name.trim() ? "" : "Type the name of whom you invite.");
    if (!name.trim()) return;
    writes.invite.mutate(
      { id, name: name.trim(), role, to: to.trim() },
      {
        onSuccess: () => {
          setId(crypto.randomUUID());
          setName("");
          setTo("");
        },
      },
    );
  };
  return (
    <chakra.form onSubmit={send} noValidate display="grid" gap="12">
      <chakra.h2 fontSize="20px" fontWeight={600}>
        Invite somebody
      </chakra.h2>
      <Label text="Name">
        <chakra.input {...field} value={name} maxLength={60} onChange={(event) => setName(event.target.value)} />
      </Label>
      <Label text="Where the link is sent">
        <chakra.input
          {...field}
          value={to}
          maxLength={120}
          placeholder="e-mail or phone, or hand it over yourself"
          onChange={(event) => setTo(event.target.value)}
        />
      </Label>
      <Chips
        legend="Role"
        value={role}
        options={ROLES.map(({ value, label, may }) => ({ value, label, says: may }))}
        onChoose={(value) => setRole(value as Role)}
      />
      {(wrong || writes.invite.error) && <Says tone="wrong">{wrong || writes.invite.error?.message}</Says>}
      <Press kind="main" type="submit">
        Make the link
      </Press>
    </chakra.form>
  );
}
