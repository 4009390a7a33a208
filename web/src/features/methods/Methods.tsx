import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { useBodies, useDraft } from "../../api/design";
import { inWords } from "../../api/client";
import type { Mark, Plan } from "../../api/plans";
import { called, methodName, methodOf, useTrade } from "../../api/trade";
import { UNIT, type Unit } from "../../lengths/units";
import { Pick } from "../../ui/field";
import { useKeys } from "../../ui/keys";
import { Length } from "../../ui/length";
import { Margin, WithMargin } from "../../ui/margin";
import { OwnNumber } from "../../ui/ownNumber";
import { Press } from "../../ui/press";
import { Says } from "../../ui/words";
import { differences } from "./differences";
import { Overlay } from "./Overlay";
import { Taped } from "../../ui/taped";
import { Unseen } from "../../ui/unseen";
import { Way } from "../../ui/way";

/** Laid over a draft: the same by the same method, with the corrections of its client. */
const FITTED = "fittings";

/** Every method, step by step in words and numbers on one body; another laid over it. */
export function Methods() {
  const [method, setMethod] = useState("quarter-hip");
  const [against, setAgainst] = useState("half-thigh");
  const [style, setStyle] = useState("straight-trousers");
  const [sheet, setSheet] = useState("");
  const [at, setAt] = useState(0);
  const bodies = useBodies().data ?? [];
  const one = useDraft(method, style, sheet);
  const fitted = against === FITTED;
  const other = useDraft(fitted ? method : against, style, sheet, fitted);
  const trade = useTrade();
  const kind = methodOf(trade, method)?.kind ?? "";
  const styles = trade.kinds.find((one) => one.key === kind)?.styles ?? [];
  const name = (key: string) => (key === FITTED ? "With what the fittings found" : methodName(trade, key));
  const others = trade.methods.filter((one) => one.kind === kind && one.key !== method);
  /** Another method: a style that it makes, and nothing laid over it that makes other garments. */
  const choose = (next: string) => {
    setMethod(next);
    setAt(0);
    const made = trade.kinds.flatMap((one) => one.styles).filter((one) => one.methods.includes(next));
    if (made.length && made.every((one) => one.key !== style))
      setStyle((made.find((one) => one.first === next) ?? made[0]!).key);
    if (!fitted && methodOf(trade, next)?.kind !== methodOf(trade, against)?.kind) setAgainst("");
  };
  const steps = one.data?.marks.filter((mark) => mark.stage !== "place") ?? [];
  const mark = steps[Math.min(at, steps.length - 1)];
  useKeys("methods", (does) => {
    const last = steps.length - 1;
    const now = Math.min(at, last);
    setAt({ next: Math.min(last, now + 1), previous: Math.max(0, now - 1), first: 0, last }[does] ?? now);
  });
  const unit = (one.data?.unit ?? "in") as Unit;
  return (
    <WithMargin>
      <Unseen as="h1">Methods</Unseen>
      <Box flex="1" minWidth="0" minHeight="0" display="flex" flexDirection="column" padding="16" gap="12">
        <Box display="grid" gap="12" gridTemplateColumns={{ base: "1fr 1fr", lg: "repeat(4, 1fr)" }}>
          <Pick text="Method" value={method} onPick={choose} options={named(trade.methods)} />
          <Pick
            text="Laid over it"
            value={against}
            onPick={setAgainst}
            options={[
              ["", "Nothing"],
              ...(sheet ? [[FITTED, name(FITTED)] as [string, string]] : []),
              ...named(others),
            ]}
          />
          <Pick text="Style" value={style} onPick={setStyle} options={named(styles)} />
          <Pick
            text="On"
            value={sheet}
            onPick={(next) => {
              setSheet(next);
              if (!next && fitted) setAgainst("");
            }}
            options={[["", "An invented body"], ...bodies.map((body): [string, string] => [body.sheet, body.name])]}
          />
        </Box>
        <p>
          {methodOf(trade, method)?.says}{" "}
          <chakra.span css={{ "& a": { color: "dye", textDecoration: "underline" } }}>
            <Way to={`/practice?method=${method}&style=${style}`}>Practise it</Way>{" "}
            <Way to="/patterns">House patterns</Way>
          </chakra.span>
        </p>
        <Trouble error={one.error} name={name(method)} />
        {against && <Trouble error={other.error} name={name(against)} />}
        {one.data && (
          <Box as="figure" flex="1" minHeight="300px" display="flex" flexDirection="column">
            <Overlay one={one.data} other={against && other.data ? other.data : undefined} mark={mark} />
            {against && other.data && (
              <chakra.figcaption color="ink2">
                {overlies(one.data, other.data)
                  ? `Firm: ${name(method)}. Broken, dyed: ${name(against)}. Sewing lines, both from the guide line and the top.`
                  : "A leg in one piece has no side to be laid over: only the numbers are compared."}
              </chakra.figcaption>
            )}
          </Box>
        )}
      </Box>
      <Margin>
        {mark && <Step mark={mark} at={Math.min(at, steps.length - 1)} of={steps.length} go={setAt} />}
        {one.data && (
          <OwnNumber key={`${method} ${style} ${sheet}`} plan={one.data} of={{ method, style, sheet }} unit={unit} />
        )}
        {one.data && against && other.data && (
          <Apart one={one.data} other={other.data} names={[name(method), name(against)]} unit={unit} />
        )}
      </Margin>
    </WithMargin>
  );
}

const named = (list: { key: string; name: string }[]) => list.map(({ key, name }): [string, string] => [key, name]);

/** Both are front and back, or both a leg in one piece. */
const overlies = (one: Plan, other: Plan) => one.panels[0]?.name === other.panels[0]?.name;

/** Why a method cannot draw this style on this body, and what would. */
function Trouble({ error, name }: { error: Error | null; name: string }) {
  const trade = useTrade();
  if (!error) return null;
  return (
    <Says tone="wrong">
      <b>{name}.</b> {called(trade, inWords(error))}
    </Says>
  );
}

type StepProps = { mark: Mark; at: number; of: number; go: (at: number) => void };

/** One step of the recipe: what, how far, from where, its sum, its reason. */
function Step({ mark, at, of, go }: StepProps) {
  return (
    <Box display="grid" gap="8">
      <chakra.p color="ink2">
        Step {at + 1} of {of}, {mark.panel}. Keys: Right, Left, Home, End.
      </chakra.p>
      <chakra.h2 fontSize="26px" fontWeight={600} lineHeight="1.2">
        {mark.name}
      </chakra.h2>
      <chakra.p fontSize="20px">
        <Taped>{mark.say}</Taped>
      </chakra.p>
      <chakra.p>
        <Taped>{mark.formula}</Taped>
        <br />
        <chakra.span color="ink2">
          = <Taped>{mark.with}</Taped>
        </chakra.span>
      </chakra.p>
      <chakra.p color="ink2">
        <Taped>{mark.reason}</Taped>
      </chakra.p>
      <Box display="flex" gap="8">
        <Press disabled={at === 0} onClick={() => go(at - 1)}>
          Step back
        </Press>
        <Press kind="main" disabled={at + 1 >= of} onClick={() => go(at + 1)}>
          Next step
        </Press>
      </Box>
    </Box>
  );
}

type ApartProps = { one: Plan; other: Plan; names: [string, string]; unit: Unit };
const cell = { paddingBlock: "4", textAlign: "right", verticalAlign: "top" } as const;

/** Where and by how much two drafts differ, and why: the two sums. */
function Apart({ one, other, names: [first, second], unit }: ApartProps) {
  const rows = differences(one, other);
  if (rows.length === 0) return <Says tone="good">Both are drawn the same on this body.</Says>;
  return (
    <chakra.table width="100%" fontSize="16px">
      <chakra.caption textAlign="left" fontWeight={600} fontSize="20px" paddingBottom="4">
        Where they differ
      </chakra.caption>
      <thead>
        <chakra.tr color="ink2" fontSize="14px">
          <chakra.th textAlign="left" fontWeight={600}>
            to the sewing line, {UNIT[unit].name}
          </chakra.th>
          <chakra.th {...cell} fontWeight={600}>
            {first}
          </chakra.th>
          <chakra.th {...cell} fontWeight={600}>
            {second}
          </chakra.th>
        </chakra.tr>
      </thead>
      <tbody>
        {rows.map((row) => (
          <chakra.tr key={row.key} borderTop="1px solid {colors.hairline}">
            <chakra.th scope="row" textAlign="left" fontWeight="400" paddingBlock="4">
              {row.name}
              <chakra.p fontSize="14px" color="ink2" lineHeight="1.3">
                <Taped>{row.why[0]}</Taped>
                {row.why[0] !== row.why[1] && (
                  <>
                    <br />
                    <i>against</i> <Taped>{row.why[1]}</Taped>
                  </>
                )}
              </chakra.p>
            </chakra.th>
            <chakra.td {...cell}>
              <Length mm={row.one} unit={unit} bare />
            </chakra.td>
            <chakra.td {...cell}>
              <Length mm={row.other} unit={unit} bare />
            </chakra.td>
          </chakra.tr>
        ))}
      </tbody>
    </chakra.table>
  );
}
