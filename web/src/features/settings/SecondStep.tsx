import { Box, chakra } from "@chakra-ui/react";
import { type FormEvent, useState } from "react";
import { inWords } from "../../api/client";
import { useSecondStep } from "../../api/session";
import { Password } from "../../ui/field";
import { Press } from "../../ui/press";
import { Says } from "../../ui/words";
import { Code } from "../../ui/code";

/** A second step at the door, for who wants it: turned on with an authenticator app, turned off with the password. */
export function SecondStep() {
  const { now, begin, confirm, off } = useSecondStep();
  const codes = confirm.data?.codes;
  if (!now.data) return now.error && <Says tone="wrong">{now.error.message}</Says>;
  return (
    <Box display="grid" gap="12" justifyItems="start">
      <chakra.h2 fontSize="20px" fontWeight={600}>
        Second step
      </chakra.h2>
      <p>
        {now.data.on
          ? `On. After the password the code of your app is asked for; ${now.data.left} of the written ones are left.`
          : "Off. With it, a password alone lets nobody in: a code of an app on your phone is asked for too."}
      </p>
      {codes && (
        <Says tone="good">
          It is on. Write these down and keep them away from your phone: each lets you in once.
          <chakra.ul listStyleType="none" fontWeight={600} marginTop="8" columns={2}>
            {codes.map((one) => (
              <li key={one}>{one}</li>
            ))}
          </chakra.ul>
        </Says>
      )}
      {now.data.on ? (
        <TurnOff off={off} />
      ) : begin.data ? (
        <TurnOn secret={begin.data} confirm={confirm} />
      ) : (
        <Press onClick={() => begin.mutate()}>Turn it on</Press>
      )}
      {begin.error && <Says tone="wrong">{inWords(begin.error)}</Says>}
    </Box>
  );
}

type Step = ReturnType<typeof useSecondStep>;

function TurnOn({ secret, confirm }: { secret: NonNullable<Step["begin"]["data"]>; confirm: Step["confirm"] }) {
  const [code, setCode] = useState("");
  const send = (event: FormEvent) => {
    event.preventDefault();
    confirm.mutate(code);
  };
  return (
    <chakra.form onSubmit={send} noValidate display="grid" gap="12" justifyItems="start">
      <p>Let your app read this square, or type the letters into it. Then type the code that it shows.</p>
      <Box background="white" lineHeight="0">
        <chakra.img src={secret.picture} alt={`Secret for the app: ${secret.typed}`} width="220px" height="220px" />
      </Box>
      <chakra.code fontSize="18px" overflowWrap="anywhere">
        {secret.typed}
      </chakra.code>
      <Code value={code} onChange={setCode} />
      {confirm.error && <Says tone="wrong">{inWords(confirm.error)}</Says>}
      <Press kind="main" type="submit" disabled={confirm.isPending}>
        Check the code
      </Press>
    </chakra.form>
  );
}

function TurnOff({ off }: { off: Step["off"] }) {
  const [password, setPassword] = useState("");
  const send = (event: FormEvent) => {
    event.preventDefault();
    off.mutate(password);
  };
  return (
    <chakra.form onSubmit={send} noValidate display="grid" gap="12" width="100%">
      <Password text="Password, to turn it off" is="current" value={password} onChange={setPassword} />
      {off.error && <Says tone="wrong">{inWords(off.error)}</Says>}
      <Press type="submit" disabled={off.isPending}>
        Turn it off
      </Press>
    </chakra.form>
  );
}
