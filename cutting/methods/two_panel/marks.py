"""What front and back are marked with alike: the level lines, the waist's edge, the crotch curve, the darts."""

from cutting.body import Body
from cutting.drafting import Dart, Draft, Place
from cutting.geometry import Line, Point, unit
from cutting.lengths import Length, found, inch
from cutting.methods.ask import Ask
from cutting.methods.darts import Darts
from cutting.methods.styles import STYLES
from cutting.methods.sums import Sums
from cutting.methods.two_panel.curves import Crotch

SEEN = 1.6
"""A diagonal moved by less, a sixteenth of an inch, may read the same before and after: it is not spoken of."""


def lines_across(sums: Sums, ask: Ask, d: Draft, o: Place) -> tuple[Place, Place, Place | None, Place]:
    """The level lines, each marked twice at the table so that they come out parallel."""
    d.stage = "lines"

    def level(depth: Length) -> Length:
        return sums.level(depth, ask)

    crotch_line = d.mark("C", o.down(level(sums.crotch_depth)), "crotch_line", "guide_line", "top")
    hip_line = d.mark("H", o.down(level(sums.hip_depth)), "hip_line", "guide_line", "top")
    knee_line = None
    if STYLES[ask.style].leg != "short":
        knee_line = d.mark("K", o.down(level(sums.knee_depth)), "knee_line", "guide_line", "top")
    hem_line = d.mark("L", o.down(level(sums.length)), "hem_line", "guide_line", "top", "hem")
    return crotch_line, hip_line, knee_line, hem_line


def waist_edge(d: Draft, ask: Ask, side_top: Point, centre_top: Point) -> None:
    """The waist seam; where a casing or heading is cut on, it is turned down along the waist line."""
    turn = ask.waist_turn
    d.edge("waist", [Line(side_top, centre_top)], turn or ask.allowances.waist, turned=ask.waist_folds)


def mark_curve(d: Draft, corner: Place, curve: Crotch, wanted: Length) -> None:
    """Where the curve leaves the centre line, and how far it stays from the corner."""
    d.stage = "crotch"
    height = corner.point.down - curve.leaves.down
    at = Place(Point(curve.leaves.across, corner.point.down), corner.code)
    d.mark("G", at.up(found(height, "curve_start")), "curve_start", "centre_line")
    mark_diagonal(d, corner, curve, wanted, "crotch", 1)


def mark_diagonal(d: Draft, corner: Place, curve: Crotch, wanted: Length, edge: str, sign: int) -> None:
    """How far the curve stays from the corner; `sign` is -1 where it is on the other side of the guide line."""
    d.stage = "crotch"
    size = found(curve.diagonal, "diagonal_moved") if curve.wanted_was_moved else wanted
    d.mark("D" if sign > 0 else "DB", corner.along(Point(sign, -1), size), "curve_diagonal", "diagonal", closes=edge)
    d.when("diagonal.moved", abs(size.mm - wanted.mm) > SEEN, wanted=wanted, used=size)


def mark_darts(d: Draft, ask: Ask, darts: Darts, top: Place, side_top: Place, deep: Length, body: Body) -> None:
    """The darts on the waist seam: place, intake, depth; square to the seam."""
    d.stage = "darts"
    if darts.count == 0:
        return
    along = unit(side_top.point.minus(top.point))
    width = side_top.length
    places: list[Length]
    if ask.dart_place == "from-centre":
        places = [inch(4)]
    elif ask.dart_place == "bust-span":
        places = [body.bust_span / 2]
    elif ask.dart_place == "crease" and d.panel == "front":  # the back's is in its panel's middle
        line = unit(side_top.point.minus(top.point))
        reach = (d.points["M"].across - top.point.across) / line.across
        places = [found(min(max(reach, 0.3 * width.mm), 0.7 * width.mm), "to_the_crease")]
    else:
        places = [width / 2]
    if darts.count == 2:
        places = [width / 3, width * 2 / 3]
    above_hip = d.points["H"].down - d.lengths["seam_down"].mm
    deepest = found(max(above_hip / 2, above_hip - 31.75), "dart_limit")
    depth: Length = ask.dart_length if ask.dart_length is not None else deep
    if depth.mm > deepest.mm:
        depth = deepest
    if ask.yoke is not None and d.panel == "back":  # the whole dart is in the yoke's seam
        share = places[0].mm / width.mm
        depth = found(ask.yoke.mm * (1 - share / 2), "to_the_yoke")
    half = darts.intake / 2
    inward = Point(along.down, -along.across)
    for number, place in enumerate(places, 1):
        at = d.mark(f"P{number}", top.along(along, place), "dart_place", "waist_seam", "centre")
        near, far = at.point.plus(along, -half.mm), at.point.plus(along, half.mm)
        d.mark(f"Q{number}", Place(near, "dart_near").along(along, darts.intake), "dart_intake", "waist_seam")
        tip = d.mark(f"R{number}", at.along(inward, depth), "dart_length", "dart")
        d.darts.append(Dart(near, far, tip.point, darts.intake, depth))
    d.lengths.update(dart_place=places[0], dart_length=depth)
