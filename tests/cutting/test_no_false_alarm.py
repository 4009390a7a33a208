"""What is sound is not stopped: every style on every fold, a hem of nothing, ease of exactly what is asked, program numbers."""

from fractions import Fraction

import pytest

from cutting.checks.shared import thigh_room
from cutting.cloth import FOLDS
from cutting.errors import CuttingError
from cutting.formats import read_job
from cutting.lengths import show
from cutting.plan import plan
from cutting.where import Where
from tests.conftest import some
from tests.jobs import FIVE, STYLES_BY_METHOD, UPPER, job, of_body, planned


@pytest.mark.parametrize("fold", FOLDS)
def test_the_fold_is_counted_from_what_is_cut_on_it(fold):
    """On cloth that has no fold for it, a piece that would be on the fold is cut whole and is as wide as it is."""
    asked = {"unit": "cm", "measurements": FIVE["middle"] | UPPER["middle"], "cloth": {"width": 150, "fold": fold}}
    laid = 0
    pairs = some(STYLES_BY_METHOD, 5, list(FOLDS).index(fold))
    for style, method in pairs:
        raw = job() | asked | {"garments": [{"id": "g", "style": style, "method": method}]}
        made = plan(read_job(raw), by_width=False)
        needed = next(check for check in made.checks if check.code == "fold.needed")
        assert needed.ok, (style, method, needed)
        assert needed.left == pytest.approx(max(piece.width for piece in made.laid.pieces), abs=0.5)
        laid += all(section.best is not None for section in made.laid.sections)
    assert laid > len(pairs) / 2


@pytest.mark.parametrize("style", ["straight-trousers", "shorts", "palazzo"])
def test_a_hem_of_nothing_is_no_hem_that_does_not_fit(style):
    made = planned(style=style, hem=0)
    assert [check.code for check in made.checks if not check.ok] == []
    assert "hem.turn" not in {check.code for check in made.checks}
    assert "hem.turn" in {check.code for check in planned(style=style, hem="1/2").checks}


def test_ease_of_exactly_an_inch_is_enough_however_it_was_rounded():
    assert thigh_room(Where(), 600.0, 600.0 + 25.399999999999977).ok
    short = thigh_room(Where(), 600.0, 625.39)
    assert (short.ok, short.weight) == (False, "warn")


@pytest.mark.parametrize(
    ("written", "meant"), [(22.419999999999998, "22.42"), (24.500000000000004, "24.5"), (23, "23")]
)
def test_a_number_that_a_program_wrote_is_the_one_it_meant(written, meant):
    raw = job()
    raw["measurements"]["thigh"] = written
    assert read_job(raw).body.sizes["thigh"] == Fraction(meant) * Fraction(254, 10)
    raw["measurements"]["thigh"] = f"{meant}11111111111"
    with pytest.raises(CuttingError, match="thigh"):
        read_job(raw)


@pytest.mark.parametrize("closure", ["back-zip", "none"])
def test_a_jumpsuit_buys_the_zip_it_opens_with_and_no_other(closure):
    raw = job() | {"unit": "cm", "measurements": FIVE["middle"] | UPPER["middle"]}
    half = {"style": "straight-trousers", "choices": {"closure": closure}}
    raw["garments"] = [{"id": "j", "style": "jumpsuit", "top": {"style": "bodice"}, "lower": half}]
    made = plan(read_job(raw), by_width=False)
    bought = [notion.code for garment in made.garments for notion in garment.notions if "zip" in notion.code]
    assert bought == ([] if closure == "none" else ["zip-through"])


@pytest.mark.parametrize("method", ["quarter-hip", "half-thigh", "third-hip", "twentieth-tenth"])
def test_a_diagonal_is_said_to_be_moved_only_where_the_two_numbers_read_differently(method):
    moved = 0
    for body in some(list(FIVE), 2):
        for wide in ("1 in", "1 1/4 in", "3.65 cm", "1 1/2 in", "1 3/4 in", "2 in"):
            made = of_body(body, method, "straight-trousers", front_diagonal=wide, back_diagonal=wide)
            for finding in (one for one in made.findings if one.code == "diagonal.moved"):
                moved += 1
                for unit in ("in", "cm"):
                    wanted, used = (show(finding.params[key].mm, unit).text for key in ("wanted", "used"))
                    assert wanted != used, (body, wide)
    assert moved
