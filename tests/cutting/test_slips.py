"""A hand's number beside the draft's: the difference, what it does, and the slip it looks like. Common practice, no source."""

import pytest

from cutting.lengths import inch, named
from cutting.lengths.length import Measured
from cutting.slips import SlipCode, compared
from cutting.words.en.slips import EFFECTS, SLIPS, say_answer
from tests.jobs import planned

INCH = 25.4
BODY = {"waist": 31, "hip": 40, "thigh": 24, "knee": 16, "outseam": 41, "body_rise": 10}


def answer(key, typed, unit="in", **choices):
    garment = planned(BODY, style="straight-trousers", **choices).garments[0]
    number = garment.numbers[key]
    return compared(f"trousers.{key}", number.cut, number.net, typed * INCH, unit)


def said(key, typed, **choices):
    return " ".join(say_answer(answer(key, typed, **choices), "in"))


def test_the_same_number_is_right_to_a_thirty_second():
    right = answer("band.cut_length", 31 + 1.5 + 1)
    assert (right.effect, right.slips) == ("right", ())
    assert answer("band.cut_length", 33.52).effect == "right"
    assert answer("band.cut_length", 33.56).effect == "band"


def test_a_band_of_forty_on_a_waist_of_thirty_one_is_said_to_be_too_long():
    assert "It is 6 1/2 in more" in said("band.cut_length", 40)
    assert "The band is 6 1/2 in too long for the waist" in said("band.cut_length", 40)


def test_a_panel_counts_twice_in_the_round():
    """A front waist an inch narrow makes the waist 2 in small: there are two of it."""
    front = planned(BODY, style="straight-trousers").garments[0].numbers["front.waist_width"].cut.mm / INCH
    assert "The waist comes out 2 in too small." in said("front.waist_width", front - 1)
    assert "The hip comes out 1 in too large." in said(
        "back.hip_width", answer("back.hip_width", 1).right.mm / INCH + 0.5
    )


@pytest.mark.parametrize(
    ("key", "change", "code", "term"),
    [
        ("front.hip_width", lambda cut, net: net, "no_seams", ""),
        ("front.hip_width", lambda cut, net: 2 * cut - net, "seams_twice", ""),
        ("front.hip_width", lambda cut, net: cut - 1, "left_out", "1 in side seam"),
        ("front.hip_width", lambda cut, net: cut + 0.5, "twice", "1/2 in centre seam"),
        ("front.waist_width", lambda cut, net: cut - 1, "left_out", "1 in"),
        ("cut_length", lambda cut, net: cut - 2, "left_out", "2 in hem"),
        ("cut_length", lambda cut, net: cut - 1, "share_once", "2 in hem"),
        ("band.cut_depth", lambda cut, net: cut / 2, "half", ""),
        ("front.crotch_extension", lambda cut, net: cut / 2, "half", ""),
        ("front.crotch_extension", lambda cut, net: cut * 2, "double", ""),
        ("front.crotch_extension", lambda cut, net: cut * 4, "fourfold", ""),
        ("crotch_depth", lambda cut, net: cut * 2.54, "in_inches", ""),
        ("elastic.length", lambda cut, net: cut / 2.54, "in_cm", ""),
    ],
)
def test_each_slip_is_recognised(key, change, code, term):
    choices = {"waist_finish": "elastic-band"} if key == "elastic.length" else {}
    number = planned(BODY, style="straight-trousers", **choices).garments[0].numbers[key]
    typed = change(number.cut.mm / INCH, number.net.mm / INCH)
    found = answer(key, typed, **choices)
    assert code in [slip.code for slip in found.slips]
    assert term in said(key, typed, **choices)


def test_a_fraction_written_as_a_decimal():
    """4 1/2 / 2 is 2 1/4; 2.025 is 4.05 / 2."""
    right = named(inch(4.5), "") / 2
    found = compared("t.front.crotch_extension", right, right, 2.025 * INCH, "in")
    assert [slip.code for slip in found.slips] == ["decimals"]
    assert "4.5, not 4.05" in " ".join(say_answer(found, "in"))


def test_a_number_like_no_slip_is_only_compared():
    found = compared("t.x", Measured("hip", inch(40).size) / 4, inch(10), 11.37 * INCH, "in")
    assert found.slips == ()
    assert say_answer(found, "in") == ["It is 1 3/8 in more than the draft's 10 in."]


def test_every_slip_and_effect_has_its_sentence():
    assert set(SlipCode.__args__) == set(SLIPS)
    assert set(EFFECTS) >= {"waist", "hip", "band", "plain"}
