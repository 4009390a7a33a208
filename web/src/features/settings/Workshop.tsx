import { Box, chakra } from "@chakra-ui/react";
import { Link } from "react-router";
import { inWords } from "../../api/client";
import { type House, useHouse } from "../../api/house";
import type { Unit } from "../../lengths/units";
import { Chips } from "../../ui/chips";
import { Entry } from "../../ui/entry";
import { Pick } from "../../ui/field";
import { Way } from "../../ui/way";
import { Says } from "../../ui/words";
import { Text } from "./Text";

/** What holds for everybody of the workshop. */
export function Workshop() {
  const { house, settle, pick, turn } = useHouse();
  const now = house.data;
  if (!now) return house.error ? <Says tone="wrong">{house.error.message}</Says> : <p>Fetching the settings…</p>;
  const own = `workshop:${now.id}`;
  const error = turn.error ?? pick.error;
  return (
    <>
      <Text
        label="Name"
        place={`${own}:name`}
        most={120}
        saved={now.name}
        keep={(name) => settle.mutateAsync({ name })}
      />
      <Text
        label="Heading on paper"
        hint="printed over every card: street, telephone"
        place={`${own}:heading`}
        most={200}
        saved={now.heading}
        keep={(heading) => settle.mutateAsync({ heading })}
      />
      <Turn house={now} turn={(unit) => turn.mutate(unit)} />
      <Pick
        text="Time zone"
        value={now.time_zone}
        options={[
          ["", "As each device has it"],
          ...now.zones.map((zone): [string, string] => [zone, zone.replaceAll("_", " ")]),
        ]}
        onPick={(time_zone) => pick.mutate({ time_zone })}
      />
      <p>
        The currency, what an hour costs and the tax are under <Way to="/money/prices">Prices</Way>.
      </p>
      <Pick
        text="Tables to cut at"
        value={String(now.tables)}
        options={COUNTS}
        onPick={(tables) => pick.mutate({ tables: Number(tables) })}
      />
      <Pick
        text="Machines to sew at"
        value={String(now.machines)}
        options={COUNTS}
        onPick={(machines) => pick.mutate({ machines: Number(machines) })}
      />
      <Chips
        legend="Paper"
        hint="what cards are printed on"
        value={now.paper}
        options={[
          { value: "A4", label: "A4" },
          { value: "Letter", label: "Letter" },
        ]}
        onChoose={(paper) => pick.mutate({ paper: paper as House["paper"] })}
      />
      <Chips
        legend="Second step of owners"
        hint="with it an owner’s password alone lets nobody in"
        value={now.owners_step ? "asked" : "free"}
        options={[
          { value: "free", label: "As each wants" },
          { value: "asked", label: "Asked of all" },
        ]}
        onChoose={(value) => pick.mutate({ owners_step: value === "asked" })}
      />
      {error && <Says tone="wrong">{inWords(error)}</Says>}
      <Allowances house={now} keep={(allowances) => settle.mutateAsync({ allowances })} />
    </>
  );
}

const COUNTS = Array.from({ length: 30 }, (_, k): [string, string] => [String(k + 1), String(k + 1)]);

/** The unit of everything that is typed without one; what was typed before gets its own written out. */
function Turn({ house, turn }: { house: House; turn: (unit: House["unit"]) => void }) {
  const to = house.turning_to;
  return (
    <Box>
      <Chips
        legend="Unit"
        hint="of every length that is typed without one"
        value={to || house.unit}
        options={[
          { value: "in", label: "Inches", dead: to === "cm" ? "being changed" : "" },
          { value: "cm", label: "Centimetres", dead: to === "in" ? "being changed" : "" },
        ]}
        onChoose={(unit) => turn(unit as House["unit"])}
      />
      <chakra.p fontSize="16px" color="ink2" role="status">
        {to
          ? "Every length that was typed without a unit gets it written out now. Until that is done, none is written."
          : "Lengths that were typed before keep their size: 45 becomes 45 inches. Sheets keep the unit they were taken in, plans are made anew."}
      </chakra.p>
    </Box>
  );
}

type AllowancesProps = { house: House; keep: (allowances: House["allowances"]) => Promise<unknown> };

/** The seam allowances a new garment starts from; a style's own where nothing is given. */
function Allowances({ house, keep }: AllowancesProps) {
  const kinds = [...new Set(house.edges.map((edge) => edge.kind))];
  return (
    <Box display="grid" gap="12">
      <Box>
        <chakra.h3 fontSize="20px" fontWeight={600}>
          Seam allowances
        </chakra.h3>
        <chakra.p fontSize="16px" color="ink2">
          What a new garment starts from; Design can change them for one. Nothing typed: the usual ones. Whole sets of
          choices are kept as house rules, on <Link to="/methods">Methods</Link> and Design.
        </chakra.p>
      </Box>
      {kinds.map((kind) => (
        <chakra.fieldset key={kind} border="0" minWidth="0">
          <chakra.legend fontWeight={600} padding="0">
            {house.edges.find((edge) => edge.kind === kind)!.kind_name}
          </chakra.legend>
          <Box display="grid" gap="8" gridTemplateColumns={{ base: "1fr", sm: "1fr 1fr" }} marginTop="4">
            {house.edges
              .filter((edge) => edge.kind === kind)
              .map(({ key, name }) => (
                <Entry
                  key={key}
                  label={name}
                  name={`${kind}.${key}`}
                  unit={house.unit as Unit}
                  saved={house.allowances[kind]?.[key] ?? ""}
                  place={`workshop:${house.id}:${kind}.${key}`}
                  keep={(typed) => {
                    const own = Object.entries({ ...house.allowances[kind], [key]: typed });
                    const given = Object.fromEntries(own.filter(([, size]) => size !== ""));
                    return keep({ ...house.allowances, [kind]: given });
                  }}
                />
              ))}
          </Box>
        </chakra.fieldset>
      ))}
    </Box>
  );
}
