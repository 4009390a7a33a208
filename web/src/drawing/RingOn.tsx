type RingOnProps = { at: readonly [number, number]; px: number; r?: number; heavy?: number };

/** The ring round the current mark: pencil, marigold, chalk, so that it is seen on any cloth. `r` is in px. */
export function RingOn({ at: [x, y], px, r = 12, heavy = 1 }: RingOnProps) {
  const cross = `M${x - 5 * px} ${y}H${x + 5 * px}M${x} ${y - 5 * px}V${y + 5 * px}`;
  return (
    <g fill="none">
      <circle cx={x} cy={y} r={r * px} stroke="#141830" strokeWidth={8 * heavy * px} />
      <circle cx={x} cy={y} r={r * px} stroke="#F0B22E" strokeWidth={5 * heavy * px} />
      <circle cx={x} cy={y} r={(r + 4.5 * heavy) * px} stroke="#FBF8EF" strokeWidth={1.5 * px} />
      <path d={cross} stroke="#FBF8EF" strokeWidth={4 * px} />
      <path d={cross} stroke="#141830" strokeWidth={1.8 * px} />
    </g>
  );
}
