"""How a plan is sewn: every seam once, every piece used, nothing before what it needs; in the orders of the trade.

The orders and times are common practice, no source.
"""

import json
from collections import Counter
from pathlib import Path

import pytest

from cutting.errors import CuttingError
from cutting.formats import read_job, read_job_text
from cutting.formats.plan_v1 import to_model
from cutting.kinds import KINDS
from cutting.plan import draft, plan
from cutting.sewing import HOW, OPERATIONS, sewing_of
from cutting.words import ENGLISH
from tests.conftest import some
from tests.jobs import FIVE, STYLES_BY_METHOD, UPPER, job

JOBS = sorted((Path(__file__).parents[2] / "demo/jobs").rglob("*.json"))
CHOICES = [
    {},
    *({"waist_finish": one} for one in ("shaped-band", "half-elastic", "elastic-band", "casing", "paper-bag")),
    *({"closure": one} for one in ("fly", "back-zip", "front-zip")),
    *({"pockets": [one]} for one in ("in-seam", "front-curved", "mock", "patch-curved", "back-patch", "outside-patch")),
    {"yoke": "2"},
    {"turn_up": "2", "turn_up_strip": "strip"},
    {"belt_loops": "four"},
    {"front_opening": "buttoned", "waist_finish": "casing"},
    {"finish": "bias"},
    *({"sleeve": one} for one in ("none", "long")),
    *({"neck_opening": one} for one in ("slit", "placket")),
    {"side_slit": "5"},
]
BY = {
    "zip": {"zip"}, "invisible-zip": {"zip"}, "open-zip": {"zip"}, "zip-through": {"zip"}, "fly-zip": {"fly"},
    "elastic": {"elastic"}, "interfacing": {"fuse"}, "hook": {"fastening"}, "button": {"fastening"},
    "pocket-stay": {"front_pocket", "in_seam_pocket"}, "waist-stay": {"join", "band"}, "neck-stay": {"shoulder"},
}  # fmt: skip
"""What is bought, by the operations that use it."""


def sound(garments):
    """Sewn so that nothing is forgotten, nothing twice, nothing before it is there; the codes in their order."""
    operations = sewing_of(garments)
    wanted = Counter((garment.id, seam) for garment in garments for seam in garment.seams)
    assert Counter((one.garment, seam) for one in operations for seam in one.seams) == wanted
    assert {f"{g.id}.{name}" for g in garments for name in g.panels} <= {name for o in operations for name in o.panels}
    done = set()
    for one in operations:
        assert one.id not in done
        assert done.issuperset(one.needs), one.id
        done.add(one.id)
        assert one.code != "other", one.seams
        assert one.seams or one.panels
    for garment in garments:
        codes = {one.code for one in operations if one.garment == garment.id or one.code == "join"}
        assert all(BY[notion.code] & codes for notion in garment.notions), (garment.id, codes)
    where = {one.id: k for k, one in enumerate(operations)}
    for garment in garments:
        at = {one.code: where[one.id] for one in operations if one.garment == garment.id}
        for first, then in (("fuse", "band"), ("darts", "side"), ("side", "band"), ("inner_leg", "crotch"),
                            ("band", "fastening"), ("fly", "front_centre"), ("in_seam_pocket", "side"),
                            ("baste_pocket", "side"), ("strips", "side"), ("shoulder", "sleeves"), ("band", "loops"),
                            ("sleeves", "sides_and_sleeves"), ("measure_waist", "band"), ("measure_legs", "hem"),
                            ("measure_cap", "sleeves"), ("measure_inner_legs", "crotch"),
                            ("sides_and_sleeves", "armhole_facing"), ("shoulder", "neck_facing")):  # fmt: skip
            if first in at and then in at:
                assert at[first] < at[then], (first, then)
    return [one.code for one in operations]


@pytest.mark.parametrize("path", JOBS, ids=[path.stem for path in JOBS])
def test_every_seam_of_every_work_is_sewn_once(path):
    for outfit in draft(read_job_text(path.read_text())):
        sound(outfit)


@pytest.mark.parametrize(("style", "method"), some(STYLES_BY_METHOD, 3))
def test_every_choice_is_sewn_whole(style, method):
    tried = 0
    for choices in CHOICES:
        raw = job(style=style, cloth={"width": "129 in"}, **choices)
        raw |= {"unit": "cm", "measurements": FIVE["middle"] | UPPER["middle"]}
        raw["garments"][0]["method"] = method
        try:
            outfits = draft(read_job(raw))
        except CuttingError:
            continue
        tried += 1
        sound(outfits[0])
    assert tried > 3


def codes_of(name):
    [path] = [path for path in JOBS if path.stem == name]
    return sound(draft(read_job_text(path.read_text()))[0])


def test_what_is_fitted_and_opens_is_sewn_centres_first():
    codes = codes_of("choir-palazzo")
    order = ["darts", "front_centre", "back_centre", "side", "inner_leg", "band", "hem", "fastening"]
    assert [one for one in codes if one in order] == order


def test_what_is_gathered_is_sewn_sides_first_and_the_crotch_in_one_run():
    raw = job(style="straight-trousers", waist_finish="casing", closure="none", pockets=["in-seam"])
    codes = sound(draft(read_job(raw))[0])
    order = ["in_seam_pocket", "side", "inner_leg", "crotch", "casing", "elastic", "hem"]
    assert [one for one in codes if one in order] == order


def test_a_top_is_sewn_flat_as_long_as_it_can_be_and_a_jumpsuit_joined_when_both_are_closed():
    codes = codes_of("crew-jumpsuit")
    top = ["fuse", "darts", "shoulder", "neck_facing", "measure_cap", "sleeves", "sides_and_sleeves", "hem"]
    assert codes[: len(top)] == top
    last = ["side", "inner_leg", "join", "zip", "hem"]
    below = codes[len(top) :]
    assert [one for one in below if one in last] == last


def test_the_plan_file_has_it_and_every_code_has_its_words():
    made = plan(read_job(json.loads((JOBS[0].parents[0] / "crew-jumpsuit.json").read_text())), by_width=False)
    wire = to_model(made)
    assert sorted(k for one in wire.sewing for k in one.seams) == list(range(len(wire.seams)))
    for one in wire.sewing:
        for k in one.seams:
            assert {f"{wire.seams[k].garment}.{edge.panel}" for edge in wire.seams[k].edges} <= set(one.panels)
        edges = {edge.allowance_mm for k in one.seams for edge in wire.seams[k].edges} - {None, 0}
        if one.seams and one.allowance_mm is not None:
            assert edges == {one.allowance_mm}
            assert one.overlock == ("before" if one.allowance_mm < 20 else "after")
    cautions = [text for one in wire.sewing for text in one.cautions]
    assert cautions
    assert len(cautions) == len(set(cautions)), "each once"
    for code in HOW:
        said = ENGLISH.operation_words(code, "")
        assert said.title
        assert said.says
        assert all(map(ENGLISH.caution_words, said.cautions))
    assert {*KINDS} | {"house"} == set(OPERATIONS)
