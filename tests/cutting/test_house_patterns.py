"""House patterns laid and chalked beside drafted pieces: cut as they were drawn, whole or refused with the reason."""

import json
from copy import deepcopy
from itertools import combinations
from math import cos, pi, sin
from pathlib import Path

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from shapely import affinity
from shapely.geometry import Polygon, box

from cutting.cloth import FOLDS
from cutting.errors import CuttingError
from cutting.formats import plan_to_wire, read_job, read_job_text
from cutting.plan import plan
from cutting.words import ENGLISH
from tests.conftest import many, some
from tests.cutting.test_calls import followed
from tests.jobs import job

YOKE = [[0, 20], [60, 0], [220, 0], [230, 120], [0, 140]]
VEST = [[0, 60], [40, 20], [110, 0], [150, 40], [170, 120], [230, 180], [235, 480], [0, 500]]
ROUND = [[60 + 60 * cos(k * pi / 40), 60 + 60 * sin(k * pi / 40)] for k in range(80)]
NOTCH, INSIDE = [[232, 300], [222, 300]], [[50, 100], [100, 300], [180, 400]]
PIECES = [
    {"name": "back", "outline_mm": VEST, "lines_mm": [NOTCH, INSIDE], "count": 2, "pair": True},
    {"name": "yoke", "outline_mm": YOKE, "on_fold": True},
    {"name": "round-patch", "outline_mm": ROUND, "count": 3},
]


def beside(pieces=PIECES, **cloth):
    """The demo's palazzo with a house pattern beside it."""
    return job(cloth=cloth) | {"patterns": [{"id": "vest", "pieces": deepcopy(pieces)}]}


def cut_out(wire, name):
    """Every copy of a piece as it is on the cloth, by the rule of docs/file-formats.md, with its section and layers."""
    cut = next(piece["cut"] for piece in wire["pieces"] if piece["id"] == f"vest.house-{name}")
    for one in wire["lay"]["placements"]:
        if one["piece"] == f"vest.house-{name}":
            t, m = (-1 if one["turned"] else 1), (-1 if one["mirrored"] else 1)
            shape = Polygon([(one["x_mm"] + t * down, one["y_mm"] + t * m * across) for across, down in cut])
            yield shape, one


@pytest.mark.parametrize("fold", [*FOLDS, "sections"])
def test_it_is_cut_as_it_was_drawn_on_every_fold(fold):
    """The area that is cut of each piece is what was drawn; nothing is on anything else; its calls are its outline."""
    made = plan(read_job(beside(fold=fold, width=70)), by_width=False)
    wire = plan_to_wire(made)
    assert wire["lay"], fold
    wanted = {"back": 2 * Polygon(VEST).area, "yoke": 2 * Polygon(YOKE).area, "round-patch": 3 * Polygon(ROUND).area}
    for name, area in wanted.items():
        assert sum(
            shape.area * one["copies"] * (2 if name == "yoke" and not whole(wire, "yoke") else 1)
            for shape, one in cut_out(wire, name)
        ) == pytest.approx(area, rel=1e-4), name
    layers = {}
    for piece in wire["pieces"]:
        name = piece["id"].removeprefix("vest.house-")
        if name != piece["id"]:
            for shape, one in cut_out(wire, name):
                for layer in one["layers"]:
                    layers.setdefault((one["section"], layer), []).append(shape)
    for shapes in layers.values():
        assert all(one.intersection(other).area < 1 for one, other in combinations(shapes, 2))
    followed(made)


def whole(wire, name):
    """Whether a piece that may be on the fold is there as both halves."""
    cut = next(piece["cut"] for piece in wire["pieces"] if piece["id"] == f"vest.house-{name}")
    return Polygon(cut).area > 1.5 * Polygon(YOKE).area


@st.composite
def drawings(draw):
    """A piece that somebody may have drawn: a round shape of some corners and bows, some of them notched in."""
    count = draw(st.integers(4, 14))
    radii = draw(st.lists(st.floats(60, 240), min_size=count, max_size=count))
    tall = draw(st.floats(0.5, 2.5))
    angles = [2 * pi * k / count for k in range(count)]
    corners = [(r * cos(a), tall * r * sin(a)) for r, a in zip(radii, angles, strict=True)]
    smooth = draw(st.booleans())
    shape = Polygon(corners)
    if smooth:
        shape = shape.buffer(-15).buffer(15)
        shape = max(getattr(shape, "geoms", [shape]), key=lambda one: one.area)
    points = [[round(x, 2), round(y, 2)] for x, y in shape.exterior.coords[:-1]]
    return points if draw(st.booleans()) else points[::-1]


@settings(max_examples=many(24))
@given(drawings(), st.sampled_from(["lengthwise-centre", "open"]), st.sampled_from([(1, False), (2, True), (5, False)]))
def test_any_sound_outline_is_laid_and_chalked(outline, fold, how):
    count, pair = how
    piece = {"name": "part", "outline_mm": outline, "count": count, "pair": pair}
    made = plan(read_job(beside([piece], fold=fold)), by_width=False)
    wire = plan_to_wire(made)
    there = [(shape, one) for shape, one in cut_out(wire, "part")]
    assert sum(one["copies"] for _, one in there) == count
    drawn = Polygon(outline)
    for shape, _ in there:
        alike = [affinity.scale(drawn, x, y, origin=(0, 0)) for x in (1, -1) for y in (1, -1)]
        alike = [affinity.affine_transform(one, [0, 1, 1, 0, 0, 0]) for one in alike]
        assert any(matches(shape, one) for one in alike)
    followed(made)


def matches(one, other):
    """Whether two shapes are the same but for where they are, within a tenth of a millimetre."""
    left, top, *_ = one.bounds
    x, y, *_ = other.bounds
    return one.exterior.hausdorff_distance(affinity.translate(other, left - x, top - y).exterior) < 0.1


def test_notches_are_called_and_what_else_is_inside_is_only_drawn():
    wire = plan_to_wire(plan(read_job(beside()), by_width=False))
    calls = [mark for mark in wire["marks"] if mark["panel"] == "house-back"]
    [notch] = [mark for mark in calls if mark["stage"] == "notches"]
    assert np.hypot(*np.subtract(notch["local_mm"][1], (232, 300))) < 1
    assert "edge" in notch["say"]
    assert not [mark for mark in calls if mark["stage"] == "openings"]
    [piece] = [piece for piece in wire["pieces"] if piece["id"] == "vest.house-back"]
    assert "M50,100l50,200" in " ".join(stroke["d"] for stroke in piece["strokes"] if stroke["role"] == "chalk")
    assert "Back, vest: cut 2" in ENGLISH.piece_label(ENGLISH.piece_name("house-back", "vest"), 2, True, False)


def test_without_a_pattern_a_plan_is_what_it_was():
    bare = job()
    assert plan_to_wire(plan(read_job(bare | {"patterns": []}))) == plan_to_wire(plan(read_job(bare)))


def test_the_outfits_of_several_each_have_their_own():
    two = beside()
    two["others"] = [
        {"id": "ada", "measurements": two["measurements"], "garments": two["garments"], "patterns": two["patterns"]}
    ]
    wire = plan_to_wire(plan(read_job(two), by_width=False))
    assert {piece["garment"] for piece in wire["pieces"] if "house-" in piece["id"]} == {"vest", "ada.vest"}


SQUARE = [[0, 0], [100, 0], [100, 100], [0, 100]]
WRONG = {
    "pattern.crossed": {"outline_mm": [[0, 0], [100, 100], [100, 0], [0, 100]]},
    "pattern.fold": {"outline_mm": ROUND, "on_fold": True},
    "pattern.often": {"outline_mm": SQUARE, "count": 21},
    "pattern.pair": {"outline_mm": SQUARE, "count": 3, "pair": True},
    "pattern.numbers": {"outline_mm": [[0, 0], [100], [100, 100]]},
    "pattern.tiny": {"outline_mm": [[0, 0], [100, 0], [100, 4], [0, 4]]},
    "pattern.long": {"outline_mm": [[0, 0], [5200, 0], [5200, 40], [0, 40]]},
    "job.id": {"outline_mm": SQUARE, "name": "../x"},
}


@pytest.mark.parametrize("code", WRONG)
def test_a_piece_that_cannot_be_cut_is_refused_with_its_place(code):
    with pytest.raises(CuttingError) as refused:
        plan(read_job(beside([{"name": "part"} | WRONG[code]])))
    [problem] = refused.value.problems
    assert problem.code == code
    assert problem.where.garment == "vest"
    assert problem.where.path[0] == "pieces"
    assert all(ENGLISH.say_problem(problem, "in"))


def test_more_than_can_be_planned_while_one_waits_is_refused():
    pieces = [{"name": f"part-{k}", "outline_mm": SQUARE} for k in range(41)]
    wave = [[k / 4, 400 + 3 * (k % 2)] for k in range(1400)]
    for wrong, code in (
        (beside(pieces), "pattern.pieces"),
        (beside(pieces[:20]) | {"patterns": 3 * [{"id": "vest", "pieces": pieces[:20]}]}, "pattern.pieces"),
        (beside([]), "pattern.pieces"),
        (beside([piece | {"lines_mm": [wave]} for piece in pieces[:6]]), "pattern.drawn"),
    ):
        with pytest.raises(CuttingError) as refused:
            read_job(wrong)
        assert [one.code for one in refused.value.problems] == [code]
        assert all(ENGLISH.say_problem(refused.value.problems[0], "in"))
    assert len(read_job(beside(pieces[:40])).garments[-1].drawings) == 40


@pytest.mark.parametrize("name", some(sorted(p.name for p in Path("demo/jobs").glob("*.json")), 2))
def test_drafted_pieces_brought_in_as_a_pattern_are_what_they_were(name):
    """What another program would have of our own pieces: their cut lines, taken as they are."""
    made = plan(read_job_text((Path(__file__).parents[2] / "demo/jobs" / name).read_text()), by_width=False)
    pieces = [
        {"name": f"part-{k}", "outline_mm": [[round(p.across, 3), round(p.down, 3)] for p in piece.cut]}
        for k, piece in enumerate(made.laid.pieces)
    ]
    wire = plan_to_wire(plan(read_job(beside(json.loads(json.dumps(pieces)), width=70)), by_width=False))
    for k, piece in enumerate(made.laid.pieces):
        [shape] = [shape for shape, _ in cut_out(wire, f"part-{k}")]
        assert shape.area == pytest.approx(Polygon([(p.across, p.down) for p in piece.cut]).area, rel=1e-4)
        assert box(0, 0, 1e6, 1780).buffer(0.01).covers(shape)
