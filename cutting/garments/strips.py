"""Strips cut on the bias: piping and binding."""

from cutting.drafting import Draft
from cutting.garments.part import Allowed, strip
from cutting.geometry import Point
from cutting.lengths import Fixed, Length, Rule
from cutting.pieces import Panel, finish

SEAM = Rule(0.5)


def bias(garment: str, name: str, long: Length, wide: Length) -> Panel:
    """A strip cut `long` by `wide`, its seams in, drawn at half a right angle to the grain."""
    seams = Allowed(Fixed(SEAM.now.size), Fixed(SEAM.now.size))
    half = strip(garment, name, long, wide, seams)
    turn = 0.5**0.5

    def move(p: Point) -> Point:
        return Point(turn * (p.across + p.down), turn * (p.down - p.across))

    d = Draft(name)
    d.stage = name
    start = d.start("O", move(Point(-SEAM.now.mm, -SEAM.now.mm)), "strip_end")
    d.mark("B1", start.along(Point(1, 1), long), "strip_length", "bias")
    d.mark("B2", start.along(Point(1, -1), wide), "strip_depth", "strip_end")
    for edge in half.edges.values():
        d.edge(edge.name, list(edge.path.mapped(move).segments), edge.allowance)
    d.lengths.update(half.lengths)
    return finish(garment, d)
