import { Box, chakra } from "@chakra-ui/react";
import { type KeyboardEvent, type PointerEvent, useRef, useState } from "react";
import type { XY } from "../../geometry/homography";
import { field } from "../../ui/field";
import { Press } from "../../ui/press";
import { Taped } from "../../ui/taped";
import { type Corners, known, movedTo, throwOf, WORDS } from "./calibration";

const NAMES = ["first mark", "second mark", "third corner", "fourth corner"];
const STEPS: Record<string, XY> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };

type CalibrateProps = {
  corners: Corners;
  name: string;
  move: (corners: Corners) => void;
  choose: (name: string) => void;
  done: () => void;
};

/** Two marks are moved until they are 10 in apart on the cloth, then the corners until the square is one. */
export function Calibrate({ corners, name, move, choose, done }: CalibrateProps) {
  const held = useRef<number | null>(null);
  const [wrong, setWrong] = useState("");
  const take = (which: number, to: XY) => {
    const next = movedTo(corners, which, to);
    if (throwOf(next)) {
      setWrong("");
      move(next);
    } else setWrong("So the square would fold over itself: move this corner further out.");
  };
  const drag = (event: PointerEvent) => held.current !== null && take(held.current, [event.clientX, event.clientY]);
  const step = (event: KeyboardEvent, which: number) => {
    const by = STEPS[event.key];
    if (!by) return;
    event.preventDefault();
    event.stopPropagation();
    const far = event.shiftKey ? 10 : 1;
    const [x, y] = corners[which]!;
    take(which, [x + far * by[0], y + far * by[1]]);
  };
  const names = [...new Set([...known(), name])];
  return (
    <>
      <chakra.svg position="fixed" inset="0" width="100%" height="100%" color="#FBF8EF">
        <polygon points={corners.map((one) => one.join(",")).join(" ")} fill="none" stroke="#FBF8EF" strokeWidth="2" />
        <path d={`M${corners[0].join(",")}L${corners[1].join(",")}`} stroke="#F0B22E" strokeWidth="4" />
        {corners.map(([x, y], k) => (
          <chakra.g
            key={k}
            tabIndex={0}
            role="button"
            aria-label={`${NAMES[k]}, ${Math.round(x)} across, ${Math.round(y)} down`}
            cursor="grab"
            style={{ touchAction: "none" }}
            onKeyDown={(event: KeyboardEvent) => step(event, k)}
            onPointerDown={(event: PointerEvent<SVGGElement>) => {
              event.currentTarget.setPointerCapture(event.pointerId);
              held.current = k;
            }}
            onPointerMove={drag}
            onPointerUp={() => (held.current = null)}
            onPointerCancel={() => (held.current = null)}
          >
            <circle cx={x} cy={y} r="22" fill="#000" fillOpacity="0.6" stroke={k < 2 ? "#F0B22E" : "#FBF8EF"} />
            <path d={`M${x - 14},${y}h28M${x},${y - 14}v28`} stroke={k < 2 ? "#F0B22E" : "#FBF8EF"} strokeWidth="1.5" />
          </chakra.g>
        ))}
      </chakra.svg>
      <Box
        position="fixed"
        left="16px"
        top="16px"
        maxWidth={`min(${WORDS}px, calc(100vw - 32px))`}
        maxHeight="calc(100dvh - 32px)"
        overflowY="auto"
        background="sheet"
        color="ink"
        padding="16"
        borderRadius="cut"
        display="grid"
        gap="8"
      >
        <chakra.h1 fontSize="20px" fontWeight={600}>
          Calibrate the projector
        </chakra.h1>
        <p>
          1. Move the two marigold marks until they are <Taped>10 in</Taped> (25.4 cm) apart on the cloth: drag them, or
          use the arrow keys.
        </p>
        <p>
          2. Then the other two corners, until each side is as long and both diagonals are alike:{" "}
          <Taped>14 1/8 in</Taped> (35.9 cm).
        </p>
        <chakra.label fontWeight={600}>
          Kept for the projector
          <chakra.input
            {...field}
            list="projectors"
            value={name}
            maxLength={40}
            onChange={(event) => choose(event.target.value)}
          />
          <datalist id="projectors">
            {names.map((one) => (
              <option key={one} value={one} />
            ))}
          </datalist>
        </chakra.label>
        {wrong && (
          <chakra.p role="alert" color="madder">
            {wrong}
          </chakra.p>
        )}
        <Press kind="main" disabled={!name.trim()} onClick={done}>
          It is right: keep it
        </Press>
      </Box>
    </>
  );
}
