"""A sum for the ear keeps as much of the whole sum as four terms can, and its size."""

from fractions import Fraction

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from cutting.lengths import Fixed, Found, Measured, Scaled, Sum, inch, total
from cutting.words import ENGLISH
from cutting.words.few import MOST, in_few_terms, terms
from tests.conftest import many

HIP, WAIST, BUST = (Measured(key, inch(size).size) for key, size in (("hip", 40), ("waist", 30), ("bust", 36)))
EASE, SIDE, HEM = (Fixed(inch(2).size, "bust_ease"), *(Fixed(inch(1).size, f"allowance.{e}") for e in ("side", "hem")))
ODD = Fixed(inch("1/2").size)


def arcs(count):
    return [Found(10.0 + k, f"arc{k}") for k in range(count)]


@pytest.mark.parametrize(
    ("whole", "said"),
    [
        # Four are left as they are, whatever they are.
        ([HIP / 4, WAIST / 4, SIDE, HEM], "hip / 4 + waist / 4 + 1 in side seam + 1 in hem"),
        # What cancels out goes first, and nothing else.
        ([HIP / 4, SIDE, WAIST / 4, -SIDE, ODD, HEM], "hip / 4 + waist / 4 + 1/2 in + 1 in hem"),
        # Then a measure is said with its ease; the seams stay apart.
        ([Sum((BUST, EASE)) / 4, HIP / 4, SIDE, ODD], "(bust with its ease) / 4 + hip / 4 + 1 in side seam + 1/2 in"),
        # Then seams are one; the measures stay apart.
        ([HIP / 4, WAIST / 4, BUST / 4, SIDE, HEM], "hip / 4 + waist / 4 + bust / 4 + 2 in seams"),
        # Only then are the measures one number, and no more with them than there has to be.
        (
            [HIP / 4, WAIST / 4, BUST / 4, HIP / 8 + ODD, ODD, SIDE, HEM],
            "what hip, waist and bust give + hip / 8 + 1 in + 2 in seams",
        ),
    ],
)
def test_no_more_is_left_out_than_has_to_be(whole, said):
    length = in_few_terms(total(*whole))
    assert length.value == total(*whole).value
    assert ENGLISH.formula(length, "in") == said


@pytest.mark.parametrize("count", [4, 5, 9])
def test_lengths_of_the_draft_are_one_where_nothing_else_can_be(count):
    length = in_few_terms(total(*arcs(count), SIDE))
    assert terms(length) <= MOST
    assert float(length.value) == pytest.approx(25.4 + sum(10 + k for k in range(count)))


PARTS = st.sampled_from([HIP, WAIST, BUST, EASE, SIDE, HEM, ODD, *arcs(3)])
SHARES = st.sampled_from([Fraction(1), Fraction(1, 4), Fraction(-1), Fraction(3, 8)])


@settings(max_examples=many(300))
@given(st.lists(st.tuples(PARTS, SHARES), min_size=1, max_size=12))
def test_any_sum_keeps_its_size_and_is_left_alone_where_it_is_short(parts):
    whole = total(*(Scaled(part, share) if share != 1 else part for part, share in parts))
    few = in_few_terms(whole)
    assert float(few.value) == pytest.approx(float(whole.value), abs=1e-6)
    if terms(whole) <= MOST:
        assert few is whole
