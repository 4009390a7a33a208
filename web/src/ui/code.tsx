import { chakra } from "@chakra-ui/react";
import { field, Label } from "./field";

/** The code of the second step: of an app, or written down. */
export function Code({ value, onChange }: { value: string; onChange: (typed: string) => void }) {
  return (
    <Label text="Code of your app">
      <chakra.input
        {...field}
        value={value}
        autoFocus
        maxLength={20}
        autoComplete="one-time-code"
        onChange={(event) => onChange(event.target.value)}
      />
    </Label>
  );
}
