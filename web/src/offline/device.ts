/**
 * Whether this device was told to keep opened orders, and for whom: only then anything is kept here, and only for the
 * person who is logged in.
 */

const FOR = "kept-for";
const USED = "kept-used";
const MINUTE = 60 * 1000;
const WEEK = 7 * 24 * 3600 * 1000;
const told = (who: string) => `keeps:${who}`;

/** The person whose opened orders are kept here; null where nothing is. */
export const keptFor = (): string | null => localStorage.getItem(FOR);

/** Whether this person told the device to keep. */
export const keeps = (who: string): boolean => localStorage.getItem(told(who)) !== null;

/** Somebody touches the page: what is kept is in use. */
export function used(now: number): void {
  if (keptFor() !== null && now - Number(localStorage.getItem(USED)) > MINUTE) localStorage.setItem(USED, String(now));
}

/** Somebody is here. True where what is kept is somebody else's, and has to go. */
export function entered(who: string): boolean {
  const other = keptFor() !== null && keptFor() !== who;
  if (keeps(who)) localStorage.setItem(FOR, who);
  else localStorage.removeItem(FOR);
  localStorage.setItem(USED, String(Date.now()));
  return other;
}

/** Nobody is here any more; whom the device was told to keep for is remembered for the next time. */
export function left(): void {
  localStorage.removeItem(FOR);
  localStorage.removeItem(USED);
}

/** Tell the device to keep for somebody, or to keep no longer. */
export function tell(who: string, keep: boolean): void {
  if (keep) localStorage.setItem(told(who), "yes");
  else localStorage.removeItem(told(who));
  entered(who);
}

/** Whether it is over a week that anybody used what is kept. */
export function isForgotten(now: number): boolean {
  const used = Number(localStorage.getItem(USED));
  return used > 0 && now - used > WEEK;
}

/** The pages themselves, which hold nothing of anybody's, are kept beside: then they open without the line. */
export async function keepPages(keep: boolean): Promise<void> {
  const worker = (navigator as { serviceWorker?: ServiceWorkerContainer }).serviceWorker;
  if (!worker) return;
  if (keep) {
    await worker.register("/sw.js");
    return;
  }
  for (const one of await worker.getRegistrations()) await one.unregister();
  for (const name of await caches.keys()) await caches.delete(name);
}
