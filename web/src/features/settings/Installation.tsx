import { Box, chakra } from "@chakra-ui/react";
import { useInstallation } from "../../api/installation";
import { moment } from "../../ui/day";
import { Press } from "../../ui/press";
import { Rows } from "../../ui/rows";
import { Says } from "../../ui/words";

/** What is looked at, in words. */
const NAMES: Record<string, string> = {
  database: "Database",
  disk: "Disk",
  migrations: "Release",
  clock: "Clock",
  worker: "Worker",
  queue: "Queue",
  backup: "Backup",
};

/** Whether all is well with the machine this runs on: what is wrong first, with how it is mended. */
export function Installation() {
  const { data, error, isFetching, refetch } = useInstallation();
  const found = data ? [...data.found].sort((a, b) => Number(a.right) - Number(b.right)) : [];
  const wrong = found.filter((one) => !one.right);
  return (
    <Box display="grid" gap="12" justifyItems="start">
      <chakra.h3 fontSize="20px" fontWeight={600}>
        This installation
      </chakra.h3>
      {!data && !error && <p>Looking…</p>}
      {data && (
        <>
          <chakra.p fontWeight={600} color={wrong.length ? "madder" : "moss"} role="status">
            {wrong.length ? `${wrong.length} of ${found.length} are not right.` : "All is well."}
          </chakra.p>
          <chakra.ul listStyleType="none" width="100%">
            {found.map((one) => (
              <chakra.li key={one.what} borderTop="1px solid {colors.hairline}" paddingBlock="8">
                <b>{NAMES[one.what] ?? one.what}</b>: {one.says}.
                {!one.right && (
                  <chakra.span display="block" color="madder">
                    {one.mend}.
                  </chakra.span>
                )}
              </chakra.li>
            ))}
          </chakra.ul>
          {data.backups.length > 0 && (
            <Rows
              caption="The last backups"
              columns={[{ head: "Backup of" }, { head: "MB", number: true }]}
              rows={data.backups.map((one) => ({ key: one.at, cells: [moment(one.at), one.size_mb.toFixed(1)] }))}
            />
          )}
          <chakra.p color="ink2">Core {data.release}.</chakra.p>
        </>
      )}
      {error && <Says tone="wrong">{error.message}</Says>}
      <Press disabled={isFetching} onClick={() => void refetch()}>
        Look again
      </Press>
    </Box>
  );
}
