"""What would make the cloth in hand enough: each saving by its own drafts, and written into the job."""

import json

import pytest

from cutting.enough import choices_of, enough, savings
from cutting.formats import read_job
from cutting.plan import plan
from tests.jobs import job, top_job


def test_what_would_make_the_cloth_enough_is_tried_for_real():
    """Every saving is laid again from its own drafts, here by first lays: it needs what such an order needs, and less."""
    raw = job(
        cloth={"width": 60, "length": "54 in"}, style="straight-trousers", pockets=["back-patch", "in-seam"],
        closure="fly", hem=3,
    )  # fmt: skip
    said = {one.code: one for one in enough(read_job(raw), 0, 1)}
    now = said.pop("now")
    assert not now.enough
    assert {"hem", "other_cloth", "shorter"} <= set(said)
    for one in said.values():
        assert one.needs == pytest.approx(now.needs - one.saves)
        assert one.saves > 5
        assert one.enough == (one.needs <= 54 * 25.4)
    # Where a lay is known that is 2 in shorter than the first one, a saving is what is less than that: with what cotton
    # shrinks, 2 in the hundred.
    less = 50.8 / 0.98
    known = plan(read_job(raw), by_width=False).laid.length - 50.8
    again = {one.code: one for one in enough(read_job(raw), 0, 1, known)}
    assert again.pop("now").needs == pytest.approx(now.needs - less)
    for code, one in again.items():
        assert one.needs == pytest.approx(said[code].needs)
        assert one.saves == pytest.approx(said[code].saves - less)
    assert all(said[code].saves <= less + 5 for code in said if code not in again)
    # Half the hem: each leg is cut 1 1/2 in shorter, and nothing else of it changes.
    made = plan(read_job(raw), by_width=False)
    halved = next(saving for saving in savings(made) if saving.code == "hem").job
    before, after = (made.garments[0], plan(halved, by_width=False).garments[0])
    for name in before.main:
        lengths = [max(p.down for p in one.panels[name].cut) for one in (before, after)]
        assert lengths[0] - lengths[1] == pytest.approx(1.5 * 25.4, abs=0.01)


@pytest.mark.parametrize("style", ["palazzo", "jumpsuit"])
def test_savings_keep_what_they_do_not_change(style):
    raw = job(cloth={"width": 60}) if style == "palazzo" else jumpsuit()
    made = plan(read_job(raw), by_width=False)
    for saving in savings(made):
        if saving.code.startswith("fold."):
            assert saving.job.garments == made.job.garments
        else:
            assert saving.job.cloth == made.job.cloth
            assert saving.job.garments != made.job.garments


@pytest.mark.parametrize("style", ["palazzo", "jumpsuit", "wide-gathered"])
def test_the_choices_of_a_saving_written_into_the_job_are_that_saving(style):
    raw = jumpsuit() if style == "jumpsuit" else job(cloth={"width": 60})
    raw["garments"][0] |= {"style": style} if style != "jumpsuit" else {}
    made = plan(read_job(raw), by_width=False)
    tried = [one for one in savings(made) if not one.code.startswith("fold.")]
    assert tried
    for saving in tried:
        (taken,) = choices_of(made.job, saving.job).values()
        again = json.loads(json.dumps(raw))
        garment = again["garments"][0]
        if style == "jumpsuit":
            for half, some in taken.items():
                garment[half].setdefault("choices", {}).update(some)
        else:
            garment.setdefault("choices", {}).update(taken)
        numbers = [plan(one, by_width=False).garments for one in (read_job(again), saving.job)]
        for one, other in zip(*numbers, strict=True):
            for key, number in one.numbers.items():
                assert number.cut.mm == pytest.approx(other.numbers[key].cut.mm, abs=1.6), (saving.code, key)


def jumpsuit():
    raw = top_job("middle", "jumpsuit")
    raw["garments"][0] |= {"top": {"style": "bodice"}, "lower": {"style": "palazzo"}}
    return raw
