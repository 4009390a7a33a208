import type { Outline } from "../api/design";
import { boxOf, pathOf } from "./frame";

/** A garment as it hangs: half of it from the centre line, and its mirror image. */
export function Silhouette({ half, tall = 84 }: { half: Outline; tall?: number }) {
  const left = half.map(([x = 0, y = 0]) => [x, y] as [number, number]);
  const right = left.map(([x, y]) => [-x, y] as [number, number]);
  const [, y, , height] = boxOf(left);
  const reach = Math.max(...left.map(([x]) => Math.abs(x)));
  const whole = Math.max(height, 900);
  return (
    <svg
      height={tall}
      width={tall * 0.9}
      viewBox={`${-Math.max(reach, whole * 0.45)} ${y - 20} ${2 * Math.max(reach, whole * 0.45)} ${whole + 40}`}
      aria-hidden="true"
      fill="currentColor"
      fillOpacity="0.14"
      stroke="currentColor"
      strokeWidth="22"
      strokeLinejoin="round"
    >
      {[left, right].map((side, k) => (
        <path key={k} d={pathOf(side, ([a = 0, b = 0]) => [a, b], true)} />
      ))}
    </svg>
  );
}
