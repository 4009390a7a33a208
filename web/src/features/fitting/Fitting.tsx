import { Box, chakra } from "@chakra-ui/react";
import { type FormEvent, useState } from "react";
import { inWords } from "../../api/client";
import { type Cure, type Side, useCures, useKeepCure, useSigns } from "../../api/fitting";
import type { Order } from "../../api/orders";
import { type Part, partsOf } from "../../api/parts";
import { useMay, useMe } from "../../api/session";
import { useTrade } from "../../api/trade";
import { type Unit, withUnit } from "../../lengths/units";
import { announce } from "../../ui/announce";
import { Chips } from "../../ui/chips";
import { today } from "../../ui/day";
import { field, Label } from "../../ui/field";
import { Press } from "../../ui/press";
import { useTyped } from "../../ui/typed";
import { Says } from "../../ui/words";
import { Corrections } from "./Corrections";
import { CureCard } from "./CureCard";
import { Figure } from "./Figure";
import { Photos } from "./Photos";

/** What is sewn to its twin on the other side is corrected on both. */
const SIDES: { value: Side; label: string }[] = [
  { value: "both", label: "Both" },
  { value: "left", label: "Left alone" },
  { value: "right", label: "Right alone" },
];

/** What is seen on the body, by how much, and what changes in the draft for it: now, or the next time. */
export function Fitting({ order }: { order: Order }) {
  const trade = useTrade();
  const parts = trade.kinds.length ? partsOf(order, trade) : [];
  return (
    <Box padding="16" height={{ md: "100%" }} overflowY={{ md: "auto" }} display="grid" gap="16" alignContent="start">
      <chakra.h1 fontSize="24px" fontWeight={600}>
        Fitting of <bdi>{order.client.name}</bdi>: {order.title}
      </chakra.h1>
      {parts.length > 0 && <Looking order={order} parts={parts} />}
    </Box>
  );
}

function Looking({ order, parts }: { order: Order; parts: Part[] }) {
  const unit = (useMe().data?.unit ?? "in") as Unit;
  const may = useMay()("fit");
  const views = useSigns().data ?? [];
  const [at, setAt] = useState(0);
  const [view, setView] = useState("front");
  const [sign, setSign] = useState("");
  const [side, setSide] = useState<Side>("both");
  const pinned = useTyped(`fitting:${order.id}:pinned`, "", unit);
  const reason = useTyped(`fitting:${order.id}:reason`, "");
  const [fittedOn, setFittedOn] = useState(today);
  const [kept, setKept] = useState("");
  const cures = useCures(order.id);
  const put = useKeepCure(order.id, order.client.id);
  const part = parts[at] ?? parts[0]!;
  const seen = views.map((one) => ({ ...one, signs: one.signs.filter((each) => each.kind === part.kind) }));
  const now = seen.find((one) => one.key === view && one.signs.length) ?? seen.find((one) => one.signs.length);
  const chosen = now?.signs.find((one) => one.key === sign);
  const anew = () => {
    cures.reset();
    put.reset();
    setKept("");
  };
  const choose = (key: string) => {
    anew();
    setSign(key);
    setSide("both");
  };
  const look = (event: FormEvent) => {
    event.preventDefault();
    if (!chosen) return;
    anew();
    const body = { garment: part.row.name, half: part.half as "" | "top" | "lower", sign: chosen.key };
    cures.mutate(
      { ...body, side, pinned: withUnit(pinned.typed.trim(), unit) },
      { onSuccess: (found) => announce(`${found.length} cures`) },
    );
  };
  const keep = (cure: Cure, only: boolean) =>
    put.mutate(
      {
        id: crypto.randomUUID(),
        version: 0,
        order: order.id,
        garment: part.row.name,
        only,
        sign: chosen!.key,
        cure: cure.key,
        pinned: cures.variables!.pinned,
        side: cures.variables!.side ?? "both",
        fitted_on: fittedOn,
        reason: reason.typed,
      },
      {
        onSuccess: () => {
          setKept(cure.name);
          announce(`${cure.name}: kept`);
          pinned.type("");
          reason.type("");
          cures.reset();
        },
      },
    );
  return (
    <>
      <Box display="grid" gap="24" gridTemplateColumns={{ base: "1fr", lg: "minmax(0, 5fr) minmax(0, 6fr)" }}>
        <chakra.form display="grid" gap="16" alignContent="start" onSubmit={look}>
          {parts.length > 1 && (
            <Chips
              legend="On"
              value={String(at)}
              options={parts.map((one, k) => ({ value: String(k), label: one.name }))}
              onChoose={(value) => {
                setAt(Number(value));
                choose("");
              }}
            />
          )}
          {now && (
            <>
              <Chips
                legend="Look"
                value={now.key}
                options={seen.filter((one) => one.signs.length).map((one) => ({ value: one.key, label: one.name }))}
                onChoose={(value) => {
                  setView(value);
                  choose("");
                }}
              />
              <Box display="flex" gap="16" alignItems="start" flexDirection={{ base: "column", sm: "row" }}>
                <Figure view={now.key} signs={now.signs} chosen={sign} choose={choose} />
                <Box flex="1" minWidth="0" display="grid" gap="16">
                  <Chips
                    legend="What is seen"
                    value={sign}
                    options={now.signs.map((one) => ({ value: one.key, label: one.name }))}
                    onChoose={choose}
                  />
                  {chosen && (
                    <Box display="grid" gap="8">
                      <chakra.p color="ink2">{chosen.pinned}</chakra.p>
                      {chosen.sided && (
                        <Chips
                          legend="Seen at"
                          value={side}
                          options={SIDES}
                          onChoose={(value) => {
                            anew();
                            setSide(value as Side);
                          }}
                        />
                      )}
                      <Box display="flex" gap="8" alignItems="end" flexWrap="wrap">
                        <Box width="150px">
                          <Label text="Pinned">
                            <chakra.input
                              {...field}
                              value={pinned.typed}
                              maxLength={40}
                              autoComplete="off"
                              placeholder={unit === "in" ? "1/2" : "1.5"}
                              onChange={(event) => {
                                anew();
                                pinned.type(event.target.value);
                              }}
                            />
                          </Label>
                        </Box>
                        <Press kind="main" type="submit" disabled={cures.isPending || pinned.typed.trim() === ""}>
                          Try the cures
                        </Press>
                      </Box>
                    </Box>
                  )}
                </Box>
              </Box>
            </>
          )}
        </chakra.form>
        <Box as="section" aria-label="Cures" display="grid" gap="12" alignContent="start">
          {cures.error && <Says tone="wrong">{inWords(cures.error)}</Says>}
          {put.error && <Says tone="wrong">{inWords(put.error)}</Says>}
          {kept && (
            <Says tone="good">
              Kept: {kept}. The draft has it from now on; what is chalked already stays as it was chalked. What this
              garment can still take is listed under Sew.
            </Says>
          )}
          {!cures.data && !kept && !cures.error && (
            <p>Choose what is seen and type what is pinned: each cure is tried on this client’s own draft first.</p>
          )}
          {cures.data && may && (
            <Box display="flex" gap="12" flexWrap="wrap">
              <Label text="Day of the fitting">
                <chakra.input
                  {...field}
                  type="date"
                  value={fittedOn}
                  max={today()}
                  onChange={(event) => setFittedOn(event.target.value)}
                />
              </Label>
              <Box flex="1" minWidth="200px">
                <Label text="In your words (may be left out)">
                  <chakra.input
                    {...field}
                    value={reason.typed}
                    maxLength={200}
                    onChange={(event) => reason.type(event.target.value)}
                  />
                </Label>
              </Box>
            </Box>
          )}
          <chakra.ul listStyleType="none" display="grid" gap="12">
            {cures.data?.map((cure, k) => (
              <CureCard
                key={cure.key}
                {...{ cure, unit }}
                first={k === 0}
                client={order.client.name}
                busy={put.isPending}
                keep={may ? (only) => keep(cure, only) : undefined}
              />
            ))}
          </chakra.ul>
        </Box>
      </Box>
      <Corrections order={order.id} client={order.client} unit={unit} may={may} />
      <Photos order={order.id} may={may} />
    </>
  );
}
