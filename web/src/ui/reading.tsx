import type { Unit } from "../lengths/units";
import { Length } from "./length";

/** What was read off the tape; what was not taken on the body is marked as about. */
export function Reading({ mm, way, unit }: { mm: number; way: string; unit: Unit }) {
  return (
    <>
      {way !== "tape" && "≈ "}
      <Length mm={mm} unit={unit} />
    </>
  );
}
