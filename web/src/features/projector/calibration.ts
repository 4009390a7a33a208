/** How a projector throws: where the corners of a square of 10 in, as it is to be on the cloth, are on its screen. */
import { useState } from "react";
import { homography, type Homography, type XY } from "../../geometry/homography";

/** The side of the square, mm. */
export const SIDE = 254;
export type Corners = readonly [XY, XY, XY, XY];
export const SQUARE: readonly XY[] = [
  [0, 0],
  [SIDE, 0],
  [SIDE, SIDE],
  [0, SIDE],
];
const KEPT = "projector:";
const LAST = "last-projector";
/** How wide the words of the calibration are, px: the marks begin beside them. */
export const WORDS = 430;

/** Before anything is known: a square in the middle of the screen, or beside so many px at its left where they fit. */
export function begun(width: number, height: number, beside = 0): Corners {
  const half = Math.min(width, height) / 4;
  const [x, y] = [Math.max(width / 2, Math.min(width - half - 40, beside + half + 40)), height / 2];
  return [
    [x - half, y - half],
    [x + half, y - half],
    [x + half, y + half],
    [x - half, y + half],
  ];
}

/**
 * A corner moved. The first two are the marks that are 10 in apart: the other two go with them, so that the shape stays.
 * Those by themselves take out what a projector that hangs askew does to the shape.
 */
export function movedTo(corners: Corners, which: number, to: XY): Corners {
  if (which > 1) return corners.map((corner, k) => (k === which ? to : corner)) as unknown as Corners;
  const [a, b] = corners;
  const [c, d] = which === 0 ? [to, b] : [a, to];
  const was = [b[0] - a[0], b[1] - a[1]] as const;
  const now = [d[0] - c[0], d[1] - c[1]] as const;
  const size = was[0] ** 2 + was[1] ** 2;
  if (size < 1 || now[0] ** 2 + now[1] ** 2 < 1) return corners;
  // Turned and stretched by one complex number.
  const [re, im] = [(now[0] * was[0] + now[1] * was[1]) / size, (now[1] * was[0] - now[0] * was[1]) / size];
  const along = ([x, y]: XY): XY => [
    c[0] + re * (x - a[0]) - im * (y - a[1]),
    c[1] + im * (x - a[0]) + re * (y - a[1]),
  ];
  return [c, d, along(corners[2]), along(corners[3])];
}

/** From mm on the cloth to px of the screen; null where the corners make no square that could be seen. */
export function throwOf(corners: Corners): Homography | null {
  const turns = corners.map((at, k) => {
    const [next, after] = [corners[(k + 1) % 4]!, corners[(k + 2) % 4]!];
    return (next[0] - at[0]) * (after[1] - next[1]) - (next[1] - at[1]) * (after[0] - next[0]);
  });
  return turns.every((turn) => turn > 1) ? homography(SQUARE, corners) : null;
}

/** The projectors that were calibrated in this browser. */
export const known = (): string[] =>
  Object.keys(localStorage)
    .filter((key) => key.startsWith(KEPT))
    .map((key) => key.slice(KEPT.length))
    .sort();

export const keep = (name: string, corners: Corners) => localStorage.setItem(KEPT + name, JSON.stringify(corners));

/** As a projector was calibrated; null where it was not, or what is kept makes no sense. */
export function kept(name: string): Corners | null {
  try {
    const corners = JSON.parse(localStorage.getItem(KEPT + name) ?? "null") as Corners | null;
    const sound = corners?.length === 4 && corners.flat().every((value) => Number.isFinite(value));
    return sound && throwOf(corners) ? corners : null;
  } catch {
    return null;
  }
}

/** The calibration in use: of the projector that was used last, or one to begin with. */
export function useCalibration(width: number, height: number) {
  const [name, setName] = useState(() => localStorage.getItem(LAST) ?? known()[0] ?? "Over the table");
  const [corners, move] = useState<Corners>(() => kept(name) ?? begun(width, height, WORDS));
  return {
    name,
    corners,
    move,
    known: kept(name) !== null,
    thrown: throwOf(corners)!,
    choose: (next: string) => {
      setName(next);
      move(kept(next.trim()) ?? corners);
    },
    keep: () => {
      keep(name.trim(), corners);
      localStorage.setItem(LAST, name.trim());
    },
  };
}
