import { Box, chakra } from "@chakra-ui/react";
import { type FormEvent, useEffect, useRef, useState } from "react";
import { inWords } from "../../api/client";
import { type Quick, useLooks, useQuickPrice } from "../../api/money";
import { useMe } from "../../api/session";
import { useTrade } from "../../api/trade";
import { show, text, type Unit } from "../../lengths/units";
import { Chips } from "../../ui/chips";
import { field, Label } from "../../ui/field";
import { Press } from "../../ui/press";
import { same } from "../../ui/same";
import { Taped } from "../../ui/taped";
import { Way } from "../../ui/way";
import { Says } from "../../ui/words";
import { Lines } from "./Lines";

const MOST = 4;

/** What an outfit costs, before anybody is measured: a range, and what it hangs on. */
export function QuickPrice() {
  const trade = useTrade();
  const looks = useLooks();
  const quick = useQuickPrice();
  const unit = (useMe().data?.unit ?? "in") as Unit;
  const [styles, setStyles] = useState<string[]>(["straight-trousers"]);
  const [hip, setHip] = useState("");
  const [look, setLook] = useState("middle");
  const [width, setWidth] = useState("");
  const [price, setPrice] = useState("");
  const [fitting, setFitting] = useState("yes");
  const usual = unit === "in" ? "58 in" : "150 cm";
  const question = {
    styles,
    hip: hip.trim(),
    look: hip.trim() ? "" : look,
    width: width.trim() || usual,
    sold_in: "",
    cloth_price: price.trim(),
    fitting: fitting === "yes",
  };
  const choose = (style: string) => {
    if (styles.includes(style)) setStyles(styles.filter((one) => one !== style));
    else if (styles.length < MOST) setStyles([...styles, style]);
  };
  const ask = (event: FormEvent) => {
    event.preventDefault();
    quick.mutate(question);
  };
  return (
    <Box padding={{ base: "12", md: "24" }} overflowY="auto" height="100%" display="grid" gap="16" alignContent="start">
      <Box display="flex" gap="16" alignItems="center" flexWrap="wrap">
        <chakra.h1 fontSize="26px" fontWeight={600} flex="1">
          A quick price
        </chakra.h1>
        <Way to="/money">Money</Way>
      </Box>
      <Box
        display="grid"
        gap={{ base: "24", lg: "48" }}
        gridTemplateColumns={{ base: "minmax(0, 1fr)", lg: "minmax(0, 1fr) 420px" }}
        alignItems="start"
      >
        <chakra.form onSubmit={ask} noValidate display="grid" gap="16">
          {[...trade.kinds, { key: "pairs", name: "Both in one", styles: trade.pairs }].map((kind) => (
            <Chips
              key={kind.name}
              legend={kind.name}
              value={styles}
              options={kind.styles.map((style) => ({ value: style.key, label: style.name }))}
              onChoose={choose}
            />
          ))}
          <Chips
            legend="How large"
            hint="or type the hip"
            value={hip.trim() ? "" : look}
            options={(looks.data ?? []).map((one) => ({ value: one.code, label: one.name }))}
            onChoose={(value) => {
              setLook(value);
              setHip("");
            }}
          />
          <Box display="grid" gap="12" gridTemplateColumns={{ base: "1fr", sm: "repeat(3, minmax(0, 1fr))" }}>
            <Label text="Hip">
              <chakra.input {...field} maxLength={40} value={hip} onChange={(event) => setHip(event.target.value)} />
            </Label>
            <Label text="Cloth, how wide">
              <chakra.input
                {...field}
                maxLength={40}
                placeholder={usual}
                value={width}
                onChange={(event) => setWidth(event.target.value)}
              />
            </Label>
            <Label text={unit === "in" ? "Its price, a yard" : "Its price, a metre"}>
              <chakra.input
                {...field}
                inputMode="decimal"
                maxLength={20}
                value={price}
                onChange={(event) => setPrice(event.target.value)}
              />
            </Label>
          </Box>
          <Chips
            legend="A fitting"
            value={fitting}
            options={[
              { value: "yes", label: "perhaps one" },
              { value: "no", label: "none" },
            ]}
            onChoose={setFitting}
          />
          {quick.error && <Says tone="wrong">{inWords(quick.error)}</Says>}
          <Box>
            <Press type="submit" kind="main" disabled={styles.length === 0 || quick.isPending}>
              What would it cost?
            </Press>
          </Box>
        </chakra.form>
        {quick.data && same(quick.variables, question) && (
          <Range quick={quick.data} styles={styles} unit={unit} typed={hip.trim() !== ""} />
        )}
      </Box>
    </Box>
  );
}

type RangeProps = { quick: Quick; styles: string[]; unit: Unit; typed: boolean };

function Range({ quick, styles, unit, typed }: RangeProps) {
  const { low, high } = quick;
  // On a phone the answer is below what was asked: whoever asked is brought to it.
  const head = useRef<HTMLParagraphElement>(null);
  useEffect(() => head.current?.focus(), [quick]);
  const one = low.written === high.written;
  const hips = [quick.low_hip_mm, quick.high_hip_mm].map((mm) => text(show(mm, unit)));
  const over = text(show((quick.high_hip_mm - quick.low_hip_mm) / 2, unit));
  return (
    <Box as="section" aria-label="The price" display="grid" gap="12">
      <chakra.p ref={head} tabIndex={-1} fontSize="44px" fontWeight={800} lineHeight="1.15">
        {one ? low.total : `${low.total} to ${high.total}`}
      </chakra.p>
      <chakra.p color="ink2">
        <Taped>
          {`For hips of ${hips[0]} to ${hips[1]}${typed ? `, ${over} less and ${over} more than was typed` : ""}: drafted and laid for the smallest and for the largest of them.`}
        </Taped>
      </chakra.p>
      {quick.drivers.length > 0 && (
        <Box>
          <chakra.h2 fontSize="20px" fontWeight={600}>
            What it hangs on
          </chakra.h2>
          <chakra.ul listStyleType="none">
            {quick.drivers.map((driver) => (
              <chakra.li key={driver.title} borderTop="1px solid {colors.hairline}" paddingBlock="4">
                <chakra.span display="flex" justifyContent="space-between" gap="12">
                  <span>
                    <Taped>{driver.title}</Taped>
                  </span>
                  <b>+ {driver.by}</b>
                </chakra.span>
                <chakra.span color="ink2" fontSize="16px">
                  <Taped>{`${driver.low || "none"} or ${driver.high || "none"}`}</Taped>
                </chakra.span>
              </chakra.li>
            ))}
          </chakra.ul>
        </Box>
      )}
      {high.without.length > 0 && (
        <Says tone="plain">
          Without a price, and not in it: {high.without.join(", ")}. Type them under{" "}
          <Way to="/money/prices">Prices</Way>, the cloth&apos;s above.
        </Says>
      )}
      <details>
        <chakra.summary fontWeight={600} minHeight="touch" display="flex" alignItems="center">
          Every line of the dearer one
        </chakra.summary>
        <Lines quote={high} caption="The dearer one" />
      </details>
      <p>
        Nothing of this is stored. <Way to={`/new?style=${styles[0]}`}>Make an order of it</Way>
      </p>
    </Box>
  );
}
