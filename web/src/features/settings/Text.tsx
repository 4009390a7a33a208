import { chakra } from "@chakra-ui/react";
import { useId, useState } from "react";
import { inWords } from "../../api/client";
import { field } from "../../ui/field";
import { useTyped } from "../../ui/typed";

type TextProps = {
  label: string;
  hint?: string;
  most: number;
  saved: string;
  /** Where the unsaved text waits in this browser. */
  place: string;
  keep: (typed: string) => Promise<unknown>;
};

/** A line of words that is kept when the field is left, or on Enter; what is refused stays as it was typed. */
export function Text({ label, hint, most, saved, place, keep }: TextProps) {
  const { typed, type, taken } = useTyped(place, saved);
  const [wrong, setWrong] = useState("");
  const line = useId();
  const send = () => {
    if (typed.trim() === saved) return;
    keep(typed.trim()).then(
      () => {
        taken();
        setWrong("");
      },
      (error: Error) => setWrong(inWords(error)),
    );
  };
  return (
    <chakra.label display="grid" gap="4" fontWeight={600}>
      <span>
        {label}{" "}
        {hint && (
          <chakra.span fontWeight="400" color="ink2">
            {hint}
          </chakra.span>
        )}
      </span>
      <chakra.input
        {...field}
        value={typed}
        maxLength={most}
        autoComplete="off"
        aria-invalid={wrong !== ""}
        aria-describedby={line}
        borderColor={wrong ? "madder" : "edge"}
        onChange={(event) => type(event.target.value)}
        onBlur={send}
        onKeyDown={(event) => event.key === "Enter" && send()}
      />
      <chakra.span id={line} role={wrong ? "alert" : undefined} color="madder" fontSize="16px">
        {wrong}
      </chakra.span>
    </chakra.label>
  );
}
