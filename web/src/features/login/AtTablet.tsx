import { Box, chakra } from "@chakra-ui/react";
import { type FormEvent, useState } from "react";
import { type AtTablet as Here, useComeIn } from "../../api/tablets";
import { field, Label } from "../../ui/field";
import { Press } from "../../ui/press";
import { Says } from "../../ui/words";
import { words } from "./words";

/** The door of a tablet: one picks oneself, and types a short code. */
export function AtTablet({ here, byName }: { here: Here; byName: () => void }) {
  const [who, setWho] = useState("");
  const [code, setCode] = useState("");
  const come = useComeIn();
  const person = here.people.find((one) => one.id === who);
  const choose = (id: string) => {
    come.reset();
    setCode("");
    setWho(id);
  };
  const send = (event: FormEvent) => {
    event.preventDefault();
    come.mutate({ person: who, code }, { onError: () => setCode("") });
  };
  return (
    <Box as="main" minHeight="100%" display="grid" placeItems="center" padding="16">
      <Box width="100%" maxWidth="560px" display="grid" gap="16">
        <chakra.h1 fontSize="30px" fontWeight={700}>
          <bdi>{here.workshop}</bdi>, <bdi>{here.name}</bdi>
        </chakra.h1>
        {person ? (
          <chakra.form onSubmit={send} noValidate display="grid" gap="16">
            <chakra.h2 fontSize="22px" fontWeight={600}>
              <bdi>{person.name}</bdi>
            </chakra.h2>
            <Label text={words.code}>
              <chakra.input
                {...field}
                type="password"
                inputMode="numeric"
                autoComplete="off"
                autoFocus
                maxLength={20}
                value={code}
                onChange={(event) => setCode(event.target.value)}
              />
            </Label>
            {come.error && <Says tone="wrong">{come.error.message}</Says>}
            <Press type="submit" kind="main" disabled={come.isPending || code.trim() === ""}>
              {words.enter}
            </Press>
            <Press onClick={() => choose("")}>{words.another}</Press>
          </chakra.form>
        ) : (
          <>
            <chakra.h2 fontSize="22px" fontWeight={600}>
              {words.who}
            </chakra.h2>
            <Box display="grid" gap="12" gridTemplateColumns="repeat(auto-fill, minmax(160px, 1fr))">
              {here.people.map((one) => (
                <Press key={one.id} onClick={() => choose(one.id)}>
                  <bdi>{one.name}</bdi>
                </Press>
              ))}
            </Box>
            {here.people.length === 0 && <p>{words.nobody}</p>}
          </>
        )}
        <Press kind="quiet" onClick={byName}>
          {words.byName}
        </Press>
      </Box>
    </Box>
  );
}
