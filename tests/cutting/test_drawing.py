"""What is drawn of a piece: everything that is on it, on the fold too, and nothing beyond it."""

import re

import pytest
from shapely.geometry import LineString, Point, Polygon
from svgpathtools import parse_path

from cutting.drawing import path_data, strokes_of
from cutting.formats import keep, read_job
from cutting.plan import plan
from tests.jobs import file_of, job, of_body, planned, top_job

NEAR = 0.06
"""Path data are rounded to a hundredth of a mm, curves read at so many places."""


def bodice(fold):
    return plan(read_job(top_job("middle", "bodice", fold=fold, closure="none", sleeve="short")), by_width=False)


def of_quick(fold):
    raw = job({"body_rise": 11}, {"fold": fold, "width": 120}, "palazzo")
    raw["garments"][0] |= {"method": "four-layer", "choices": {}}
    return plan(read_job(raw), by_width=False)


MADE = {
    "palazzo": lambda: planned(style="palazzo", pockets=["front-curved"]),
    "yoke": lambda: planned(style="straight-trousers", yoke=3, pockets=["back-patch"], closure="fly"),
    "bodice folded": lambda: bodice("lengthwise-centre"),
    "bodice open": lambda: bodice("open"),
    "quick cut folded": lambda: of_quick("lengthwise-centre"),
    "quick cut folded twice": lambda: of_quick("folded-twice"),
    "leg in one piece": lambda: of_body("middle", "one-piece-leg", "boxers"),
}


def drawn(stroke, steps=60):
    """A stroke's path data read by another library, as points in mm."""
    shape = parse_path(path_data(stroke))
    return [(part.point(k / steps).real, part.point(k / steps).imag) for part in shape for k in range(steps + 1)]


@pytest.mark.parametrize("name", MADE)
def test_every_stroke_is_on_its_piece_and_every_mark_of_it_is_drawn(name):
    for piece in MADE[name]().laid.pieces:
        strokes = strokes_of(piece)
        by_role = {role: [s for s in strokes if s.role == role] for role in ("cut", "net", "dart", "notch", "chalk")}
        cut = Polygon([(p.across, p.down) for p in piece.cut]).buffer(NEAR)
        net = Polygon([(p.across, p.down) for p in piece.net])
        (line,) = by_role["net"]
        assert Polygon(drawn(line)).buffer(0).symmetric_difference(net).area < 0.2 * net.length * NEAR + 5
        for stroke in strokes:
            assert LineString(drawn(stroke)).within(cut), (piece.id, stroke.role, stroke.name)
        assert len(by_role["notch"]) == len(piece.notches)
        assert len(by_role["dart"]) == len(piece.darts)
        if piece.folds is not None:
            assert min(x for stroke in strokes for x, _ in drawn(stroke)) > -NEAR
            assert [stroke for stroke in strokes if stroke.role == "fold"]


def test_darts_of_a_piece_on_the_fold_are_in_the_svg():
    """A bodice's front and back are laid on the fold: their darts are drawn all the same."""
    svg = file_of(bodice("lengthwise-centre"), "plan.svg").decode()
    for panel in ("front", "back"):
        group = re.search(rf'<g id="t\.{panel}">(.*?)</g>', svg)[1]
        assert group.count('class="dart"') == 1


def test_a_leg_on_the_fold_keeps_its_own_halfs_notches_and_its_layers_are_counted():
    for fold, layers in (("lengthwise-centre", 2), ("folded-twice", 4)):
        kept = keep(of_quick(fold))
        leg = next(piece for piece in kept["pieces"] if piece["panel"] == "leg")
        assert leg["layers"] == layers
        assert min(x for x, _ in leg["cut"]) == pytest.approx(0, abs=1e-3)
        assert leg["notches"]
        assert all(notch["net"][0] >= -1e-6 for notch in leg["notches"])


def test_open_cloth_has_both_halves_of_what_a_fold_would_mirror():
    open_, folded = ({p.panel: p for p in bodice(fold).laid.pieces} for fold in ("open", "lengthwise-centre"))
    assert len(open_["front"].darts) == 2 * len(folded["front"].darts)
    assert len(open_["front"].notches) == 2 * len(folded["front"].notches)
    around = sum(edge.path.length for edge in open_["front"].edges)
    outline = LineString([(p.across, p.down) for p in [*open_["front"].net, open_["front"].net[0]]])
    assert around == pytest.approx(outline.length, abs=0.1)


def test_the_grain_is_one_line_on_the_page_in_the_file_and_in_the_drawing():
    made = planned(style="straight-trousers")
    kept = {piece["id"]: piece for piece in keep(made)["pieces"]}
    crease = made.garments[0].numbers["front.crease"].net.mm
    for piece in made.laid.pieces:
        grain = next(stroke for stroke in strokes_of(piece) if stroke.role == "grain")
        assert [list(end) for end in kept[piece.id]["grain"]] == [
            [pytest.approx(p.across, abs=1e-3), pytest.approx(p.down, abs=1e-3)]
            for p in (grain.path.start, grain.path.end)
        ]
        if piece.panel in ("front", "back"):
            assert grain.path.start.across == pytest.approx(crease)
        assert Polygon([(p.across, p.down) for p in piece.cut]).contains(
            Point(grain.path.start.across, grain.path.start.down)
        )
