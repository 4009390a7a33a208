/** The machine that all this runs on, for its owner. */
import { useQuery } from "@tanstack/react-query";
import { answered, server } from "./client";

export const useInstallation = () =>
  useQuery({ queryKey: ["installation"], queryFn: () => answered(server.GET("/api/installation")) });
