"""Points, lines, curves and outlines in the draft frame: across grows to the right, down downwards, in mm."""

from cutting.geometry.apart import Apart, apart
from cutting.geometry.outline import (
    Crossing,
    area,
    beyond,
    crossings,
    gap,
    is_simple,
    least_box,
    offset_polyline,
    simplified,
)
from cutting.geometry.path import Cubic, Line, Path, Segment, beyond_path, hermite
from cutting.geometry.point import ORIGIN, Point, as_rows, distance, unit
from cutting.geometry.polyline import Polyline, furthest, nearest_line, off_straight
from cutting.geometry.smooth import BEND, parted, squared
from cutting.geometry.solve import zero_between

__all__ = [
    "BEND", "ORIGIN", "Apart", "Crossing", "Cubic", "Line", "Path", "Point", "Polyline", "Segment", "apart", "area",
    "as_rows", "beyond", "beyond_path", "crossings", "distance", "furthest", "gap", "hermite", "is_simple", "least_box",
    "nearest_line", "off_straight", "offset_polyline", "parted", "simplified", "squared", "unit", "zero_between",
]  # fmt: skip
