"""The exported drawing read by another library: true size, the same girths, areas and curve lengths."""

from math import hypot
from xml.etree import ElementTree as ET

import pytest
from scipy.integrate import quad
from shapely.geometry import LineString, Polygon
from svgpathtools import Line, parse_path

from cutting.formats.plan_v1 import to_model
from cutting.geometry import Cubic, area
from tests.jobs import file_of, planned

STEPS = 40
"""A curve of the drawing is read at so many places."""
NAME = "{http://www.w3.org/2000/svg}"


@pytest.fixture(scope="module", params=["palazzo", "straight-trousers"])
def made(request):
    return planned(style=request.param, seat="full")


def outlines(made):
    """Each `piece.net` and `piece.cut` of the SVG as points in mm."""
    root = ET.fromstring(file_of(made, "plan.svg"))  # noqa: S314  # our own drawing
    width_mm = float(root.get("width").removesuffix("mm"))
    scale = width_mm / float(root.get("viewBox").split()[2])
    found = {}
    for path in root.iter(f"{NAME}path"):
        if path.get("id"):
            shape = parse_path(path.get("d"))
            points = [part.point(k / STEPS) for part in shape for k in range(1 if isinstance(part, Line) else STEPS)]
            found[path.get("id")] = [(scale * point.real, scale * point.imag) for point in points]
    return found


def test_girths_on_the_drawing(made):
    shapes = outlines(made)
    body = made.garments[0].body
    hip = 0.0
    for name in ("front", "back"):
        panel = made.garments[0].panels[name]
        net = shapes[f"trousers.{name}.net"]
        level = panel.points["H"].down - min(p.down for p in panel.cut) + 20
        hits = LineString([*net, net[0]]).intersection(LineString([(-1e4, level), (1e4, level)])).bounds
        top, below = panel.edges["crotch"].path.segments[0].start, panel.edges["crotch"].path.segments[0].end
        # The crotch curve bulges past the straight centre line where it starts above the hip line: not counted.
        straight = top.across + (panel.points["H"].down - top.down) / (below.down - top.down) * (
            below.across - top.across
        )
        offset = net[0][0] - panel.net[0].across
        hip += 2 * (straight + offset - hits[0])
    assert hip == pytest.approx(body.hip.mm + 25.4, abs=1)


def test_areas_agree(made):
    shapes = outlines(made)
    for piece in made.laid.pieces:
        for kind, points in (("net", piece.net), ("cut", piece.cut)):
            assert Polygon(shapes[f"{piece.id}.{kind}"]).area == pytest.approx(area(points), rel=1e-5)


def test_edge_lengths_by_quadrature(made):
    for panel in to_model(made).panels:
        for edge in panel.edges:
            whole = 0.0
            for part in (part for part in panel.segments if part["edge"] == edge.name):
                points = part["points"]
                if part["kind"] == "line":
                    whole += hypot(points[1][0] - points[0][0], points[1][1] - points[0][1])
                else:
                    curve = Cubic(*[type(made.laid.pieces[0].net[0])(*p) for p in points])
                    whole += quad(lambda t, c=curve: speed(c, t), 0, 1)[0]
            assert edge.length_mm == pytest.approx(whole, abs=0.01)


def speed(c, t):
    """|B'(t)| from the control points, written out here."""
    terms = [(c.start, -3 * (1 - t) ** 2), (c.one, 3 * (1 - t) ** 2 - 6 * (1 - t) * t)]
    terms += [(c.two, 6 * (1 - t) * t - 3 * t * t), (c.end, 3 * t * t)]
    return hypot(sum(p.across * k for p, k in terms), sum(p.down * k for p, k in terms))
