import { Box, chakra } from "@chakra-ui/react";
import { type FormEvent, useState } from "react";
import { inWords } from "../../api/client";
import { useMoney } from "../../api/house";
import { useMay, useMe } from "../../api/session";
import { plainCloth, type Form, type ShelfCloth, useShelf, useShelfWrites } from "../../api/shelf";
import { useTrade } from "../../api/trade";
import { type Unit, withUnit } from "../../lengths/units";
import { Chips } from "../../ui/chips";
import { field, Label } from "../../ui/field";
import { Press } from "../../ui/press";
import { Taped } from "../../ui/taped";
import { Says } from "../../ui/words";
import { Way } from "../../ui/way";

const FORMS: { value: Form; label: string }[] = [
  { value: "bolt", label: "Bolt" },
  { value: "length", label: "Length" },
  { value: "off-cut", label: "Off-cut" },
];

/** The cloths the workshop has, and the orders they are kept for. */
export function Shelf() {
  const shelf = useShelf();
  const may = useMay();
  const [edited, setEdited] = useState<ShelfCloth | null>(null);
  if (shelf.error) {
    return (
      <Box padding="24">
        <Says tone="wrong">{shelf.error.message}</Says>
      </Box>
    );
  }
  const rows = shelf.data ?? [];
  return (
    <Box padding={{ base: "12", md: "24" }} overflowY="auto" height="100%">
      <Box display="flex" flexWrap="wrap" gap="16" alignItems="center" marginBottom="12">
        <chakra.h1 fontSize="26px" fontWeight={600}>
          Shelf
        </chakra.h1>
        <Way to="/shelf/buy">What to buy</Way>
      </Box>
      <Box
        display="grid"
        gap="32"
        gridTemplateColumns={{ base: "1fr", lg: "1fr minmax(320px, 440px)" }}
        alignItems="start"
      >
        <chakra.ul listStyleType="none" minWidth="0">
          {shelf.data && rows.length === 0 && (
            <li>The shelf is empty. Put a bolt or a length on it, or keep an off-cut from a lay.</li>
          )}
          {rows.map((row) => (
            <Row key={row.id} row={row} edit={may("orders") ? () => setEdited(row) : undefined} />
          ))}
        </chakra.ul>
        {may("orders") && <ClothForm key={edited?.id ?? "new"} was={edited} done={() => setEdited(null)} />}
      </Box>
    </Box>
  );
}

function Row({ row, edit }: { row: ShelfCloth; edit?: () => void }) {
  const unit = (useMe().data?.unit ?? "in") as Unit;
  const money = useMoney();
  return (
    <chakra.li display="flex" gap="16" alignItems="center" borderBottom="1px solid {colors.hairline}" paddingBlock="8">
      <Box
        width="56px"
        height="56px"
        flexShrink="0"
        border="1px solid {colors.edge}"
        style={{ background: row.colour }}
      />
      <Box flex="1" minWidth="0">
        <b>{row.name}</b>
        <chakra.p color="ink2" fontSize="16px">
          <Taped>
            {[
              `${FORMS.find((one) => one.value === row.form)?.label} of ${row.kind}, ${withUnit(row.width, unit)} wide`,
              row.length && `${withUnit(row.length, unit)} long`,
              row.one_way && "one way",
              row.price && `${money(row.price)} a ${unit === "in" ? "yard" : "metre"}`,
            ]
              .filter(Boolean)
              .join(", ")}
          </Taped>
        </chakra.p>
        {row.kept_for.map((one) => (
          <chakra.p key={one.order} fontSize="16px">
            Kept for <Way to={`/orders/${one.order}/cloth`}>{one.title}</Way>
          </chakra.p>
        ))}
      </Box>
      {edit && (
        <Press onClick={edit} aria-label={`Change ${row.name}`}>
          Change
        </Press>
      )}
    </chakra.li>
  );
}

const FIELDS = [
  { key: "name", label: "What it is called", hint: "where it is, what it was bought for" },
  { key: "width", label: "Width, selvedge to selvedge", hint: "" },
  { key: "length", label: "How long", hint: "a bolt's may be left empty" },
  { key: "shrink_percent", label: "Shrinks by, %", hint: "" },
  { key: "repeat", label: "Repeat of a stripe, check or print", hint: "" },
  { key: "price", label: "Price of one yard or metre", hint: "" },
] as const;

/** A cloth put on the shelf, changed, or taken off it. What was typed stays when it is refused. */
function ClothForm({ was, done }: { was: ShelfCloth | null; done: () => void }) {
  const [row, setRow] = useState<ShelfCloth>(() => was ?? plainCloth({}));
  const [missing, setMissing] = useState("");
  const { put } = useShelfWrites();
  const { cloths } = useTrade();
  const set = (changes: Partial<ShelfCloth>) => setRow((now) => ({ ...now, ...changes }));
  const send = (event: FormEvent) => {
    event.preventDefault();
    const needs = [!row.name.trim() && "what it is called", !row.width.trim() && "its width", row.form !== "bolt" && !row.length.trim() && "its length"].filter(Boolean); // prettier-ignore
    setMissing(needs.length ? `Still needed: ${needs.join(", ")}.` : "");
    if (needs.length) return;
    put.mutate(row, {
      onSuccess: () => {
        if (!was) setRow(plainCloth({}));
        done();
      },
    });
  };
  return (
    <chakra.form onSubmit={send} display="grid" gap="12" noValidate>
      <chakra.h2 fontSize="20px" fontWeight={600}>
        {was ? `Change ${was.name}` : "Put on the shelf"}
      </chakra.h2>
      <Chips legend="It is a" value={row.form} options={FORMS} onChoose={(form) => set({ form: form as Form })} />
      {FIELDS.map(({ key, label, hint }) => (
        <Label key={key} text={label}>
          <chakra.input
            {...field}
            value={row[key]}
            maxLength={80}
            onChange={(event) => set({ [key]: event.target.value })}
          />
          {hint && (
            <chakra.span color="ink2" fontSize="15px" fontWeight="400">
              {hint}
            </chakra.span>
          )}
        </Label>
      ))}
      <Label text="Kind">
        <chakra.select {...field} value={row.kind} onChange={(event) => set({ kind: event.target.value })}>
          {cloths.map(({ key, name }) => (
            <option key={key} value={key}>
              {name}
            </option>
          ))}
        </chakra.select>
      </Label>
      <Chips
        legend="Print or nap"
        value={row.one_way ? "one" : "any"}
        options={[
          { value: "any", label: "Looks the same both ways" },
          { value: "one", label: "One way" },
        ]}
        onChoose={(way) => set({ one_way: way === "one" })}
      />
      <Label text="Colour">
        <chakra.input
          type="color"
          height="48px"
          width="96px"
          value={row.colour}
          onChange={(event) => set({ colour: event.target.value })}
        />
      </Label>
      {missing && <Says tone="wrong">{missing}</Says>}
      {put.error && <Says tone="wrong">{inWords(put.error)}</Says>}
      <Box display="flex" gap="8" flexWrap="wrap">
        <Press kind="main" type="submit" disabled={put.isPending}>
          {was ? "Keep the change" : "Put on the shelf"}
        </Press>
        {was && <Press onClick={done}>Leave it as it was</Press>}
        {was && was.kept_for.length === 0 && (
          <Press onClick={() => put.mutate({ ...was, removed: true }, { onSuccess: done })}>Take off the shelf</Press>
        )}
      </Box>
    </chakra.form>
  );
}
