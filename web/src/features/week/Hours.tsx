import { Box, chakra } from "@chakra-ui/react";
import { type FormEvent, useState } from "react";
import { inWords } from "../../api/client";
import { useMay, useMe } from "../../api/session";
import { type PersonHours, type TeamHours, useAwayMoves, useFeed, useHours, useHoursWrites } from "../../api/week";
import { announce } from "../../ui/announce";
import { Chips } from "../../ui/chips";
import { day, today } from "../../ui/day";
import { field, Label, Pick } from "../../ui/field";
import { Press } from "../../ui/press";
import { same } from "../../ui/same";
import { Way } from "../../ui/way";
import { Says } from "../../ui/words";
import { Moves } from "./Moves";
import { NotKept } from "./NotKept";

const DAYS = ["Monday", "Tuesday", "Wednesday", "Thursday", "Friday", "Saturday", "Sunday"];

/** What everybody does and when, and on which days they are away. */
export function Hours() {
  const team = useHours();
  const may = useMay();
  return (
    <Box padding={{ base: "12", md: "24" }} overflowY="auto" height="100%" display="grid" gap="16" alignContent="start">
      <Box display="flex" gap="16" alignItems="center">
        <chakra.h1 fontSize="26px" fontWeight={600} flex="1">
          Hours
        </chakra.h1>
        <Way to="/week">Week</Way>
      </Box>
      {team.error && <Says tone="wrong">{team.error.message}</Says>}
      {team.data && (
        <Box display="grid" gap="32" gridTemplateColumns={{ base: "1fr", lg: "1fr 380px" }} alignItems="start">
          <Box display="grid" gap="24" minWidth="0">
            {team.data.people.map((person) => (
              <Person
                key={`${person.person}${person.version}`}
                {...{ person, kinds: team.data.kinds }}
                may={may("workshop")}
              />
            ))}
          </Box>
          <DaysAway team={team.data} may={may("orders")} />
        </Box>
      )}
    </Box>
  );
}

const typedOf = (spans: string[][]) => spans.map((span) => span.join(" to ")).join(", ");
const spansOf = (typed: string) =>
  typed
    .split(",")
    .map((one) => one.trim())
    .filter(Boolean)
    .map((one) => one.split(/\s+to\s+|\s*[-\u2013]\s*/).map((at) => at.trim()));

type PersonProps = { person: PersonHours; kinds: TeamHours["kinds"]; may: boolean };

function Person({ person, kinds, may }: PersonProps) {
  const [skills, setSkills] = useState(person.skills);
  const [typed, setTyped] = useState(() => person.week.map(typedOf));
  const { hours } = useHoursWrites();
  const own = useMe().data?.id === person.person;
  const save = (event: FormEvent) => {
    event.preventDefault();
    const week = typed.map(spansOf);
    hours.mutate({ ...person, skills, week }, { onSuccess: () => announce(`${person.name}: kept`) });
  };
  return (
    <chakra.form
      onSubmit={save}
      noValidate
      display="grid"
      gap="12"
      borderTop="1px solid {colors.edge}"
      paddingTop="12"
      aria-label={person.name}
    >
      <chakra.h2 fontSize="20px" fontWeight={600}>
        {person.name}
      </chakra.h2>
      {may ? (
        <Chips
          legend="Does"
          value={skills}
          options={kinds.map(({ kind, name }) => ({ value: kind, label: name }))}
          onChoose={(kind) =>
            setSkills(skills.includes(kind) ? skills.filter((one) => one !== kind) : [...skills, kind])
          }
        />
      ) : (
        <p>
          Does:{" "}
          {kinds
            .filter((one) => skills.includes(one.kind))
            .map((one) => one.name)
            .join(", ") || "nothing"}
        </p>
      )}
      <Box display="grid" gap="8" gridTemplateColumns={{ base: "1fr", sm: "repeat(auto-fill, minmax(290px, 1fr))" }}>
        {DAYS.map((name, k) => (
          <Label key={name} text={name}>
            <chakra.input
              {...field}
              readOnly={!may}
              placeholder="not here"
              maxLength={80}
              aria-label={`${name}, ${person.name}`}
              value={typed[k] ?? ""}
              onChange={(event) => setTyped(typed.map((one, at) => (at === k ? event.target.value : one)))}
            />
          </Label>
        ))}
      </Box>
      {hours.error && <Says tone="wrong">{inWords(hours.error)}</Says>}
      <Box display="flex" gap="12" flexWrap="wrap" alignItems="start">
        {may && (
          <Press type="submit" disabled={hours.isPending}>
            Keep these hours
          </Press>
        )}
        {(may || own) && <Calendar person={person} />}
      </Box>
    </chakra.form>
  );
}

/** A calendar program reads somebody's week at a secret address, which is shown once. */
function Calendar({ person }: { person: PersonHours }) {
  const { renew, end } = useFeed(person.person);
  const address = renew.data?.address;
  const error = renew.error ?? end.error;
  return (
    <Box display="grid" gap="8" flex="1" minWidth={{ base: "100%", sm: "300px" }}>
      <Box display="flex" gap="12" flexWrap="wrap">
        <Press
          aria-label={`${person.feed ? "A new calendar address" : "A calendar address"}: ${person.name}`}
          disabled={renew.isPending}
          onClick={() => renew.mutate()}
        >
          {person.feed ? "A new calendar address" : "A calendar address"}
        </Press>
        {person.feed && (
          <Press kind="quiet" aria-label={`End the address: ${person.name}`} onClick={() => end.mutate()}>
            End it
          </Press>
        )}
      </Box>
      {error && <Says tone="wrong">{inWords(error)}</Says>}
      {address && (
        <Label text={`For ${person.name}'s calendar program`}>
          <chakra.input {...field} readOnly value={address} onFocus={(event) => event.target.select()} />
        </Label>
      )}
      {address && (
        <chakra.p color="ink2" fontSize="16px">
          It is shown this once. Whoever has it sees what is made when, and no client&apos;s name; a new one ends it.
        </chakra.p>
      )}
    </Box>
  );
}

function DaysAway({ team, may }: { team: TeamHours; may: boolean }) {
  const { away } = useHoursWrites();
  const would = useAwayMoves();
  const [person, setPerson] = useState("");
  const [first, setFirst] = useState(() => today(1));
  const [last, setLast] = useState("");
  const [reason, setReason] = useState("");
  const name = (id: string) => team.people.find((one) => one.person === id)?.name ?? "";
  const chosen = person || team.people[0]?.person || "";
  const question = { person: chosen, first, last: last || first };
  const put = (event: FormEvent) => {
    event.preventDefault();
    const body = {
      id: crypto.randomUUID(),
      version: 0,
      person: chosen,
      first,
      last: last || first,
      reason,
      removed: false,
    };
    away.mutate(body, {
      onSuccess: () => {
        setReason("");
        setLast("");
        announce(`${name(chosen)}: away from ${day(first)}`);
      },
    });
  };
  return (
    <Box as="section" aria-label="Days away" display="grid" gap="12">
      <chakra.h2 fontSize="20px" fontWeight={600}>
        Days away
      </chakra.h2>
      {team.away.length === 0 && <p>Nobody is away.</p>}
      <chakra.ul listStyleType="none">
        {team.away.map((one) => (
          <chakra.li key={one.id} display="flex" gap="12" alignItems="center" minHeight="56px">
            <chakra.span flex="1">
              <b>{name(one.person)}</b>, {day(one.first)}
              {one.last !== one.first && ` to ${day(one.last)}`}
              {one.reason && <chakra.span color="ink2">, {one.reason}</chakra.span>}
            </chakra.span>
            {may && (
              <Press aria-label={`Not so: ${name(one.person)}`} onClick={() => away.mutate({ ...one, removed: true })}>
                Not so
              </Press>
            )}
          </chakra.li>
        ))}
      </chakra.ul>
      {may && (
        <chakra.form onSubmit={put} noValidate display="grid" gap="12">
          <Pick
            text="Who"
            value={chosen}
            options={team.people.map((one) => [one.person, one.name])}
            onPick={setPerson}
          />
          <Label text="From">
            <chakra.input {...field} type="date" value={first} onChange={(event) => setFirst(event.target.value)} />
          </Label>
          <Label text="To (left out: that day alone)">
            <chakra.input {...field} type="date" value={last} onChange={(event) => setLast(event.target.value)} />
          </Label>
          <Label text="Why">
            <chakra.input
              {...field}
              placeholder="ill, on holiday"
              maxLength={60}
              value={reason}
              onChange={(event) => setReason(event.target.value)}
            />
          </Label>
          {(away.error ?? would.error) && <Says tone="wrong">{inWords((away.error ?? would.error)!)}</Says>}
          <Press disabled={!first || would.isPending} onClick={() => would.mutate(question)}>
            What would move?
          </Press>
          {would.data && same(would.variables, question) && (
            <Box role="status" display="grid" gap="8">
              <p>
                {would.data.broken.length === 0
                  ? "No promise is broken by it."
                  : would.data.broken.length === 1
                    ? "One promise is broken by it:"
                    : `${would.data.broken.length} promises are broken by it:`}
              </p>
              {would.data.broken.length > 0 && (
                <NotKept broken={would.data.broken} caption="Promises that would not be kept" />
              )}
              {would.data.moves.length === 0 && <p>Nothing moves.</p>}
              <Moves moves={would.data.moves} caption="What would move" />
            </Box>
          )}
          <Press type="submit" disabled={!first || away.isPending}>
            Note it
          </Press>
        </chakra.form>
      )}
    </Box>
  );
}
