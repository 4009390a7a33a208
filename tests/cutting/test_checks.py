"""Seeded slips are named by a product check; sound garments pass every check."""

from dataclasses import replace
from fractions import Fraction

import pytest
from hypothesis import given

from cutting.checks import check_fold, check_garment, check_joins
from cutting.cloth import Cloth, folded
from cutting.formats import read_job
from cutting.garments import draft_joined, draft_top
from cutting.lengths import read
from cutting.lengths.length import Fixed
from cutting.where import CLOTH
from cutting.words.en import check_labels, check_say
from tests.faults import FAULTS, JOIN_FAULTS, MADE, TOP_FAULTS, band_cut_to_the_body_without_ease
from tests.jobs import planned, top_job
from tests.strategies import asks, bodies, served

WIDE = folded(Cloth(width=Fraction(1200)), "lengthwise-centre")


def checks_of(garment):
    needed = garment.numbers["fold.needed"].net.mm
    return check_garment(garment) + check_fold(CLOTH / "fold", needed, [(garment.pieces(on_fold=True), WIDE)])


@pytest.mark.parametrize("style", ["palazzo", "straight-trousers"])
@pytest.mark.parametrize("fault", FAULTS, ids=lambda fault: fault.__name__)
def test_a_slip_is_named(fault, style):
    garment = planned(**{"style": style} | MADE.get(fault, {})).garments[0]
    assert all(check.ok for check in checks_of(garment))
    failed = {check.code: check for check in checks_of(fault(garment)) if not check.ok}
    assert FAULTS[fault] in failed
    words = check_say(FAULTS[fault], False).format(left="one", right="two")
    assert "one" in words or "two" in words
    assert all(check_labels(FAULTS[fault]))


def test_a_failed_check_shows_its_two_numbers():
    garment = band_cut_to_the_body_without_ease(planned().garments[0])
    check = next(check for check in checks_of(garment) if check.code == "band.waist")
    assert check.left == pytest.approx(31.5 * 25.4, abs=1)
    assert check.right < check.left - 50


@given(bodies(), asks())
def test_sound_garments_pass(body, made):
    failed = {check.code for check in checks_of(served(body, made)) if not check.ok}
    assert failed <= {"thigh.ease", "fold.shallow"}


@pytest.mark.parametrize("fault", TOP_FAULTS, ids=lambda fault: fault.__name__)
def test_a_slip_at_a_top_is_named(fault):
    closed = TOP_FAULTS[fault] == "neck.head"
    raw = top_job("middle", "straight-top") if closed else top_job("full", "bodice", sleeve="long")
    job = read_job(raw)
    top = draft_top("t", "quarter-bust", job.body, job.garments[0].ask)
    assert all(check.ok for check in check_garment(top))
    failed = {check.code for check in check_garment(fault(top)) if not check.ok}
    assert TOP_FAULTS[fault] in failed
    words = check_say(TOP_FAULTS[fault], False).format(left="one", right="two")
    assert "one" in words or "two" in words


@pytest.mark.parametrize("code", JOIN_FAULTS)
def test_halves_that_do_not_meet_are_named(code):
    """The top is drafted by itself with a choice of its own, as two people would who do not speak to each other."""
    raw = top_job("middle", "jumpsuit")
    raw["garments"][0] |= {"top": {"style": "bodice"}, "lower": {"style": "straight-trousers"}}
    job = read_job(raw)
    asked = job.garments[0]
    above, below = draft_joined("t", asked.method, job.body, asked.top, asked.lower)
    assert all(check.ok for check in check_joins((above, below)))
    other = {key: Fixed(read(value, "in")) for key, value in JOIN_FAULTS[code].items()}
    strange = draft_top("t.top", "quarter-bust", job.body, replace(above.ask, **other))
    failed = {check.code for check in check_joins((strange, below)) if not check.ok}
    assert code in failed
    assert all(check_labels(code))
