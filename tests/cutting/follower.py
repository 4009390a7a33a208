"""A cutter who knows nothing but the words of the calls: chalks what they say, on the cloth, and keeps what was chalked.

Its curve through points is scipy's natural spline over the chords, not the product's own.
"""

import re
from math import hypot

import numpy as np
from scipy.interpolate import CubicSpline
from shapely.geometry import LineString, MultiLineString

SHALLOW = 0.2
"""A curve that is no further from the straight line in the mean, in mm, is not seen to bend to a side."""
STRAIGHT_ON = re.compile(r", straight to |, on the sewing line|, not on the edge")
WAY = re.compile(
    r"^(?P<way>.*?)(?:, (?P<towards>(?:towards|away from) .*?))?(?P<inside>, on the sewing line|, not on the edge)?$"
)
NAME = r"(?:the |point \d|corner \d).*?"
BETWEEN = re.compile(
    rf"halfway between (?P<a>{NAME}) and (?P<b>{NAME})|a quarter of the way from (?P<c>{NAME}) to (?P<d>{NAME})"
)
ACROSS = {
    "the fold": -1,
    "the near fold": -1,
    "the far fold": 1,
    "the cut ends": 1,
    "the near selvedge": -1,
    "the selvedge": 1,
    "the far selvedge": 1,
}
ALONG = {"the waist": -1, "the neck": -1, "its top": -1, "the hem": 1, "its foot": 1}


class Chalk:
    """One piece on the table: x along the cloth, y across it. `turned` where its top is away from the cut end."""

    def __init__(self, turned=False):
        self.turned = turned
        self.points, self.lines, self.edges = {}, {}, {}
        self.strokes, self.notches, self.inside = [], [], []

    def direction(self, towards):
        """The quarter of the table that the words mean."""
        x = y = 0
        for word in re.split(r" and (?=towards|away)", towards):
            place = word.removeprefix("towards ")
            x += ALONG.get(place, 0) * (-1 if self.turned else 1)
            y += ACROSS.get(place, 0)
            assert place in ALONG or place in ACROSS, word
        return x, y

    def line(self, name):
        """A chalked line as a point and a direction."""
        assert name in self.lines, f"{name} was not chalked"
        return self.lines[name]

    def start(self, name, way):
        """Where the tape starts: at a point, or where a line crosses the one that the tape is along."""
        if name in self.points:
            return self.points[name]
        along = way.removeprefix("along ")
        if name in self.edges:
            at, run = self.line(along)
            far = LineString(
                [(at[0] - 9e3 * run[0], at[1] - 9e3 * run[1]), (at[0] + 9e3 * run[0], at[1] + 9e3 * run[1])]
            )
            met = self.edges[name].intersection(far)
            return next(iter(getattr(met, "geoms", [met]))).coords[0]
        return self.cross(name, along)

    def cross(self, one, other):
        (p, u), (q, v) = self.line(one), self.line(other)
        slope = u[0] * v[1] - u[1] * v[0]
        assert abs(slope) > 1e-6, f"{one} and {other} do not cross"
        size = ((q[0] - p[0]) * v[1] - (q[1] - p[1]) * v[0]) / slope
        return p[0] + size * u[0], p[1] + size * u[1]

    def tape(self, said):
        """Both ends of a tape, from its words and its number."""
        found = WAY.match(said["along"])
        way, wanted, size = found["way"], self.direction(found["towards"] or "towards the hem"), said["reads_mm"]
        between = BETWEEN.fullmatch(said["from"])
        if between:
            share = 0.5 if between["a"] else 0.25
            names = (between["a"], between["b"]) if between["a"] else (between["c"], between["d"])
            a, b = (self.points[name] for name in names)
            start = (a[0] + share * (b[0] - a[0]), a[1] + share * (b[1] - a[1]))
            run = (-(b[1] - a[1]), b[0] - a[0])
            return start, self.aimed(start, run, wanted, size)
        if way.startswith("swung until it meets "):
            start = self.points[said["from"]]
            at, run = self.line(way.removeprefix("swung until it meets "))
            return start, self.swung(start, at, run, wanted, size)
        start = self.start(said["from"], way)
        if way == "square to the edge, into the piece":
            return start, self.aimed(start, self.square_at(start), wanted, size)
        name = way.removeprefix("along ")
        if name in self.edges:
            return start, self.walked(self.edges[name], start, wanted, size)
        run = {"along the grain": (1, 0), "square to the grain": (0, 1)}.get(way)
        if way == "at half a right angle":
            assert all(wanted), said["say"]
            run = wanted
        if run is None:
            # What is measured along a line is marked on it, where the tape's start is a chalk's width off it too.
            at, run = self.line(name)
            return start, foot(self.aimed(start, run, wanted, size), at, run)
        return start, self.aimed(start, run, wanted, size)

    def aimed(self, start, run, wanted, size):
        """So far along a direction, to the side that the words mean."""
        way = 1 if run[0] * wanted[0] + run[1] * wanted[1] > 0 else -1
        long = hypot(*run)
        return start[0] + way * size * run[0] / long, start[1] + way * size * run[1] / long

    def swung(self, start, at, run, wanted, size):
        near = foot(start, at, run)
        reach = size**2 - (near[0] - start[0]) ** 2 - (near[1] - start[1]) ** 2
        assert reach > 0, "the tape does not reach the line"
        return self.aimed(near, run, wanted, reach**0.5)

    def square_at(self, point):
        """Square to the chalked edge that passes nearest."""
        edge = min(self.edges.values(), key=lambda one: one.distance(_place(point)))
        at = edge.project(_place(point))
        a, b = (edge.interpolate(max(0.0, at + step)).coords[0] for step in (-0.5, 0.5))
        return -(b[1] - a[1]), b[0] - a[0]

    def walked(self, edge, start, wanted, size):
        at = edge.project(_place(start))
        ends = [at + way * size for way in (1, -1)]
        ends = [end for end in ends if -1 <= end <= edge.length + 1]
        runs = [edge.interpolate(min(max(end, 0), edge.length)).coords[0] for end in ends]
        return max(runs, key=lambda end: (end[0] - start[0]) * wanted[0] + (end[1] - start[1]) * wanted[1])

    def call(self, said):
        """Do what a call says; both ends of its tape, where it has one."""
        known, kind = said["known"], said["kind"]
        assert kind == "line" or known not in self.points, f"{known} is two points"
        if kind in ("write", "slit"):
            return None
        if kind == "meet":
            there = said["along"].removesuffix(", not on the edge")
            if there.startswith("at "):
                self.points[known] = self.points[there.removeprefix("at ")]
                return None
            one, other = re.fullmatch(rf"where ({NAME}) and ({NAME}) cross", there).groups()
            self.points[known] = self.cross(one, other)
            return None
        if kind in ("join", "curve"):
            self.stroke(said)
            return None
        if said["stage"] == "place":
            # The piece's own two lines: one along the grain, so far from the fold or a selvedge, one square to it.
            upright, size = known == "the guide line", said["reads_mm"]
            self.lines[known] = ((0, size), (1, 0)) if upright else ((size, 0), (0, 1))
            at = said["cloth_mm"][1]
            assert abs(at[1 if upright else 0] - size) < 1e-3, said["say"]
            return None
        if kind == "notch" and not said["from"]:
            self.points[known] = self.points[said["along"].removeprefix("at ")]
            self.notches.append(self.points[known])
            return None
        start, end = self.tape(said)
        if kind == "line":
            # Through the end of a tape along the grain the line is square to it, and the other way round.
            runs = (0, 1) if abs(end[0] - start[0]) > abs(end[1] - start[1]) else (1, 0)
            self.lines[known] = (end, runs)
        else:
            self.points[known] = end
            (self.inside if said["inside"] else self.notches).append(end)
        return start, end

    def stroke(self, said):
        points = [self.points[name] for name in said["through"]]
        if not said["bends"]:
            a, b = points[0], points[-1]
            self.lines[said["known"]] = (b, (b[0] - a[0], b[1] - a[1]))
            return
        line = LineString(drawn(points, said["bends"]))
        self.hollow(said, points)
        if said["inside"]:
            self.inside.append(line)
        else:
            self.edges[said["known"]] = line
            self.strokes.append(line)

    def hollow(self, said, points):
        """Each curve is hollow towards what its words mean; one that has no such words bends to both sides."""
        parts = [STRAIGHT_ON.split(part) for part in said["along"].split(", a curve ")[1:]]
        for (first, last, curve), (words, *_) in zip(bent(points, said["bends"]), parts, strict=True):
            long = hypot(last[0] - first[0], last[1] - first[1])
            square = np.array([first[1] - last[1], last[0] - first[0]]) / long
            off = (curve - first) @ square
            sides = [float(np.maximum(0, sign * off).mean()) for sign in (1, -1)]
            _, _, hollow = words.partition(", hollow ")
            if max(sides) < SHALLOW:
                continue
            if hollow:
                away = square if sides[1] > sides[0] else -square
                assert away @ np.array(self.direction(hollow)) > 0, said["say"]
            else:
                assert min(sides) > 0.1 * max(sides), said["say"]

    def traced_from(self, front):
        """The front's chalk, seen where it was laid and traced: its lines and points under its name."""
        for own, theirs in ((self.points, front.points), (self.lines, front.lines), (self.edges, front.edges)):
            for name, what in theirs.items():
                if not name.startswith("the front's "):
                    own.setdefault(f"the front's {name.removeprefix('the ')}", what)

    def outline(self, fold=None):
        """All that is drawn, and the fold where the piece is on it."""
        return MultiLineString([*self.strokes, *([fold] if fold is not None else [])])


def foot(point, at, run):
    """The place of a line that is nearest to a point."""
    share = ((point[0] - at[0]) * run[0] + (point[1] - at[1]) * run[1]) / (run[0] ** 2 + run[1] ** 2)
    return at[0] + share * run[0], at[1] + share * run[1]


def _place(point):
    from shapely.geometry import Point

    return Point(point)


def drawn(points, bends):
    """Straight from point to point, and where it bends a smooth curve through the points beside each other."""
    out, run, first = [points[0]], [points[0]], None
    for k, (point, bent) in enumerate(zip(points[1:], bends, strict=True)):
        run.append(point)
        if bent and k + 1 < len(bends) and bends[k + 1]:
            continue
        last = slope(point, points[k + 2]) if bent and k + 1 < len(bends) else None
        if bent and (len(run) > 2 or first or last):
            at = np.concatenate(
                [[0], np.cumsum([hypot(b[0] - a[0], b[1] - a[1]) for a, b in zip(run, run[1:], strict=False)])]
            )
            curve = CubicSpline(at, np.array(run), bc_type=(end_of(first), end_of(last)))
            out += [tuple(p) for p in curve(np.linspace(0, at[-1], 200))[1:]]
        else:
            out += run[1:]
        first = None if bent else slope(run[0], point)
        run = [point]
    return out


def bent(points, bends):
    """Each curve of a stroke: its first point, its last, and the points between them as `drawn` has them."""
    line, k = np.array(drawn(points, bends)), 0
    while k < len(bends):
        end = k
        while end < len(bends) and bends[end]:
            end += 1
        if end > k:
            at, to = (int(np.hypot(*(line - points[one]).T).argmin()) for one in (k, end))
            yield np.array(points[k]), np.array(points[end]), line[min(at, to) : max(at, to) + 1]
        k = end + (end == k)


def slope(a, b):
    long = hypot(b[0] - a[0], b[1] - a[1])
    return (b[0] - a[0]) / long, (b[1] - a[1]) / long


def end_of(way):
    """Free, or in the direction of the straight line that it runs out of or into."""
    return (2, (0.0, 0.0)) if way is None else (1, way)
