import { Box, chakra } from "@chakra-ui/react";
import { type FormEvent, useState } from "react";
import type { Refused } from "../../api/client";
import { useMe, useNewPassword } from "../../api/session";
import { Password, WrongAt } from "../../ui/field";
import { Press } from "../../ui/press";
import { Says } from "../../ui/words";
import { Keeping } from "./Keeping";
import { SecondStep } from "./SecondStep";
import { Sessions } from "./Sessions";

/** One's own password, sessions and second step. */
export function Mine() {
  const me = useMe().data;
  const change = useNewPassword();
  const [old, setOld] = useState("");
  const [fresh, setFresh] = useState("");
  const send = (event: FormEvent) => {
    event.preventDefault();
    const typed = { old_password: old, password: fresh };
    change.mutate(typed, {
      onSuccess: () => {
        setOld("");
        setFresh("");
      },
    });
  };
  const problems = (change.error as Refused | null)?.problems ?? [];
  return (
    <Box padding={{ base: "12", md: "24" }} maxWidth="560px" display="grid" gap="32" overflowY="auto" height="100%">
      <chakra.h1 fontSize="26px" fontWeight={600}>
        {me ? `${me.name}, ${me.role} at ${me.workshop}` : ""}
      </chakra.h1>
      <chakra.form onSubmit={send} noValidate display="grid" gap="16">
        <Password text="Password now" is="current" value={old} onChange={setOld} />
        <WrongAt error={change.error} where="old_password" />
        <Password text="New password, ten letters or more" is="new" value={fresh} onChange={setFresh} />
        <WrongAt error={change.error} where="password" />
        {change.error && problems.length === 0 && <Says tone="wrong">{change.error.message}</Says>}
        {change.isSuccess && <Says tone="good">It is changed. On other devices you are logged out.</Says>}
        <Press kind="main" type="submit" disabled={change.isPending}>
          Change the password
        </Press>
      </chakra.form>
      <Keeping />
      <Sessions />
      <SecondStep />
    </Box>
  );
}
