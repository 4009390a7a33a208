import { Box, chakra } from "@chakra-ui/react";
import { inWords } from "../../api/client";
import { useArchive, useMakeArchive } from "../../api/installation";
import { moment } from "../../ui/day";
import { Press } from "../../ui/press";
import { FileWay } from "../../ui/way";
import { Says } from "../../ui/words";

/** All of the workshop as one file, for its owner to take along: made on the queue, kept for a day. */
export function Archive() {
  const { data, error } = useArchive();
  const make = useMakeArchive();
  const wrong = make.error ?? error;
  const busy = make.isPending || data?.state === "being_made";
  return (
    <Box display="grid" gap="12" justifyItems="start">
      <chakra.h3 fontSize="20px" fontWeight={600}>
        Take everything along
      </chakra.h3>
      <p>
        One file with all clients, sheets, orders, plans, money, hours and photos, in open formats. Another installation
        of the same release takes it in with <b>./plavet bring-in</b>. Passwords and links are not in it. Keep it safe:
        it holds your clients’ bodies.
      </p>
      <div role="status">
        {data?.state === "being_made" && <p>It is being made…</p>}
        {data?.state === "ready" && data.made_at && (
          <p>
            <FileWay href="/api/archive/file" download="workshop.zip">
              The file of {moment(data.made_at)}, {data.size_mb.toFixed(1)} MB
            </FileWay>
          </p>
        )}
      </div>
      {wrong && <Says tone="wrong">{inWords(wrong)}</Says>}
      <Press disabled={busy} onClick={() => make.mutate()}>
        {data?.state === "ready" ? "Make it anew" : "Make the file"}
      </Press>
    </Box>
  );
}
