import { Box, chakra } from "@chakra-ui/react";
import { type FormEvent, useState } from "react";
import { useLogIn } from "../../api/session";
import { field, Label } from "../../ui/field";
import { Press } from "../../ui/press";
import { Says } from "../../ui/words";
import { words } from "./words";

/** The door of the workshop. */
export function LogIn() {
  const [name, setName] = useState("");
  const [password, setPassword] = useState("");
  const logIn = useLogIn();
  const send = (event: FormEvent) => {
    event.preventDefault();
    logIn.mutate({ user_name: name, password });
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
        <Label text={words.password}>
          <chakra.input
            {...field}
            type="password"
            value={password}
            onChange={(e) => setPassword(e.target.value)}
            autoComplete="current-password"
          />
        </Label>
        {logIn.isError && <Says tone="wrong">{logIn.error.message}</Says>}
        <Press type="submit" kind="main" disabled={logIn.isPending}>
          {words.enter}
        </Press>
      </chakra.form>
    </Box>
  );
}
