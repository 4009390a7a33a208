import { chakra } from "@chakra-ui/react";
import type { Cloth } from "../../api/orders";
import type { Unit } from "../../lengths/units";
import { Entry } from "../../ui/entry";
import { field, Label } from "../../ui/field";

type Text = "shrink_percent" | "stretch_percent" | "selvedge" | "trim" | "spare" | "repeat" | "price";

const FIELDS: { key: Text; label: string; plain?: string }[] = [
  { key: "shrink_percent", label: "Shrinks by", plain: "%" },
  { key: "stretch_percent", label: "Stretches across by", plain: "%" },
  { key: "selvedge", label: "Selvedge left out, at each edge" },
  { key: "trim", label: "Trimmed off the ends, in all" },
  { key: "spare", label: "Spare, for slippery cloth" },
  { key: "repeat", label: "Repeat of a stripe, check or print" },
  { key: "price", label: "Price", plain: " " },
];
const SOLD = [
  ["", "by the half yard, or 0.1 m"],
  ["yard", "by the yard"],
  ["half-yard", "by the half yard"],
  ["quarter-yard", "by the quarter yard"],
  ["0.1 m", "by 0.1 m"],
  ["six-yards", "in pieces of 6 yards"],
] as const;

type Props = { cloth: Cloth; unit: Unit; keep: (changes: Partial<Cloth>) => Promise<unknown> };

/** What is added to the lay before the cloth is bought, and what it costs. */
export function BuyingFields({ cloth, unit, keep }: Props) {
  return (
    <>
      {FIELDS.map(({ key, label, plain }) => (
        <Entry
          key={key}
          label={key === "price" ? `Price of one ${unit === "in" ? "yard" : "metre"}` : label}
          plain={plain}
          name={key}
          unit={unit}
          saved={cloth[key] ?? ""}
          place={`cloth:${cloth.id}:${key}`}
          also={plain === undefined ? undefined : (typed) => /^[0-9.,% ]+$/.test(typed)}
          keep={(typed) => keep({ [key]: typed })}
        />
      ))}
      <Label text="Sold">
        <chakra.select
          {...field}
          value={cloth.unit_of_sale ?? ""}
          onChange={(event) => void keep({ unit_of_sale: event.target.value })}
        >
          {SOLD.map(([value, name]) => (
            <option key={value} value={value}>
              {name}
            </option>
          ))}
        </chakra.select>
      </Label>
    </>
  );
}
