"""Files for machines read back by other programs: DXF, HPGL, SVG."""

import re
from io import BytesIO, StringIO

import ezdxf
import numpy as np
import pytest
from shapely.geometry import Polygon
from svgelements import SVG
from svgelements import Path as DrawnPath

from tests.jobs import file_of
from tests.outside.read_back import PLOTTER, cornered, is_there, outlines, ways


@pytest.mark.parametrize("name", ["pieces.dxf", "pieces-r12.dxf"])
def test_dxf_is_sound_and_has_every_outline_in_mm(jumpsuit, name):
    document = ezdxf.read(StringIO(file_of(jumpsuit, name).decode()))
    audit = document.audit()
    assert (audit.errors, audit.fixes) == ([], [])
    assert name == "pieces-r12.dxf" or document.header["$INSUNITS"] == 4
    notches = {re.sub(r"[^A-Za-z0-9_-]", "_", one.id).upper(): len(one.notches) for one in jumpsuit.laid.pieces}
    found = {}
    for insert in document.modelspace().query("INSERT"):
        block = document.blocks[insert.dxf.name]
        cut = [one for one in block if one.dxf.layer == "1" and one.dxftype() in ("LWPOLYLINE", "POLYLINE")]
        assert len(cut) == 1
        assert cut[0].is_closed
        points = (
            list(cut[0].get_points("xy"))
            if cut[0].dxftype() == "LWPOLYLINE"
            else [(v.dxf.location.x, v.dxf.location.y) for v in cut[0].vertices]
        )
        # Its second number grows upwards.
        found[insert.dxf.name] = cornered(Polygon([(x, -y) for x, y in points]))
        layers = {one.dxf.layer for one in block}
        assert {"1", "7", "14", "15"} <= layers
        assert sum(one.dxf.layer == "4" for one in block) == notches[insert.dxf.name]
        splines = [one for one in block if one.dxftype() == "SPLINE"]
        assert {one.dxf.layer for one in splines} <= {"1-spline", "14-spline"}
        assert name == "pieces-r12.dxf" or any(one.dxf.layer == "14-spline" for one in splines)
    for piece, outline in outlines(jumpsuit).items():
        there = found[re.sub(r"[^A-Za-z0-9_-]", "_", piece).upper()]
        assert there.area == pytest.approx(outline.area, rel=1e-3)
        assert there.exterior.hausdorff_distance(outline.exterior) < 0.1


def test_a_plotters_pen_goes_round_every_outline(jumpsuit):
    text = file_of(jumpsuit, "pieces.hpgl").decode()
    shapes = [Polygon([(x * PLOTTER, -y * PLOTTER) for x, y in way]) for way in ways(text)]
    for outline in outlines(jumpsuit).values():
        assert is_there(outline, shapes, 0.1 + PLOTTER)


def test_a_plotters_pens_are_by_what_is_drawn_and_travel_little(jumpsuit):
    """Pen 1 draws the outlines and no more; between its strokes the pen goes less far than with a piece's in any order."""
    text = file_of(jumpsuit, "pieces.hpgl").decode()
    by_pen = {}
    for pen, said in re.findall(r"SP(\d);((?:(?!SP)[^\n])*)", text):
        by_pen.setdefault(pen, []).append(said)
    first = [Polygon([(x * PLOTTER, -y * PLOTTER) for x, y in way]) for said in by_pen["1"] for way in ways(said)]
    alike = list(outlines(jumpsuit).values())
    closed = [shape for shape in first if shape.area > 10]
    assert len(closed) == len(alike)
    assert all(is_there(outline, closed, 0.1 + PLOTTER) for outline in alike)
    assert all("LB" not in said for said in by_pen["1"] + by_pen["2"])

    def lifted(text):
        far, here = 0.0, None
        for code, numbers in re.findall(r"(PU|PD)(\d[\d,]*);", re.sub(r"LB[^\x03]*\x03;", "", text)):
            steps = [int(one) for one in numbers.split(",")]
            if code == "PU" and here:
                far += float(np.hypot(steps[0] - here[0], steps[1] - here[1]))
            here = steps[-2:]
        return far

    whole = re.sub(r"PU\d+,\d+;SI[^\n]*?\x03;", "", text)
    strokes = [re.findall(r"PU[\d,]+;PD[\d,]+;PU;", line) for line in whole.split("\n")]
    mixed = "".join("".join(sorted(line)) for line in strokes)
    assert lifted("".join("".join(line) for line in strokes)) < 0.8 * lifted(mixed)


def test_svg_is_read_by_another_library(jumpsuit):
    drawing = SVG.parse(BytesIO(file_of(jumpsuit, "plan.svg")), ppi=25.4)
    shapes = {one.id: one for one in drawing.elements() if isinstance(one, DrawnPath) and one.id}
    for piece, outline in outlines(jumpsuit).items():
        points = [shapes[f"{piece}.cut"].point(t) for t in np.linspace(0, 1, 4000)]
        there = cornered(Polygon([(p.x, p.y) for p in points]))
        assert there.area == pytest.approx(outline.area, rel=1e-3)
