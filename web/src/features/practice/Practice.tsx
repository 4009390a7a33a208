import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { useSearchParams } from "react-router";
import { inWords } from "../../api/client";
import { type Grade, type Question, useDrill, useDrillAnswer, useLearned } from "../../api/practice";
import { methodName, styleName, useTrade } from "../../api/trade";
import type { Unit } from "../../lengths/units";
import { ByTape, Graded } from "../../ui/byTape";
import { Pick } from "../../ui/field";
import { Margin, WithMargin } from "../../ui/margin";
import { Press } from "../../ui/press";
import { useWide } from "../../ui/size";
import { Taped } from "../../ui/taped";
import { Says } from "../../ui/words";
import { LearnedTable } from "./LearnedTable";

/** Working the sums out oneself, on clients that nobody has: by a method, or one rule on several. */
export function Practice() {
  const [asked, ask] = useSearchParams();
  const trade = useTrade();
  const method = asked.get("method") ?? "quarter-hip";
  const rule = asked.get("rule") ?? "";
  const styles = trade.kinds.flatMap((kind) => kind.styles).filter((one) => one.methods.includes(method));
  const wanted = [asked.get("style"), "straight-trousers"];
  const style = wanted.find((key) => styles.some((one) => one.key === key)) ?? styles[0]?.key ?? "straight-trousers";
  const [round, setRound] = useState(() => crypto.randomUUID());
  const [done, setDone] = useState<Grade[]>([]);
  const drill = useDrill(method, style, rule, round);
  const learned = useLearned();
  const wide = useWide();
  const again = (next: Record<string, string>) => {
    setDone([]);
    setRound(crypto.randomUUID());
    ask({ method, style, rule, ...next }, { replace: true });
  };
  const questions = drill.data?.questions ?? [];
  const unit = (drill.data?.unit ?? "in") as Unit;
  const question = questions[done.length];
  const picks = (
    <Box display="grid" gap="12" gridTemplateColumns={{ base: "1fr", md: "repeat(3, minmax(0, 1fr))" }}>
      <Pick
        text="Method"
        value={method}
        options={trade.methods.map(({ key, name }) => [key, name])}
        onPick={(next) => again({ method: next, style: "", rule: "" })}
      />
      <Pick
        text="Style"
        value={style}
        options={styles.map(({ key, name }) => [key, name])}
        onPick={(next) => again({ style: next, rule: "" })}
      />
      <Pick
        text="What is asked"
        value={rule}
        options={[
          ["", "Several rules on one client"],
          ...(drill.data?.rules ?? []).map(({ key, name }): [string, string] => [key, `${name}, on several`]),
        ]}
        onPick={(next) => again({ rule: next })}
      />
    </Box>
  );
  return (
    <WithMargin>
      <Box
        flex="1"
        minWidth="0"
        overflowY={{ md: "auto" }}
        padding={{ base: "12", md: "24" }}
        display="grid"
        gap="16"
        alignContent="start"
      >
        <chakra.h1 fontSize="26px" fontWeight={600}>
          Practise
        </chakra.h1>
        {wide ? (
          picks
        ) : (
          <details>
            <chakra.summary>
              {methodName(trade, method)}, {styleName(trade, style).toLowerCase()}
            </chakra.summary>
            {picks}
          </details>
        )}
        {drill.error && <Says tone="wrong">{inWords(drill.error)}</Says>}
        {question && (
          <Ask
            key={`${question.seed} ${question.rule}`}
            question={question}
            at={done.length}
            of={questions.length}
            unit={unit}
            answer={{ method, style }}
            onward={(grade) => setDone([...done, grade])}
          />
        )}
        {questions.length > 0 && !question && (
          <Box display="grid" gap="12" justifyItems="start">
            <chakra.p fontSize="26px" fontWeight={600}>
              {done.filter((one) => one.right).length} of {done.length} right.
            </chakra.p>
            <Press kind="main" minHeight="56px" autoFocus onClick={() => again({})}>
              {rule ? "The same on other clients" : "Another client"}
            </Press>
          </Box>
        )}
      </Box>
      <Margin>
        <chakra.h2 fontSize="20px" fontWeight={600}>
          What you have learned
        </chakra.h2>
        {learned.error && <Says tone="wrong">{learned.error.message}</Says>}
        {learned.data && <LearnedTable rows={learned.data} />}
      </Margin>
    </WithMargin>
  );
}

type AskProps = {
  question: Question;
  at: number;
  of: number;
  unit: Unit;
  answer: { method: string; style: string };
  onward: (grade: Grade) => void;
};

/** One question: the client's measures, what is asked, the tape; then how it was. */
function Ask({ question, at, of, unit, answer, onward }: AskProps) {
  const [shows, setShows] = useState(false);
  const compared = useDrillAnswer();
  const { rule, seed } = question;
  return (
    <Box
      display="grid"
      gap="24"
      gridTemplateColumns={{ base: "minmax(0, 1fr)", lg: "220px minmax(0, 640px)" }}
      alignItems="start"
    >
      <chakra.table background="sheet" border="1px solid {colors.hairline}" width="100%">
        <chakra.caption textAlign="left" fontWeight={600} padding="8">
          Invented client {seed + 1}
        </chakra.caption>
        <tbody>
          {question.measures.map((one) => (
            <chakra.tr key={one.key} borderTop="1px solid {colors.hairline}">
              <chakra.th scope="row" textAlign="left" fontWeight={400} padding="8">
                {one.name}
              </chakra.th>
              <chakra.td textAlign="right" fontWeight={600} padding="8" whiteSpace="nowrap">
                <Taped>{one.typed}</Taped>
              </chakra.td>
            </chakra.tr>
          ))}
        </tbody>
      </chakra.table>
      <Box display="grid" gap="12">
        <chakra.p color="ink2" aria-live="polite">
          {at + 1} of {of}
        </chakra.p>
        <chakra.h2 fontSize={{ base: "28px", md: "36px" }} fontWeight={600} lineHeight="1.15">
          {question.name}
        </chakra.h2>
        <p>As it is chalked on cloth, from cut edge to cut edge.</p>
        {compared.data ? (
          <>
            <Graded grade={compared.data} />
            <Press kind="main" minHeight="56px" autoFocus onClick={() => onward(compared.data)}>
              {at + 1 < of ? "Next" : "How it went"}
            </Press>
          </>
        ) : (
          <>
            <ByTape
              unit={unit}
              label="Mine"
              error={compared.error}
              busy={compared.isPending}
              answer={(typed) => compared.mutate({ ...answer, rule, seed, typed })}
            />
            {shows ? (
              <chakra.p background="well" padding="8" paddingInline="12">
                <Taped>{question.hint}</Taped>
              </chakra.p>
            ) : (
              <Press kind="quiet" justifySelf="start" onClick={() => setShows(true)}>
                Show the rule
              </Press>
            )}
          </>
        )}
      </Box>
    </Box>
  );
}
