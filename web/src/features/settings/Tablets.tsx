import { Box, chakra } from "@chakra-ui/react";
import { type FormEvent, useState } from "react";
import { inWords } from "../../api/client";
import { useTablets } from "../../api/tablets";
import { moment } from "../../ui/day";
import { DeviceRow } from "../../ui/deviceRow";
import { field, Label } from "../../ui/field";
import { Press } from "../../ui/press";
import { Says } from "../../ui/words";

/** Devices at a table, on which people pick themselves by their short code. */
export function Tablets() {
  const { list, put, take } = useTablets();
  const [name, setName] = useState("");
  const wrong = list.error ?? put.error ?? take.error;
  const here = list.data?.some((one) => one.here) ?? false;
  const send = (event: FormEvent) => {
    event.preventDefault();
    put.mutate({ id: crypto.randomUUID(), name }, { onSuccess: () => setName("") });
  };
  return (
    <Box display="grid" gap="12">
      <chakra.h3 fontSize="20px" fontWeight={600}>
        Tablets at a table
      </chakra.h3>
      <p>
        On such a device people pick themselves by their short code. Who came in so cannot remove anything, see people
        or change these settings.
      </p>
      <chakra.ul listStyleType="none">
        {list.data?.map((one) => (
          <DeviceRow
            key={one.id}
            name={one.name}
            here={one.here ? ", this device" : ""}
            says={`since ${moment(one.created_at)}`}
          >
            <Press aria-label={`Take away: ${one.name}`} disabled={take.isPending} onClick={() => take.mutate(one.id)}>
              Take away
            </Press>
          </DeviceRow>
        ))}
      </chakra.ul>
      {wrong && <Says tone="wrong">{inWords(wrong)}</Says>}
      {here ? (
        <p>Leave, and the door of this device shows who can pick themselves.</p>
      ) : (
        <chakra.form onSubmit={send} noValidate display="flex" gap="8" alignItems="end" flexWrap="wrap">
          <Box flex="1" minWidth="200px">
            <Label text="Where this device is">
              <chakra.input
                {...field}
                value={name}
                maxLength={40}
                placeholder="Cutting table"
                onChange={(event) => setName(event.target.value)}
              />
            </Label>
          </Box>
          <Press type="submit" disabled={put.isPending || name.trim() === ""}>
            Make it a tablet
          </Press>
        </chakra.form>
      )}
    </Box>
  );
}
