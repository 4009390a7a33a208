"""A published trouser block and a bodice block against our nearest, point by point, each difference explained.

The block: Winifred Aldrich, *Metric Pattern Cutting*, the classic tailored trouser block. Its formulas stand here from
memory, so they are no oracle: the test holds our side, and that what is said of the difference is all of it. All in cm, as a metric tape reads it: the amounts that
a rule adds in inches are the nearest half centimetre.
"""

import pytest

from cutting.formats import read_job
from cutting.plan import plan
from tests.jobs import of_body, top_job

HIP = 104.0
BLOCK = {
    "front.hip_width": HIP / 4 + 0.5,
    "back.hip_width": HIP / 4 + 1.5,
    "front.crotch_extension": HIP / 16 + 0.5,
    "back.crotch_tip": (HIP / 16 + 0.5) / 2,
    "back.seat_raise": 2.0,
    "back.centre_slant": 2.0,
    "crotch_depth": 27.0,
}
WHY = {
    # number: ours less the block's, and why
    "front.hip_width": (-0.5, "the block eases each panel; ours has the ease in the back"),
    "back.hip_width": (-0.25, "half of 2 1/2 cm of ease against 1 1/2 cm"),
    "front.crotch_extension": (-0.5, "the block adds half a centimetre to the sixteenth"),
    "back.crotch_tip": (0.5, "4 cm for a flat seat against half the front's fork, 3 1/2 cm"),
    "back.seat_raise": (0.5, "2 1/2 cm against 2 cm"),
    "back.centre_slant": (2.0, "4 cm at the waist; the block slants from nearer the side"),
    "crotch_depth": (0.0, "both take the rise measured seated"),
}


@pytest.mark.parametrize("number", BLOCK)
def test_quarter_hip_with_a_flat_seat_lies_beside_the_published_block(number):
    made = of_body("middle", "quarter-hip", "straight-trousers", seat="flat", crotch_depth="seated")
    ours = made.garments[0].numbers[number].net.mm / 10
    by, why = WHY[number]
    assert ours - BLOCK[number] == pytest.approx(by, abs=0.01), why


def test_the_whole_hip_is_two_and_a_half_centimetres_over_the_body_and_the_block_four_centimetres():
    made = of_body("middle", "quarter-hip", "straight-trousers")
    hip = next(row for row in made.rows if row.level == "hip")
    block = 2 * (BLOCK["front.hip_width"] + BLOCK["back.hip_width"])
    assert block - hip.sewn / 10 == pytest.approx(4 - 2.5, abs=0.01)


BUST, NECK, BACK, ARMSCYE = 98.0, 37.0, 35.0, 21.0
BODICE = {
    # The close fitting bodice block of the same book, from memory.
    "front.width": (BUST / 4 + 2.5, -1.25, "the block eases 10 cm all round, ours 5"),
    "neck_width": (NECK / 5 - 0.2, 0.2, "a fifth of the neck in both; the block takes 2 mm off"),
    "front.neck_depth": (NECK / 5 - 0.2, 0.2, "the same"),
    "back.across": (BACK / 2 + 0.5, -0.5, "the block eases the back's width by half a centimetre"),
    "armhole_depth": (ARMSCYE + 0.5, 1.46, "2 cm of ease and 2 1/2 to the nape, less the slope of 1 in"),
}


@pytest.mark.parametrize("number", BODICE)
def test_a_bodice_lies_beside_the_published_block(number):
    measures = {"bust": BUST, "neck": NECK, "back_width": BACK, "armhole_depth": ARMSCYE}
    made = plan(read_job(top_job("middle", "bodice", measures, shoulder_slope=1)), by_width=False)
    block, by, why = BODICE[number]
    ours = made.garments[0].numbers[number].net.mm / 10
    assert ours - block == pytest.approx(by, abs=0.01), why
