"""Reading and showing lengths: the shared cases, and what must hold for any typing."""

import json
from fractions import Fraction
from pathlib import Path

import pint
import pytest
from hypothesis import given
from hypothesis import strategies as st

from cutting.errors import CuttingError
from cutting.lengths import read, show
from cutting.lengths.units import MARKS

CASES = json.loads((Path(__file__).parents[2] / "shared/lengths.json").read_text())


@pytest.mark.parametrize("case", CASES["read"], ids=lambda case: case["typed"])
def test_read(case):
    if "refused" in case:
        with pytest.raises(CuttingError) as refused:
            read(case["typed"], case["unit"])
        assert refused.value.problems[0].code == case["refused"]
    else:
        assert read(case["typed"], case["unit"]) == Fraction(case["mm"])


@pytest.mark.parametrize("case", CASES["show"], ids=lambda case: case["text"])
def test_show(case):
    shown = show(Fraction(case["mm"]), case["unit"])
    assert (shown.text, shown.exact) == (case["text"], case["exact"])
    assert (shown.whole, shown.over, shown.under) == (case["whole"], case["over"], case["under"])


@given(st.fractions(0, 5000), st.sampled_from(["in", "cm"]))
def test_what_is_shown_reads_back_within_half_a_mark(mm, unit):
    shown = show(mm, unit)
    assert abs(read(shown.text, "cm" if unit == "in" else "in") - mm) <= MARKS[unit] / 2


@given(st.text(st.sampled_from("0123456789 /.,-½⅞'\"cminft x"), max_size=12) | st.text(max_size=12))
def test_random_typing_is_read_or_refused_in_words(typed):
    try:
        size, code = read(typed, "in"), ""
    except CuttingError as refused:
        size, code = None, refused.problems[0].code
    assert (size is not None and size >= 0) or code.startswith("length.")


@given(st.integers(1, 400_000).map(lambda one: Fraction(one, 1000)), st.sampled_from(["in", "cm", "mm", "ft"]))
def test_units_mean_what_a_library_of_units_says(number, unit):
    text = f"{float(number):.3f}"
    typed = f"{text}'" if unit == "ft" else f"{text} {unit}"
    wanted = pint.Quantity(float(text), {"in": "inch", "ft": "foot"}.get(unit, unit)).to("mm").magnitude
    try:
        size = read(typed, "in")
    except CuttingError:
        assert unit == "ft"  # feet are written whole
        assert "." in text
    else:
        assert float(size) == pytest.approx(wanted, rel=1e-12)
