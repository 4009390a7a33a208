"""How a plan is sewn: every seam once, every piece used, nothing before what it needs; in the orders of the trade.

The orders and times are common practice, no source.
"""

import json
from collections import Counter
from pathlib import Path

import pytest

from cutting.drawing.document import Said
from cutting.errors import CuttingError
from cutting.formats import read_job, read_job_text
from cutting.formats.cards import cut_card
from cutting.formats.plan_v1 import to_model
from cutting.kinds import KINDS
from cutting.methods.upper import TOPS
from cutting.plan import draft, plan
from cutting.sewing import HOW, OPERATIONS, sewing_of, way_of
from cutting.sewing.operation import VARIANTS
from cutting.words import ENGLISH, with_numbers
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
    *({"assembly": one} for one in ("centres-first", "sides-first", "from-the-crotch")),
    *({"assembly": "sides-first", "closure": one} for one in ("fly", "side-zip", "back-zip")),
    *({"assembly": one, "closure": "none", "waist_finish": "casing"} for one in ("centres-first", "from-the-crotch")),
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
        for length in (*(reading.wanted for reading in one.readings), *(length for _, length in one.amounts)):
            assert length.mm > 0
            assert all(ENGLISH.formula(length, unit) and with_numbers(length, unit) for unit in ("in", "cm"))
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
                            ("measure_cap", "sleeves"), ("measure_inner_legs", "crotch"), ("fly", "crotch"),
                            ("measure_join", "join"), ("front_centre", "inner_leg"), ("back_centre", "inner_leg"),
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


@pytest.mark.parametrize(
    ("choices", "way", "why", "order"),
    [
        ({}, "centres-first", "opens", ["front_centre", "back_centre", "side", "inner_leg", "band"]),
        ({"closure": "none", "waist_finish": "casing"}, "sides-first", "drawn_in", ["side", "inner_leg", "crotch", "casing"]),
        ({"stretch": "15"}, "from-the-crotch", "stretches", ["front_centre", "back_centre", "inner_leg", "side", "band"]),
        ({"assembly": "sides-first"}, "sides-first", "chosen", ["side", "inner_leg", "crotch", "band"]),
        ({"assembly": "sides-first", "closure": "fly"}, "sides-first", "chosen", ["fly", "side", "inner_leg", "crotch", "band"]),
        ({"assembly": "from-the-crotch"}, "from-the-crotch", "chosen",
         ["front_centre", "back_centre", "inner_leg", "side", "band"]),
    ],
)  # fmt: skip
def test_how_it_is_put_together_is_what_the_garment_asks_for_or_what_is_chosen(choices, way, why, order):
    own = dict(choices)
    cloth = {"width": "60", "stretch_percent": own.pop("stretch", "0")}
    garments = draft(read_job(job(style="straight-trousers", cloth=cloth, **own)))[0]
    assert (way_of(garments[0]).code, way_of(garments[0]).why) == (way, why)
    assert [one for one in sound(garments) if one in order] == order
    assert ENGLISH.way_words(way, why)


def test_what_stays_open_and_what_is_cut_off_is_said_with_its_length_and_sum():
    def said(code, **choices):
        wire = to_model(
            plan(read_job(job(style="straight-trousers", cloth={"width": "60"}, **choices)), by_width=False)
        )
        return " ".join(next(one.says for one in wire.sewing if one.code == code))

    assert "it stays open 9 in from the top" in said("side", closure="side-zip")
    pocket = said("in_seam_pocket", pockets=["in-seam"], pocket_opening="6 1/4")
    assert "stays open 6 1/4 in between the notches" in pocket
    assert "6 1/4 in between the notches" in said("side", pockets=["in-seam"], pocket_opening="6 1/4")
    assert "open" not in said("side", closure="back-zip")
    # The waist of 31 1/2 less 4, and 1 for both ends.
    elastic = said("elastic", waist_finish="casing", closure="none")
    assert "Cut it 28 1/2 in (31 1/2 - 4 + 1) long." in elastic
    assert "over itself" not in said("elastic", waist_finish="half-elastic", closure="none")
    assert "held at the sides" in said("elastic", waist_finish="half-elastic", closure="none")
    assert said("hem").startswith("2 in in all.")


def test_half_an_elastic_is_held_before_its_band_is_sewn_on_a_whole_one_is_put_in_after():
    def order(finish):
        raw = job(style="straight-trousers", waist_finish=finish, closure="none")
        return [one for one in sound(draft(read_job(raw))[0]) if one in ("elastic", "band")]

    assert order("half-elastic") == ["elastic", "band"]
    assert order("elastic-band") == ["band", "elastic"]


def test_the_cut_list_asks_for_the_waist_that_a_band_is_for():
    def texts(**choices):
        wire = to_model(plan(read_job(job(style="straight-trousers", **choices)), by_width=False))
        return [block.text for block in cut_card(wire, ENGLISH).blocks if isinstance(block, Said)]

    [asked] = [one for one in texts(closure="side-zip") if one.startswith("The band")]
    # A waist of 31 1/2 without ease.
    assert "for a waist of 31 1/2 in on the garment" in asked
    assert not [one for one in texts(waist_finish="casing", closure="none") if one.startswith("The band")]


def test_a_top_is_sewn_flat_as_long_as_it_can_be_and_a_jumpsuit_joined_when_both_are_closed():
    codes = codes_of("crew-jumpsuit")
    top = ["fuse", "darts", "shoulder", "neck_facing", "measure_cap", "sleeves", "sides_and_sleeves", "hem"]
    assert codes[: len(top)] == top
    last = ["side", "inner_leg", "measure_join", "join", "zip", "hem"]
    below = codes[len(top) :]
    assert [one for one in below if one in last] == last


@pytest.mark.parametrize("style", [*TOPS])
@pytest.mark.parametrize("join", ["darts", "gathers", "tucks"])
def test_the_waists_of_every_jumpsuit_are_compared_before_they_are_joined(style, join):
    raw = json.loads((JOBS[0].parents[0] / "crew-jumpsuit.json").read_text())
    raw["garments"][0]["top"] |= {"style": style, "choices": {}}
    raw["garments"][0]["lower"]["choices"] = {"waist_join": join}
    top, lower = draft(read_job(raw))[0]
    sound([top, lower])
    [measure] = [one for one in sewing_of([top, lower]) if one.code == "measure_join"]
    below, above = (reading.wanted.mm for reading in measure.readings)
    # Both flat, as the panels are: what is fuller is gathered after.
    assert above == pytest.approx(top.waist_flat, abs=0.5)
    assert below == pytest.approx(lower.waist_sewn, abs=1)


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
    amounts = dict.fromkeys(("pocket", "zip", "elastic", "hem"), "7 in")
    for code in HOW:
        usual = ENGLISH.operation_words(code, "", "", amounts)
        for variant in ("", *VARIANTS.get(code, ())):
            said = ENGLISH.operation_words(code, variant, "before", amounts)
            assert said.title
            assert said.says
            assert "{" not in "".join(said.says)
            assert all(map(ENGLISH.caution_words, said.cautions))
            assert not variant or said.says[:-1] != usual.says, "a variant is done otherwise"
        assert ENGLISH.operation_title(code) == usual.title
    assert {*VARIANTS} <= {*HOW}
    for one in wire.sewing:
        assert bool(one.seam_class) == bool(one.seam_class_name) == bool(one.stitch)
        assert "tape" in one.tools if one.readings else one.tools
        assert one.readings or one.press or one.check
    assert {*KINDS} | {"house", "left"} == set(OPERATIONS)
