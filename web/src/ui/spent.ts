/** A time as it is spoken: 2 h 15 min. */
export function spent(minutes: number): string {
  const [hours, rest] = [Math.floor(minutes / 60), minutes % 60];
  return [hours ? `${hours} h` : "", rest || !hours ? `${rest} min` : ""].filter(Boolean).join(" ");
}
