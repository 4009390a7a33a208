import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { inWords } from "../../api/client";
import { useChangePhotos, usePhotos } from "../../api/fitting";
import { announce } from "../../ui/announce";
import { day, today } from "../../ui/day";
import { Label } from "../../ui/field";
import { Press } from "../../ui/press";
import { Says } from "../../ui/words";
import { smaller } from "./smaller";

/** What was photographed at the fittings of an order: its pixels alone are kept, in the workshop, until they are removed. */
export function Photos({ order, may }: { order: string; may: boolean }) {
  const rows = usePhotos(order).data ?? [];
  const { keep, drop } = useChangePhotos(order);
  const [says, setSays] = useState("");
  const wrong = keep.error ?? drop.error;
  const take = async (file: File) => {
    setSays("");
    try {
      const picture = await smaller(file);
      keep.mutate({ picture, taken_on: today() }, { onSuccess: () => announce("Photo kept") });
    } catch {
      setSays("This file is no picture that can be read. Choose a JPEG, PNG or WebP.");
    }
  };
  if (!may && rows.length === 0) return null;
  return (
    <Box as="section" aria-label="Photos" display="grid" gap="8">
      <chakra.h2 fontSize="20px" fontWeight={600}>
        Photos
      </chakra.h2>
      {may && (
        <Box maxWidth="420px">
          <Label text="Add one (never needed; without place, hour and device)">
            <chakra.input
              type="file"
              minHeight="touch"
              paddingBlock="8"
              width="100%"
              fontWeight="400"
              accept="image/jpeg,image/png,image/webp"
              disabled={keep.isPending}
              onChange={(event) => {
                const [file] = event.target.files ?? [];
                if (file) void take(file);
                event.target.value = "";
              }}
            />
          </Label>
        </Box>
      )}
      {says && <Says tone="wrong">{says}</Says>}
      {wrong && <Says tone="wrong">{inWords(wrong)}</Says>}
      <chakra.ul listStyleType="none" display="flex" flexWrap="wrap" gap="12">
        {rows.map((row, k) => {
          const name = `Photo ${k + 1}, ${day(row.taken_on)}`;
          return (
            <chakra.li key={row.id} display="grid" gap="4" justifyItems="start">
              <a href={`/api/photos/${row.id}/picture`} target="_blank" rel="noreferrer">
                <chakra.img
                  src={`/api/photos/${row.id}/picture`}
                  alt={name}
                  loading="lazy"
                  height="200px"
                  width="150px"
                  objectFit="cover"
                  border="1px solid {colors.hairline}"
                />
              </a>
              <chakra.span color="ink2" fontSize="16px">
                {day(row.taken_on)}
                {row.by && `, ${row.by}`}
              </chakra.span>
              {may && (
                <Press
                  kind="quiet"
                  aria-label={`Remove for good: ${name}`}
                  disabled={drop.isPending}
                  onClick={() => drop.mutate(row.id, { onSuccess: () => announce("Removed") })}
                >
                  Remove for good
                </Press>
              )}
            </chakra.li>
          );
        })}
      </chakra.ul>
    </Box>
  );
}
