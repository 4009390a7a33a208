import { useMe } from "../api/session";
import { Refused } from "../api/client";
import { LogIn } from "../features/login/LogIn";
import { Says } from "../ui/words";

export function Routes() {
  const me = useMe();
  if (me.isPending) return null;
  if (me.error instanceof Refused && me.error.status === 401) return <LogIn />;
  if (me.isError) return <Says tone="wrong">{me.error.message}</Says>;
  return <>{me.data.workshop}</>;
}
