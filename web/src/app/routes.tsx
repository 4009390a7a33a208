import { type ComponentType, lazy, type ReactNode, Suspense } from "react";
import { BrowserRouter, Navigate, Route, Routes as Paths, useParams } from "react-router";
import { Refused } from "../api/client";
import { useMe } from "../api/session";
import { Bench } from "../features/bench/Bench";
import { LogIn } from "../features/login/LogIn";
import { usePaper } from "../ui/paper";
import { Press } from "../ui/press";
import { useTitle } from "../ui/title";
import { Says } from "../ui/words";
import { Frame } from "./Frame";

const Job = lazy(() => import("./Job").then((m) => ({ default: m.Job })));
const NewOrder = lazy(() => import("../features/orders/NewOrder").then((m) => ({ default: m.NewOrder })));
const ClientCard = lazy(() => import("../features/clients/ClientCard").then((m) => ({ default: m.ClientCard })));
const Card = lazy(() => import("../features/measuring/Card").then((m) => ({ default: m.Card })));
const People = lazy(() => import("../features/people/People").then((m) => ({ default: m.People })));
const Seen = lazy(() => import("../features/people/Seen").then((m) => ({ default: m.Seen })));
const LookedAt = lazy(() => import("../features/marking/LookedAt").then((m) => ({ default: m.LookedAt })));
const Join = lazy(() => import("../features/login/Join").then((m) => ({ default: m.Join })));
const Settings = lazy(() => import("../features/settings/Settings").then((m) => ({ default: m.Settings })));
const CallCard = lazy(() => import("../features/marking/CallCard").then((m) => ({ default: m.CallCard })));
const Others = lazy(() => import("../features/others/Others").then((m) => ({ default: m.Others })));
const Outside = lazy(() => import("../features/outside/Outside").then((m) => ({ default: m.Outside })));
const Files = lazy(() => import("../features/files/Files").then((m) => ({ default: m.Files })));
const Projector = lazy(() => import("../features/projector/Projector").then((m) => ({ default: m.Projector })));
const Methods = lazy(() => import("../features/methods/Methods").then((m) => ({ default: m.Methods })));
const Practice = lazy(() => import("../features/practice/Practice").then((m) => ({ default: m.Practice })));
const Learners = lazy(() => import("../features/practice/Learners").then((m) => ({ default: m.Learners })));
const Shelf = lazy(() => import("../features/shelf/Shelf").then((m) => ({ default: m.Shelf })));
const Clients = lazy(() => import("../features/clients/Clients").then((m) => ({ default: m.Clients })));

function ToMeasure() {
  const { id } = useParams();
  return <Navigate to={`/orders/${id}/measure`} replace />;
}

/** The pages in the frame, by their addresses, with what their tab is called. */
const ROOMS: [string, string, ComponentType][] = [
  ["/", "Bench", Bench],
  ["/new", "A new order", NewOrder],
  ["/shelf", "Shelf", Shelf],
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
  ["/patterns", "A pattern from outside", Outside],
];

function Room({ title, page }: { title: string; page: ReactNode }) {
  useTitle(title);
  return <Frame>{page}</Frame>;
}

/** Which page an address means. Nobody gets past the door unknown. */
export function Routes() {
  return (
    <BrowserRouter>
      <Suspense fallback={null}>
        <Paths>
          <Route path="/join/:token" element={<Join />} />
          <Route path="/look" element={<LookedAt />} />
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
  return (
    <Paths>
      {ROOMS.map(([path, title, Page]) => (
        <Route key={path} path={path} element={<Room title={title} page={<Page />} />} />
      ))}
      <Route path="/orders/:id/card" element={<Card />} />
      <Route path="/orders/:id/calls" element={<CallCard />} />
      <Route path="/orders/:id/projector" element={<Projector />} />
      <Route path="/orders/:id" element={<ToMeasure />} />
      <Route
        path="/orders/:id/:station"
        element={
          <Frame job>
            <Job />
          </Frame>
        }
      />
      <Route path="*" element={<Navigate to="/" replace />} />
    </Paths>
  );
}
