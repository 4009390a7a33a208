"""A leg that is longer, a hip that is higher: each side is what both would be, comes off the cloth the right way round,
and is sewn to the other.
"""

import os
from dataclasses import replace
from fractions import Fraction
from itertools import product

import pytest

from cutting.body import Correction
from cutting.checks import check_garment
from cutting.errors import CuttingError
from cutting.fitting import SIGNS
from cutting.formats import read_job
from cutting.formats.named import NOBODY, name_of
from cutting.formats.plan_v1 import to_model
from cutting.garments.sides import by_sides
from cutting.kinds import KINDS
from cutting.lengths import OfCorrection
from cutting.plan import draft, plan
from cutting.sewing import judge, sewing_of
from cutting.words import ENGLISH
from tests.jobs import STYLES_BY_METHOD, job

DAY = "2026-12-03"
LOWER = [(style, method) for style, method in STYLES_BY_METHOD if style in KINDS["lower"].styles]
DEEP = bool(os.environ.get("PLAVET_DEEP"))
CHANGES = [("length", "1/2"), ("length", "-1/4"), ("side_raise", "1/2")]
CASES = [(*one, *change) for k, one in enumerate(LOWER) for j, change in enumerate(CHANGES) if DEEP or j == k % 3]
"""Each style by each method, with one of the changes; the long run has all."""
MEASURES = {"ankle": "9", "thigh": "24", "knee": "16"}
FOLDED, OPEN = {"width": "60", "fold": "lengthwise-centre"}, {"width": "129", "fold": "open"}


def asked(style, method, choice="length", by="1/2", side="left", cloth=OPEN, **choices):
    made = job(measures=MEASURES, cloth=cloth, style=style, **choices)
    made["garments"][0]["method"] = method
    made["corrections"] = [{"choice": choice, "by": by, "side": side, "from": DAY}]
    return made


def without(raw):
    return raw | {"corrections": []}


def drafted(raw):
    return draft(read_job(raw))[0]


def outlines(garments):
    """Each piece that is cut, by its name: its cut line, and how many."""
    return {one.id: (one.cut, one.count) for garment in garments for one in garment.pieces(on_fold=False)}


@pytest.mark.parametrize(("style", "method", "choice", "by"), CASES)
def test_each_side_is_what_both_would_be(style, method, choice, by):
    """To the last digit: the left as a job in which both are corrected, the right as one in which neither is."""
    raw = asked(style, method, choice, by)
    try:
        both = drafted(asked(style, method, choice, by, "both"))
    except CuttingError as error:
        with pytest.raises(CuttingError) as refused:
            drafted(raw)
        assert [one.code for one in refused.value.problems] == [one.code for one in error.problems]
        return
    neither, made = outlines(drafted(without(raw))), drafted(raw)
    left, right = outlines(made), outlines(drafted(asked(style, method, choice, by, "right")))
    wanted = outlines(both)
    if choice == "side_raise" and "trousers.leg" in wanted:
        assert left == right == neither == wanted, "one piece a leg has no side seam that could rise"
        return
    parted = {name.removeprefix("trousers.left_side.") for name in left if name.startswith("trousers.left_side.")}
    assert parted
    for name, (cut, count) in wanted.items():
        panel = name.removeprefix("trousers.")
        if panel in parted:
            assert left[f"trousers.left_side.{panel}"] == right[name] == (cut, count // 2)
            assert left[name] == right[f"trousers.left_side.{panel}"] == (neither[name][0], count // 2)
        else:
            assert left[name][1] == right[name][1] == count
    wrong = {one.code for garment in both for one in check_garment(garment) if not one.ok}
    assert {one.code for garment in made for one in check_garment(garment) if not one.ok} <= wrong


@pytest.mark.parametrize(
    ("style", "cloth"), list(product(["straight-trousers", "palazzo", "knee-shorts"], [OPEN, FOLDED]))
)
def test_each_piece_comes_off_the_cloth_the_way_it_is_worn(style, cloth):
    """Of one leg the front and the back mirror each other where they are sewn; left and right mirror each other."""
    made = plan(read_job(asked(style, "", cloth=cloth)), by_width=False)
    faces = {}
    for number, placement in made.laid.placements():
        table = made.laid.sections[number].table
        down = {layer.number: layer.face_down for layer in table.layers}
        if placement.piece.rpartition(".")[2] in ("front", "back"):
            [layer] = placement.layers
            faces[placement.piece] = placement.mirrored != down[layer]
    # Seen from the right side of the cloth, a front with its side at the left is the wearer's right one.
    assert faces == {
        "trousers.front": False, "trousers.back": True, "trousers.left_side.front": True, "trousers.left_side.back": False
    }  # fmt: skip


def test_a_side_that_is_dropped_leaves_nothing():
    raw = asked("palazzo", "")
    made, again = (
        to_model(plan(read_job(one), by_width=False)) for one in (without(raw), without(asked("palazzo", "")))
    )
    assert made == again
    assert to_model(plan(read_job(raw), by_width=False)) != made


def test_what_is_sewn_to_its_twin_is_corrected_on_both_sides():
    for choice in ("crotch_extension", "hip_ease", "back_tip"):
        with pytest.raises(CuttingError) as refused:
            read_job(asked("palazzo", "", choice))
        assert [(one.code, one.where.path) for one in refused.value.problems] == [
            ("correction.side", ("corrections", "0", "side"))
        ]
    with pytest.raises(CuttingError) as refused:
        read_job(asked("palazzo", "", side="west"))
    assert [one.code for one in refused.value.problems] == ["job.rule"]
    assert {code for code, sign in SIGNS.items() if sign.sided} == {"leg_long", "leg_short", "hip_high"}


@pytest.mark.parametrize(("choice", "code"), [("crotch_ease", "sides.centre"), ("waist_ease", "sides.waist")])
def test_sides_that_cannot_be_sewn_together_are_named(choice, code):
    """A mistake made on purpose: a left side that was drafted for another crotch, for another waist."""
    read = read_job(without(asked("straight-trousers", "")))
    [[right]] = draft(read)
    more = Correction(choice, OfCorrection(Fraction(25), DAY))
    [[left]] = draft(replace(read, body=replace(read.body, corrections=(more,))))
    _, made = by_sides(right, left)
    failed = {one.code for one in check_garment(made) if not one.ok}
    assert code in failed
    assert not {one.code for one in check_garment(right) if not one.ok} & {"sides.centre", "sides.waist"}


def test_it_is_called_chalked_and_sewn_by_its_side():
    made = plan(read_job(asked("straight-trousers", "", by="3/4")), by_width=False)
    wire = to_model(made)
    names = {one.id: name_of(wire, one.garment, one.panel, ENGLISH, NOBODY) for one in wire.pieces}
    assert [names[f"trousers{side}.{panel}"] for side in ("", ".left_side") for panel in ("front", "back")] == [
        "Right front", "Right back", "Left front", "Left back"
    ]  # fmt: skip
    assert all(
        "ight" not in name and "eft" not in name
        for id, name in names.items()
        if id.split(".")[-1] not in ("front", "back")
    )
    chalked = {f"{one.garment}.{one.panel}" for one in wire.marks}
    assert {one.id for one in wire.pieces} <= chalked
    used = {panel for one in wire.sewing for panel in one.panels}
    assert {f"{one.garment}.{one.panel}" for one in wire.pieces} <= used
    legs = next(one for one in sewing_of(made.garments) if one.code == "measure_legs")
    left, right = (one.wanted.mm for one in legs.readings)
    assert left - right == pytest.approx(0.75 * 25.4, abs=0.5)
    assert judge(legs.readings, {"left_leg": left, "right_leg": right}).agrees
    assert not judge(legs.readings, {"left_leg": right, "right_leg": right}).agrees
    assert any("The sides differ" in text for one in wire.sewing for text in one.says)
    apart = {key: number for key, number in wire.numbers.items() if key.startswith("trousers.left_side.")}
    length, other = apart["trousers.left_side.length"].net_mm, wire.numbers["trousers.length"].net_mm
    assert length - other == pytest.approx(0.75 * 25.4)


def test_a_garment_that_somebody_calls_left_is_no_left_side():
    """Of an outfit beside others its id ends with its own name: it is a garment by that name."""
    raw = job(cloth=OPEN)
    other = {"id": "o2", "measurements": raw["measurements"], "garments": [raw["garments"][0] | {"id": "left"}]}
    wire = to_model(plan(read_job(raw | {"others": [other]}), by_width=False))
    names = {one.id: name_of(wire, one.garment, one.panel, ENGLISH, {"": "Anna", "o2": "Bo"}) for one in wire.pieces}
    assert names["o2.left.front"] == "Front, Bo"
    assert names["trousers.front"] == "Front, Anna"
