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
from tests.faults import FAULTS, JOIN_FAULTS, MADE, TOP_FAULTS, TOP_MADE, WORN_FAULTS, band_cut_to_the_body_without_ease
from tests.jobs import planned, top_job
from tests.strategies import asks, bodies, served

OF_THE_BODY = {"depth.sit", "hem.foot", "extension.range", "darts.missing", "elastic.wide", "zip.edge"}
"""What a rule comes to on some bodies, or for a choice drawn at random, and is said."""
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


SITS = {
    "waist": 30, "hip": 40, "thigh": 24, "knee": 16, "ankle": 9.5, "outseam": 41, "inseam": 31, "body_rise": 10,
    "crotch_length": 25,
}  # fmt: skip


@pytest.mark.parametrize("code", WORN_FAULTS)
def test_what_cannot_be_worn_is_named_at_the_choice_that_mends_it(code):
    choices, mends = WORN_FAULTS[code]
    sizes = SITS | {key: value for key, value in choices.items() if key in SITS}
    chosen = {key: value for key, value in choices.items() if key not in SITS}
    plain = planned(SITS, style="straight-trousers", cloth={"width": "60 in"})
    assert code not in {finding.code for finding in plain.findings}
    made = planned(sizes, style="straight-trousers", cloth={"width": "60 in"}, **chosen)
    named = {str(one.where).partition("choices.")[2] for one in made.findings if one.code == code}
    assert mends in named
    assert {one.where.station for one in made.findings if one.code == code} == {"design"}


@pytest.mark.parametrize("elastic", ["44 in", "12 in", "17 in"])
def test_elastic_longer_than_the_waist_or_far_under_it_is_said(elastic):
    made = planned(SITS, style="straight-trousers", waist_finish="casing", elastic=elastic)
    assert "elastic.length" in {finding.code for finding in made.findings}
    made = planned(SITS, style="straight-trousers", waist_finish="casing", elastic="26 in")
    assert "elastic.length" not in {finding.code for finding in made.findings}


def test_a_seam_without_allowance_says_how_much_is_short():
    """Side 1 and centre 0: four edges of the centre are sewn at 1/2 and take 2 from the waist."""
    made = planned(SITS, style="straight-trousers", closure="fly", allowances={"side": 1, "centre": 0})
    check = next(check for check in made.checks if check.code == "seam.none")
    assert check.left == pytest.approx(2 * 25.4)


@given(bodies(), asks())
def test_sound_garments_pass(body, made):
    failed = {check.code for check in checks_of(served(body, made)) if not check.ok}
    # A centre of 1/4 that is drawn leaves too little beside a zip, which is said.
    assert failed <= {"thigh.ease", "fold.shallow", "zip.edge"} | OF_THE_BODY


@pytest.mark.parametrize("fault", TOP_FAULTS, ids=lambda fault: fault.__name__)
def test_a_slip_at_a_top_is_named(fault):
    closed = TOP_FAULTS[fault] == "neck.head"
    raw = (
        top_job("middle", "straight-top")
        if closed
        else top_job("full", "bodice", sleeve="long", **TOP_MADE.get(fault, {}))
    )
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
