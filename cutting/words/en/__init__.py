"""English: every sentence of the core, one file a subject, keyed by code."""

from cutting.words.en.assembly import (
    caution_words,
    operation_title,
    operation_words,
    seam_class_name,
    stitch_name,
    tool_name,
    way_words,
)
from cutting.words.en.calls import call_say, call_words, chalk_name
from cutting.words.en.checks import check_labels, check_say
from cutting.words.en.choices import choice_words, corrected_name, group_name, rule_name, source_name
from cutting.words.en.controls import say_suspect
from cutting.words.en.effects import say_effect
from cutting.words.en.enough import saving_words
from cutting.words.en.files import file_words
from cutting.words.en.findings import say_finding
from cutting.words.en.fitting import (
    alteration_words,
    cure_name,
    say_amount,
    say_nothing,
    say_room,
    say_works,
    sign_words,
    view_name,
)
from cutting.words.en.folds import fold_words, say_cloth_step, say_fold, section_name
from cutting.words.en.formula import formula
from cutting.words.en.marks import panel_name
from cutting.words.en.measures import about_way, measure_name, posture, taking
from cutting.words.en.money import (
    currencies,
    line_sum,
    line_title,
    money,
    notion_title,
    pay_name,
    per_name,
    way_of_paying,
)
from cutting.words.en.numbers import number_name
from cutting.words.en.page import page
from cutting.words.en.problems import say_problem
from cutting.words.en.readings import reading_name, say_band, say_doubt, say_reading
from cutting.words.en.reminders import say_reminder
from cutting.words.en.scheduling import day_name, say_cure, say_left, say_missed, say_rest, say_waits, task_name
from cutting.words.en.sewing import garment_name, notion_name, piece_label, piece_name, sewn_to
from cutting.words.en.slips import say_answer, slip_name
from cutting.words.en.trade import cloth_name, half_name, kind_name, method_words, style_name, thickness_name
from cutting.words.en.yardage import can_save, cost_formula, yardage_formula

__all__ = [
    "about_way",
    "alteration_words",
    "call_say",
    "call_words",
    "can_save",
    "caution_words",
    "chalk_name",
    "check_labels",
    "check_say",
    "choice_words",
    "cloth_name",
    "corrected_name",
    "cost_formula",
    "cure_name",
    "currencies",
    "day_name",
    "file_words",
    "fold_words",
    "formula",
    "garment_name",
    "group_name",
    "half_name",
    "kind_name",
    "line_sum",
    "line_title",
    "measure_name",
    "method_words",
    "money",
    "notion_name",
    "notion_title",
    "number_name",
    "operation_title",
    "operation_words",
    "page",
    "panel_name",
    "pay_name",
    "per_name",
    "piece_label",
    "piece_name",
    "posture",
    "reading_name",
    "rule_name",
    "saving_words",
    "say_amount",
    "say_answer",
    "say_band",
    "say_cloth_step",
    "say_cure",
    "say_doubt",
    "say_effect",
    "say_finding",
    "say_fold",
    "say_left",
    "say_missed",
    "say_nothing",
    "say_problem",
    "say_reading",
    "say_reminder",
    "say_rest",
    "say_room",
    "say_suspect",
    "say_waits",
    "say_works",
    "seam_class_name",
    "section_name",
    "sewn_to",
    "sign_words",
    "slip_name",
    "source_name",
    "stitch_name",
    "style_name",
    "taking",
    "task_name",
    "thickness_name",
    "tool_name",
    "view_name",
    "way_of_paying",
    "way_words",
    "yardage_formula",
]
