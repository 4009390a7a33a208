"""The lines of a DXF drawing, in mm: polylines, lines, arcs and curves, also those in blocks."""

from collections.abc import Iterator
from io import StringIO
from math import isfinite
from typing import Any

from ezdxf import path as paths
from ezdxf.filemanagement import read
from ezdxf.lldxf.const import DXFError

from cutting.errors import refuse
from cutting.geometry import Point
from cutting.readers.outlines import MOST_POINTS, NEAR, UNITS, Drawn, Unit, counted, drawn_line

INSUNITS: dict[int, Unit] = {1: "in", 4: "mm", 5: "cm"}
KINDS = ("LWPOLYLINE", "POLYLINE", "LINE", "ARC", "CIRCLE", "ELLIPSE", "SPLINE")
DEEP = 3
"""Blocks within blocks are opened no deeper."""


def read_dxf(text: str, unit: Unit | None) -> tuple[list[Drawn], Unit]:
    """Every line of it, and its unit: what its head says, else `unit`. Raises CuttingError."""
    try:
        document = read(StringIO(text))
        said = INSUNITS.get(int(document.header.get("$INSUNITS", 0))) or unit
        if said is None:
            raise refuse("pattern.unit")
        return counted(_lines(document.modelspace(), UNITS[said])), said
    except (DXFError, ValueError, TypeError, KeyError, AttributeError, IndexError, ZeroDivisionError,
            OverflowError, RecursionError, AssertionError) as error:  # fmt: skip
        raise refuse("pattern.unreadable") from error


def _lines(space: Any, scale: float) -> Iterator[Drawn]:
    for name, entity in _entities(space, "", 0):
        path = paths.make_path(entity)
        points = [_point(one, scale) for one in path.flattening(NEAR / scale, segments=4)][: MOST_POINTS + 1]
        line = drawn_line(name, points, path.is_closed) if len(points) > 1 else None
        if line is not None:
            yield line


def _entities(space: Any, name: str, depth: int) -> Iterator[tuple[str, Any]]:
    for entity in space:
        kind = entity.dxftype()
        if kind in KINDS:
            yield name or str(entity.dxf.get("layer", "")), entity
        elif kind == "INSERT" and depth < DEEP:
            yield from _entities(entity.virtual_entities(), entity.dxf.name, depth + 1)


def _point(at: Any, scale: float) -> Point:
    """Its second number grows upwards."""
    x, y = float(at.x) * scale, -float(at.y) * scale
    if not (isfinite(x) and isfinite(y)) or abs(x) > 1e6 or abs(y) > 1e6:
        raise ValueError("far away")
    return Point(x, y)
