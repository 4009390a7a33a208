import { chakra } from "@chakra-ui/react";
import { type FormEvent, useState } from "react";
import type { Refused } from "../../api/client";
import { useNewPassword } from "../../api/session";
import { Password, WrongAt } from "../../ui/field";
import { Press } from "../../ui/press";
import { Says } from "../../ui/words";

/** One's own password, changed by the one there is. */
export function NewPassword() {
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
    <chakra.form onSubmit={send} noValidate display="grid" gap="16" aria-label="Password">
      <chakra.h3 fontSize="20px" fontWeight={600}>
        Password
      </chakra.h3>
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
  );
}
