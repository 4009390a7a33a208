"""The lines of an SVG drawing, in mm. Nothing is fetched, no script is kept, a file with a DTD is not read."""

import re
from collections.abc import Iterator
from io import StringIO
from math import acos, ceil, hypot, isfinite, pi, sqrt
from typing import Any
from xml.etree.ElementTree import Element, ParseError

import numpy as np
from defusedxml.ElementTree import fromstring
from svgelements import SVG, Arc, Close, Move, Path, Shape
from svgelements import Line as Straight

from cutting.errors import refuse
from cutting.geometry import Point
from cutting.readers.outlines import MOST_LINES, MOST_POINTS, NEAR, UNITS, Drawn, Unit, counted, drawn_line

SAID: dict[str, Unit] = {"mm": "mm", "cm": "cm", "in": "in"}
FORBIDDEN = ("<!doctype", "<!entity", "<use", "<image", "<foreignobject")
"""What a drawing of a pattern does not need: it could grow without end, or lead elsewhere."""
DEEP = 40
"""Groups within groups are opened no deeper."""
MOST_ELEMENTS, MOST_NUMBERS, MOST_TRANSFORMS = 5000, 60_000, 2000
"""How many elements there are, how many numbers their lines are written with, how often one is moved or turned."""
MOST_PARTS = 400
"""A curve is divided into no more."""
NUMBER, TRANSFORM = re.compile(r"[-+]?[\d.]+"), re.compile(r"\(")
SHAPES = {"path", "rect", "circle", "ellipse", "line", "polyline", "polygon"}


def read_svg(text: str, unit: Unit | None) -> tuple[list[Drawn], Unit]:
    """Every line of it, and its unit: what its width says, else `unit`. Raises CuttingError."""
    low = text.lower()
    for one in FORBIDDEN:
        if one in low:
            raise refuse("pattern.forbidden", word=one.strip("<!"))
    try:
        root = fromstring(text, forbid_dtd=True)
        _check_size(root)
        said = _unit(root) or unit
        if said is None:
            raise refuse("pattern.unit")
        # A picture element is as many mm as its file says: with 25.4 to the inch one mm is one of the library's.
        parsed = SVG.parse(StringIO(text), ppi=25.4, reify=True)
        scale = 1.0 if _unit(root) else UNITS[said]
        return counted(_lines(parsed, scale)), said
    except (ParseError, ValueError, TypeError, KeyError, AttributeError, IndexError, ZeroDivisionError,
            OverflowError, RecursionError) as error:  # fmt: skip
        raise refuse("pattern.unreadable") from error


def _check_size(root: Element) -> None:
    """Raises CuttingError where reading it would take long, before anything is worked out."""
    elements = shapes = numbers = transforms = 0
    level = [root]
    for _ in range(DEEP):
        elements += len(level)
        for one in level:
            kind = str(one.tag).rpartition("}")[2]
            shapes += kind in SHAPES
            numbers += sum(len(NUMBER.findall(one.get(key, ""))) for key in ("d", "points"))
            transforms += len(TRANSFORM.findall(one.get("transform", "")))
        level = [inner for one in level for inner in one]
        if not level:
            break
    most = (MOST_ELEMENTS, MOST_LINES, MOST_NUMBERS, MOST_TRANSFORMS)
    if level or any(a > b for a, b in zip((elements, shapes, numbers, transforms), most, strict=True)):
        raise refuse("pattern.many", most=MOST_LINES)


def _unit(root: Element) -> Unit | None:
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
            pieces = _parts(segment, scale)
            points += [_place(x, y, scale) for x, y in segment.npoint(np.arange(1, pieces + 1) / pieces)]
        if len(points) > MOST_POINTS + 1:
            break
    return points, closed


def _parts(curve: Any, scale: float) -> int:
    """Into how many straight parts a curve is divided so that none is further than NEAR from it.

    A chord of n equal parts of a Bezier curve is no further from it than an 8th of its largest second derivative, of
    an arc than the radius less its cosine's share: textbook geometry.
    """
    if isinstance(curve, Arc):
        radius = max(float(curve.rx), float(curve.ry)) * scale
        half = acos(1 - NEAR / radius) if radius > NEAR else pi / 2
        return max(4, min(MOST_PARTS, ceil(abs(float(curve.sweep)) / (2 * half))))
    ends = [one for name in ("start", "control", "control1", "control2", "end") if (one := getattr(curve, name, None))]
    bends = [hypot(a.x - 2 * b.x + c.x, a.y - 2 * b.y + c.y) for a, b, c in zip(ends, ends[1:], ends[2:], strict=False)]
    degree = len(ends) - 1
    second = degree * (degree - 1) * max(bends, default=0.0) * scale
    return max(1, min(MOST_PARTS, ceil(sqrt(second / (8 * NEAR)))))


def _point(at: Any, scale: float) -> Point:
    return _place(at.x, at.y, scale)


def _place(across: float, down: float, scale: float) -> Point:
    x, y = float(across) * scale, float(down) * scale
    if not (isfinite(x) and isfinite(y)) or abs(x) > 1e6 or abs(y) > 1e6:
        raise ValueError("far away")
    return Point(x, y)


def _name(element: Any) -> str:
    """What a line is called: its title, else its id."""
    said = element.values.get("title") or element.id or ""
    return " ".join(str(said).split())[:60]
