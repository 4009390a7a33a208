/** Practising: drills on invented clients, answers graded, what is learned. */
import { keepPreviousData, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { server, answered } from "./client";
import type { components } from "./schema.gen";

type Schemas = components["schemas"];
export type Drill = Schemas["DrillOut"];
export type Question = Schemas["QuestionOut"];
export type Grade = Schemas["GradeOut"];
export type Learned = Schemas["LearnedOut"];

const path = (id: string) => ({ params: { path: { id } } });

/** Questions by a method on an invented client, another one each round; with a rule the same on several. */
export const useDrill = (method: string, style: string, rule: string, round: string) =>
  useQuery({
    queryKey: ["drill", method, style, rule, round],
    queryFn: () =>
      answered(server.GET("/api/drills/{method}", { params: { path: { method }, query: { style, rule } } })),
    staleTime: Infinity,
  });

export function useDrillAnswer() {
  const memory = useQueryClient();
  return useMutation({
    mutationFn: (body: Schemas["DrillAnswerIn"]) =>
      answered(server.PUT("/api/drill-answers/{id}", { ...path(crypto.randomUUID()), body })),
    onSuccess: () => void memory.invalidateQueries({ queryKey: ["learned"] }),
  });
}

/** The number of a call that is hidden. */
export function useCallAnswer() {
  const memory = useQueryClient();
  return useMutation({
    mutationFn: (body: Schemas["CallAnswerIn"]) =>
      answered(server.PUT("/api/call-answers/{id}", { ...path(crypto.randomUUID()), body })),
    onSuccess: () => void memory.invalidateQueries({ queryKey: ["learned"] }),
  });
}

/** What somebody has learned; oneself where nobody is named. */
export const useLearned = (who = "") =>
  useQuery({
    queryKey: ["learned", who],
    queryFn: () => answered(server.GET("/api/learned", { params: { query: who ? { who } : {} } })),
  });

/** A page of everybody who works here, for an owner. */
export const useLearners = (page: number) =>
  useQuery({
    queryKey: ["learners", page],
    queryFn: () => answered(server.GET("/api/learners", { params: { query: { page } } })),
    placeholderData: keepPreviousData,
  });
