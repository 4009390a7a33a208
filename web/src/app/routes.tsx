import { type ComponentType, type ReactNode, Suspense } from "react";
import type { QueryClient } from "@tanstack/react-query";
import { BrowserRouter, matchPath, Navigate, Route, Routes as Paths, useParams } from "react-router";
import { Refused } from "../api/client";
import { ME, useMe } from "../api/session";
import { Bench } from "../features/bench/Bench";
import { LogIn } from "../features/login/LogIn";
import { Later } from "../ui/later";
import { usePaper } from "../ui/paper";
import { Press } from "../ui/press";
import { useTitle } from "../ui/title";
import { Says } from "../ui/words";
import { type Early, early } from "./early";
import { Frame } from "./Frame";

const Job = early(() => import("./Job").then((m) => m.Job));
const NewOrder = early(() => import("../features/orders/NewOrder").then((m) => m.NewOrder));
const ClientCard = early(() => import("../features/clients/ClientCard").then((m) => m.ClientCard));
const Card = early(() => import("../features/measuring/Card").then((m) => m.Card));
const People = early(() => import("../features/people/People").then((m) => m.People));
const Seen = early(() => import("../features/people/Seen").then((m) => m.Seen));
const LookedAt = early(() => import("../features/marking/LookedAt").then((m) => m.LookedAt));
const Join = early(() => import("../features/login/Join").then((m) => m.Join));
const Settings = early(() => import("../features/settings/Settings").then((m) => m.Settings));
const StepAsked = early(() => import("../features/settings/StepAsked").then((m) => m.StepAsked));
const CallCard = early(() => import("../features/marking/CallCard").then((m) => m.CallCard));
const Others = early(() => import("../features/others/Others").then((m) => m.Others));
const Outside = early(() => import("../features/outside/Outside").then((m) => m.Outside));
const Files = early(() => import("../features/files/Files").then((m) => m.Files));
const Projector = early(() => import("../features/projector/Projector").then((m) => m.Projector));
const Methods = early(() => import("../features/methods/Methods").then((m) => m.Methods));
const Practice = early(() => import("../features/practice/Practice").then((m) => m.Practice));
const Learners = early(() => import("../features/practice/Learners").then((m) => m.Learners));
const Shelf = early(() => import("../features/shelf/Shelf").then((m) => m.Shelf));
const Shopping = early(() => import("../features/shelf/Shopping").then((m) => m.Shopping));
const Week = early(() => import("../features/week/Week").then((m) => m.Week));
const Hours = early(() => import("../features/week/Hours").then((m) => m.Hours));
const Reminders = early(() => import("../features/reminders/Reminders").then((m) => m.Reminders));
const Money = early(() => import("../features/money/Money").then((m) => m.Money));
const OrderMoney = early(() => import("../features/money/OrderMoney").then((m) => m.OrderMoney));
const QuickPrice = early(() => import("../features/money/QuickPrice").then((m) => m.QuickPrice));
const PriceList = early(() => import("../features/money/PriceList").then((m) => m.PriceList));
const Clients = early(() => import("../features/clients/Clients").then((m) => m.Clients));

function ToMeasure() {
  const { id } = useParams();
  return <Navigate to={`/orders/${id}/measure`} replace />;
}

/** The pages in the frame, by their addresses, with what their tab is called. */
const ROOMS: [string, string, ComponentType][] = [
  ["/", "Bench", Bench],
  ["/new", "A new order", NewOrder],
  ["/shelf", "Shelf", Shelf],
  ["/shelf/buy", "What to buy", Shopping],
  ["/week", "Week", Week],
  ["/week/hours", "Hours", Hours],
  ["/money", "Money", Money],
  ["/reminders", "Reminders", Reminders],
  ["/money/quick", "A quick price", QuickPrice],
  ["/money/prices", "Prices", PriceList],
  ["/orders/:id/money", "Money", OrderMoney],
  ["/clients", "Clients", Clients],
  ["/clients/:id", "A client", ClientCard],
  ["/methods", "Methods", Methods],
  ["/practice", "Practise", Practice],
  ["/people", "People", People],
  ["/people/learned", "What is learned", Learners],
  ["/people/seen", "Who saw what", Seen],
  ["/settings", "Settings", Settings],
  ["/orders/:id/others", "The same for others", Others],
  ["/orders/:id/files", "Files", Files],
  ["/patterns", "House patterns", Outside],
];

/** Pages with a frame of their own, and those that need no account. */
const OWN_FRAME: [string, Early<object>][] = [
  ["/orders/:id/card", Card],
  ["/orders/:id/calls", CallCard],
  ["/orders/:id/projector", Projector],
];
const OUTSIDE_THE_DOOR: [string, Early<object>][] = [
  ["/join/:token", Join],
  ["/look", LookedAt],
];

/** What the page at an address needs is asked for before anything is drawn: its script, and who is here. */
export function begin(path: string, memory: QueryClient) {
  const out = OUTSIDE_THE_DOOR.find(([pattern]) => matchPath(pattern, path));
  if (!out) void memory.prefetchQuery(ME);
  const [, Page] =
    out ??
    ROOMS.map(([pattern, , Room]) => [pattern, Room] as const).find(([pattern]) => matchPath(pattern, path)) ??
    [...OWN_FRAME, ["/orders/:id/:station", Job] as const].find(([pattern]) => matchPath(pattern, path)) ??
    [];
  if (Page && "begin" in Page) Page.begin();
}

function Room({ title, page }: { title: string; page: ReactNode }) {
  useTitle(title);
  return (
    <Frame>
      <Later>{page}</Later>
    </Frame>
  );
}

/** Which page an address means. Nobody gets past the door unknown. */
export function Routes() {
  return (
    <BrowserRouter>
      <Suspense fallback={null}>
        <Paths>
          {OUTSIDE_THE_DOOR.map(([path, Page]) => (
            <Route key={path} path={path} element={<Page />} />
          ))}
          <Route path="*" element={<Inside />} />
        </Paths>
      </Suspense>
    </BrowserRouter>
  );
}

function Inside() {
  const me = useMe();
  usePaper();
  if (me.isPending) return null;
  if (me.error instanceof Refused && me.error.status === 401) return <LogIn />;
  if (me.isError) {
    return (
      <Says tone="wrong">
        {me.error.message} <Press onClick={() => void me.refetch()}>Try again</Press>
      </Says>
    );
  }
  if (me.data.step_asked) return <StepAsked workshop={me.data.workshop} />;
  return (
    <Paths>
      {ROOMS.map(([path, title, Page]) => (
        <Route key={path} path={path} element={<Room title={title} page={<Page />} />} />
      ))}
      {OWN_FRAME.map(([path, Page]) => (
        <Route key={path} path={path} element={<Page />} />
      ))}
      <Route path="/orders/:id" element={<ToMeasure />} />
      <Route
        path="/orders/:id/:station"
        element={
          <Frame job>
            <Later>
              <Job />
            </Later>
          </Frame>
        }
      />
      <Route path="*" element={<Navigate to="/" replace />} />
    </Paths>
  );
}
