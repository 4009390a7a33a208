import { Box, chakra } from "@chakra-ui/react";
import { type FormEvent, useState } from "react";
import type { Refused } from "../../api/client";
import { useLeaveEverywhere, useMe, useNewPassword } from "../../api/session";
import { field, Label } from "../../ui/field";
import { Press } from "../../ui/press";
import { Says } from "../../ui/words";

/** One's own password, and leaving on every device at once. */
export function Mine() {
  const me = useMe().data;
  const change = useNewPassword();
  const leave = useLeaveEverywhere();
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
  const at = (where: string) => {
    const found = problems.find((one) => one.where === where);
    return found && <Says tone="wrong">{`${found.what}. ${found.mend}`}</Says>;
  };
  return (
    <Box padding="16" maxWidth="520px" display="grid" gap="24">
      <chakra.h1 fontSize="26px" fontWeight={600}>
        {me ? `${me.name}, ${me.role} at ${me.workshop}` : ""}
      </chakra.h1>
      <chakra.form onSubmit={send} noValidate display="grid" gap="16">
        <Label text="Password now">
          <chakra.input
            {...field}
            type="password"
            value={old}
            autoComplete="current-password"
            onChange={(event) => setOld(event.target.value)}
          />
        </Label>
        {at("old_password")}
        <Label text="New password, ten letters or more">
          <chakra.input
            {...field}
            type="password"
            value={fresh}
            autoComplete="new-password"
            onChange={(event) => setFresh(event.target.value)}
          />
        </Label>
        {at("password")}
        {change.error && problems.length === 0 && <Says tone="wrong">{change.error.message}</Says>}
        {change.isSuccess && <Says tone="good">It is changed. On other devices you are logged out.</Says>}
        <Press kind="main" type="submit" disabled={change.isPending}>
          Change the password
        </Press>
      </chakra.form>
      <Box display="grid" gap="8" justifyItems="start">
        <p>A lost phone, a shared computer: end every session you have, this one too.</p>
        <Press onClick={() => leave.mutate()}>Leave on every device</Press>
        {leave.error && <Says tone="wrong">{leave.error.message}</Says>}
      </Box>
    </Box>
  );
}
