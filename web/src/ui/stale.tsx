import { Press } from "./press";
import { Says } from "./words";

/** Somebody else was quicker: both values, and the choice between them. */
export function StaleEdit<Row extends object>(props: {
  stale: { mine: Row; theirs: Row } | null;
  settle: (mine: boolean) => Promise<unknown>;
}) {
  const { stale } = props;
  const settle = (mine: boolean) => void props.settle(mine).catch(() => undefined); // the writer's error says it
  if (!stale) return null;
  const differs = (Object.keys(stale.mine) as (keyof Row)[]).filter(
    (key) => key !== "version" && JSON.stringify(stale.mine[key]) !== JSON.stringify(stale.theirs[key]),
  );
  const text = (value: unknown) =>
    typeof value === "object" ? JSON.stringify(value).replace(/[{}"]/g, " ") : String(value);
  return (
    <Says tone="wrong">
      Somebody else changed this meanwhile.
      {differs.map((key) => (
        <span key={String(key)}>
          {" "}
          {String(key)}: yours {text(stale.mine[key])}, theirs {text(stale.theirs[key])}.
        </span>
      ))}{" "}
      <Press onClick={() => settle(true)}>Keep mine</Press> <Press onClick={() => settle(false)}>Take theirs</Press>
    </Says>
  );
}
