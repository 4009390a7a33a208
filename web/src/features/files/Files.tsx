import { Box, chakra } from "@chakra-ui/react";
import type { ReactNode } from "react";
import { useParams, useSearchParams } from "react-router";
import { inWords } from "../../api/client";
import { fileAt, type PlanFile, useFiles, useLook, usePlanLink } from "../../api/files";
import { useOrder } from "../../api/orders";
import { type Cut, usePlan } from "../../api/plans";
import { useMay } from "../../api/session";
import { Chips } from "../../ui/chips";
import { moment } from "../../ui/day";
import { field } from "../../ui/field";
import { Unworkable } from "../../ui/findings";
import { Press } from "../../ui/press";
import { Taped } from "../../ui/taped";
import { useTitle } from "../../ui/title";
import { Unseen } from "../../ui/unseen";
import { FileWay, Way } from "../../ui/way";
import { Says } from "../../ui/words";

const USES: { use: PlanFile["use"]; title: string }[] = [
  { use: "paper", title: "Cut it from paper" },
  { use: "machine", title: "Send it to a machine" },
  { use: "program", title: "Give it to another program" },
  { use: "keep", title: "Keep it" },
];

/** What leaves the screen: patterns in true size, cards, files for machines and programs, by what one wants to do. */
export function Files() {
  const { id = "" } = useParams();
  const [query, ask] = useSearchParams();
  const order = useOrder(id);
  const may = useMay();
  const cut: Cut = query.get("cloth") === "other" && order.data?.other_cloth ? "other" : "main";
  const plan = usePlan(id, cut, "", "", true);
  const files = useFiles(plan.data?.id ?? "");
  useTitle(["Files", order.data?.client.name, order.data?.title].filter(Boolean).join(", "));
  if (order.error) {
    return (
      <Box padding="24">
        <Says tone="wrong">{order.error.message}</Says> <Way to="/">Back to the Bench</Way>
      </Box>
    );
  }
  return (
    <Box padding="16" height="100%" overflowY="auto" display="grid" gap="24" alignContent="start">
      <Box>
        <chakra.h1 fontSize="24px" fontWeight={600}>
          Files{order.data && ` of ${order.data.client.name}: ${order.data.title}`}
        </chakra.h1>
        <Way to={`/orders/${id}/check`}>Back to the order</Way>
      </Box>
      {order.data?.other_cloth && (
        <Chips
          legend="Cut from"
          value={cut}
          options={[
            { value: "main", label: order.data.cloth.kind },
            { value: "other", label: order.data.other_cloth.kind },
          ]}
          onChoose={(to) => ask(to === "main" ? {} : { cloth: to }, { replace: true })}
        />
      )}
      <Group title="Follow a card">
        <Told title="Calls" says="Every call in the order it is chalked, large, with a box to tick. For the printer.">
          <FileWay href={`/orders/${id}/calls${cut === "other" ? "?cloth=other" : ""}`} target="_blank">
            Open the card
          </FileWay>
        </Told>
        <Told title="Measurements" says="The points in the order of taking, filled in or blank. For the printer.">
          <FileWay href={`/orders/${id}/card`} target="_blank">
            Open the card
          </FileWay>
        </Told>
      </Group>
      <Group title="Show it on the cloth">
        <Told title="Projector" says="A piece or the lay in true size, chalk on black, with the call that is next.">
          <Way to={`/orders/${id}/projector${cut === "other" ? "?cloth=other" : ""}`}>Open the projector page</Way>
        </Told>
      </Group>
      {plan.error && <Unworkable error={plan.error} order={id} />}
      {files.error && <Says tone="wrong">{inWords(files.error)}</Says>}
      {!plan.error && !files.data && !files.error && <p>Drafting…</p>}
      {plan.data && may("orders") && <LetLook plan={plan.data.id} />}
      {plan.data &&
        USES.map(({ use, title }) => {
          const own = files.data?.filter((file) => file.use === use) ?? [];
          return (
            own.length > 0 && (
              <Group key={use} title={title}>
                {own.map((file) => (
                  <One key={file.name} file={file} plan={plan.data.id} stamp={plan.data.stamp} />
                ))}
              </Group>
            )
          );
        })}
    </Box>
  );
}

/** A link for who sews at home, or for the client: it ends by itself. */
function LetLook({ plan }: { plan: string }) {
  const link = usePlanLink(plan);
  return (
    <Group title="Let somebody look at it">
      <Told
        title="A link to the plan"
        says="For a sewer at home, or the client: the pieces and every call, without an account and without a name. It ends after 7 days."
      >
        {link.data ? (
          <chakra.label display="grid" gap="4" fontWeight={600}>
            Until {moment(link.data.until)}
            <chakra.input
              {...field}
              readOnly
              value={link.data.address}
              onFocus={(event) => event.currentTarget.select()}
            />
          </chakra.label>
        ) : (
          <Press disabled={link.isPending} onClick={() => link.mutate()}>
            Make a link
          </Press>
        )}
        {link.error && <Says tone="wrong">{inWords(link.error)}</Says>}
      </Told>
    </Group>
  );
}

function Group({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section>
      <chakra.h2 fontSize="20px" fontWeight={600}>
        {title}
      </chakra.h2>
      <chakra.ul
        listStyleType="none"
        display="grid"
        gap="12"
        marginTop="8"
        gridTemplateColumns="repeat(auto-fill, minmax(min(100%, 340px), 1fr))"
      >
        {children}
      </chakra.ul>
    </section>
  );
}

type ToldProps = { title: string; says: string; picture?: ReactNode; size?: ReactNode; children: ReactNode };

function Told({ title, says, picture, size, children }: ToldProps) {
  return (
    <chakra.li
      background="sheet"
      border="1px solid {colors.hairline}"
      borderRadius="cut"
      padding="12"
      display="flex"
      gap="12"
      alignItems="flex-start"
    >
      {picture}
      <Box minWidth="0">
        <chakra.b display="block">{title}</chakra.b>
        {size !== undefined && (
          <chakra.span display="block" minHeight="26px" fontVariantNumeric="tabular-nums">
            {size}
          </chakra.span>
        )}
        <chakra.p color="ink2" fontSize="16px">
          <Taped>{says}</Taped>
        </chakra.p>
        {children}
      </Box>
    </chakra.li>
  );
}

function One({ file, plan, stamp }: { file: PlanFile; plan: string; stamp: string }) {
  const look = useLook(plan, file.name, stamp);
  const { pages = 0, size = 0, picture = "" } = look.data ?? {};
  const said = [pages > 0 && `${pages} ${pages === 1 ? "page" : "pages"}`, size > 0 && inSize(size)].filter(Boolean);
  return (
    <Told
      title={file.title}
      says={file.says}
      size={look.error ? undefined : said.join(", ")}
      picture={
        file.drawn && (
          <Box flex="0 0 116px" height="132px" background="white" display="grid" placeItems="center" padding="4">
            {picture && (
              <img
                src={`data:image/svg+xml;utf8,${encodeURIComponent(picture)}`}
                alt={`${file.title}, drawn small`}
                style={{ maxWidth: "108px", maxHeight: "124px", width: "auto", height: "auto" }}
              />
            )}
          </Box>
        )
      }
    >
      {look.error ? (
        <Says tone="wrong">{inWords(look.error)}</Says>
      ) : (
        <FileWay href={fileAt(plan, file.name)} download>
          Fetch the file <Unseen>{file.title}</Unseen>
        </FileWay>
      )}
    </Told>
  );
}

/** "112 kB" */
const inSize = (bytes: number) =>
  bytes < 1_000_000 ? `${Math.max(1, Math.round(bytes / 1000))} kB` : `${(bytes / 1e6).toFixed(1)} MB`;
