/** The stroke that is chalked now, through points that are there: pencil, marigold, chalk. */
export function StrokeOn({ d, px }: { d: string; px: number }) {
  return (
    <g fill="none" strokeLinejoin="round" strokeLinecap="round" data-stroke>
      <path d={d} stroke="#141830" strokeWidth={9 * px} />
      <path d={d} stroke="#F0B22E" strokeWidth={6 * px} />
      <path d={d} stroke="#FBF8EF" strokeWidth={1.5 * px} />
    </g>
  );
}
