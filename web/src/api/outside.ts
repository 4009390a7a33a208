/** A pattern that another program drew: looked into, and made into files. Nothing of it is kept. */
import { useMutation } from "@tanstack/react-query";
import { answered, server } from "./client";
import type { components } from "./schema.gen";

type Schemas = components["schemas"];
export type HousePattern = Schemas["HousePatternOut"];
export type DrawnUnit = Schemas["PatternFileIn"]["unit"];

/** What is in a file; refused where it cannot be read, or its unit is not known. */
export const useLookIntoPattern = () =>
  useMutation({
    // The client widens fixed pairs such as [x, y] to lists; the description has them as pairs.
    mutationFn: async (body: { text: string; unit: DrawnUnit }) =>
      (await answered(server.POST("/api/patterns", { body }))) as unknown as HousePattern,
  });

/** One of the files, handed to the browser to be kept. */
export const useOutsideFile = () =>
  useMutation({
    mutationFn: async (body: { text: string; unit: DrawnUnit; name: string; title: string }) => {
      const made = (await answered(
        server.POST("/api/patterns/file", { body, parseAs: "blob" }) as Promise<{
          data?: Blob;
          error?: unknown;
          response: Response;
        }>,
      )) as Blob;
      const link = document.createElement("a");
      link.href = URL.createObjectURL(made);
      link.download = `${body.title.replace(/[^A-Za-z0-9-]+/g, "-").slice(0, 40) || "pattern"}-${body.name}`;
      link.click();
      setTimeout(() => URL.revokeObjectURL(link.href), 60_000);
    },
  });
