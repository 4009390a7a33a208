"""Points, lines, curves and outlines in the draft frame: across grows to the right, down downwards, in mm."""

from cutting.geometry.apart import Apart, apart, least_box
from cutting.geometry.outline import Crossing, area, beyond, crossings, gap, is_simple, offset_polyline
from cutting.geometry.path import Cubic, Line, Path, Segment, beyond_path, hermite
from cutting.geometry.point import ORIGIN, Point, distance, unit
from cutting.geometry.smooth import BEND, parted, squared
from cutting.geometry.solve import bisect

__all__ = [
    "BEND", "ORIGIN", "Apart", "Crossing", "Cubic", "Line", "Path", "Point", "Segment", "apart", "area", "beyond",
    "beyond_path", "bisect", "crossings", "distance", "gap", "hermite", "is_simple", "least_box", "offset_polyline",
    "parted", "squared", "unit",
]  # fmt: skip
