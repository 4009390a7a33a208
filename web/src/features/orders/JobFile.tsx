import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { Refused } from "../../api/client";
import { type JobHeld, useLookIntoJob } from "../../api/jobs";
import { Label } from "../../ui/field";
import { Taped } from "../../ui/taped";
import { Says } from "../../ui/words";

/** A job file and what it holds. */
export type Chosen = { text: string; held: JobHeld };

const MOST = 1_000_000;

/** A job file is chosen: what is in it is said, or every problem in it with its cure. */
export function JobFile({ chosen, choose }: { chosen: Chosen | null; choose: (file: Chosen | null) => void }) {
  const look = useLookIntoJob();
  const [large, setLarge] = useState(false);
  const take = async (file: File | undefined) => {
    choose(null);
    look.reset();
    setLarge((file?.size ?? 0) > MOST);
    if (!file || file.size > MOST) return;
    const text = await file.text();
    look.mutate(text, { onSuccess: (held) => choose({ text, held }) });
  };
  const problems = look.error instanceof Refused ? look.error.problems : [];
  return (
    <Box display="grid" gap="8">
      <Label text="Or open a job file (JSON)">
        <chakra.input
          type="file"
          accept=".json,application/json"
          minHeight="touch"
          paddingBlock="8"
          width="100%"
          fontWeight="400"
          onChange={(event) => void take(event.target.files?.[0])}
        />
      </Label>
      {large && <Says tone="wrong">This file is larger than a job can be. Choose a job file of under 1 MB.</Says>}
      {look.error && (
        <Says tone="wrong">{problems.length ? "This file cannot be opened yet." : look.error.message}</Says>
      )}
      {problems.length > 0 && (
        <Box as="ul" listStyleType="none" aria-label="What is wrong with the file" color="madder">
          {problems.slice(0, 12).map((one, k) => (
            <li key={k}>
              {one.where && <b>{one.where}: </b>}
              {one.what}. {one.mend}
            </li>
          ))}
          {problems.length > 12 && <li>and {problems.length - 12} more</li>}
        </Box>
      )}
      {chosen && (
        <p role="status">
          In the file: <Taped>{inIt(chosen.held)}</Taped>
        </p>
      )}
    </Box>
  );
}

const inIt = ({ client, styles, measures, cloth, width }: JobHeld) =>
  [
    client && `${client}'s`,
    `${measures} ${measures === 1 ? "measurement" : "measurements"},`,
    `${styles.join(" and ")},`,
    [cloth, width && `${width} wide`].filter(Boolean).join(" "),
  ]
    .filter(Boolean)
    .join(" ");
