import { Box, chakra } from "@chakra-ui/react";
import { type FormEvent, useState } from "react";
import { useParams } from "react-router";
import { inWords } from "../../api/client";
import { useClients } from "../../api/clients";
import { type Session, usePoints } from "../../api/measuring";
import { type Group, type Member, useGroup, useGroupWrites } from "../../api/others";
import { useMoney } from "../../api/house";
import { useOrder } from "../../api/orders";
import { useMe } from "../../api/session";
import { UNIT, type Unit } from "../../lengths/units";
import { field } from "../../ui/field";
import { Length } from "../../ui/length";
import { Bought, BuyList } from "../../ui/buying";
import { Press } from "../../ui/press";
import { useTyped } from "../../ui/typed";
import { Says } from "../../ui/words";
import { GroupMoney } from "./GroupMoney";
import { Way } from "../../ui/way";

/** The same outfit for a choir or a crew: everybody's sizes in one table, one plan each, one shopping list. */
export function Others() {
  const { id = "" } = useParams();
  const order = useOrder(id);
  const group = useGroup(id);
  const session = (order.data?.session ?? "trousers") as Session;
  const own = group.data?.members.find((one) => one.order === id)?.sizes ?? {};
  // What nobody can do without, then what was taken of this client besides.
  const taken = usePoints(session, order.data?.needs).data;
  const points = taken && [
    ...taken.filter((point) => point.needed),
    ...taken.filter((point) => !point.needed && own[point.key]),
  ];
  const unit = (useMe().data?.unit ?? "in") as Unit;
  const writes = useGroupWrites(id);
  if (!order.data || !group.data || !points) {
    const error = order.error ?? group.error;
    return <Box padding="24">{error ? <Says tone="wrong">{error.message}</Says> : "Fetching the table…"}</Box>;
  }
  const { members } = group.data;
  const ready = members.filter((one) => !one.planned && taken?.every((point) => !point.needed || one.sizes[point.key]));
  const refused = writes.plan.data ?? {};
  return (
    <Box padding={{ base: "12", md: "24" }} overflow="auto" height="100%" display="grid" gap="16" alignContent="start">
      <Box>
        <chakra.h1 fontSize="26px" fontWeight={600}>
          {order.data.title}, for {members.length === 1 ? "one client" : `${members.length} clients`}
        </chakra.h1>
        <p>
          <Way to={`/orders/${id}/design`}>Back to {order.data.client.name}</Way>
        </p>
      </Box>
      <Add order={id} writes={writes} taken={members} />
      <Sizes members={members} points={points} unit={unit} writes={writes} refused={refused} />
      <Box display="flex" gap="12" flexWrap="wrap" alignItems="center">
        <Press
          kind="main"
          disabled={ready.length === 0 || writes.plan.isPending}
          onClick={() => writes.plan.mutate(ready)}
        >
          {ready.length ? `Plan ${ready.length}` : "Plan everybody"}
        </Press>
        {ready.length === 0 && members.some((one) => !one.planned) && (
          <span>Nobody who is not planned has all that is needed: {missing(members, taken ?? [])}.</span>
        )}
        {members.length > 1 && (
          <Press disabled={writes.spread.isPending} onClick={() => writes.spread.mutate()}>
            Give everybody this outfit as it stands
          </Press>
        )}
        {members.filter((one) => one.planned).length > 1 && (
          <Way to={`/orders/${id}/lay?cloth=all`}>Lay all that are planned on one cloth</Way>
        )}
        <span role="status">
          {members.filter((one) => one.planned).length} of {members.length} planned
          {writes.spread.data && `; the outfit was given to ${writes.spread.data.orders}`}
        </span>
      </Box>
      {writes.spread.error && <Says tone="wrong">{inWords(writes.spread.error)}</Says>}
      <Shopping group={group.data} unit={unit} />
      {members.length > 1 && group.data.money && <GroupMoney money={group.data.money} />}
    </Box>
  );
}

/** Whose measures are missing, the first of them by name. */
function missing(members: Member[], points: { key: string; name: string; needed: boolean }[]): string {
  const said = members
    .filter((one) => !one.planned)
    .map((one) => {
      const names = points.filter((point) => point.needed && !one.sizes[point.key]).map((point) => point.name);
      return names.length ? `${one.name} (${names.join(", ")})` : "";
    })
    .filter(Boolean);
  return said.slice(0, 5).join("; ") + (said.length > 5 ? ` and ${said.length - 5} more` : "");
}

type Writes = ReturnType<typeof useGroupWrites>;

function Add({ order, writes, taken }: { order: string; writes: Writes; taken: Member[] }) {
  const [name, setName] = useState("");
  const [ids, setIds] = useState(() => ({ id: crypto.randomUUID(), client: crypto.randomUUID() }));
  const clients = useClients(name.trim()).data ?? [];
  const send = (event: FormEvent) => {
    event.preventDefault();
    if (!name.trim()) return;
    const known = clients.find((one) => one.name.toLowerCase() === name.trim().toLowerCase());
    writes.add.mutate(
      { ...ids, client: known?.id ?? ids.client, name: name.trim(), known: known !== undefined },
      {
        onSuccess: () => {
          setName("");
          setIds({ id: crypto.randomUUID(), client: crypto.randomUUID() });
        },
      },
    );
  };
  return (
    <chakra.form onSubmit={send} display="flex" gap="8" alignItems="end" maxWidth="520px" noValidate>
      <chakra.label flex="1" fontWeight={600}>
        One more client
        <chakra.input
          {...field}
          list={`others-${order}`}
          value={name}
          maxLength={120}
          autoComplete="off"
          onChange={(event) => setName(event.target.value)}
        />
      </chakra.label>
      <datalist id={`others-${order}`}>
        {clients
          .filter((one) => taken.every((other) => other.client !== one.id))
          .map((one) => (
            <option key={one.id} value={one.name} />
          ))}
      </datalist>
      <Press type="submit" disabled={name.trim() === "" || writes.add.isPending}>
        Add
      </Press>
      {writes.add.error && <Says tone="wrong">{inWords(writes.add.error)}</Says>}
    </chakra.form>
  );
}

type SizesProps = {
  members: Member[];
  points: { key: string; name: string }[];
  unit: Unit;
  writes: Writes;
  refused: Record<string, string>;
};

/** A row a client, a column a point: typed as on the sheet, read when the cell is left. */
function Sizes({ members, points, unit, writes, refused }: SizesProps) {
  const [wrong, setWrong] = useState<Record<string, string>>({});
  const keep = (member: Member, key: string, typed: string, id: string) => {
    if (typed.trim() === (member.sizes[key] ?? "")) return;
    const place = `${member.order}.${key}`;
    // Each write is waited for by itself: several are on their way when somebody types fast.
    writes.read.mutateAsync({ id, sheet: member.sheet, key, typed: typed.trim() }).then(
      () => setWrong((was) => ({ ...was, [place]: "" })),
      (error: Error) => setWrong((was) => ({ ...was, [place]: inWords(error) })),
    );
  };
  return (
    <Box minWidth="0">
      <Box overflow="auto" maxHeight="70vh" border="1px solid {colors.hairline}">
        <chakra.table
          fontSize="16px"
          css={{
            "& td, & th": { padding: "2px 4px", textAlign: "left" },
            "@media print": { fontSize: "10px", "& th": { minWidth: 0, fontSize: "10px" }, "& input": PRINTED },
            // Who it is and which measure stay in sight.
            "& thead th": { position: "sticky", top: 0, background: "{colors.well}", zIndex: 1 },
            "& tbody th, & thead th:first-of-type": { position: "sticky", left: 0, background: "{colors.calico}" },
            "& thead th:first-of-type": { zIndex: 2, background: "{colors.well}" },
          }}
        >
          <chakra.caption textAlign="left" fontWeight={600} fontSize="20px" paddingBottom="4">
            Sizes, {UNIT[unit].name}
          </chakra.caption>
          <thead>
            <chakra.tr background="well" fontSize="14px" verticalAlign="bottom">
              <th>Client</th>
              <th>Cloth</th>
              {points.map((point) => (
                <th key={point.key}>{point.name}</th>
              ))}
            </chakra.tr>
          </thead>
          <tbody>
            {members.map((member) => (
              <chakra.tr key={member.order} borderBottom="1px solid {colors.hairline}" verticalAlign="top">
                <chakra.th scope="row" fontWeight={600} minWidth="150px">
                  <Way to={`/orders/${member.order}/measure`}>{member.name}</Way>
                  {[
                    ...points.map((point) => wrong[`${member.order}.${point.key}`]),
                    member.planned ? undefined : refused[member.order],
                  ].map(
                    (text, k) =>
                      text && (
                        <Says key={k} tone="wrong">
                          {text}
                        </Says>
                      ),
                  )}
                  {member.stops > 0 && (
                    <chakra.span display="block" color="madder" fontWeight="400">
                      <Way to={`/orders/${member.order}/check`}>{member.stops} to be mended</Way>
                    </chakra.span>
                  )}
                </chakra.th>
                <chakra.td whiteSpace="nowrap" css={{ "&&": { paddingTop: "12px" } }}>
                  {member.length_mm != null ? <Length mm={member.length_mm} unit={unit} /> : ""}
                </chakra.td>
                {points.map((point) => (
                  <td key={point.key}>
                    <Cell
                      label={`${member.name}, ${point.name}`}
                      saved={member.sizes[point.key] ?? ""}
                      wrong={Boolean(wrong[`${member.order}.${point.key}`])}
                      closed={member.closed}
                      place={`size:${member.sheet}:${point.key}`}
                      keep={(typed, id) => keep(member, point.key, typed, id)}
                    />
                  </td>
                ))}
              </chakra.tr>
            ))}
          </tbody>
        </chakra.table>
      </Box>
    </Box>
  );
}

const PRINTED = { width: "44px", minHeight: 0, padding: 0, fontSize: "10px", border: 0 };

type CellProps = {
  label: string;
  saved: string;
  wrong: boolean;
  closed: boolean;
  /** Where the unsaved text waits in this browser. */
  place: string;
  /** `id` stays the same while the same text is tried again. */
  keep: (typed: string, id: string) => void;
};

function Cell({ label, saved, wrong, closed, place, keep }: CellProps) {
  const { typed, type, id } = useTyped(place, saved);
  return (
    <chakra.input
      {...field}
      width="84px"
      paddingInline="8"
      aria-label={label}
      aria-invalid={wrong}
      borderColor={wrong ? "madder" : "edge"}
      inputMode="text"
      readOnly={closed}
      title={closed ? "This sheet is closed: a correction goes on a new sheet." : undefined}
      value={typed}
      onChange={(event) => type(event.target.value)}
      onBlur={() => keep(typed, id())}
      onKeyDown={(event) => event.key === "Enter" && keep(typed, id())}
    />
  );
}

/** Cloth of each kind in one sum, rounded up once; zips, elastic and hooks by their length. */
function Shopping({ group, unit }: { group: Group; unit: Unit }) {
  const money = useMoney();
  if (group.cloths.length === 0) return <p>What to buy for all of them comes here as soon as one is planned.</p>;
  return (
    <Box>
      <chakra.h2 fontSize="20px" fontWeight={600}>
        To buy for all that are planned
      </chakra.h2>
      {group.searching > 0 && (
        <chakra.p role="status" color="ink2">
          Shorter lays are looked for: these lengths may still fall.
        </chakra.p>
      )}
      {group.together && (
        <p>
          Laid together on one cloth, {group.together.orders} of them take{" "}
          <b>
            <Bought mm={group.together.buy_mm} unit={unit} />
          </b>
          : <Length mm={group.together.length_mm} unit={unit} />, rounded up to the {group.together.sold_in}
          {group.together.cost != null && (
            <>
              ; costs <b>{money(group.together.cost)}</b>
            </>
          )}
          .
        </p>
      )}
      <BuyList {...{ cloths: group.cloths, notions: group.notions, unit }} />
    </Box>
  );
}
