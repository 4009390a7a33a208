import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import type { components } from "../api/schema.gen";
import { Label } from "./field";
import { Press } from "./press";
import { Says } from "./words";

type Lines = components["schemas"]["FileOut"];
type TakingProps = {
  text: string;
  accept: string;
  /** Look at a file, and with `keep` take its good lines. */
  send: (file: { text: string; keep: boolean }) => Promise<Lines>;
};

/** A file is looked at first: what is wrong is said line by line, and the good lines can be kept. */
export function TakeFile({ text, accept, send }: TakingProps) {
  const [body, setBody] = useState("");
  const [read, setRead] = useState<Lines | null>(null);
  const [wrong, setWrong] = useState("");
  const [done, setDone] = useState<number | null>(null);
  const ask = async (file: string, keep: boolean) => {
    setWrong("");
    try {
      const answer = await send({ text: file, keep });
      setRead(answer);
      setDone(keep ? answer.kept : null);
    } catch (error) {
      setWrong((error as Error).message);
    }
  };
  const choose = async (file: File | undefined) => {
    if (!file) return;
    const read = await file.text();
    setBody(read);
    await ask(read, false);
  };
  const bad = read?.lines.filter((line) => line.what) ?? [];
  const good = (read?.lines.length ?? 0) - bad.length;
  return (
    <Box display="grid" gap="8">
      <Label text={text}>
        <chakra.input
          type="file"
          accept={accept}
          minHeight="touch"
          paddingBlock="8"
          width="100%"
          fontWeight="400"
          onChange={(event) => void choose(event.target.files?.[0])}
        />
      </Label>
      {wrong && <Says tone="wrong">{wrong}</Says>}
      {bad.length > 0 && (
        <Box as="ul" listStyleType="none" aria-label="Lines that cannot be taken" color="madder" fontSize="16px">
          {bad.slice(0, 12).map((line) => (
            <li key={line.number}>
              Line {line.number}
              {line.point && `, ${line.point}`}: {line.what}. {line.mend}
            </li>
          ))}
          {bad.length > 12 && <li>and {bad.length - 12} more</li>}
        </Box>
      )}
      {read && done === null && good > 0 && (
        <Press kind="main" onClick={() => void ask(body, true)}>
          {bad.length ? `Keep the ${good} good lines` : `Take all ${good}`}
        </Press>
      )}
      {done !== null && <Says tone="good">{done === 1 ? "1 line was taken." : `${done} lines were taken.`}</Says>}
    </Box>
  );
}
