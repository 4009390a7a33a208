"""The pen: how thick and how broken a stroke of each role is on paper, and a stroke as path data and back."""

import re
from dataclasses import dataclass

from cutting.drawing.sheet import Role, Stroke
from cutting.geometry import ORIGIN, Cubic, Line, Path, Point, Segment


@dataclass(frozen=True)
class Pen:
    """`width` in mm; `dash` the lengths drawn and left out in turn, in mm; unbroken where empty."""

    width: float
    dash: tuple[float, ...] = ()


PENS: dict[Role, Pen] = {
    "cut": Pen(0.6),
    "net": Pen(0.35, (4, 2)),
    "fold": Pen(0.6, (1, 1)),
    "grain": Pen(0.35, (9, 2, 2, 2)),
    "notch": Pen(0.5),
    "dart": Pen(0.5),
    "chalk": Pen(0.35, (1, 3)),
    "frame": Pen(0.2),
    "sewn": Pen(1.8),
}
"""Colour alone never distinguishes two of them."""


def path_data(stroke: Stroke, at: Point = ORIGIN, places: int = 2) -> str:
    """The stroke as SVG path data in mm, moved by `at`; each coordinate relative to the point before, which is rounded.

    Rounded points, not rounded steps, follow one another: the error stays half of the last place.
    """
    unit = 10**places

    def whole(point: Point) -> tuple[int, int]:
        return round((point.across + at.across) * unit), round((point.down + at.down) * unit)

    def say(value: int) -> str:
        return f"{value / unit:.12g}"

    here = whole(stroke.path.start)
    parts = [f"M{say(here[0])},{say(here[1])}"]
    for segment in stroke.path.segments:
        points = [segment.one, segment.two, segment.end] if isinstance(segment, Cubic) else [segment.end]
        ends = [whole(point) for point in points]
        steps = " ".join(f"{say(x - here[0])},{say(y - here[1])}" for x, y in ends)
        parts.append(("c" if isinstance(segment, Cubic) else "l") + steps)
        here = ends[-1]
    return "".join(parts) + ("Z" if stroke.closed else "")


PART = re.compile(r"([Mlc])([^MlcZ]*)")


def stroke_of(role: Role, data: str) -> Stroke:
    """The stroke that `path_data` was made of, with its rounded points; of other path data it reads nothing."""
    here, segments = Point(0, 0), list[Segment]()
    for code, numbers in PART.findall(data):
        x = [float(one) for one in re.split("[ ,]", numbers)]
        points = [
            Point(here.across * (code != "M") + a, here.down * (code != "M") + b)
            for a, b in zip(x[::2], x[1::2], strict=True)
        ]
        if code == "l":
            segments.append(Line(here, points[0]))
        elif code == "c":
            segments.append(Cubic(here, *points))
        here = points[-1]
    return Stroke(role, Path(tuple(segments)), closed=data.endswith("Z"))
