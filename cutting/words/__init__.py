"""Every sentence of the core: one file a subject, keyed by code."""

from cutting.words.checks import check_labels, check_say
from cutting.words.effects import say_effect
from cutting.words.enough import saving_words
from cutting.words.findings import say_finding
from cutting.words.folds import fold_name, say_fold, section_name
from cutting.words.formula import formula, number_text, with_numbers
from cutting.words.marks import from_along, mark_words
from cutting.words.measures import MEASURES, measure_name
from cutting.words.numbers import number_name
from cutting.words.problems import say_problem
from cutting.words.yardage import cost_formula, yardage_formula

__all__ = [
    "MEASURES",
    "check_labels",
    "check_say",
    "cost_formula",
    "fold_name",
    "formula",
    "from_along",
    "mark_words",
    "measure_name",
    "number_name",
    "number_text",
    "saving_words",
    "say_effect",
    "say_finding",
    "say_fold",
    "say_problem",
    "section_name",
    "with_numbers",
    "yardage_formula",
]  # fmt: skip
