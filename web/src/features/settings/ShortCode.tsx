import { chakra } from "@chakra-ui/react";
import { type FormEvent, useState } from "react";
import type { Refused } from "../../api/client";
import { useShortCode } from "../../api/tablets";
import { field, Label, Password, WrongAt } from "../../ui/field";
import { Press } from "../../ui/press";
import { Says } from "../../ui/words";

/** One's own short code, by which one comes in at a tablet. */
export function ShortCode() {
  const { now, choose } = useShortCode();
  const [code, setCode] = useState("");
  const [password, setPassword] = useState("");
  const done = () => {
    setCode("");
    setPassword("");
  };
  const send = (event: FormEvent) => {
    event.preventDefault();
    choose.mutate({ password, code }, { onSuccess: done });
  };
  const problems = (choose.error as Refused | null)?.problems ?? [];
  return (
    <chakra.form onSubmit={send} noValidate display="grid" gap="12" aria-label="Short code">
      <chakra.h3 fontSize="20px" fontWeight={600}>
        Short code
      </chakra.h3>
      <p>
        {now.data?.on
          ? "You have one: by it you come in at a tablet of the workshop."
          : "You have none. By four to eight digits you come in at a tablet of the workshop, and nowhere else."}
      </p>
      <Label text={now.data?.on ? "New short code; nothing: none any more" : "Short code"}>
        <chakra.input
          {...field}
          type="password"
          inputMode="numeric"
          autoComplete="off"
          maxLength={20}
          value={code}
          onChange={(event) => setCode(event.target.value)}
        />
      </Label>
      <WrongAt error={choose.error} where="code" />
      <Password text="Password, to change it" is="current" value={password} onChange={setPassword} />
      <WrongAt error={choose.error} where="password" />
      {choose.error && problems.length === 0 && <Says tone="wrong">{choose.error.message}</Says>}
      {choose.isSuccess && <Says tone="good">{now.data?.on ? "It is kept." : "You have none any more."}</Says>}
      <Press type="submit" disabled={choose.isPending || password === "" || (!now.data?.on && code.trim() === "")}>
        {now.data?.on && code.trim() === "" ? "Take it off" : "Keep the short code"}
      </Press>
    </chakra.form>
  );
}
