"""The pieces of a top: notches, openings, cuffs, facings; on which cloth each is laid."""

from math import hypot

import pytest
from shapely.geometry import LineString, Polygon
from shapely.geometry import Point as ShapelyPoint

from cutting.errors import CuttingError
from cutting.formats import plan_to_wire, read_job
from cutting.plan import plan
from tests.jobs import OF_THE_BODY, UPPER, top_job

INCH = 25.4


def test_notches_of_cap_and_armhole_meet():
    """Sewn from the underarm, each notch of an armhole meets one of its cap: one in front, two behind."""
    top = plan(read_job(top_job("middle", "straight-top", sleeve="long")), by_width=False).garments[0]

    def from_underarm(panel, edge, code, ends_there):
        path = top.panels[panel].edges[edge].path
        line = LineString(path.flat(0.001))
        at = [line.project(ShapelyPoint(n.net)) for n in top.panels[panel].notches if (n.edge, n.code) == (edge, code)]
        return sorted(line.length - one if ends_there else one for one in at)

    for name, cap, ends_there, count in (("front", "cap", True, 1), ("back", "back_cap", False, 2)):
        armhole = from_underarm(name, "armhole", name, True)
        assert len(armhole) == count
        assert armhole == pytest.approx(from_underarm("sleeve", cap, name, ends_there), abs=0.2)


@pytest.mark.parametrize("name", UPPER)
@pytest.mark.parametrize("style", ["bodice", "straight-top"])
def test_a_notch_stands_where_each_dart_meets_its_edge(name, style):
    """Also on an edge that bends: measured along it, not across."""
    top = plan(read_job(top_job(name, style, bust_dart="side")), by_width=False).garments[0]
    for key in ("front", "back"):
        panel = top.panels[key]
        legs = [end for one in panel.darts for end in (one.near, one.far)]
        notched = [n.net for n in panel.notches if n.code == "dart"]
        assert len(notched) == len(legs)
        for end in legs:
            assert min(hypot(end.across - at.across, end.down - at.down) for at in notched) < 0.02


def test_a_front_on_the_fold_is_cut_whole_on_open_cloth():
    folded = plan(read_job(top_job("middle", "cropped-top", fold="lengthwise-centre")), by_width=False)
    opened = plan(read_job(top_job("middle", "cropped-top", fold="open")), by_width=False)
    half, whole = (next(p for p in made.laid.pieces if p.panel == "front") for made in (folded, opened))
    assert (half.folds, whole.folds) == (0.0, None)
    assert Polygon(whole.cut).area == pytest.approx(2 * Polygon(half.cut).area, rel=1e-6)
    low, high = Polygon(whole.cut).bounds[0], Polygon(whole.cut).bounds[2]
    assert low == pytest.approx(-high, abs=1e-6)


CUT = [
    # choices of the top, pieces from the other cloth
    ({}, set()),
    ({"other_cloth": ["facings"]}, {"front-neck-facing", "back-neck-facing"}),
    ({"other_cloth": ["sleeves", "facings"]}, {"sleeve", "front-neck-facing", "back-neck-facing"}),
    ({"other_cloth": ["all"]}, {"front", "back", "sleeve", "front-neck-facing", "back-neck-facing"}),
]


@pytest.mark.parametrize(("choices", "other"), CUT)
def test_every_piece_is_laid_on_one_of_two_cloths(choices, other):
    """Nothing twice, nothing left out; the draft is the same whichever cloth is laid."""
    raw = top_job("middle", "straight-top")
    raw["garments"][0]["choices"] |= choices
    raw["garments"].append(
        {"id": "trousers", "style": "palazzo", "choices": {"pockets": ["in-seam"], "closure": "back-zip"}}
    )
    raw["other_cloth"] = {"width": "45 in", "stretch_percent": 30}
    main = plan(read_job(raw), by_width=False)
    assert not [check for check in main.checks if not check.ok and check.code not in OF_THE_BODY]
    whole = {piece.id for garment in main.garments for piece in garment.pieces(on_fold=True)}
    laid = {placement.piece for placement in main.laid.lays[0].placements}
    assert laid == whole - {f"t.{name}" for name in other}
    assert {f"{mark.garment}.{mark.call.panel}" for mark in main.marks} == laid
    if not other:
        with pytest.raises(CuttingError, match=r"cut\.nothing_other"):
            plan(read_job(raw | {"cut_from": "other"}))
        return
    raw["garments"] = raw["garments"][:1]
    if "all" in choices["other_cloth"]:
        with pytest.raises(CuttingError, match=r"cut\.nothing_main"):
            plan(read_job(raw))
    second = plan(read_job(raw | {"cut_from": "other"}), by_width=False)
    assert {placement.piece for placement in second.laid.lays[0].placements} == {f"t.{name}" for name in other}
    widths = [made.garments[0].numbers["front.width"].net.mm for made in (main, second)]
    assert widths[0] == widths[1]
    # A garment cut whole from cloth that stretches answers to that cloth; a facing of it changes nothing.
    assert (main.garments[0].ask.bust_ease.mm == 0) == ("all" in choices["other_cloth"])


@pytest.mark.parametrize(
    ("opening", "parts"), [("slit", {"slit-facing": 1}), ("placket", {"placket": 2}), ("none", {})]
)
def test_a_loose_neck_is_cut_small_and_opened_so_that_the_head_passes(opening, parts):
    """Chest 41, neck 16: the neck is a fifth of it and 1/2 wide, a fifth deep; with nothing to open it it passes the head."""
    measures = {"chest": 104, "neck": "16 in", "head": "22 1/2 in"}
    made = plan(read_job(top_job("middle", "loose-top", measures, unit="in", neck_opening=opening)), by_width=False)
    front, back = (made.garments[0].panels[name] for name in ("front", "back"))
    around = 2 * sum(LineString(panel.edges["neck"].path.flat(0.001)).length for panel in (front, back))
    assert {
        part.panel.name: part.count for part in made.garments[0].parts if part.panel.name in ("slit-facing", "placket")
    } == parts
    if opening == "none":
        assert around >= 22.5 * INCH
        assert "neck.deepened" in {finding.code for finding in made.findings}
        return
    assert front.points["F"].down == pytest.approx(16 / 5 * INCH, abs=0.1)
    slash = LineString(front.lines["neck-opening"].flat(0.01))
    assert around < 20 * INCH
    assert slash.length >= 5 * INCH
    assert around + 2 * slash.length >= 22.5 * INCH
    assert "neck.deepened" not in {finding.code for finding in made.findings}
    wire = plan_to_wire(made)
    piece = next(piece for piece in wire["pieces"] if piece["panel"] in parts)
    assert piece["sewn_to"] == "front at the neck's opening"
    assert "neck_opening" in {mark["code"] for mark in wire["marks"]}
    assert any(one["panel"] == piece["panel"] for one in wire["notions"] if one["code"] == "interfacing")


@pytest.mark.parametrize("sleeve", ["three-quarter", "long"])
def test_a_sleeve_is_drawn_in_to_its_cuff(sleeve):
    """Wrist 6 1/2 and 1 ease: cut with an overlap of 1 and two seams, 9 1/2; twice 2 deep and seams, 5.

    The sleeve is 2 shorter and slit 3 up in the middle of its back half; the slit's binding is twice that and two seams.
    """
    whole, made = (
        plan(read_job(top_job("middle", "straight-top", {"wrist": "6 1/2 in"}, unit="in", sleeve=sleeve, sleeve_finish=finish)), by_width=False)
        for finish in ("hem", "cuff")
    )  # fmt: skip
    panel, parts = made.garments[0].panels["sleeve"], {part.panel.name: part for part in made.garments[0].parts}
    hem = {
        name: LineString(one.garments[0].panels["sleeve"].edges["hem"].path.flat())
        for name, one in (("whole", whole), ("cut", made))
    }
    assert hem["whole"].centroid.y - hem["cut"].centroid.y == pytest.approx(2 * INCH)
    assert hem["cut"].length == pytest.approx(hem["whole"].length)
    left, top, right, bottom = Polygon(parts["cuff"].panel.cut).bounds
    assert ((right - left) / INCH, (bottom - top) / INCH) == pytest.approx((5, 9.5))
    assert (parts["cuff"].count, parts["cuff"].interfacing) == (2, True)
    slit = LineString(panel.lines["sleeve-slit"].flat())
    assert slit.length == pytest.approx(3 * INCH)
    assert hem["cut"].distance(slit) < 0.01
    assert slit.centroid.x == pytest.approx(-hem["cut"].length / 4)
    left, top, right, bottom = Polygon(parts["slit-binding"].panel.cut).bounds
    assert ((right - left) / INCH, (bottom - top) / INCH) == pytest.approx((1.25, 7))
    said = {mark["name"] for mark in plan_to_wire(made)["marks"]}
    assert {"Slit, across", "Slit, end", "Cuff, top line"} <= said
    assert all(check.ok for check in made.checks)


def test_a_zip_in_front_has_a_shield_a_narrow_slit_facings_a_bound_neck_its_stay():
    """A strip of 4 folded, as long as the zip and two seams; four strips 2 wide, 1 longer than a slit of 5."""
    job = top_job("middle", "straight-top", unit="in", closure="front-zip", side_slit=5, finish="bias")
    job["garments"][0]["choices"]["allowances"] = {"side": "1/2 in"}
    made = plan(read_job(job), by_width=False)
    front = made.garments[0].panels["front"]
    parts = {part.panel.name: (part.count, *Polygon(part.panel.cut).bounds) for part in made.garments[0].parts}
    count, left, top, right, bottom = parts["zip-shield"]
    opening = LineString(front.edges["centre"].path.flat()).length
    assert (count, right - left, bottom - top) == pytest.approx((1, 4 * INCH, opening + INCH))
    count, left, top, right, bottom = parts["side-slit-facing"]
    assert (count, right - left, bottom - top) == pytest.approx((4, 2 * INCH, 6 * INCH))
    behind = LineString(made.garments[0].panels["back"].edges["neck"].path.flat(0.001)).length
    tape = next(n for n in plan_to_wire(made)["notions"] if n["code"] == "neck-stay")
    assert tape["length_mm"] == pytest.approx(2 * behind + INCH, abs=0.1)
    job["garments"][0]["choices"]["allowances"] = {"side": "1 in"}
    assert "side-slit-facing" not in {part.panel.name for part in plan(read_job(job), by_width=False).garments[0].parts}
