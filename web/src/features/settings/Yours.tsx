import { chakra } from "@chakra-ui/react";
import { inWords } from "../../api/client";
import { type Me, useOwn } from "../../api/house";
import { Chips } from "../../ui/chips";
import { Says } from "../../ui/words";

/** The light of the screen, keys, and the language of words. */
export function Yours({ me }: { me: Me }) {
  const own = useOwn();
  return (
    <>
      <Chips
        legend="Light"
        value={me.light}
        options={[
          { value: "system", label: "As the system has it" },
          { value: "day", label: "Day" },
          { value: "dim", label: "Dim" },
        ]}
        onChoose={(light) => own.mutate({ light: light as "system" })}
      />
      <Chips
        legend="Keys by themselves"
        hint="such as L for the far view; the arrows, Space and Page Down always work"
        value={me.single_keys ? "on" : "off"}
        options={[
          { value: "on", label: "On" },
          { value: "off", label: "Off" },
        ]}
        onChoose={(keys) => own.mutate({ single_keys: keys === "on" })}
      />
      <p>
        <b>Words</b> <chakra.span color="ink2">English. There is no other language yet.</chakra.span>
      </p>
      {own.error && <Says tone="wrong">{inWords(own.error)}</Says>}
    </>
  );
}
