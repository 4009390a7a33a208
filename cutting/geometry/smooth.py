"""Edges that run smooth across the seams at their ends: square to what comes before and after, straight between."""

from collections.abc import Sequence
from dataclasses import replace

from cutting.geometry.path import Cubic, Line, Path, Segment, hermite
from cutting.geometry.point import Point, distance, unit

BEND = 65.0
"""Over so many mm, about 2 1/2 in, an edge bends at an end; on a short edge over 2/5 of it."""
SEEN = 0.9997
"""The cosine of 1 1/2 degrees: an end that is nearer to square stays straight."""


def squared(before: Point, start: Point, end: Point, after: Point, bend: float = BEND) -> Path:
    """The edge from `start` to `end` that is square to both its neighbours.

    `before` is the unit direction in which the edge before arrives, `after` that in which the edge after leaves, all
    of them run the way of an outline: waist, crotch, hem, side. Lengths in mm.
    """
    leaving, arriving = Point(-before.down, before.across), Point(after.down, -after.across)
    chord = unit(end.minus(start))
    reach = min(bend, 0.4 * distance(start, end))
    one = start.plus(chord, reach) if leaving.dot(chord) < SEEN else start
    other = end.plus(chord, -reach) if arriving.dot(chord) < SEEN else end
    segments: list[Segment] = [hermite(start, leaving, one, chord)] if one != start else []
    segments.append(Line(one, other))
    if other != end:
        segments.append(hermite(other, chord, end, arriving))
    return Path(tuple(segments))


def parted(path: Path, points: Sequence[Point]) -> list[Path | None]:
    """A path in the stretches between points that are on it or beside it, in its order; their ends are the points.

    None stands for a stretch between two points that are the same.
    """
    stops = [path.start, *points, path.end]
    sizes = [0.0, *(path.place_of(point) for point in points), path.length]
    return [
        None if distance(a, b) < SAME else _ends_moved(_stretch(path, low, high), a, b)
        for a, b, low, high in zip(stops, stops[1:], sizes, sizes[1:], strict=False)
    ]


SAME, CRUMB, TURN = 1e-6, 0.5, 0.9962
"""Points nearer than `SAME` mm are the same. A part of a segment shorter than `CRUMB` mm is left out where moving its
end would turn it by more than 5 degrees, whose cosine is `TURN`."""


def _stretch(path: Path, low: float, high: float) -> Path:
    """The path between two places along it, in mm; a line where they are as good as one."""
    if high - low < SAME:
        point, direction = path.along(low)
        return Path((Line(point, point.plus(direction, SAME)),))
    rest = path if low < SAME else path.split(low)[1]
    return rest if high > path.length - SAME else rest.split(high - low)[0]


def _ends_moved(path: Path, start: Point, end: Point) -> Path:
    forward = _start_moved(list(path.segments), start)
    backward = _start_moved([segment.back for segment in reversed(forward)], end)
    return Path(tuple(segment.back for segment in reversed(backward)))


def _start_moved(segments: list[Segment], start: Point) -> list[Segment]:
    """The segments from another start, without a first crumb that would point elsewhere."""
    first, *rest = segments
    if rest and first.length < CRUMB and _turns(first, start):
        first, *rest = rest
    if isinstance(first, Cubic):
        moved: Segment = replace(first, start=start, one=first.one.plus(start.minus(first.start)))
    else:
        moved = replace(first, start=start)
    return [moved, *rest]


def _turns(segment: Segment, start: Point) -> bool:
    before, after = segment.end.minus(segment.start), segment.end.minus(start)
    return before.dot(after) <= TURN * distance(segment.start, segment.end) * distance(start, segment.end)
