"""Practising the sums: questions on invented clients, by method or by rule."""

from cutting.drills.drill import EIGHT, SEEDS, Asked, Drill, Question, by_hand, drill, question_of, questions

__all__ = ["EIGHT", "SEEDS", "Asked", "Drill", "Question", "by_hand", "drill", "question_of", "questions"]
