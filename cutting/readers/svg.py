"""The lines of an SVG drawing, in mm. Nothing is fetched, no script is kept, a file with a DTD is not read."""

from collections.abc import Iterator
from io import StringIO
from itertools import pairwise
from math import ceil, hypot, isfinite
from typing import Any
from xml.etree import ElementTree

from svgelements import SVG, Arc, Close, Move, Path, Shape
from svgelements import Line as Straight

from cutting.errors import refuse
from cutting.geometry import Point
from cutting.readers.outlines import MOST_POINTS, UNITS, Drawn, Unit, counted, drawn_line

STEP = 2.0
"""A curve is read at places no further apart, mm."""
SAID: dict[str, Unit] = {"mm": "mm", "cm": "cm", "in": "in"}
FORBIDDEN = ("<!doctype", "<!entity", "<use", "<image", "<foreignobject")
"""What a drawing of a pattern does not need: it could grow without end, or lead elsewhere."""


def read_svg(text: str, unit: Unit | None) -> tuple[list[Drawn], Unit]:
    """Every line of it, and its unit: what its width says, else `unit`. Raises CuttingError."""
    low = text.lower()
    for one in FORBIDDEN:
        if one in low:
            raise refuse("pattern.forbidden", word=one.strip("<!"))
    try:
        root = ElementTree.fromstring(text)  # noqa: S314  # no entity is left in it
        said = _unit(root) or unit
        if said is None:
            raise refuse("pattern.unit")
        # A picture element is as many mm as its file says: with 25.4 to the inch one mm is one of the library's.
        parsed = SVG.parse(StringIO(text), ppi=25.4, reify=True)
        scale = 1.0 if _unit(root) else UNITS[said]
        return counted(_lines(parsed, scale)), said
    except (ElementTree.ParseError, ValueError, TypeError, KeyError, AttributeError, IndexError, ZeroDivisionError,
            OverflowError, RecursionError) as error:  # fmt: skip
        raise refuse("pattern.unreadable") from error


def _unit(root: ElementTree.Element) -> Unit | None:
    """The unit of its width, where it also says how many of its own units that is."""
    width = (root.get("width") or "").strip()
    unit = SAID.get(width[-2:])
    return unit if unit and root.get("viewBox") else None


def _lines(parsed: SVG, scale: float) -> Iterator[Drawn]:
    for element in parsed.elements(lambda one: isinstance(one, Shape)):
        for part in Path(element).reify().as_subpaths():
            points, closed = _points(Path(part), scale)
            line = drawn_line(_name(element), points, closed) if len(points) > 1 else None
            if line is not None:
                yield line


def _points(path: Path, scale: float) -> tuple[list[Point], bool]:
    points, closed = list[Point](), False
    for segment in path:
        if isinstance(segment, Move):
            points.append(_point(segment.end, scale))
        elif isinstance(segment, Close):
            closed = True
        elif isinstance(segment, Straight):
            points.append(_point(segment.end, scale))
        else:
            pieces = max(8, min(400, ceil(_longest(segment) * scale / STEP)))
            points += [_point(segment.point(k / pieces), scale) for k in range(1, pieces + 1)]
        if len(points) > MOST_POINTS + 1:
            break
    return points, closed


def _longest(curve: Any) -> float:
    """A length that a curve does not go beyond: of a Bezier curve that of its control points, of an arc of its box."""
    ends = [one for name in ("start", "control", "control1", "control2", "end") if (one := getattr(curve, name, None))]
    if isinstance(curve, Arc):
        return 4.0 * max(float(curve.rx), float(curve.ry))
    return sum(hypot(b.x - a.x, b.y - a.y) for a, b in pairwise(ends))


def _point(at: Any, scale: float) -> Point:
    x, y = float(at.x) * scale, float(at.y) * scale
    if not (isfinite(x) and isfinite(y)) or abs(x) > 1e6 or abs(y) > 1e6:
        raise ValueError("far away")
    return Point(x, y)


def _name(element: Any) -> str:
    """What a line is called: its title, else its id."""
    said = element.values.get("title") or element.id or ""
    return " ".join(str(said).split())[:60]
