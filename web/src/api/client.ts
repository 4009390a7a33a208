/** Talking to the server: typed by the API's own description, every refusal as words. */
import createClient from "openapi-fetch";
import { lineIs } from "../offline/line";
import type { paths } from "./schema.gen";

export type Problem = { where: string; code: string; what: string; mend: string; station?: string };

/** A request that was refused or never arrived. `status` is 0 where the line was lost. */
export class Refused extends Error {
  constructor(
    readonly status: number,
    title: string,
    readonly problems: Problem[] = [],
    readonly theirs: unknown = undefined,
    readonly code = "",
  ) {
    super(title);
  }
}

/** A refusal in full: every problem and its cure, or what the server said. */
export function inWords(error: Error): string {
  const problems = error instanceof Refused ? error.problems : [];
  return problems.length ? problems.map((one) => `${one.what}. ${one.mend}`).join(" ") : error.message;
}

function cookie(name: string): string {
  return (
    document.cookie
      .split("; ")
      .find((part) => part.startsWith(`${name}=`))
      ?.slice(name.length + 1) ?? ""
  );
}

const UNIT = "Plavet-Unit";
let unit = "";

/** The pages read lengths without a unit in this one: the server takes nothing where it has another by now. */
export const readsIn = (now: string) => void (unit = now);

export const server = createClient<paths>({
  baseUrl: "/",
  fetch: (request) => {
    request.headers.set("X-CSRFToken", cookie("csrftoken"));
    if (!request.headers.has(UNIT)) request.headers.set(UNIT, unit);
    return globalThis.fetch(request);
  },
});

type Put = (path: string, sent: { body: unknown; headers: Record<string, string> }) => Promise<Answer<unknown>>;

/** Write to an address that was written down earlier; what is in it needs no unit of the page. */
export const put = (path: string, body: unknown): Promise<unknown> =>
  answered((server.PUT as unknown as Put)(path, { body, headers: { [UNIT]: "" } }));

/** A proxy that stands before the server answers so where it is gone. */
const GONE = [502, 503, 504];

const LOST = "The line to the workshop's server is lost. What you typed is kept here.";

type Answer<T> = { data?: T; error?: unknown; response: Response };

/** The body of an answer, or a Refused. */
export async function answered<T>(answer: Promise<Answer<T>>): Promise<T> {
  let got: Answer<T>;
  try {
    got = await answer;
  } catch {
    lineIs(false);
    throw new Refused(0, LOST);
  }
  const body = (got.error ?? {}) as { title?: string; problems?: Problem[]; theirs?: unknown; code?: string };
  const gone = GONE.includes(got.response.status) && !body.title;
  lineIs(!gone);
  if (got.response.ok) return got.data as T;
  if (gone) throw new Refused(0, LOST);
  throw new Refused(
    got.response.status,
    body.title ?? "The server did not answer in words.",
    body.problems,
    body.theirs,
    body.code,
  );
}
