"""Sums in words, and the sentence of every finding and problem, each provoked by a job that deserves it."""

import re
from dataclasses import replace
from typing import get_args

import pytest

from cutting.codes import CheckCode, FaultCode, FindingCode, ProblemCode, StepCode
from cutting.errors import Problem
from cutting.finding import Finding
from cutting.formats import plan_to_wire
from cutting.garments.notions import NotionCode
from cutting.lengths import Fixed, Measured, cm, found, inch, named
from cutting.methods import METHODS
from cutting.where import GARMENT, JOB, choice, measure, part
from cutting.words import with_numbers
from cutting.words.en import formula, say_finding, say_problem
from cutting.words.en.checks import CHECKS
from cutting.words.en.findings import FINDINGS
from cutting.words.en.folds import CLOTH_STEPS
from cutting.words.en.problems import AT_FAULT, PROBLEMS
from cutting.words.en.sewing import NOTIONS
from tests.jobs import of_body, planned

HIP = Measured("hip", inch(41).size)
WAIST = Measured("waist", inch(31.5).size)
THIRD = Measured("thigh", cm(62).size)
SUMS = [
    (HIP / 4, "hip / 4", "41 / 4"),
    (HIP / 4 + inch(1), "hip / 4 + 1 in", "41 / 4 + 1"),
    (HIP / 4 - inch(2), "hip / 4 - 2 in", "41 / 4 - 2"),
    (HIP / 4 / 4, "hip / 4 / 4", "41 / 4 / 4"),
    ((WAIST + inch(1, "waist_ease")) / 4, "(waist + 1 in waist ease) / 4", "(31 1/2 + 1) / 4"),
    (WAIST / 4, "waist / 4", "(31 1/2) / 4"),
    (HIP / 4 - WAIST / 4 - inch(0.25), "hip / 4 - waist / 4 - 1/4 in", "41 / 4 - (31 1/2) / 4 - 1/4"),
    (HIP / 4 - (WAIST / 4 + inch(1, "dart")), "hip / 4 - (waist / 4 + 1 in dart)", "41 / 4 - ((31 1/2) / 4 + 1)"),
    (HIP * 2, "hip x 2", "41 x 2"),
    (inch(1.5, "band_finished") * 2, "(1 1/2 in finished band) x 2", "(1 1/2) x 2"),
    (HIP / 4 + inch(1, "allowance.side"), "hip / 4 + 1 in side seam", "41 / 4 + 1"),
    (HIP / 4 + found(3.2, "lean"), "hip / 4 + lean of the seam", "41 / 4 + 0.13"),
    (HIP / 4 + found(-3.2, "lean"), "hip / 4 - lean of the seam", "41 / 4 - 0.13"),
    (HIP / 4 + found(0.1, "lean"), "hip / 4", "41 / 4"),
    (THIRD / 2, "thigh / 2", "24.41 / 2"),
    (WAIST / 4 - inch(-0.25, "waist_ease") / 2, "waist / 4 + (1/4 in waist ease) / 2", "(31 1/2) / 4 + 1/4 / 2"),
    (HIP / 4 - inch(-0.25) * 1, "hip / 4 + 1/4 in", "41 / 4 + 1/4"),
    (HIP / 4 + (inch(-1) / 2) / 2, "hip / 4 - 1 in / 2 / 2", "41 / 4 - 1 / 2 / 2"),
    (named(inch(0), "waist_ease") + WAIST, "waist", "31 1/2"),
]


@pytest.mark.parametrize(("length", "names", "numbers"), SUMS, ids=[row[1] for row in SUMS])
def test_a_sum_is_said_with_names_and_with_numbers(length, names, numbers):
    assert formula(length, "in") == names
    assert with_numbers(length, "in") == numbers


def test_the_same_sum_in_centimetres():
    assert formula(HIP / 4 + cm(2.5), "cm") == "hip / 4 + 2.5 cm"
    assert with_numbers(HIP / 4 + cm(2.5), "cm") == "104.14 / 4 + 2.5"


PROVOKED = [
    ("extension.floor", {"hip": 44, "thigh": 22.5}, {"crotch_extension": "thigh/2"}, "1 13/16 in"),
    ("slant.reduced", {"waist": 38}, {}, "not 2 in"),
    ("dart.none", {"waist": 39.9, "hip": 41}, {}, "No dart"),
    ("waist.over_hip", {"waist": 43}, {}, "elastic"),
    ("hip_line.gap", {"waist_to_hip": 4, "hip": 42}, {}, "6 1/2 in"),
    ("knee.floor", {"knee": 11}, {"style": "straight-trousers"}, "7/10"),
    ("knee.unmeasured", {"knee": None}, {"style": "straight-trousers"}, "not measured"),
    ("depth.guard", {"body_rise": 8}, {}, "hang low"),
    ("depth.sit", {"body_rise": 12.5}, {}, "no room to sit"),
    ("depth.guard", {"body_rise": 9}, {"crotch_depth": "14 in"}, "hang low"),
    ("choice.idle", {}, {"heading": 2}, "Paper-bag"),
    ("zip.needless", {}, {"closure": "side-zip", "waist_finish": "elastic-band"}, "needs no zip"),
    ("zip.shorter", {}, {"closure": "back-zip"}, "round the crotch curve"),
    ("diagonal.moved", {}, {"seat": "full", "seat_height": "drop-and-raise"}, "is brought to"),
    ("fold.quick_shallow", {}, {}, "quick rule"),
    ("thigh.ease", {"thigh": 27.5}, {}, "Give a larger extension"),
]  # fmt: skip


@pytest.mark.parametrize(("code", "measures", "choices", "says"), PROVOKED, ids=[row[0] for row in PROVOKED])
def test_a_finding_is_said_where_it_is_deserved_and_not_elsewhere(code, measures, choices, says):
    wire = plan_to_wire(planned(measures, **choices))
    words = {finding["code"]: finding["words"] for finding in wire["findings"]}
    assert says in words[code]
    assert "{" not in words[code]
    quiet = plan_to_wire(planned({"body_rise": 10.5}, crotch_extension="hip/20"))
    if code not in ("fold.quick_shallow", "slant.reduced", "diagonal.moved"):
        assert code not in {finding["code"] for finding in quiet["findings"]}


def test_cloth_in_hand_that_is_too_short_is_a_stop():
    wire = plan_to_wire(planned(cloth={"length": 50}))
    stop = next(f for f in wire["findings"] if f["code"] == "cloth.short")
    assert stop["weight"] == "stop"
    assert "50 in are in hand" in stop["words"]
    assert "cloth.short" not in {f["code"] for f in plan_to_wire(planned(cloth={"length": 400}))["findings"]}


def test_a_thigh_larger_than_the_leg_is_a_stop():
    wire = plan_to_wire(planned({"thigh": 29.5}))
    assert {f["code"]: f["weight"] for f in wire["findings"]}["thigh.ease"] == "stop"
    row = next(row for row in wire["ledger"] if row["level"] == "thigh")
    assert not row["closes"]
    assert row["ease_mm"] < 0


FILLED = {
    "offered": ("one", "two"), "methods": ("one",), "wanted": "length", "fault": "lay.overlap", "faults": ["lay.pair"],
    "panel": "front", "close": "hip", "swapped": "cm", "count": 3, "most": 40, "version": 2, "word": "x", "key": "hip",
    "line": 2, "column": 7, "style": "boxers", "method": "quarter-hip", "finish": "casing", "piece": "trousers.front",
    "percent": 12.0, "times": 1.5, "how": "gathers", "depth": Fixed(inch(1).size),
}  # fmt: skip


class Params(dict):
    """What a sentence may ask for: known params, and a length for every other."""

    def __missing__(self, key):
        return Fixed(inch(1).size)


def params_of(text):
    return {name: Params(FILLED)[name] for name in re.findall(r"{(\w+)}", text)} | {"close": "", "swapped": ""}


@pytest.mark.parametrize("outfit", ["", "0123456789ab"])
def test_every_problem_can_be_said_of_every_place_and_says_how_to_mend(outfit):
    """A place of another client's outfit too: its measurement is named as one's own is."""
    for code, (what, mend) in PROBLEMS.items():
        for place in (measure("hip"), choice("hem"), JOB, GARMENT):
            where = replace(place.in_garment("j", "lower", outfit))
            said, cure = say_problem(Problem(code, where, params_of(what + mend) | {"name": "hip"}), "in")
            assert said
            assert cure.endswith((".", "?"))
            assert "{" not in said + cure


def test_every_finding_and_check_can_be_said_in_both_units():
    for code, text in FINDINGS.items():
        where = replace(measure("hip"), outfit="0123456789ab")
        for unit in ("in", "cm"):
            said = say_finding(Finding(code, "note", where, params_of(text)), unit)
            assert said.endswith((".", "?"))
            assert "{" not in said
    assert all(len(texts) == 4 and all(texts) for texts in CHECKS.values())


def test_every_code_has_its_sentence_and_every_sentence_its_code():
    assert set(get_args(ProblemCode)) == set(PROBLEMS)
    assert set(get_args(FindingCode)) == set(FINDINGS)
    assert set(get_args(CheckCode)) == set(CHECKS)
    assert set(get_args(FaultCode)) == set(AT_FAULT)
    assert set(get_args(NotionCode)) == set(NOTIONS)
    assert {*get_args(StepCode)} == {"fold", *CLOTH_STEPS}


def test_a_place_is_written_as_files_have_it():
    assert str(measure("hip").in_garment("j", "lower", "0a")) == "others.0a.measurements.hip"
    assert str(choice("hem").in_garment("j", "lower")) == "garments.j.lower.choices.hem"
    assert str(choice("hem").in_garment("t", "", "0a")) == "others.0a.garments.t.choices.hem"
    assert str(replace(part("front", "neck"), garment="0a.t")) == "0a.t.front.neck"
    assert str(JOB) == ""


def test_a_sum_names_no_amount_of_nothing():
    """No formula of any number or mark speaks of 0 in, whatever the method."""
    for method in METHODS:
        made = of_body("middle", method, METHODS[method].styles[-1])
        wire = plan_to_wire(made)
        shown = [
            number["formula"] + number["cut_formula"]
            for number in wire["numbers"].values()
            if abs(number["net_mm"]) > 0.1
        ]
        shown += [mark["formula"] for mark in wire["marks"]]
        assert not [text for text in shown if re.search(r"(^|[-+(x] )0( in| cm)?\b(?![./])", text)]
