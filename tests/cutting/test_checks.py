"""Seeded slips are named by a product check; sound garments pass every check."""

import pytest
from hypothesis import given

from cutting.checks import check_fold, check_garment
from cutting.words import check_labels, check_say
from tests.faults import FAULTS, MADE, band_cut_to_the_body_without_ease
from tests.jobs import planned
from tests.strategies import asks, bodies, served


def checks_of(garment):
    needed = garment.numbers["fold.needed"].net.mm
    return check_garment(garment) + check_fold("cloth.fold", needed, 600.0, garment.pieces(on_fold=True))


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
