"""The smooth curve that a hand draws through points."""

from collections.abc import Sequence
from functools import lru_cache

from cutting.geometry import Point, distance, unit

FINE = 24
"""A curve is drawn in so many steps between two points."""


def through(
    points: Sequence[Point], each: int = 8, first: Point | None = None, last: Point | None = None
) -> list[Point]:
    """The curve drawn by hand through points: a cubic spline over the lengths of its chords, as a polyline.

    `first` and `last` are the unit directions in which it goes on from a straight line, and into one; where there is
    none it is free. Through two points without either it is straight. (Press et al., Numerical Recipes, section 3.3.)
    """
    n = len(points) - 1
    if n < 2 and first is None and last is None:
        return list(points)
    t = [0.0]
    for a, b in zip(points, points[1:], strict=False):
        t.append(t[-1] + distance(a, b))
    bent = [
        _second(t, [p[k] for p in points], None if first is None else first[k], None if last is None else last[k])
        for k in (0, 1)
    ]
    found = [points[0]]
    for i in range(n):
        wide = t[i + 1] - t[i]
        (ax, ay), (bx, by) = points[i], points[i + 1]
        (p, q), (r, s) = (second[i : i + 2] for second in bent)
        found += [
            Point(
                left * ax + onward * bx + (out * p + back * q) * wide * wide / 6,
                left * ay + onward * by + (out * r + back * s) * wide * wide / 6,
            )
            for left, onward, out, back in _shares(each)
        ]
    return found


@lru_cache
def _shares(each: int) -> list[tuple[float, float, float, float]]:
    """For each step between two points: the shares of both, and of how the curve bends at both."""
    shares = ((1 - k / each, k / each) for k in range(1, each + 1))
    return [(left, onward, left**3 - left, onward**3 - onward) for left, onward in shares]


def drawn(points: Sequence[Point], bends: Sequence[bool]) -> list[Point]:
    """A stroke through points, each stretch straight or, where `bends` says so, one curve with those beside it, which
    runs smoothly out of a straight stretch and into one.
    """
    found, k = [points[0]], 0
    for start, end in curves(bends):
        found += points[k + 1 : start + 1]
        before, after = way_at(points, bends, start - 1), way_at(points, bends, end)
        found += through(points[start : end + 1], FINE, before, after)[1:]
        k = end
    return [*found, *points[k + 1 :]]


def curves(bends: Sequence[bool]) -> list[tuple[int, int]]:
    """Each curve of a stroke, which may be of several stretches: from which of its points to which."""
    starts = [k for k, bent in enumerate(bends) if bent and not (k and bends[k - 1])]
    ends = [k for k, bent in enumerate(bends, 1) if bent and not (k < len(bends) and bends[k])]
    return list(zip(starts, ends, strict=True))


def way_at(points: Sequence[Point], bends: Sequence[bool], k: int) -> Point | None:
    """The direction of a straight stretch; None where there is none, or it is curved."""
    return unit(points[k + 1].minus(points[k])) if 0 <= k < len(bends) and not bends[k] else None


def _second(t: Sequence[float], y: Sequence[float], first: float | None, last: float | None) -> list[float]:
    """The second derivatives of a spline at its points; `first` and `last` are its slopes at the ends, where given."""
    n = len(t)
    out, carried = [0.0] * n, [0.0] * n
    if first is not None:
        wide = t[1] - t[0]
        out[0], carried[0] = -0.5, 3 / wide * ((y[1] - y[0]) / wide - first)
    for i in range(1, n - 1):
        share = (t[i] - t[i - 1]) / (t[i + 1] - t[i - 1])
        p = share * out[i - 1] + 2
        out[i] = (share - 1) / p
        slope = (y[i + 1] - y[i]) / (t[i + 1] - t[i]) - (y[i] - y[i - 1]) / (t[i] - t[i - 1])
        carried[i] = (6 * slope / (t[i + 1] - t[i - 1]) - share * carried[i - 1]) / p
    half, end = 0.0, 0.0
    if last is not None:
        wide = t[-1] - t[-2]
        half, end = 0.5, 3 / wide * (last - (y[-1] - y[-2]) / wide)
    out[-1] = (end - half * carried[-2]) / (half * out[-2] + 1)
    for i in range(n - 2, -1, -1):
        out[i] = out[i] * out[i + 1] + carried[i]
    return out
