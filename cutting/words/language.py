"""What a language has to be able to say. Each is a folder beside this file with these functions."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from datetime import date
from decimal import Decimal
from typing import Protocol

from cutting.calls import Call, Name
from cutting.errors import Problem
from cutting.finding import Finding
from cutting.fitting import Alteration, Amount
from cutting.lengths import Length, Unit
from cutting.money import Line, Per
from cutting.sewing import Judged
from cutting.slips import Answer
from cutting.yardage import Yardage


@dataclass(frozen=True)
class Taking:
    """A point of the tape: its name, how it is taken, the usual slip."""

    name: str
    how: str
    slip: str


@dataclass(frozen=True)
class MarkWords:
    """The name of a mark and the reason for it."""

    name: str
    reason: str


@dataclass(frozen=True)
class OperationWords:
    """What an operation is called, how it is done line by line, how it is pressed and what is looked at after it (empty
    where nothing is), and the codes of what is to be minded.
    """

    title: str
    says: tuple[str, ...]
    press: str
    check: str
    cautions: tuple[str, ...]


@dataclass(frozen=True)
class SignWords:
    """What is seen at a fitting, and what is pinned for it."""

    name: str
    pinned: str


@dataclass(frozen=True)
class CallWords:
    """A call's name, what it is known by afterwards, the reason for it, where its tape starts (empty without one), and
    along what that runs or what the stroke goes through.
    """

    name: str
    known: str
    reason: str
    start: str
    along: str


@dataclass(frozen=True)
class MethodWords:
    """What a method is called, and how it goes about it."""

    name: str
    says: str


@dataclass(frozen=True)
class ChoiceWords:
    """What a choice asks, a hint beside it, and what is taken where nothing is chosen, empty where that has a size."""

    legend: str
    hint: str
    unset: str


@dataclass(frozen=True)
class FoldWords:
    """A fold's name, what it is good for, what is opposite the fold, what its depth is made of, how it is done."""

    name: str
    says: str
    edge: str
    depth: str
    how: str


class Language(Protocol):
    """Every sentence of the core, by code. Lengths are shown in the unit that is asked for."""

    def formula(self, length: Length, unit: Unit) -> str:
        """A length's sum with names."""

    def check_labels(self, code: str) -> tuple[str, str]:
        """What the two numbers of a check are."""

    def check_say(self, code: str, ok: bool) -> str:
        """A check as a sentence; when wrong, with places for `left` and `right`."""

    def can_save(self, bought: Yardage, least: float) -> str:
        """Whether a shorter lay could make one buy less."""

    def cost_formula(self, bought: Yardage, unit: Unit) -> str:
        """The sum of what cloth costs; empty without a price."""

    def yardage_formula(self, bought: Yardage, unit: Unit) -> str:
        """The sum from the lay to what is bought."""

    def fold_words(self, fold: str) -> FoldWords:
        """What a fold is called, what it is good for, and how its depth comes about."""

    def say_fold(self, fold: str, sizes: Mapping[str, float], unit: Unit) -> str:
        """How to fold; `sizes` are depth, upper and single, in mm."""

    def say_cloth_step(self, code: str, sizes: Mapping[str, float], unit: Unit) -> str:
        """What is done to the cloth before it is chalked; `sizes` in mm, and a percentage."""

    def section_name(self, part: str, small: bool) -> str:
        """What is cut from a section; `small` where small parts are beside what names it."""

    def call_words(self, call: Call) -> CallWords:
        """A call's name and reason, from where and along what."""

    def chalk_name(self, panel: str, name: Name) -> str:
        """What something chalked on a panel is called in a sentence: the same wherever it is spoken of."""

    def call_say(self, named: str, shown: str, start: str, along: str) -> str:
        """A call in one sentence."""

    def measure_name(self, key: str) -> str:
        """A measurement's name in a formula."""

    def taking(self, key: str) -> Taking:
        """How a point of the tape is taken."""

    def posture(self, view: str) -> str:
        """How the client stands for a view."""

    def about_way(self, code: str) -> str:
        """What should be known of a second way."""

    def number_name(self, key: str) -> str:
        """The name of a number by its key, without the garment's id."""

    def panel_name(self, panel: str) -> str:
        """What a panel is called."""

    def operation_words(self, code: str, variant: str, overlock: str, amounts: Mapping[str, str]) -> OperationWords:
        """An operation of sewing; `overlock` says when its edges are overlocked: before, after, or empty; `amounts` are
        the lengths that are said, as they are shown.
        """

    def operation_title(self, code: str) -> str:
        """What an operation of sewing is called."""

    def way_words(self, way: str, why: str) -> str:
        """How a garment is put together, and why so."""

    def tool_name(self, tool: str) -> str:
        """What is used at an operation."""

    def seam_class_name(self, number: int) -> str:
        """What a class of seams is called; empty where no seam is made."""

    def view_name(self, view: str) -> str:
        """From which side one looks at a fitting."""

    def corrected_name(self, kind: str, key: str) -> str:
        """What a correction of a kind of garment changes."""

    def sign_words(self, sign: str, unit: Unit) -> SignWords:
        """Something seen at a fitting."""

    def cure_name(self, cure: str, unit: Unit) -> str:
        """What a cure does."""

    def say_works(self, share: float) -> str:
        """How much of a cure that is refused can be drafted."""

    def say_nothing(self) -> str:
        """That a cure changes nothing on a draft."""

    def alteration_words(self, one: Alteration, unit: Unit) -> tuple[str, str]:
        """What is altered on a garment that is sewn, and by how much."""

    def say_amount(self, amount: Amount, unit: Unit) -> str:
        """Where the amount of a cure comes from."""

    def say_room(self, room: str, left: Length | None, unit: Unit) -> str:
        """Where a garment that is sewn can still take a cure, and how much of it at most."""

    def reading_name(self, code: str) -> str:
        """What is measured on a sewn garment."""

    def say_doubt(self, doubt: str, code: str, read: float, wanted: float, unit: Unit) -> str:
        """Why a reading on a sewn garment, in mm, is doubted."""

    def say_reading(self, judged: Judged, codes: Sequence[str], band: float | None, unit: Unit) -> tuple[str, ...]:
        """What readings on a sewn garment mean; `band` is how long its band was cut, in mm."""

    def say_band(self, judged: Judged, band: float, unit: Unit) -> str:
        """How long a band is by what was read, with its sum; `band` is how long it was cut, in mm."""

    def caution_words(self, code: str) -> str:
        """Something to be minded at a machine or an iron."""

    def stitch_name(self, stitch: str) -> str:
        """What a stitch is called; empty where nothing is stitched."""

    def notion_name(self, code: str, panel: str) -> str:
        """Something that is bought; `panel` where it is for one."""

    def sewn_to(self, places: tuple[str, ...]) -> str:
        """What a part is sewn to."""

    def file_words(self, name: str) -> tuple[str, str]:
        """What a file of a plan is called, and what it is for."""

    def garment_name(self, garment: str) -> str:
        """A garment by its id in a plan."""

    def piece_name(self, panel: str, garment: str = "", whose: str = "", side: str = "") -> str:
        """A piece, with its garment where there are several, with its client where it is for several."""

    def piece_label(self, name: str, count: int, pair: bool, on_fold: bool) -> str:
        """What is written on a piece."""

    def say_suspect(self, mark: str, mm: float, edges: Mapping[str, float], unit: Unit) -> str:
        """A mark that is off by so many mm, and by how many mm that makes edges longer."""

    def saving_words(self, code: str) -> str:
        """One saving of cloth, as one does it."""

    def say_effect(self, by: Mapping[str, float], unit: Unit) -> str:
        """What a choice changes; empty where nothing does."""

    def say_finding(self, finding: Finding, unit: Unit) -> str:
        """A finding as a sentence."""

    def say_answer(self, answer: Answer, unit: Unit) -> list[str]:
        """A number of one's own against the draft's, in sentences."""

    def slip_name(self, code: str) -> str:
        """What a slip is called in a list."""

    def say_problem(self, problem: Problem, unit: Unit) -> tuple[str, str]:
        """What is wrong, and how to mend it."""

    def kind_name(self, kind: str) -> str:
        """Garments of a kind."""

    def half_name(self, kind: str) -> str:
        """A half of a garment of two, by its kind."""

    def style_name(self, style: str) -> str:
        """What a style is called."""

    def method_words(self, method: str) -> MethodWords:
        """What a method is called, and how it goes about it."""

    def cloth_name(self, kind: str) -> str:
        """A kind of cloth, as one asks for it."""

    def thickness_name(self, thickness: str) -> str:
        """How thick a cloth is."""

    def group_name(self, kind: str, group: str) -> str:
        """What a group of choices is called."""

    def choice_words(self, kind: str, key: str, joined: bool) -> ChoiceWords:
        """What a choice asks; `key` is `allowances.side` for one of a set."""

    def rule_name(self, kind: str, key: str, rule: str, joined: bool) -> str:
        """What a rule of a choice is called."""

    def source_name(self, source: str) -> str:
        """Where the usual choice comes from; empty for what is taken everywhere."""

    def task_name(self, kind: str) -> str:
        """What a task of an order is called."""

    def day_name(self, day: date) -> str:
        """A day with its weekday."""

    def say_left(self, why: str, kind: str) -> str:
        """Why a task is on nobody's day, and what to do."""

    def say_missed(self, kind: str, day: date) -> str:
        """That something is not ready on the day its client comes."""

    def say_waits(self, kind: str, who: str, day: date) -> str:
        """What an order waits for longest."""

    def say_cure(self, code: str, kinds: Sequence[str], who: str, minutes: int, day: date | None) -> str:
        """What would keep a promise."""

    def say_rest(self, left_over: int) -> str:
        """How much time is left between the end of an order and its promise."""

    def currencies(self) -> list[tuple[str, str]]:
        """Every currency that is paid with somewhere today: its code and its name."""

    def money(self, amount: Decimal, currency: str) -> str:
        """An amount with its currency."""

    def line_title(self, line: Line) -> str:
        """What a line of a quote is for."""

    def line_sum(self, line: Line, currency: str) -> str:
        """Where the amount of a line comes from, in numbers; empty where it was typed."""

    def notion_title(self, code: str) -> str:
        """Something that is bought besides cloth, for whichever panel."""

    def per_name(self, per: Per) -> str:
        """What a price is for."""

    def pay_name(self, kind: str) -> str:
        """What an entry of money is."""

    def way_of_paying(self, way: str) -> str:
        """How money changed hands."""

    def say_reminder(self, code: str, **params: str) -> str:
        """A message to a client."""

    def page(self, code: str, **params: object) -> str:
        """A line of the plan as a page of words."""
