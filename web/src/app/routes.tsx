import { lazy, Suspense } from "react";
import { BrowserRouter, Navigate, Route, Routes as Paths, useParams } from "react-router";
import { Refused } from "../api/client";
import { useMe } from "../api/session";
import { Bench } from "../features/bench/Bench";
import { LogIn } from "../features/login/LogIn";
import { Press } from "../ui/press";
import { Says } from "../ui/words";
import { Frame } from "./Frame";

const Job = lazy(() => import("./Job").then((m) => ({ default: m.Job })));
const NewOrder = lazy(() => import("../features/orders/NewOrder").then((m) => ({ default: m.NewOrder })));
const ClientCard = lazy(() => import("../features/clients/ClientCard").then((m) => ({ default: m.ClientCard })));
const Card = lazy(() => import("../features/measuring/Card").then((m) => ({ default: m.Card })));
const People = lazy(() => import("../features/people/People").then((m) => ({ default: m.People })));
const Seen = lazy(() => import("../features/people/Seen").then((m) => ({ default: m.Seen })));
const Join = lazy(() => import("../features/login/Join").then((m) => ({ default: m.Join })));
const Mine = lazy(() => import("../features/login/Mine").then((m) => ({ default: m.Mine })));
const CallCard = lazy(() => import("../features/marking/CallCard").then((m) => ({ default: m.CallCard })));
const Others = lazy(() => import("../features/others/Others").then((m) => ({ default: m.Others })));
const Methods = lazy(() => import("../features/methods/Methods").then((m) => ({ default: m.Methods })));
const Practice = lazy(() => import("../features/practice/Practice").then((m) => ({ default: m.Practice })));
const Learners = lazy(() => import("../features/practice/Learners").then((m) => ({ default: m.Learners })));
const Shelf = lazy(() => import("../features/shelf/Shelf").then((m) => ({ default: m.Shelf })));
const Clients = lazy(() => import("../features/clients/Clients").then((m) => ({ default: m.Clients })));

function ToMeasure() {
  const { id } = useParams();
  return <Navigate to={`/orders/${id}/measure`} replace />;
}

/** Which page an address means. Nobody gets past the door unknown. */
export function Routes() {
  return (
    <BrowserRouter>
      <Suspense fallback={null}>
        <Paths>
          <Route path="/join/:token" element={<Join />} />
          <Route path="*" element={<Inside />} />
        </Paths>
      </Suspense>
    </BrowserRouter>
  );
}

function Inside() {
  const me = useMe();
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
      <Route
        path="/"
        element={
          <Frame>
            <Bench />
          </Frame>
        }
      />
      <Route
        path="/new"
        element={
          <Frame>
            <NewOrder />
          </Frame>
        }
      />
      <Route
        path="/shelf"
        element={
          <Frame>
            <Shelf />
          </Frame>
        }
      />
      <Route
        path="/clients"
        element={
          <Frame>
            <Clients />
          </Frame>
        }
      />
      <Route
        path="/clients/:id"
        element={
          <Frame>
            <ClientCard />
          </Frame>
        }
      />
      <Route
        path="/methods"
        element={
          <Frame>
            <Methods />
          </Frame>
        }
      />
      <Route
        path="/practice"
        element={
          <Frame>
            <Practice />
          </Frame>
        }
      />
      <Route
        path="/people/learned"
        element={
          <Frame>
            <Learners />
          </Frame>
        }
      />
      <Route
        path="/people"
        element={
          <Frame>
            <People />
          </Frame>
        }
      />
      <Route
        path="/people/seen"
        element={
          <Frame>
            <Seen />
          </Frame>
        }
      />
      <Route
        path="/me"
        element={
          <Frame>
            <Mine />
          </Frame>
        }
      />
      <Route
        path="/orders/:id/others"
        element={
          <Frame>
            <Others />
          </Frame>
        }
      />
      <Route path="/orders/:id/card" element={<Card />} />
      <Route path="/orders/:id/calls" element={<CallCard />} />
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
