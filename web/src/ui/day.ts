/** A day in words: 23 November 2026. */
export function day(iso: string): string {
  return new Date(`${iso}T12:00:00`).toLocaleDateString("en-GB", { day: "numeric", month: "long", year: "numeric" });
}

let timeZone: string | undefined;

/** Writes a day as 2026-11-23. One for all: it takes longer to make than a hundred days to write. */
let isoDay = isoDayIn(timeZone);

function isoDayIn(timeZone: string | undefined) {
  return new Intl.DateTimeFormat("en-CA", { year: "numeric", month: "2-digit", day: "2-digit", timeZone });
}

/** The workshop's time zone; where it has none, days and hours are this device's. */
export function inZone(name: string | undefined) {
  if (timeZone === (name || undefined)) return;
  timeZone = name || undefined;
  isoDay = isoDayIn(timeZone);
}

/** A moment in words, by the workshop's clock: 23 Nov, 10:41. */
export function moment(iso: string): string {
  const at = new Date(iso);
  const hour = at.toLocaleTimeString("en-GB", { hour: "2-digit", minute: "2-digit", timeZone });
  return `${at.toLocaleDateString("en-GB", { day: "numeric", month: "short", timeZone })}, ${hour}`;
}

/** The day it is in the workshop, so many days from now: 2026-11-23. */
export function today(later = 0, now = new Date()): string {
  const [year, month, day] = isoDay.format(now).split("-").map(Number);
  const at = new Date(year!, month! - 1, day! + later);
  const two = (n: number) => String(n).padStart(2, "0");
  return `${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())}`;
}

/** How many days it is to a day, whatever the hour: 0 today, less when it is past. */
export function daysTo(iso: string, now = new Date()): number {
  const noon = (one: string) => new Date(`${one}T12:00:00`).getTime();
  return Math.round((noon(iso) - noon(today(0, now))) / 86_400_000);
}

/** A promised day as one says it. */
export function until(days: number): string {
  if (days < 0) return days === -1 ? "a day late" : `${-days} days late`;
  return days === 0 ? "today" : days === 1 ? "tomorrow" : `in ${days} days`;
}

/** A month in words, by its first day: November 2026. */
export function monthOf(first: string): string {
  return new Date(`${first}T12:00:00`).toLocaleDateString("en-GB", { month: "long", year: "numeric" });
}
