/** The machine that all this runs on, for its owner. */
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { answered, server } from "./client";

export const useInstallation = () =>
  useQuery({ queryKey: ["installation"], queryFn: () => answered(server.GET("/api/installation")) });

const ARCHIVE = ["archive"];
/** While it is being made it is asked for again each so many ms. */
const AGAIN = 1500;

/** How it is with the archive of the whole workshop. */
export const useArchive = () =>
  useQuery({
    queryKey: ARCHIVE,
    queryFn: () => answered(server.GET("/api/archive")),
    refetchInterval: (query) => (query.state.data?.state === "being_made" ? AGAIN : false),
  });

/** Have it made. */
export function useMakeArchive() {
  const memory = useQueryClient();
  return useMutation({
    mutationFn: () => answered(server.POST("/api/archive")),
    onSuccess: (made) => memory.setQueryData(ARCHIVE, made),
  });
}
