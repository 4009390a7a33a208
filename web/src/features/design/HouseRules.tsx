import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { inWords } from "../../api/client";
import { type HouseRule, useHouseRules, usePutHouseRule } from "../../api/design";
import { methodName, useTrade } from "../../api/trade";
import { field } from "../../ui/field";
import { Press } from "../../ui/press";
import { Says } from "../../ui/words";
import { Folded } from "../../ui/folded";
import type { Made } from "../../api/parts";

type RulesProps = { garment: Made; use: (rule: Pick<Made, "method" | "choices">) => void };

/** The workshop's own rules: choices kept under a name, used again for anybody. */
export function HouseRules({ garment, use }: RulesProps) {
  const trade = useTrade();
  const rules = useHouseRules().data ?? [];
  const put = usePutHouseRule();
  const [name, setName] = useState("");
  const keep = () => {
    const known = rules.find((rule) => rule.name === name.trim());
    put.mutate(
      {
        id: known?.id ?? crypto.randomUUID(),
        version: known?.version ?? 0,
        name: name.trim(),
        method: garment.method,
        choices: garment.choices,
        usual: known?.usual ?? false,
        removed: false,
      },
      { onSuccess: () => setName("") },
    );
  };
  const takeOff = (rule: HouseRule) => put.mutate({ ...rule, removed: true });
  return (
    <Folded title="House rules">
      <Box display="grid" gap="8" paddingBlock="8">
        {rules.length === 0 && <p>None yet. Name the choices below, and they can be used again for anybody.</p>}
        {rules.map((rule) => (
          <Box key={rule.id} display="flex" alignItems="center" gap="8">
            <Box flex="1" minWidth="0">
              <b>{rule.name}</b>
              <chakra.p color="ink2" fontSize="14px">
                {methodName(trade, rule.method)}, {Object.keys(rule.choices).length} of its own
                {rule.usual && "; every new garment of it starts so"}
              </chakra.p>
            </Box>
            <Press
              aria-pressed={rule.usual}
              background={rule.usual ? "dyeSoft" : "sheet"}
              title="New garments of this method start from it"
              onClick={() => put.mutate({ ...rule, usual: !rule.usual })}
            >
              Usual
            </Press>
            <Press onClick={() => use({ method: rule.method, choices: rule.choices })}>Use</Press>
            <Press kind="quiet" aria-label={`Take ${rule.name} off the list`} onClick={() => takeOff(rule)}>
              Take off
            </Press>
          </Box>
        ))}
        <Box display="flex" gap="8" alignItems="end">
          <chakra.label flex="1" fontWeight={600}>
            These choices as
            <chakra.input
              {...field}
              value={name}
              maxLength={60}
              placeholder="Our palazzo"
              onChange={(event) => setName(event.target.value)}
            />
          </chakra.label>
          <Press onClick={keep} disabled={name.trim() === ""}>
            Keep
          </Press>
        </Box>
        {put.error && <Says tone="wrong">{inWords(put.error)}</Says>}
      </Box>
    </Folded>
  );
}
