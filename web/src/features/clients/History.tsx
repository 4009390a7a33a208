import { Box, chakra } from "@chakra-ui/react";
import { type Sheet, usePoints } from "../../api/measuring";
import { show, spoken, type Unit } from "../../lengths/units";
import { day } from "../../ui/day";
import { Length } from "../../ui/length";
import { Reading } from "../../ui/reading";
import { line } from "./history";

/** Every point over all sheets: a small line, the last value, and what changed since the sheet before. */
export function History({ sheets, unit }: { sheets: Sheet[]; unit: Unit }) {
  const points = usePoints("full");
  const old = [...sheets].reverse();
  const taken = (points.data ?? []).flatMap((point) => {
    const values = old.flatMap((sheet) => {
      const reading = sheet.readings.find((one) => one.key === point.key);
      return reading?.mm != null ? [{ mm: reading.mm, on: sheet.taken_on, way: reading.way }] : [];
    });
    return values.length ? [{ point, values }] : [];
  });
  const cell = {
    paddingBlock: "4",
    paddingInline: "8",
    borderBottom: "1px solid {colors.hairline}",
    textAlign: "right",
  } as const;
  return (
    <Box overflowX="auto">
      <chakra.table fontSize="16px" width="100%" maxWidth="640px">
        <chakra.caption textAlign="left" fontSize="20px" fontWeight={600}>
          Measurements{" "}
          <chakra.span fontWeight="400" color="ink2" fontSize="16px">
            {sheets.length === 1 ? "1 sheet" : `${sheets.length} sheets`}, the last of{" "}
            {sheets[0] ? day(sheets[0].taken_on) : "no day"}
          </chakra.span>
        </chakra.caption>
        <tbody>
          {taken.map(({ point, values }) => {
            const last = values[values.length - 1]!;
            const before = values[values.length - 2];
            return (
              <tr key={point.key}>
                <chakra.th scope="row" {...cell} textAlign="left" fontWeight="400">
                  {point.name}
                </chakra.th>
                <chakra.td {...cell} width="96px" color="dye">
                  {values.length > 1 && (
                    <svg
                      width="88"
                      height="22"
                      viewBox="0 0 88 22"
                      role="img"
                      aria-label={`${point.name}, ${values.map(({ mm, on }) => `${day(on)}: ${spoken(show(mm, unit))}`).join("; ")}`}
                    >
                      <path
                        d={line(values.map((value) => value.mm))}
                        fill="none"
                        stroke="currentColor"
                        strokeWidth="1.75"
                      />
                    </svg>
                  )}
                </chakra.td>
                <chakra.td {...cell} fontWeight={600}>
                  <Reading mm={last.mm} way={last.way} unit={unit} />
                </chakra.td>
                <chakra.td {...cell} color="ink2">
                  {before && Math.abs(last.mm - before.mm) > 0.5 ? (
                    <>
                      {last.mm > before.mm ? "+ " : "− "}
                      <Length mm={Math.abs(last.mm - before.mm)} unit={unit} />
                    </>
                  ) : before ? (
                    "the same"
                  ) : (
                    ""
                  )}
                </chakra.td>
              </tr>
            );
          })}
        </tbody>
      </chakra.table>
      {taken.length === 0 && <p>Not measured yet.</p>}
    </Box>
  );
}
