"""A drawing as DXF, in mm: a block a piece, its lines on the layers that cutting rooms agree on.

Layer numbers are those of ASTM D6673 as far as they are openly known (ezdxf's reader of such files lists them): 1 the
boundary, 4 notches, 7 the grain line, 8 lines inside, 14 the sewing line, 15 text. Curves of the boundary and of the
sewing line are there once more as splines on layers of their own.
"""

from io import StringIO
from typing import Literal

from ezdxf import units
from ezdxf._options import options
from ezdxf.enums import TextEntityAlignment
from ezdxf.filemanagement import new
from ezdxf.layouts.blocklayout import BlockLayout

from cutting.drawing import Figure, Role, Sheet, Stroke, Text
from cutting.geometry import Cubic, Point

Version = Literal["R12", "R2018"]
NEAR = 0.05
"""How far a polyline may be from its curve, mm."""
LAYERS: dict[Role, str] = {
    "cut": "1", "notch": "4", "grain": "7", "dart": "8", "chalk": "8", "fold": "8", "net": "14", "frame": "15",
}  # fmt: skip
TEXTS = "15"
SPLINES: dict[Role, str] = {"cut": "1-spline", "net": "14-spline"}


def sheet_to_dxf(sheet: Sheet, version: Version = "R2018") -> str:
    """The drawing as the text of a DXF file; across to the right, down to below. R12 knows no splines."""
    options.write_fixed_meta_data_for_testing = True
    document = new(version, units=units.MM)
    if version != "R12":  # which knows no units
        document.header["$INSUNITS"] = units.MM
    document.header["$MEASUREMENT"] = 1
    for layer in sorted({*LAYERS.values(), TEXTS, *(SPLINES.values() if version != "R12" else ())}):
        if layer not in document.layers:
            document.layers.add(layer)
    for figure in sheet.figures:
        block = document.blocks.new(_name(figure))
        for stroke in figure.strokes:
            _line(block, stroke, version)
        for text in figure.texts:
            _text(block, text)
        document.modelspace().add_blockref(block.name, (figure.at.across, -figure.at.down))
    out = StringIO()
    document.write(out)
    return out.getvalue()


def _name(figure: Figure) -> str:
    """A block's name as every version takes it."""
    return "".join(one if one.isascii() and (one.isalnum() or one in "-_") else "_" for one in figure.id).upper()


def _line(block: BlockLayout, stroke: Stroke, version: Version) -> None:
    points = [_up(point) for point in stroke.path.flat(NEAR)]
    if stroke.closed and len(points) > 2 and _same(points[0], points[-1]):
        points.pop()
    at = {"layer": LAYERS[stroke.role]}
    if version == "R12":
        block.add_polyline2d(points, close=stroke.closed, dxfattribs=at)
        return
    block.add_lwpolyline(points, close=stroke.closed, dxfattribs=at)
    if stroke.role in SPLINES:
        for part in stroke.path.segments:
            if isinstance(part, Cubic):
                spline = block.add_spline(degree=3, dxfattribs={"layer": SPLINES[stroke.role]})
                spline.control_points = [(*_up(point), 0.0) for point in (part.start, part.one, part.two, part.end)]
                spline.knots = [0.0] * 4 + [1.0] * 4


def _text(block: BlockLayout, text: Text) -> None:
    made = block.add_text(text.text, height=text.height * 0.7, rotation=-text.angle, dxfattribs={"layer": TEXTS})
    made.set_placement(_up(text.at), align=TextEntityAlignment.CENTER if text.middle else TextEntityAlignment.LEFT)


def _up(point: Point) -> tuple[float, float]:
    """A point of a sheet, whose second number grows downwards, as DXF has it."""
    return point.across, -point.down


def _same(one: tuple[float, float], other: tuple[float, float]) -> bool:
    return abs(one[0] - other[0]) < 1e-6 and abs(one[1] - other[1]) < 1e-6
