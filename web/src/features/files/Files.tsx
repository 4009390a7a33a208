import { Box, chakra } from "@chakra-ui/react";
import { useParams, useSearchParams } from "react-router";
import { inWords } from "../../api/client";
import { fileAt, type PlanFile, useFiles, usePlanLink, usePreview, useSetLink } from "../../api/files";
import { useOrder } from "../../api/orders";
import { type Cut, usePlan } from "../../api/plans";
import { useMay } from "../../api/session";
import { Chips } from "../../ui/chips";
import { moment } from "../../ui/day";
import { field } from "../../ui/field";
import { Unworkable } from "../../ui/findings";
import { Press } from "../../ui/press";
import { useTitle } from "../../ui/title";
import { Unseen } from "../../ui/unseen";
import { FileWay, Way } from "../../ui/way";
import { Says } from "../../ui/words";
import { Card, Group } from "./Card";
import { Plotter } from "./Plotter";

const USES: { use: PlanFile["use"]; title: string }[] = [
  { use: "card", title: "Follow a card" },
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
      {plan.error && <Unworkable error={plan.error} order={id} />}
      {files.error && <Says tone="wrong">{inWords(files.error)}</Says>}
      {!plan.error && !files.data && !files.error && <p>Drafting…</p>}
      {USES.map(({ use, title }) => {
        const own = files.data?.filter((file) => file.use === use) ?? [];
        return (
          plan.data &&
          own.length > 0 && (
            <Group key={use} title={title}>
              {own.map((file) => (
                <One key={file.name} file={file} plan={plan.data.id} stamp={plan.data.stamp} />
              ))}
              {use === "card" && <FromHere id={id} cut={cut} />}
              {use === "machine" && <Plotter plan={plan.data.id} />}
            </Group>
          )
        );
      })}
      <Group title="Show it on the cloth">
        <Card title="Projector" says="A piece or the lay in true size, chalk on black, with the call that is next.">
          <Way to={`/orders/${id}/projector${cut === "other" ? "?cloth=other" : ""}`}>Open the projector page</Way>
        </Card>
      </Group>
      {plan.data && may("orders") && <LetLook plan={plan.data.id} />}
      {may("lays") && (
        <Group title="Bring one in">
          <Card
            title="A pattern from outside"
            says="SVG or DXF that another program drew: looked at, and put on paper or sent to a machine as these are."
          >
            <Way to="/patterns">Open a pattern</Way>
          </Card>
        </Group>
      )}
    </Box>
  );
}

/** The same as pages that a browser prints: what is chalked already is ticked, a card can be blank. */
function FromHere({ id, cut }: { id: string; cut: Cut }) {
  return (
    <Card title="Print from here" says="What is chalked is ticked; the measurements filled in or blank.">
      <FileWay href={`/orders/${id}/calls${cut === "other" ? "?cloth=other" : ""}`} target="_blank">
        Calls
      </FileWay>{" "}
      <FileWay href={`/orders/${id}/card`} target="_blank">
        Measurements
      </FileWay>
    </Card>
  );
}

/** A link for who sews at home, or for the client: it ends by itself, or when it is taken back. */
function LetLook({ plan }: { plan: string }) {
  const link = usePlanLink(plan);
  const set = useSetLink(plan);
  const error = link.error ?? set.error;
  return (
    <Group title="Let somebody look at it">
      <Card
        title="A link to the plan"
        says="For a sewer at home, or the client: the pieces and every call, without an account and without a name. It ends after 7 days."
      >
        {link.data && (
          <chakra.label display="grid" gap="4" fontWeight={600} marginBottom="8">
            Until {moment(link.data.until)}
            <chakra.input
              {...field}
              readOnly
              value={link.data.address}
              onFocus={(event) => event.currentTarget.select()}
            />
          </chakra.label>
        )}
        <Press disabled={set.isPending || link.isPending} onClick={() => set.mutate(!link.data)}>
          {link.data ? "Take the link back" : "Make a link"}
        </Press>
        {error && <Says tone="wrong">{inWords(error)}</Says>}
      </Card>
    </Group>
  );
}

function One({ file, plan, stamp }: { file: PlanFile; plan: string; stamp: string }) {
  const preview = usePreview(plan, file.name, stamp);
  const { pages = 0, size = 0, picture = "" } = preview.data ?? {};
  const said = [pages > 0 && `${pages} ${pages === 1 ? "page" : "pages"}`, size > 0 && inSize(size)].filter(Boolean);
  return (
    <Card
      title={file.title}
      says={file.says}
      size={preview.error ? undefined : said.join(", ")}
      picture={
        file.drawn && (
          <Box flex="0 0 116px" height="132px" background="white" display="grid" placeItems="center" padding="4">
            {picture && (
              <img
                src={picture}
                alt={`${file.title}, drawn small`}
                style={{ maxWidth: "108px", maxHeight: "124px", width: "auto", height: "auto" }}
              />
            )}
          </Box>
        )
      }
    >
      {preview.error ? (
        <Says tone="wrong">{inWords(preview.error)}</Says>
      ) : (
        <FileWay href={fileAt(plan, file.name)} download>
          Fetch the file <Unseen>{file.title}</Unseen>
        </FileWay>
      )}
    </Card>
  );
}

/** "112 kB" */
const inSize = (bytes: number) =>
  bytes < 1_000_000 ? `${Math.max(1, Math.round(bytes / 1000))} kB` : `${(bytes / 1e6).toFixed(1)} MB`;
