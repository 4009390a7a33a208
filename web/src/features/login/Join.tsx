import { Box, chakra } from "@chakra-ui/react";
import { type FormEvent, useState } from "react";
import { useParams } from "react-router";
import type { Refused } from "../../api/client";
import { type House, useJoin, useWelcome } from "../../api/people";
import { Chips } from "../../ui/chips";
import { field, Label, Password, Pick, WrongAt } from "../../ui/field";
import { Press } from "../../ui/press";
import { Says } from "../../ui/words";

/** The time zones that this device knows, the one it has among them. */
const zonesWith = (own: string) => [...new Set([own, ...Intl.supportedValuesOf("timeZone")])].sort();

/** Following a link: a user name and a password, or a new password, and one is in. */
export function Join() {
  const { token = "" } = useParams();
  const welcome = useWelcome(token);
  const join = useJoin(token);
  const [name, setName] = useState("");
  const [password, setPassword] = useState("");
  const first = welcome.data?.first ?? false;
  const [house, setHouse] = useState<Partial<House>>({});
  const all: House = {
    workshop: welcome.data?.workshop ?? "",
    name: "",
    unit: welcome.data?.unit ?? "in",
    time_zone: Intl.DateTimeFormat().resolvedOptions().timeZone,
    ...house,
  };
  const send = (event: FormEvent) => {
    event.preventDefault();
    join.mutate(
      { user_name: name, password, house: first ? all : null },
      { onSuccess: () => window.location.assign("/") },
    );
  };
  const known = welcome.data?.user_name ?? "";
  const problems = (join.error as Refused | null)?.problems ?? [];
  return (
    <Box as="main" minHeight="100dvh" display="grid" placeItems="center" padding="16">
      {welcome.error ? (
        <Box maxWidth="400px" display="grid" gap="12">
          <Says tone="wrong">This link was used, is too old, or was taken back. Ask for a new one.</Says>
          <a href="/">To the door</a>
        </Box>
      ) : (
        welcome.data && (
          <chakra.form onSubmit={send} noValidate width="100%" maxWidth="400px" display="grid" gap="16">
            <chakra.h1 fontSize="26px" fontWeight={600}>
              {first
                ? "The first one here"
                : known
                  ? `${welcome.data.name}, choose a new password`
                  : `${welcome.data.name}, ${welcome.data.workshop} lets you in as ${welcome.data.role}`}
            </chakra.h1>
            {first && (
              <>
                <p>You own this workshop: say what it is called, and who you are. All of it can be changed later.</p>
                <Label text="The workshop's name">
                  <chakra.input
                    {...field}
                    value={all.workshop}
                    maxLength={120}
                    autoFocus
                    onChange={(event) => setHouse({ ...house, workshop: event.target.value })}
                  />
                </Label>
                <Chips
                  legend="It measures in"
                  value={all.unit}
                  options={[
                    { value: "in", label: "inches" },
                    { value: "cm", label: "centimetres" },
                  ]}
                  onChoose={(unit) => setHouse({ ...house, unit: unit as House["unit"] })}
                />
                <Pick
                  text="Time zone"
                  value={all.time_zone}
                  options={zonesWith(all.time_zone).map((zone): [string, string] => [zone, zone.replaceAll("_", " ")])}
                  onPick={(time_zone) => setHouse({ ...house, time_zone })}
                />
                <WrongAt error={join.error} where="time_zone" />
                <Label text="Your name">
                  <chakra.input
                    {...field}
                    value={all.name}
                    maxLength={60}
                    autoComplete="name"
                    onChange={(event) => setHouse({ ...house, name: event.target.value })}
                  />
                </Label>
              </>
            )}
            {known && (
              <p>
                Everywhere you were logged in you are logged out, and a second step is off until you turn it on again.
              </p>
            )}
            <Label text="User name">
              <chakra.input
                {...field}
                value={known || name}
                readOnly={known !== ""}
                autoFocus={known === "" && !first}
                autoComplete="username"
                onChange={(event) => setName(event.target.value)}
              />
            </Label>
            <WrongAt error={join.error} where="user_name" />
            <Password text="Password, ten letters or more" is="new" value={password} onChange={setPassword} />
            <WrongAt error={join.error} where="password" />
            {join.error && problems.length === 0 && <Says tone="wrong">{join.error.message}</Says>}
            <Press
              kind="main"
              type="submit"
              disabled={join.isPending || (first && !(all.workshop.trim() && all.name.trim()))}
            >
              Come in
            </Press>
          </chakra.form>
        )
      )}
    </Box>
  );
}
