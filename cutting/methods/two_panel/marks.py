"""What front and back are marked with alike: the level lines, the waist's edge, the crotch curve, the darts."""

from cutting.body import Body
from cutting.drafting import Dart, Draft, Place
from cutting.errors import refuse
from cutting.geometry import Path, Point, unit
from cutting.lengths import Fixed, Length, found, inch
from cutting.methods.ask import Ask
from cutting.methods.darts import Darts
from cutting.methods.styles import STYLES
from cutting.methods.sums import Sums
from cutting.methods.two_panel.curves import Crotch
from cutting.where import choice

SEEN = 1.6
"""A diagonal moved by less, a sixteenth of an inch, may read the same before and after: it is not spoken of."""
LEFT_BESIDE = 12.7
"""What is left between a dart and the end of the seam, in mm."""


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


def waist_edge(d: Draft, ask: Ask, waist: Path) -> None:
    """The waist seam; where a casing or heading is cut on, it is turned down along the waist line."""
    turn = ask.waist_turn
    d.edge("waist", list(waist.segments), turn or ask.allowances.waist, turned=ask.waist_folds)


def waist_width(top: Place, waist: Path, width: Length) -> Place:
    """The width laid straight from the centre's top to the seam's other end, less what the seam's bends are longer.

    Less than a sixteenth of an inch is left out: the seam is drawn that much inside the mark.
    """
    laid = width - found(waist.longer, "waist_bends") if waist.longer > SEEN else width
    return top.along(waist.start.minus(top.point), laid)


def mark_curve(d: Draft, corner: Place, curve: Crotch, wanted: Length, ask: Ask) -> None:
    """Where the curve leaves the centre line, and how far it stays from the corner."""
    d.stage = "crotch"
    height = corner.point.down - curve.leaves.down
    at = Place(Point(curve.leaves.across, corner.point.down), corner.code)
    d.mark("G", at.up(found(height, "curve_start")), "curve_start", "centre_line")
    mark_diagonal(d, corner, curve, wanted, "crotch", 1, ask)


def mark_diagonal(d: Draft, corner: Place, curve: Crotch, wanted: Length, edge: str, sign: int, ask: Ask) -> None:
    """How far the curve stays from the corner; `sign` is -1 where it is on the other side of the guide line."""
    d.stage = "crotch"
    size = found(curve.diagonal, "diagonal_moved") if curve.wanted_was_moved else wanted
    d.mark("D" if sign > 0 else "DB", corner.along(Point(sign, -1), size), "curve_diagonal", "diagonal", closes=edge)
    key = "back_diagonal" if d.panel == "back" or edge == "back_crotch" else "front_diagonal"
    at = choice(key) if key in ask.chosen else None
    d.when("diagonal.moved", abs(size.mm - wanted.mm) > SEEN, at=at, wanted=wanted, used=size)


def mark_darts(
    d: Draft, ask: Ask, darts: Darts, top: Place, waist: Path, width: Length, deep: Length, body: Body, crease: float
) -> None:
    """The darts on the waist, `width` long: place, intake, depth; square to it. The crease is `crease` mm across."""
    d.stage = "darts"
    if darts.count == 0:
        return
    straight = unit(waist.start.minus(top.point))
    asked = ask.darts(d.panel)
    places = _places(d.panel, asked.place, darts, (crease - top.point.across) / straight.across, width, body)
    above_hip = d.points["H"].down - d.lengths["seam_down"].mm
    deepest = found(max(above_hip / 2, above_hip - 31.75), "dart_limit")
    depth: Length = asked.length if asked.length is not None else deep
    if depth.mm > deepest.mm:
        depth = deepest
        where = choice(f"{d.panel}_dart_length")
        d.when("dart.shortened", asked.length is not None, at=where, wanted=asked.length, used=deepest)
    if ask.yoke is not None and d.panel == "back":  # the whole dart is in the yoke's seam
        share = places[0].mm / width.mm
        depth = found(ask.yoke.mm * (1 - share / 2), "to_the_yoke")
    half = darts.intake.mm / 2
    for number, place in enumerate(places, 1):
        from_side = width.mm - place.mm
        middle, _ = waist.along(from_side)
        near, far = waist.along(from_side + half)[0], waist.along(from_side - half)[0]
        along = unit(far.minus(near))
        d.mark(f"P{number}", top.along(middle.minus(top.point), place), "dart_place", "waist_seam", "centre")
        d.mark(f"Q{number}", Place(near, "dart_near").along(along, darts.intake), "dart_intake", "waist_seam")
        at = Place(near.towards(far, 0.5), "dart_place")
        tip = d.mark(f"R{number}", at.along(Point(along.down, -along.across), depth), "dart_length", "dart")
        d.darts.append(Dart(near, far, tip.point, darts.intake, depth))
    d.lengths.update(dart_place=places[0], dart_length=depth)


def _places(panel: str, rule: str | Fixed, darts: Darts, to_crease: float, width: Length, body: Body) -> list[Length]:
    """How far from the centre each dart is, along the seam; a second one halfway between the first and the side.

    Two in the panel's middle share it in thirds. Raises CuttingError for a place that was typed off the panel.
    """
    edge = darts.intake.mm / 2 + LEFT_BESIDE
    if rule == "half-panel":
        return [width / 3, width * 2 / 3] if darts.count == 2 else [width / 2]
    first: Length
    if isinstance(rule, Fixed):
        first = rule
    elif rule == "from-centre":
        first = inch(4)
    elif rule == "bust-span":
        first = body.bust_span / 2
    else:
        first = found(to_crease, "to_the_crease")
    furthest = width.mm - edge if darts.count == 1 else width.mm - 3 * edge
    if not edge <= first.mm <= furthest:
        if isinstance(rule, Fixed):
            where = choice(f"{panel}_dart_place")
            raise refuse("dart.outside", where, place=first, least=found(edge, ""), most=found(furthest, ""))
        first = found(min(max(first.mm, edge), furthest), "kept_on_the_panel")
    return [first] if darts.count == 1 else [first, (first + width) / 2]
