"""The calls followed with chalk by their words alone: the whole cut outline, every dart and notch comes out."""

import json
from math import hypot
from pathlib import Path

import pytest
from hypothesis import given, settings
from shapely.geometry import LinearRing, LineString, Point

from cutting.cloth import FOLDS, Cloth
from cutting.formats import plan_to_wire, read_job
from cutting.job import GarmentAsk, Job
from cutting.lengths import inch
from cutting.plan import plan
from tests.conftest import many, some
from tests.cutting.follower import Chalk
from tests.jobs import FIVE, STYLES_BY_METHOD, UPPER, job, top_job
from tests.strategies import asks, bodies, or_another

NEAR, OUTLINE = 0.5, 2.0
"""A datum is within a chalk line of where it was chalked; the outline within two millimetres of the cut line."""
WORKS = sorted((Path(__file__).parents[2] / "demo/jobs").rglob("*.json"))


def followed(made):
    """Follow every call; compare with where each is, and with the outlines of the pieces: cut, or net on paper."""
    wire = plan_to_wire(made)
    line = {garment.id: "cut" if garment.marking == "on-cloth" else "net" for garment in made.garments}
    placements = wire["lay"]["placements"]
    pieces = {piece["id"]: piece for piece in wire["pieces"]}
    panels = {(panel["garment"], panel["name"]): panel for panel in wire["panels"]}
    tables, chalks = {}, {}
    for said in wire["marks"]:
        placing = placements[said["placing"]]
        if said["stage"] == "place" and said["code"].startswith("second_"):
            continue
        chalk = chalks.get((said["garment"], said["panel"]))
        if chalk is None:
            chalk = chalks[said["garment"], said["panel"]] = Chalk(placing["turned"])
            table = wire["lay"]["sections"][placing["section"]]
            far = ((0, max(table["folds_mm"], default=0)), (1, 0))
            chalk.lines |= EDGES_OF_CLOTH | {"the far fold": far}
            front = chalks.get((said["garment"], "front"))
            if said["panel"] == "back" and front is not None:
                chalk.front = front
            tables[said["garment"], said["panel"]] = placing
        if "the front's " in said["say"] and hasattr(chalk, "front"):
            traced(chalk, tables[said["garment"], "front"], placing)
        ends = chalk.call(said)
        for own, theirs in zip(ends or (), said["cloth_mm"], strict=False):
            assert hypot(own[0] - theirs[0], own[1] - theirs[1]) < NEAR, f"{said['panel']}: {said['say']}"
        # A neck opening ends on the fold, which on open cloth is inside the piece.
        if said["kind"] in ("point", "meet") and not said["inside"] and said["code"] != "neck_opening":
            ring = LinearRing(pieces[f"{said['garment']}.{said['panel']}"][line[said["garment"]]])
            away = ring.distance(Point(said["local_mm"][1]))
            assert away > OUTLINE - 0.05 if said["aside"] else away <= OUTLINE, said["say"]
    for (garment, panel), chalk in chalks.items():
        piece = pieces[f"{garment}.{panel}"]
        complete(piece, panels[garment, panel], chalk, tables[garment, panel], line[garment])


EDGES_OF_CLOTH = {
    "the fold": ((0, 0), (1, 0)),
    "the near fold": ((0, 0), (1, 0)),
    "the selvedge": ((0, 0), (1, 0)),
    "the cut end of the cloth": ((0, 0), (0, 1)),
}


def traced(chalk, there, here):
    """The front's chalk moved to where it was laid again for the back: the same way up, its lines on the new ones."""
    front, chalk.front = chalk.front, None
    del chalk.front
    t, u = (-1 if p["turned"] else 1 for p in (there, here))
    m, n = ((-1 if p["mirrored"] else 1) for p in (there, here))

    def moved(point):
        down, across = t * (point[0] - there["x_mm"]), t * m * (point[1] - there["y_mm"])
        return here["x_mm"] + u * down, here["y_mm"] + u * n * across

    again = Chalk()
    again.points = {name: moved(point) for name, point in front.points.items()}
    again.lines = {name: (moved(at), run) for name, (at, run) in front.lines.items()}
    for name, (at, run) in front.lines.items():
        a, b = moved(at), moved((at[0] + run[0], at[1] + run[1]))
        again.lines[name] = (a, (b[0] - a[0], b[1] - a[1]))
    again.edges = {name: LineString([moved(p) for p in line.coords]) for name, line in front.edges.items()}
    chalk.traced_from(again)


def complete(piece, panel, chalk, placing, line):
    """Somebody who has only the chalk has the whole piece."""
    t, m = (-1 if placing["turned"] else 1), (-1 if placing["mirrored"] else 1)

    def at(point):
        return placing["x_mm"] + t * point[1], placing["y_mm"] + t * m * point[0]

    ring = LineString([at(point) for point in piece[line]])
    on_fold = [at(point) for point in piece[line] if abs(point[0]) < 0.01]
    fold = LineString(on_fold) if len(on_fold) > 1 else None
    if not piece["on_fold"] and fold is not None and chalk.outline().hausdorff_distance(ring) > OUTLINE:
        # On open cloth one half is chalked beside the middle line and traced over.
        ring = LineString([at(point) for point in piece[line] if point[0] >= -0.01])
    away = chalk.outline(fold).hausdorff_distance(ring)
    assert away <= OUTLINE, (piece["id"], away)
    for dart in panel["darts"]:
        tip = Point(at(dart["tip"]))
        assert min(tip.distance(Point(one)) for one in chalk.points.values()) <= OUTLINE, (piece["id"], "dart")
    for notch in piece["notches"]:
        cut_at = Point(at(notch[line]))
        cut_at = ring.interpolate(ring.project(cut_at))
        on_the_fold = fold is not None and cut_at.distance(fold) < OUTLINE
        assert on_the_fold or min(cut_at.distance(Point(one)) for one in chalk.notches) <= OUTLINE, (piece["id"], notch)


@pytest.mark.parametrize("path", WORKS, ids=lambda path: path.stem)
def test_the_works_can_be_chalked_by_their_calls_alone(path):
    made = plan(read_job(json.loads(path.read_text())), by_width=False)
    if made.laid.fits:
        followed(made)


@settings(max_examples=many(30))
@given(bodies(), asks())
def test_trousers_can_be_chalked_by_their_calls_alone(body, made):
    method, ask = made
    asked = (GarmentAsk("t", "straight-trousers", method, ask),)
    cloth = Cloth(width=inch(129).size, fold="open")
    followed(or_another(lambda: plan(Job("cm", body, asked, cloth), by_width=False)))


EVERY = [(style, method, fold) for fold in FOLDS for style, method in STYLES_BY_METHOD]


@pytest.mark.parametrize(("style", "method", "fold"), some(EVERY, 23))
def test_every_style_of_every_method_can_be_chalked_on_every_fold(style, method, fold):
    raw = job(cloth={"width": "129 in", "fold": fold}) | {
        "unit": "cm",
        "measurements": FIVE["middle"] | UPPER["middle"],
    }
    raw["garments"] = [{"id": "g", "style": style, "method": method, "choices": {}}]
    made = plan(read_job(raw), by_width=False)
    if made.laid.fits:
        followed(made)


@pytest.mark.parametrize("body", FIVE)
@pytest.mark.parametrize("marking", ["on-cloth", "on-paper"])
@pytest.mark.parametrize("choices", [{"back_from": "itself"}, {"yoke": "3"}, {"waist_finish": "shaped-band"}, {"closure": "fly", "pockets": ["front-curved", "back-patch"]}])  # fmt: skip
def test_what_is_cut_off_traced_or_drawn_alone_can_be_chalked(body, marking, choices):
    raw = job(cloth={"width": "129 in", "fold": "open"}, style="straight-trousers", marking=marking, **choices)
    made = plan(read_job(raw | {"unit": "cm", "measurements": FIVE[body]}), by_width=False)
    followed(made)


@pytest.mark.parametrize("body", FIVE)
@pytest.mark.parametrize("style", ["bodice", "straight-top", "loose-top", "cropped-top"])
@pytest.mark.parametrize(
    "choices", [{"sleeve": "long"}, {"sleeve": "short", "closure": "back-zip"}, {"sleeve": "none"}]
)
def test_a_top_can_be_chalked_by_its_calls_alone(body, style, choices):
    followed(plan(read_job(top_job(body, style, **choices)), by_width=False))
