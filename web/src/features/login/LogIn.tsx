import { Box, chakra } from "@chakra-ui/react";
import { type FormEvent, useState } from "react";
import { Refused } from "../../api/client";
import { useLogIn } from "../../api/session";
import { useAtTablet } from "../../api/tablets";
import { field, Label, Password } from "../../ui/field";
import { Press } from "../../ui/press";
import { Says } from "../../ui/words";
import { Code } from "../../ui/code";
import { AtTablet } from "./AtTablet";
import { words } from "./words";

/** The door of the workshop; of a tablet where this browser is one. */
export function LogIn() {
  const here = useAtTablet();
  const [named, setNamed] = useState(false);
  if (here.isPending) return null;
  if (here.data && !named) return <AtTablet here={here.data} byName={() => setNamed(true)} />;
  return <ByName pick={here.data ? () => setNamed(false) : undefined} />;
}

function ByName({ pick }: { pick: (() => void) | undefined }) {
  const [name, setName] = useState("");
  const [password, setPassword] = useState("");
  const [code, setCode] = useState("");
  const [asked, setAsked] = useState(false);
  const logIn = useLogIn();
  const send = (event: FormEvent) => {
    event.preventDefault();
    logIn.mutate(
      { user_name: name, password, code },
      { onError: (error) => setAsked(asked || (error instanceof Refused && error.code === "step")) },
    );
  };
  return (
    <Box as="main" minHeight="100%" display="grid" placeItems="center" padding="16">
      <chakra.form onSubmit={send} width="100%" maxWidth="400px" display="grid" gap="16">
        <chakra.h1 fontSize="44px" fontWeight={800} lineHeight="1">
          Plavet
        </chakra.h1>
        <chakra.p color="ink2" marginBottom="16">
          {words.what}
        </chakra.p>
        <Label text={words.name}>
          <chakra.input
            {...field}
            value={name}
            onChange={(e) => setName(e.target.value)}
            autoComplete="username"
            autoFocus
          />
        </Label>
        <Password text={words.password} is="current" value={password} onChange={setPassword} />
        {asked && <Code value={code} onChange={setCode} />}
        {logIn.isError && <Says tone="wrong">{logIn.error.message}</Says>}
        <Press type="submit" kind="main" disabled={logIn.isPending}>
          {words.enter}
        </Press>
        {pick && (
          <Press kind="quiet" onClick={pick}>
            {words.pick}
          </Press>
        )}
      </chakra.form>
    </Box>
  );
}
