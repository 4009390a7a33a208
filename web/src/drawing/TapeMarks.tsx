import { chakra } from "@chakra-ui/react";
import { type KeyboardEvent, type PointerEvent, useState } from "react";
import { show, spoken, type Unit } from "../lengths/units";

type TapeMarksProps = {
  /** Where the thumb is, in mm. */
  mm: number;
  unit: Unit;
  /** What the thumb is at the end of. */
  label: string;
  move: (mm: number) => void;
};

/** So many inches, or centimetres, of the tape are seen at once. */
const SEEN = { in: 4, cm: 10 };
const LONGEST = 3000;
/** So many mm are left at both ends, for the thumb. */
const BESIDE = 2.5;
/** The tape's width, as a share of what is seen of its length. */
const DEEP = 0.13;

/** A piece of the tape that one puts a thumb on: by touch, by dragging, or by the arrow keys mark by mark. */
export function TapeMarks({ mm, unit, label, move }: TapeMarksProps) {
  const [one, parts] = unit === "in" ? [25.4, 16] : [10, 10];
  const mark = one / parts;
  const wide = SEEN[unit] * one;
  const from = Math.max(0, Math.round((mm - wide / 2) / one) * one);
  // While a thumb is on it the tape does not run away under it.
  const [held, setHeld] = useState<number | null>(null);
  const start = held ?? from;
  const put = (to: number) => move(Math.min(LONGEST, Math.max(0, Math.round(to / mark) * mark)));
  const at = (event: PointerEvent<SVGSVGElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    put(start - BESIDE + ((event.clientX - box.left) / Math.max(1, box.width)) * (wide + 2 * BESIDE));
  };
  const press = (event: KeyboardEvent) => {
    const step = {
      ArrowRight: mark,
      ArrowLeft: -mark,
      ArrowUp: one,
      ArrowDown: -one,
      PageUp: 10 * one,
      PageDown: -10 * one,
    }[event.key];
    if (step === undefined) return;
    event.preventDefault();
    put(mm + (event.shiftKey && Math.abs(step) === mark ? Math.sign(step) * one : step));
  };
  const ticks = { thin: "", firm: "" };
  const labels: number[] = [];
  for (let n = Math.ceil(start / mark - 1e-6); n * mark <= start + wide + 1e-6; n++) {
    const x = n * mark - start;
    const whole = n % parts === 0;
    if (whole) labels.push(n / parts);
    const deep =
      unit === "in"
        ? whole ? 0.62 : n % 8 === 0 ? 0.46 : n % 4 === 0 ? 0.36 : n % 2 === 0 ? 0.26 : 0.16
        : whole ? 0.62 : n % 5 === 0 ? 0.4 : 0.22; // prettier-ignore
    ticks[whole ? "firm" : "thin"] += `M${x} 0V${deep * wide * DEEP}`;
  }
  const high = wide * DEEP;
  return (
    <chakra.svg
      viewBox={`${-BESIDE} ${-high * 0.5} ${wide + 2 * BESIDE} ${high * 1.9}`}
      width="100%"
      height="auto"
      role="slider"
      tabIndex={0}
      aria-label={label}
      aria-valuemin={0}
      aria-valuemax={LONGEST}
      aria-valuenow={Math.round(mm)}
      aria-valuetext={spoken(show(mm, unit))}
      cursor="pointer"
      touchAction="none"
      _focusVisible={{ outline: "2px solid {colors.dye}", outlineOffset: "2px" }}
      onKeyDown={press}
      onPointerDown={(event) => {
        setHeld(start);
        event.currentTarget.setPointerCapture?.(event.pointerId);
        at(event);
      }}
      onPointerMove={(event) => held !== null && at(event)}
      onPointerUp={() => setHeld(null)}
      onPointerCancel={() => setHeld(null)}
    >
      <rect x={0} y={0} width={wide} height={high} fill="#F2E2A6" stroke="#2A2410" strokeWidth={0.4} />
      <path d={ticks.thin} stroke="#2A2410" strokeWidth={0.28} fill="none" />
      <path d={ticks.firm} stroke="#2A2410" strokeWidth={0.5} fill="none" />
      {labels.map((n) => (
        <text
          key={n}
          x={Math.min(wide - 2, Math.max(2, n * one - start))}
          y={high * 0.92}
          fontSize={high * 0.32}
          fontWeight={600}
          fill="#2A2410"
          textAnchor="middle"
        >
          {n}
        </text>
      ))}
      <path
        d={`M${mm - start} ${high * 1.02}V${-high * 0.4}M${mm - start - high * 0.16} ${high * 1.32}L${mm - start} ${high * 1.02}L${mm - start + high * 0.16} ${high * 1.32}Z`}
        stroke="var(--chakra-colors-ink)"
        fill="#F0B22E"
        strokeWidth={0.7}
      />
    </chakra.svg>
  );
}
