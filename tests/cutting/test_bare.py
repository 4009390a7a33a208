"""A length that was typed without a unit stays what it is when the unit turns."""

from fractions import Fraction

import pytest
from hypothesis import given
from hypothesis import strategies as st

from cutting.errors import CuttingError
from cutting.formats import read_job
from cutting.formats.bare_v1 import LENGTHS, choices_with_units, price_turned, with_unit
from cutting.formats.choices_v1 import read_choices
from cutting.kinds import KINDS
from cutting.lengths import read
from cutting.where import Where
from tests.jobs import job

OTHER = {"in": "cm", "cm": "in"}
TYPED = st.one_of(
    st.integers(0, 200).map(str),
    st.decimals(0, 200, places=3).map(str),
    st.tuples(st.integers(1, 99), st.sampled_from(["1/2", "3/8", "15/16"])).map(lambda pair: f"{pair[0]} {pair[1]}"),
    st.sampled_from(["38 less 2", "38 1/2 less 1", "38½", "97,8", "38 in", "97.8cm", "3'2\"", "1.2 m", "38 cm less 1"]),
    st.text(max_size=12),
)  # fmt: skip


@given(TYPED, st.sampled_from(["in", "cm"]))
def test_what_was_typed_is_read_the_same_in_either_unit(typed, unit):
    said = with_unit(typed, unit)
    try:
        size = read(typed, unit)
    except CuttingError:
        assert said == typed
        return
    assert read(said, OTHER[unit]) == read(said, unit) == size


@pytest.mark.parametrize("unit", ["in", "cm"])
@pytest.mark.parametrize("kind", KINDS)
def test_every_choice_of_every_kind_is_read_the_same_in_either_unit(kind, unit):
    """Each rule, each length and each number that can be chosen; the limits of lengths are met in both units."""
    one = Fraction(254, 10) if unit == "in" else Fraction(10)
    for key, choice in KINDS[kind].choices.items():
        middle = f"{float(Fraction((choice.least + choice.most) / 2) / one):.3f}"
        # Of what can be less than nothing one with its minus.
        low = f"{float(Fraction(choice.least + (choice.most - choice.least) / 8) / one):.3f}"
        values = {
            "rule": choice.offered, "length": (low, middle), "rule-or-length": (*choice.offered, low, middle),
            "list": [[word] for word in choice.offered], "allowances": (dict.fromkeys(choice.offered, middle),),
            "number": (middle if choice.kind != "number" else str((choice.least + choice.most) / 2),),
        }[choice.kind]  # fmt: skip
        for value in values:
            was, now = ([], []), ([], [])
            before = read_choices({key: value}, unit, Where("choices"), KINDS[kind], was[1])
            turned = choices_with_units({key: value}, unit)
            after = read_choices(turned, OTHER[unit], Where("choices"), KINDS[kind], now[1])
            assert not was[1], (key, value, was[1])
            assert not now[1], (key, turned)
            assert after == before, (key, value, turned)


def test_halves_are_turned_and_what_is_no_length_stays():
    chosen = {
        "top": {"style": "bodice", "choices": {"sleeve": "none", "neck_width": "3"}},
        "lower": {"style": "palazzo", "choices": {"hem": "2", "crotch_depth": "hip/4+1", "allowances": {"side": "1"}}},
        "fullness": "1.5", "unknown": "7",
    }  # fmt: skip
    turned = choices_with_units(chosen, "in")
    assert turned["lower"]["choices"] == {"hem": "2 in", "crotch_depth": "hip/4+1", "allowances": {"side": "1 in"}}
    assert turned["top"]["choices"]["sleeve"] == "none"
    assert (turned["fullness"], turned["unknown"]) == ("1.5", "7")
    assert choices_with_units(turned, "cm") == turned


def test_a_cloth_is_read_the_same_in_either_unit():
    cloth = {"kind": "linen", "width": "45", "length": "3 yd", "selvedge": "1/2", "trim": "1", "spare": "2", "repeat": "3 1/4", "shrink_percent": "2"}  # fmt: skip
    raw = job(cloth=cloth)
    before = read_job(raw).cloth
    turned = {key: with_unit(text, "in") if key in LENGTHS else text for key, text in raw["cloth"].items()}
    sizes = {key: with_unit(str(size), "in") for key, size in raw["measurements"].items()}
    garments = [{"id": "g", "style": "palazzo"}]
    made = read_job(raw | {"unit": "cm", "measurements": sizes, "cloth": turned, "garments": garments})
    assert made.cloth == before


@pytest.mark.parametrize(
    ("price", "unit", "turned"), [("9.144", "in", "10.00"), ("12,50", "in", "13.67"), ("10", "cm", "9.14"), ("dear", "in", "dear")]
)  # fmt: skip
def test_the_price_of_a_yard_becomes_that_of_a_metre(price, unit, turned):
    assert price_turned(price, unit) == turned
