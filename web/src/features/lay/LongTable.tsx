import { Box } from "@chakra-ui/react";
import type { ReactNode } from "react";
import { Cloth, type Section } from "../../drawing/Cloth";
import { type Frame, pathOf } from "../../drawing/frame";
import type { Unit } from "../../lengths/units";
import { useSize } from "../../ui/size";

type Props = {
  section: Section;
  colour: string;
  unit: Unit;
  /** The length of a stripe or check, in mm; none is drawn at 0. */
  repeat: number;
  /** What is on the cloth; `px` is how many mm a px is. */
  children: (draw: Frame, line: string, px: number) => ReactNode;
};

/** How many px deep the cloth is drawn at least. */
const READ = 150;

/** The whole of a section lengthwise. One of many yards would be a thread: it is walked along instead. */
export function LongTable({ section, colour, unit, repeat, children }: Props) {
  const [ref, size] = useSize();
  const { depth_mm: depth, extent_mm: length } = section;
  const whole = Math.max((length * 1.02) / Math.max(100, size.width - 90), depth / Math.max(100, size.height - 90));
  const px = Math.min(whole, depth / READ);
  const width = Math.max(size.width, length / px + 90);
  const view = {
    x: length / 2 - (width * px) / 2 - 12 * px,
    y: depth / 2 - (size.height * px) / 2 - 12 * px,
    width: width * px,
    height: size.height * px,
  };
  return (
    <Box
      ref={ref}
      flex={{ md: "1" }}
      height={{ base: "300px", md: "auto" }}
      minHeight="0"
      overflowX="auto"
      overflowY="hidden"
      role="region"
      aria-label="The lay, from its cut end"
      tabIndex={0}
      css={{
        "& svg": { width: `${width}px`, height: "100%" },
        "& g[tabindex]:focus-visible": { outline: "3px solid {colors.marigold}" },
      }}
    >
      <Cloth section={section} colour={colour} unit={unit} view={view} px={px} label="The lay">
        {(draw, line) => (
          <>
            <Stripes section={section} repeat={repeat} draw={draw} line={line} px={px} />
            {children(draw, line, px)}
          </>
        )}
      </Cloth>
    </Box>
  );
}

type StripesProps = { section: Section; repeat: number; draw: Frame; line: string; px: number };

/** A line across the cloth at every repeat from its cut end. */
function Stripes({ section, repeat, draw, line, px }: StripesProps) {
  if (repeat < 4 * px || section.crosswise) return null;
  const { extent_mm: length, depth_mm: depth } = section;
  const at = Array.from({ length: Math.floor(length / repeat) }, (_, k) => (k + 1) * repeat);
  const ends = (x: number): [number, number][] => [
    [x, 0],
    [x, depth],
  ];
  const across = (x: number) => pathOf(ends(x), draw.at);
  return (
    <g stroke={line} strokeOpacity="0.35" strokeWidth={px}>
      {at.map((x) => (
        <path key={x} d={across(x)} />
      ))}
    </g>
  );
}
