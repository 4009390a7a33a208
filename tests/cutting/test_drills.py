"""Drills: invented clients that nobody would doubt, sums a hand can work out, slips that are found."""

import re
from fractions import Fraction

import pytest

from cutting.body import CATALOGUE, doubts, invented
from cutting.drills import EIGHT, drill, questions
from cutting.formats.drill_v1 import graded, said_drill
from cutting.kinds import KINDS
from cutting.lengths import read
from cutting.words import ENGLISH
from tests.conftest import some
from tests.cutting.test_sums_add_up import MIXED

STYLES = [(style, method) for kind in KINDS.values() for style in kind.styles for method in kind.methods_for(style)]
SEEDS = range(40)


@pytest.mark.parametrize("unit", ["in", "cm"])
def test_an_invented_client_is_somebody_nobody_would_measure_again(unit):
    for seed in SEEDS:
        written = invented(seed, unit)
        assert written == invented(seed, unit)
        sizes = {key: read(text, unit) for key, text in written.items()}
        assert [one for one in doubts(sizes) if one.weight == "warn"] == []
        assert all(CATALOGUE[key].least < size < CATALOGUE[key].most for key, size in sizes.items())
        step = Fraction(254, 40) if unit == "in" else 5
        assert all(size % step == 0 for size in sizes.values())
    assert len({invented(seed, unit)["hip"] for seed in SEEDS}) > 20


@pytest.mark.parametrize(("style", "method"), some(STYLES, 20))
def test_every_method_can_be_drilled(style, method):
    """What is asked comes from the client's card and the rules alone, and its sum with numbers comes to the answer."""
    for seed, unit in ((3, "in"), (4, "cm")):
        made = drill(method, style, seed, unit)
        assert 5 <= len(made.asked) <= EIGHT
        assert len({one.question.rule for one in made.asked}) == len(made.asked)
        card = said_drill(method, style, made, ENGLISH, unit).questions
        one = 25.4 if unit == "in" else 10
        for asked, said in zip(made.asked, card, strict=True):
            written = {measure.name for measure in said.measures}
            hint = said.hint
            for name in sorted((ENGLISH.measure_name(key) for key in asked.measures), key=len, reverse=True):
                # What is added for ease is called by its line, also where the body's own measure there is another.
                assert name in written or not re.search(rf"\b{name}\b(?! ease)", hint), said.hint
                hint = hint.replace(name, "")
            text = graded("", asked.question.answer, asked.question.net, "1", ENGLISH, unit).with_
            sum_of = MIXED.sub(r"(\1+\2)", text).replace(" x ", "*")
            assert re.fullmatch(r"[0-9+\-*/(). ]+", sum_of), text
            assert eval(sum_of) * one == pytest.approx(asked.question.answer.mm, abs=0.06), text  # noqa: S307  # only arithmetic


def test_by_rule_the_same_is_asked_of_eight_clients():
    made = drill("quarter-hip", "straight-trousers", 11, "in", "front.crotch_extension")
    assert {one.question.rule for one in made.asked} == {"front.crotch_extension"}
    assert len({one.seed for one in made.asked}) == EIGHT == len(made.asked)
    for one in made.asked:
        assert one.question.answer.mm == pytest.approx(float(read(one.measures["hip"], "in")) / 16)
    assert drill("quarter-hip", "straight-trousers", 11, "in", "no such rule").asked == ()


def test_each_slip_of_the_hand_is_named():
    """A front's hip width is a quarter of the hip, 1 in side seam and 1/2 in centre seam: as the slips have it."""
    measures = {"waist": "32", "hip": "42", "thigh": "25", "outseam": "40", "body_rise": "10", "waist_to_knee": "23"}
    asked = {one.rule: one for one in questions(measures, "quarter-hip", "straight-trousers", "in")}
    one = asked["front.hip_width"]

    def told(typed):
        return graded("drill.front.hip_width", one.answer, one.net, typed, ENGLISH, "in")

    assert told("12").right
    assert told("12").says == ["It is the same: 12 in."]
    for typed, slip in {
        "10 1/2": "no_seams", "13 1/2": "seams_twice", "11": "left_out", "13": "twice",
        "22 1/2": "twice", "6": "half", "24": "double", "1.2": "decimals", "12 cm": "in_cm",
    }.items():  # fmt: skip
        found = told(typed)
        assert not found.right
        if slip != "decimals":
            assert found.slip == slip, (typed, found)
        assert found.says[0].startswith("It is ")
    assert told("12 1/16").slip == ""
