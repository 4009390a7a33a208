import { chakra } from "@chakra-ui/react";
import type { ReactNode } from "react";
import type { Refused } from "../api/client";
import { Says } from "./words";

/** The look of every field. */
export const field = {
  minHeight: "touch",
  width: "100%",
  paddingInline: "12",
  background: "sheet",
  color: "ink",
  border: "1.5px solid {colors.edge}",
  borderRadius: "cut",
} as const;

export function Label({ text, children }: { text: string; children: ReactNode }) {
  return (
    <chakra.label display="grid" gap="4" fontWeight={600}>
      {text}
      {children}
    </chakra.label>
  );
}

type PickProps = { text: string; value: string; options: [string, string][]; onPick: (value: string) => void };

/** One of several, by its key and its name. */
export function Pick({ text, value, options, onPick }: PickProps) {
  return (
    <Label text={text}>
      <chakra.select {...field} value={value} onChange={(event) => onPick(event.target.value)}>
        {options.map(([key, name]) => (
          <option key={key} value={key}>
            {name}
          </option>
        ))}
      </chakra.select>
    </Label>
  );
}

/** A password that is typed: the one there is, or a new one. */
export function Password(props: {
  text: string;
  value: string;
  is: "current" | "new";
  onChange: (typed: string) => void;
}) {
  return (
    <Label text={props.text}>
      <chakra.input
        {...field}
        type="password"
        value={props.value}
        autoComplete={`${props.is}-password`}
        onChange={(event) => props.onChange(event.target.value)}
      />
    </Label>
  );
}

/** What is wrong with one field of a refused write, and how to mend it. */
export function WrongAt({ error, where }: { error: Error | null; where: string }) {
  const found = (error as Refused | null)?.problems?.find((one) => one.where === where);
  return found ? <Says tone="wrong">{`${found.what}. ${found.mend}`}</Says> : null;
}
