"""The calls followed with chalk: each starts where something is chalked, runs as it is said, and they reach all round."""

from math import hypot

import pytest
from hypothesis import given, settings

from cutting.cloth import Cloth
from cutting.formats import plan_to_wire, read_job
from cutting.job import GarmentAsk, Job
from cutting.lengths import inch
from cutting.plan import plan
from tests.conftest import many
from tests.jobs import FIVE, MARIT, job, planned, top_job
from tests.strategies import asks, bodies, served

NEAR = 0.7
"""What a tape's start may be off a level or a point that was chalked, in mm: less than a chalk line."""


def chalked(made):
    """Each call that is not a piece's place, with its ends and all that was chalked on its panel before."""
    there = {}
    for mark in made.marks:
        before = there.setdefault((mark.garment, mark.step.panel), [])
        ends = [(point.across, point.down) for point in (mark.tape.start, mark.tape.end)]
        if mark.step.stage != "place":
            yield mark, ends, list(before)
            before.append(ends[0])
        before.append(ends[1])


def followed(made):
    """Hold every call of a plan against what was chalked before it, and against its own words."""
    wire = [mark for mark in plan_to_wire(made)["marks"] if mark["stage"] != "place"]
    last = None
    for (mark, (start, end), before), said in zip(chalked(made), wire, strict=True):
        called = f"{mark.step.panel}: {said['say']}"
        if said["from"] == "the point just marked":
            assert hypot(start[0] - last[0], start[1] - last[1]) < NEAR, called
        if said["along"].startswith("level"):
            assert min(abs(start[1] - point[1]) for point in before) < NEAR, f"{called}: at which level?"
        if said["along"].startswith(("straight down", "down along")) or said["along"].endswith(", down"):
            assert end[1] >= start[1] - 0.05, called
        if said["along"].startswith(("straight up", "up along")) or said["along"].endswith(", up"):
            assert end[1] <= start[1] + 0.05, called
        if said["from"] == "the guide line" and mark.step.panel in ("front", "back"):
            assert said["along"].endswith("out beyond it") == (end[0] < start[0] - 0.05), called
        last = end


def corners_called(made):
    """Each cut corner of a leg, a half or a sleeve has a mark as near as its two allowances are wide."""
    for garment in made.garments:
        for name in garment.main:
            panel, edges = garment.panels[name], list(garment.panels[name].edges.values())
            ends = [
                point for mark in made.marks if (mark.garment, mark.step.panel) == (garment.id, name)
                for point in (mark.tape.start, mark.tape.end)
            ]  # fmt: skip
            for one, other in zip(edges, [*edges[1:], edges[0]], strict=True):
                corner = panel.corner(one.name, other.name)
                near = min(hypot(corner.across - end.across, corner.down - end.down) for end in ends)
                assert near <= 1.5 * hypot(one.allowance.mm, other.allowance.mm) + 0.5, (name, one.name, other.name)


@settings(max_examples=many(40))
@given(bodies(), asks())
def test_trousers_can_be_chalked_by_their_calls_alone(body, made):
    served(body, made)
    method, ask = made
    asked = (GarmentAsk("t", "straight-trousers", method, ask),)
    whole = plan(Job("cm", body, asked, Cloth(width=inch(129).size, fold="open")), by_width=False)
    followed(whole)


@pytest.mark.parametrize("body", FIVE)
@pytest.mark.parametrize("back_from", ["front", "itself"])
@pytest.mark.parametrize("style", ["straight-trousers", "palazzo", "shorts"])
def test_every_corner_of_a_leg_is_called(body, back_from, style):
    raw = job(cloth={"width": "129 in", "fold": "open"}, style=style, back_from=back_from)
    made = plan(read_job(raw | {"unit": "cm", "measurements": FIVE[body]}), by_width=False)
    followed(made)
    corners_called(made)


@pytest.mark.parametrize("body", FIVE)
@pytest.mark.parametrize("style", ["bodice", "straight-top", "loose-top", "cropped-top"])
@pytest.mark.parametrize("choices", [{"sleeve": "long"}, {"sleeve": "short", "closure": "back-zip"}])
def test_a_top_can_be_chalked_by_its_calls_alone(body, style, choices):
    made = plan(read_job(top_job(body, style, **choices)), by_width=False)
    followed(made)
    corners_called(made)


def test_a_corner_that_comes_out_above_the_line_is_called_upwards():
    """The back's crotch point drops by less than its seam is wide: on cloth its corner is above the crotch line."""
    said = {mark["code"]: mark for mark in plan_to_wire(plan(read_job(MARIT)))["marks"] if mark["panel"] == "back"}
    assert (said["tip_drop"]["along"], said["tip_drop"]["from"]) == ("straight up", "the point just marked")
    assert said["tip_drop"]["local_mm"][0] == said["crotch_tip"]["local_mm"][1]


def test_a_hem_is_called_by_its_edge_and_by_its_turn():
    """1 1/4 in up from the edge, where the widths are measured; on paper there is one line."""
    marks = [
        mark for mark in plan_to_wire(planned(style="straight-trousers", hem=1.25))["marks"] if mark["panel"] == "front"
    ]
    edge, turn = (next(mark for mark in marks if mark["code"] == code) for code in ("hem_line", "hem_turn"))
    assert turn["say"] == "Hem's turn: 1 1/4 in from the hem's edge, straight up"
    assert turn["local_mm"][0] == edge["local_mm"][1]
    inner = next(mark for mark in marks if mark["code"] == "hem_inner")
    assert inner["local_mm"][0][1] == pytest.approx(turn["local_mm"][1][1])
    assert inner["along"] == "along the hem's turn"
    assert "hem_turn" not in {
        mark["code"] for mark in plan_to_wire(planned(style="straight-trousers", marking="on-paper"))["marks"]
    }
