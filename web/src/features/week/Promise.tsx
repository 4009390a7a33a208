import { Box, chakra } from "@chakra-ui/react";
import { type FormEvent, useState } from "react";
import { inWords } from "../../api/client";
import { useBench } from "../../api/orders";
import { useTrade } from "../../api/trade";
import { usePromise } from "../../api/week";
import { day, today } from "../../ui/day";
import { field, Label } from "../../ui/field";
import { Press } from "../../ui/press";
import { Says } from "../../ui/words";
import { Moves } from "./Moves";
import { same } from "../../ui/same";
import { spent } from "../../ui/spent";

const TWO_WEEKS = 14;
const OF_ORDER = "order:";

/** Could we promise that day? Answered from the schedule as it stands; nothing is stored. */
export function Promise() {
  const trade = useTrade();
  const bench = useBench("").data ?? [];
  const [what, setWhat] = useState("");
  const [on, setOn] = useState(() => today(TWO_WEEKS));
  const [fitting, setFitting] = useState("");
  const promise = usePromise();
  const styles = [...trade.kinds.flatMap((kind) => kind.styles), ...trade.pairs];
  const chosen = what || styles[0]?.key || "";
  const of = chosen.startsWith(OF_ORDER) ? { order: chosen.slice(OF_ORDER.length), styles: [] } : { styles: [chosen] };
  const question = { ...of, day: on, fitting: fitting || null };
  const ask = (event: FormEvent) => {
    event.preventDefault();
    promise.mutate(question);
  };
  return (
    <Box as="section" aria-label="Could we promise it?" display="grid" gap="12">
      <chakra.h2 fontSize="20px" fontWeight={600}>
        Could we promise it?
      </chakra.h2>
      <chakra.form onSubmit={ask} noValidate display="grid" gap="12" gridTemplateColumns="minmax(0, 1fr)">
        <Label text="What">
          <chakra.select {...field} value={chosen} onChange={(event) => setWhat(event.target.value)}>
            <optgroup label="Something new">
              {styles.map((style) => (
                <option key={style.key} value={style.key}>
                  {style.name}
                </option>
              ))}
            </optgroup>
            <optgroup label="An order of the bench, moved">
              {bench.map((one) => (
                <option key={one.id} value={`${OF_ORDER}${one.id}`}>
                  {one.title}, {one.client_name}
                </option>
              ))}
            </optgroup>
          </chakra.select>
        </Label>
        <Label text="For">
          <chakra.input
            {...field}
            type="date"
            min={today()}
            value={on}
            onChange={(event) => setOn(event.target.value)}
          />
        </Label>
        <Label text="With a fitting on">
          <chakra.input
            {...field}
            type="date"
            min={today()}
            value={fitting}
            onChange={(event) => setFitting(event.target.value)}
          />
        </Label>
        <Box alignSelf="end">
          <Press type="submit" kind="main" disabled={!chosen || !on || promise.isPending}>
            Ask
          </Press>
        </Box>
      </chakra.form>
      {promise.error && <Says tone="wrong">{inWords(promise.error)}</Says>}
      {promise.data && same(promise.variables, question) && (
        <Answer answer={promise.data} asked={promise.variables.day} />
      )}
    </Box>
  );
}

type Answered = NonNullable<ReturnType<typeof usePromise>["data"]>;

function Answer({ answer, asked }: { answer: Answered; asked: string }) {
  const long = Object.entries(answer.minutes);
  const all = long.reduce((sum, [, minutes]) => sum + minutes, 0);
  return (
    <Box display="grid" gap="8">
      <Says tone={answer.can ? "good" : "wrong"}>
        {answer.can ? `Yes, ${day(asked)} can be promised` : `No, ${day(asked)} cannot be promised`}
        {answer.done_on && `: it is done on ${day(answer.done_on)}`}.
      </Says>
      {answer.says.map((text) => (
        <p key={text}>{text}</p>
      ))}
      {long.length > 0 && (
        <chakra.p color="ink2" fontSize="16px">
          {spent(all)} of work: {long.map(([kind, minutes]) => `${answer.names[kind]} ${minutes}`).join(" + ")} min.
        </chakra.p>
      )}
      <Moves moves={answer.moves} caption="What moves for it" />
    </Box>
  );
}
