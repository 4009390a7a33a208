import { Box, chakra } from "@chakra-ui/react";
import {
  type KeyboardEvent,
  type ReactNode,
  type Ref,
  useEffect,
  useId,
  useImperativeHandle,
  useRef,
  useState,
} from "react";
import { Refused } from "../api/client";
import { read, show, text as tapeText, UNIT, type Unit, Unreadable } from "../lengths/units";
import { field } from "./field";
import { Press } from "./press";
import { Taped } from "./taped";
import { useTyped } from "./typed";

const SAY: Record<string, string> = {
  "length.unreadable": "This cannot be read as a length. Type it like 38 1/2, 38.5 or 97.8 cm.",
  "length.fraction": "The fraction is not one a tape has. Type halves, quarters, eighths or sixteenths: 38 1/2.",
  "length.letter": "There is a letter among the digits. Type 0 for the letter o, 1 for the letter l.",
  "length.negative": "A length cannot be below nothing. Leave the minus out.",
  "length.unit": "The unit is not known. Use in, yd, cm, mm or m.",
  "length.less": "What is taken off is as much as the length, or more. Type the reading first: 38 less 2.",
  "length.less_or_half": "This could be the number and a half, or less a half. Type 38 1/2, or 38 less 1/2.",
  "length.feet": "There are 12 inches or more after the feet. Carry them over.",
};

/** `commit` is true once the text was taken; `fill` puts a text in as if it were typed. */
export type Gate = { commit: () => Promise<boolean>; fill: (typed: string) => void };

export type EntryProps = {
  label: ReactNode;
  name: string;
  unit: Unit;
  saved: string;
  /** Keep the text; throws Refused. `id` stays the same while the same text is tried again. */
  keep: (typed: string, id: string) => Promise<unknown>;
  /** Where the unsaved text waits in this browser. */
  place: string;
  large?: boolean;
  placeholder?: string;
  /** Enter in the field, after the text was taken. */
  onward?: () => void;
  also?: (typed: string) => boolean;
  focus?: boolean;
  /** Filled with what can be done to the field from outside, as a button beside it does. */
  gate?: Ref<Gate>;
  /** Not a length: no unit, nothing beside it. */
  plain?: string;
};

/** A field for one length: keeps the text as typed, reads it on leaving and on Enter, never clears it. */
export function Entry(props: EntryProps) {
  const { saved, place, unit, keep } = props;
  const { typed, type, waits, id, taken } = useTyped(place, saved, props.plain === undefined ? unit : undefined);
  const [wrong, setWrong] = useState("");
  const [lost, setLost] = useState(() => waits() && typed !== saved);
  const line = useId();
  const input = useRef<HTMLInputElement>(null);

  useEffect(() => {
    if (props.focus) input.current?.focus();
  }, [props.focus]);

  const change = (value: string) => {
    type(value);
    setWrong("");
  };

  // Leaving the field and pressing a button come together: the second waits for the first.
  const flying = useRef<Promise<boolean> | null>(null);
  const commit = (): Promise<boolean> => {
    flying.current ??= send().finally(() => (flying.current = null));
    return flying.current;
  };
  useImperativeHandle(props.gate, () => ({ commit, fill: change }));

  const send = async (): Promise<boolean> => {
    const value = typed.trim();
    if (value === saved.trim() && !waits()) return true;
    const own = props.also?.(value) ?? false;
    if (value !== "" && !own) {
      try {
        read(value, unit);
      } catch (error) {
        setWrong(SAY[(error as Unreadable).code] ?? "");
        return false;
      }
    }
    try {
      await keep(value, id());
      taken();
      setWrong("");
      setLost(false);
      return true;
    } catch (error) {
      const refused = error as Refused;
      setLost(refused.status === 0);
      const first = refused.problems?.[0];
      setWrong(first ? `${first.what}. ${first.mend}` : refused.message);
      return false;
    }
  };

  const press = async (event: KeyboardEvent) => {
    if (event.key !== "Enter") return;
    event.preventDefault();
    if (await commit()) props.onward?.();
  };

  const put = (part: string) => {
    const whole = typed.replace(/ ?[0-9]\/[0-9]+$| ?(cm|in)$/, "").trim();
    change(
      /^[0-9]/.test(part) && whole ? `${whole} ${part}` : `${whole}${/^[0-9]/.test(part) ? "" : " "}${part}`.trim(),
    );
    input.current?.focus();
  };

  return (
    <Box>
      <chakra.label htmlFor={`${line}-field`} display="block" fontWeight={600} marginBottom="4">
        {props.label}
      </chakra.label>
      <Box display="flex" gap="8" alignItems="center">
        <chakra.input
          {...field}
          flex="1"
          minWidth="0"
          id={`${line}-field`}
          ref={input}
          name={props.name}
          value={typed}
          placeholder={props.placeholder}
          inputMode="text"
          autoComplete="off"
          spellCheck={false}
          aria-invalid={wrong !== ""}
          aria-describedby={line}
          fontSize={props.large ? "36px" : "17px"}
          fontWeight={props.large ? 600 : 400}
          borderColor={wrong ? "madder" : "edge"}
          onChange={(event) => change(event.target.value)}
          onBlur={() => void commit()}
          onKeyDown={(event) => void press(event)}
        />
        <chakra.span color="ink2" flexShrink="0">
          {props.plain ?? UNIT[unit].beside}
        </chakra.span>
      </Box>
      {props.large && <FractionKeys put={put} />}
      <Box id={line} minHeight="26px" fontSize="16px" aria-live="polite">
        {wrong ? (
          <chakra.span role="alert" color="madder">
            <Taped>{wrong}</Taped>
          </chakra.span>
        ) : props.plain ? null : (
          <Beside typed={typed} unit={unit} />
        )}
        {lost && (
          <Press kind="quiet" onClick={() => void commit()}>
            Not saved yet. Try again
          </Press>
        )}
      </Box>
    </Box>
  );
}

/** The same length in the other unit, and the nearest mark where the text falls between two. */
function Beside({ typed, unit }: { typed: string; unit: Unit }) {
  let mm: number;
  try {
    mm = read(typed, unit);
  } catch {
    return null;
  }
  const own = show(mm, unit);
  return (
    <chakra.span color="ink2">
      <Taped>
        {own.exact ? "" : `nearest mark ${tapeText(own)}, kept as typed; `}
        {tapeText(show(mm, unit === "in" ? "cm" : "in"))}
      </Taped>
    </chakra.span>
  );
}

const PARTS = ["1/8", "1/4", "3/8", "1/2", "5/8", "3/4", "7/8", "cm"];

function FractionKeys({ put }: { put: (part: string) => void }) {
  return (
    <Box display="flex" gap={{ base: "0", md: "4" }} flexWrap="wrap" marginTop="8">
      {PARTS.map((part) => (
        <Press
          key={part}
          paddingInline="4"
          minWidth={{ base: "44px", md: "48px" }}
          flex="1"
          onMouseDown={(event) => event.preventDefault()}
          onClick={() => put(part)}
        >
          <Taped>{part}</Taped>
        </Press>
      ))}
    </Box>
  );
}
