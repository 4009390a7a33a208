"""Pocket bags: the shape of a hand, one that follows the front's waist and side, and both cut on the fold.

All sizes are common practice, no source: 12 in deep and 7 wide.
"""

from collections.abc import Mapping

from cutting.drafting import Draft, Place
from cutting.garments.part import Part
from cutting.garments.seams import Seam
from cutting.geometry import Cubic, Line, Path, Point, Segment
from cutting.lengths import Fixed, Length, Rule, found, mm
from cutting.methods import Ask
from cutting.methods.share import least, most
from cutting.pieces import Panel, finish

DEEP, WIDE = Rule(12), Rule(7)
SEAM = Rule(0.5)
UNDER = Rule(1.5, "under_the_opening")
"""A bag that goes to the hip line ends at least so far under its opening."""
ROUND = 50.0
"""How round the corner of a bag's foot is, at most, in mm."""


def deep_of(ask: Ask, opening: Length, to_hip_line: float) -> Length:
    """How deep a bag is asked to be from where it begins: as usual, typed, or to the hip line `to_hip_line` mm down.

    Where the hip line is hardly under the opening, it goes under the opening all the same.
    """
    if isinstance(ask.bag_deep, Fixed):
        return ask.bag_deep
    if ask.bag_deep == "usual":
        return DEEP.now
    return most(found(to_hip_line, "to_the_hip_line"), opening + UNDER.now)


def wide_of(ask: Ask, limits: Mapping[str, float]) -> Length:
    """How wide it is asked to be: as usual, typed, or as far as the nearest of `limits`: mm by what is there.

    Without a limit it is as wide as usual.
    """
    if isinstance(ask.bag_wide, Fixed):
        return ask.bag_wide
    if ask.bag_wide == "usual" or not limits:
        return WIDE.now
    return least(*(found(at, code) for code, at in limits.items()))


def bag_part(ask: Ask, bag: Panel, seam: Seam, sides: int) -> Part:
    """Two halves to each of so many sides of the garment; on the fold one piece to each."""
    if ask.bag_cut == "fold":
        return Part(bag, sides, fold=0.0, half=True, seams=(seam,))
    return Part(bag, 2 * sides, pair=True, seams=(seam,))


def hand_bag(garment: str, opening: Length, deep: Length, wide: Length, ask: Ask) -> Panel:
    """The shape of a hand: the opening straight along the seam, the bag hanging below and inwards."""
    d = Draft("pocket-bag")
    d.stage = "pocket-bag"
    if ask.bag_cut == "fold":
        return _folded_hand(garment, d, opening, deep, wide, ask)
    h, w, g = deep.mm, wide.mm, max(opening.mm, min(opening.mm + UNDER.now.mm, deep.mm - 12.7))
    start = d.start("O", Point(0, 0), "bag_corner")
    d.mark("B1", start.down(opening), "bag_opening", "grain")
    level = d.mark("B2", start.down(found(0.55 * h, "of_the_bag")), "bag_level", "grain")
    d.mark("B3", Place(level.point, "bag_level").out(wide), "bag_width", "level")
    middle = d.mark("B4", start.out(found(0.45 * w, "of_the_bag")), "bag_middle", "level")
    foot = d.mark("B5", Place(middle.point, "bag_middle").down(deep), "bag_depth", "grain").point
    widest = Point(w, level.point.down)
    upper = Cubic(start.point, Point(0.4 * w, 0), Point(w, 0.1 * h), widest)
    corner = Cubic(widest, Point(w, 0.8 * h), Point(0.75 * w, h), foot)
    lower = Cubic(foot, Point(0.2 * w, h), Point(0, 0.5 * (g + h)), Point(0, g))
    d.edge("bag", [upper, corner, lower], SEAM.now)
    d.edge("opening", [Line(Point(0, g), Point(0, 0))], ask.allowances.side)
    d.lengths.update(cut_length=deep, cut_depth=wide, opening=opening, seam_down=mm(0))
    return finish(garment, d)


def _folded_hand(garment: str, d: Draft, opening: Length, deep: Length, wide: Length, ask: Ask) -> Panel:
    """A rectangle from the fold to the opening, its outer corner round."""
    h, w, g = deep.mm, wide.mm, min(opening.mm, deep.mm - 12.7)
    r = min(ROUND, w / 3, h - g)
    k = 0.55 * r
    start = d.start("O", Point(0, 0), "bag_corner")
    d.mark("B1", start.down(deep), "bag_depth", "grain")
    out = d.mark("B2", start.out(wide), "bag_width", "level")
    d.mark("B3", out.down(opening), "bag_opening", "grain")
    round_ = Cubic(Point(w, h - r), Point(w, h - r + k), Point(w - r + k, h), Point(w - r, h))
    d.edge("top", [Line(Point(0, 0), Point(w, 0))], SEAM.now)
    d.edge("opening", [Line(Point(w, 0), Point(w, g))], ask.allowances.side)
    d.edge("bag", [Line(Point(w, g), round_.start), round_, Line(round_.end, Point(0, h))], SEAM.now)
    d.edge("middle", [Line(Point(0, h), Point(0, 0))], mm(0))
    d.lengths.update(cut_length=deep, cut_depth=wide, opening=opening, seam_down=mm(0))
    return finish(garment, d)


def curved_bag(garment: str, waist: Path, side: Path, wide: Length, deep: Length, ask: Ask) -> Panel:
    """Half a bag: it follows the front's own waist and side, so that it is caught flat in both; its foot is round."""
    d = Draft("front-pocket-bag")
    d.stage = "front-pocket-bag"
    far, low = waist.along(wide.mm)[0], side.back.along(deep.mm)[0]
    r = min(ROUND, wide.mm / 3, 0.45 * (far.across - low.across))
    turn, _ = side.back.along(deep.mm - r)
    _, upper = side.split(side.length - deep.mm + r)
    if ask.bag_cut == "fold":
        return _folded_curved(garment, d, waist.split(wide.mm)[0], upper, low, wide, deep, ask)
    start = d.start("O", waist.start, "bag_corner")
    d.mark("B2", start.to(low, "of_the_bag"), "bag_depth", "grain")
    d.mark("B3", start.along(waist.end.minus(waist.start), wide), "bag_width", "waist_seam")
    k = 0.55 * r
    corner: list[Segment] = [
        Line(far, Point(far.across, low.down - r)),
        Cubic(
            Point(far.across, low.down - r), Point(far.across, low.down - r + k), Point(far.across - r + k, low.down),
            Point(far.across - r, low.down),
        ),
        Line(Point(far.across - r, low.down), Point(low.across + r, low.down)),
        Cubic(
            Point(low.across + r, low.down), Point(low.across + r - k, low.down), turn.plus(low.minus(turn), 0.55), turn
        ),
    ]  # fmt: skip
    d.edge("waist", list(waist.split(wide.mm)[0].segments), ask.allowances.waist)
    d.edge("bag", corner, SEAM.now)
    d.edge("side", list(upper.segments), ask.allowances.side)
    d.lengths.update(cut_length=deep, cut_depth=wide, seam_down=mm(0))
    return finish(garment, d)


def _folded_curved(
    garment: str, d: Draft, waist: Path, side: Path, low: Point, wide: Length, deep: Length, ask: Ask
) -> Panel:
    """The same from the fold, which is where the bag ends on the waist: mirrored, its foot straight to the fold.

    `side` is the front's down to where the foot's corner begins, `low` where that corner would be.
    """
    far, turn = waist.end, side.start

    def across(p: Point) -> Point:
        return Point(far.across - p.across, p.down)

    foot = across(low)
    r = foot.down - turn.down
    corner = Cubic(
        across(turn), across(turn.plus(low.minus(turn), 0.55)), Point(foot.across - 0.45 * r, foot.down),
        Point(foot.across - r, foot.down),
    )  # fmt: skip
    top = waist.mapped(across).back
    start = d.start("O", top.start, "bag_corner")
    d.mark("B1", start.down(found(foot.down - top.start.down, "of_the_bag")), "bag_depth", "grain")
    d.mark("B2", start.along(top.end.minus(top.start), wide), "bag_width", "waist_seam")
    d.edge("waist", list(top.segments), ask.allowances.waist)
    d.edge("side", list(side.mapped(across).back.segments), ask.allowances.side)
    d.edge("bag", [corner, Line(corner.end, Point(0, foot.down))], SEAM.now)
    d.edge("middle", [Line(Point(0, foot.down), Point(0, far.down))], mm(0))
    d.lengths.update(cut_length=deep, cut_depth=wide, seam_down=mm(0))
    return finish(garment, d)
