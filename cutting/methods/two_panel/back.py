"""The back panel: laid out from the cut front by known additions.

The centre line comes first, widths are laid from it towards the side, and two seams are closed: the side top is
swung until the side seam equals the front's, the crotch point drops until the inner leg does.
"""

from math import cos, radians, sin

from cutting.body import Body
from cutting.drafting import Draft, Place
from cutting.errors import refuse
from cutting.geometry import Line, Path, Point, Segment, distance, hermite, squared, unit, zero_between
from cutting.lengths import Length, found, inch, mm, named
from cutting.methods.ask import Ask
from cutting.methods.styles import STYLES
from cutting.methods.sums import Sums
from cutting.methods.two_panel.curves import as_long_as, crotch, hem_of, inner_leg, side_above, side_below
from cutting.methods.two_panel.marks import lines_across, mark_curve, mark_darts, waist_edge, waist_width
from cutting.where import choice, measure

MOST_DROP = 25.4
LOWEST_SIDE, FURTHEST_SIDE = 50.8, 76.2
"""The back's side top is no lower under the waist line, nor further out than the hip: nobody could wear it."""
STEEPEST = 0.55
"""The back's waist rises to the centre by no more than so many mm for each mm of it: it could not be sewn smooth."""
FRONT_TOP = ("front.waist", "front.crotch")


def back(body: Body, ask: Ask, sums: Sums, front: Draft, d: Draft) -> None:
    """Draw the back on the front's frame. Lengths in mm, net; raises CuttingError where a seam cannot be closed.

    The outline is one; `ask.back_from` says whether its marks start from the traced front or from lines of its own.
    """
    seam = front.lengths["seam_down"].mm
    at = front.points
    crotch_down, hip_down = at["C"].down, at["H"].down
    d.lengths.update(seam_down=front.lengths["seam_down"])
    for name in ("O", "C", "H", "K", "L"):
        if name in at:
            d.points[name] = at[name]

    alone = ask.back_from == "itself"
    if alone:
        lines_across(sums, ask, d, d.start("O", at["O"], "top"))
    d.stage = "tip"
    corner = d.put("C1", at["C1"], "centre_on_crotch_line")
    if alone:
        own = Place(at["C"], "crotch_line")
        corner = d.mark("C1", own.out(sums.front_hip - ask.centre_base), "own_centre", "crotch_line")
    elif ask.centre_base.size:
        corner = d.mark("C1", corner.back(ask.centre_base), "centre_base", "crotch_line", "front.centre", "centre")
    front_tip = Place(at["X"], "front_crotch_point")
    leg = _Leg(ask, sums, front)
    drop, widen = _close_inner_leg(leg, at["X"].plus(Point(1, 0), sums.tip.mm), front.edges["inner_leg"].path.length, d)
    if alone:
        out = d.mark(
            "X0", corner.out(sums.tip + sums.extension + ask.centre_base), "own_crotch_point", "crotch_line",
            closes=("crotch", "inner_leg"),
        )  # fmt: skip
    else:
        out = d.mark(
            "X0", front_tip.out(sums.tip), "crotch_tip", "crotch_line", ("front.crotch", "front.inner_leg"),
            ("crotch", "inner_leg"),
        )  # fmt: skip
    tip = out
    if abs(drop) > 0.2:
        tip = d.mark("X", out.down(found(drop, "tip_drop")), "tip_drop", "down", closes=("crotch", "inner_leg"))
    d.put("X", tip.point)

    d.stage = "centre"
    level = Place(Point(at["C1"].across, seam), "front_centre_line")
    if alone:
        from_guide = Place(Point(0, seam), "waist_line").out(sums.front_hip - sums.slant)
        slanted = d.mark("B0", from_guide, "own_slant", "waist_line", closes=("waist", "crotch"))
    elif abs(sums.slant.mm) < 0.1:
        slanted = level
    elif sums.slant.mm < 0:
        slanted = d.mark("B0", level.out(sums.slant * -1), "centre_out", "waist_line", FRONT_TOP, ("waist", "crotch"))
    else:
        slanted = d.mark("B0", level.back(sums.slant), "centre_slant", "waist_line", FRONT_TOP, ("waist", "crotch"))
    top = slanted
    if sums.lift.mm > 0:
        top = d.mark("B", slanted.up(sums.lift), "seat_raise", "up", FRONT_TOP, ("waist", "crotch"))
    d.put("CB", top.point)

    d.stage = "widths"
    # Where the centre leans out, it does so above the hip line: the side stays straight.
    outward = sums.slant.mm < 0
    base = Point(corner.point.across, hip_down) if outward else corner.point
    line = unit(base.minus(top.point))
    cb_hip = top.point.plus(line, (hip_down - top.point.down) / line.down)
    hip = d.mark("H1", Place(cb_hip, "centre_line").back(sums.back_hip), "hip_width", "hip_line", "centre", "side")
    foot = d.mark("C2", corner.back(sums.back_on_crotch_line), "crotch_line_width", "crotch_line", "centre", "side")

    upwards = unit(hip.point.minus(foot.point))
    # The side turns at the crotch line by the mean of what comes before and after it.
    turn = unit(unit(foot.point.minus(hip.point)).plus(unit(leg.side[0].minus(foot.point))))
    to_foot = hermite(hip.point, unit(foot.point.minus(hip.point)), foot.point, turn)
    below = [to_foot, *side_below(foot.point, turn, leg.side)]
    wanted = front.edges["side"].path.length - Path(tuple(below)).length
    width = sums.back_waist

    def seam_of(chord: float) -> Path:
        end = _close_side(top.point, hip.point, upwards, chord, wanted)
        return squared(side_above(hip.point, end, upwards).direction(1), end, top.point, line)

    waist = as_long_as(width.mm, seam_of)
    side_top = waist.start
    raised = seam - side_top.down
    if raised < -LOWEST_SIDE or side_top.across < hip.point.across - FURTHEST_SIDE:
        if ask.back_side_out.size or sums.waist_girth is None:
            raise refuse("side.open", choice("back_side_out" if ask.back_side_out.size else "seat_raise"))
        around = body.hip if body.has("hip") else (sums.front_hip + sums.back_hip) * 2
        raise refuse("waist.too_large", measure("waist"), waist=sums.waist_girth, hip=around)
    if side_top.down - top.point.down > STEEPEST * distance(side_top, top.point):
        raise refuse("waist.steep", choice("seat_raise"), lift=sums.lift, waist=width)
    d.stage = "waist"
    if abs(raised) > 0.2:
        height = Place(Point(side_top.across, seam), "waist_line")
        d.mark("W0", height.up(found(raised, "side_equal")), "side_height", "upright", FRONT_TOP, ("side", "waist"))
    d.mark("W", waist_width(top, waist, width), "waist_width", "waist_seam", "centre", "side")

    thigh_part, leaving = inner_leg(tip.point, leg.anchor(widen), leg.onward)
    e = tip.point.across - corner.point.across
    gap = min(max(crotch_down - hip_down, 1.1 * e), 0.6 * (sums.crotch_depth - sums.top).mm)
    curve = crotch(
        top.point,
        base,
        corner.point,
        max(gap, crotch_down - hip_down) if outward else gap,
        tip.point,
        Point(leaving.down, -leaving.across),
        ask.back_diagonal.mm,
    )
    mark_curve(d, corner, curve, ask.back_diagonal, ask)
    mark_darts(d, ask, sums.back_darts, top, waist, width, inch(5), body, at["M"].across)
    if alone:
        _mark_own_leg(d, front, leg, widen)
    else:
        _mark_leg(d, front, leg, widen)

    waist_edge(d, ask, waist)
    d.edge("crotch", curve.segments, ask.allowances.centre)
    hem_in = leg.hem_in(widen)
    lower: list[Segment] = [Line(leg.anchor(widen), hem_in)] if leg.anchor(widen) != hem_in else []
    d.edge("inner_leg", [*thigh_part, *lower], ask.allowances.inner_leg)
    d.edge("hem", list(hem_of([*thigh_part, *lower], below).segments), ask.hem_turn, turned=ask.hem_folds)
    above = side_above(hip.point, side_top, upwards)
    d.edge("side", [*(part.back for part in reversed(below)), above], ask.allowances.side)
    d.lengths.update(
        diagonal=found(curve.diagonal, "diagonal") if curve.wanted_was_moved else ask.back_diagonal,
        tip_drop=found(drop, "tip_drop"), side_raise=found(raised, "side_equal"),
        hem_widened=found(widen, "hem_widened"),
    )  # fmt: skip


class _Leg:
    """The back's leg: the front's, wider by `back_wider` shared about the crease; or the front's moved with the tip.

    A leg that falls straight from the thigh line starts there as far out as the tip in either case.
    """

    def __init__(self, ask: Ask, sums: Sums, front: Draft):
        # A short leg's hem moves with the tip, unless it was chosen: it is too short to run in as far.
        by_method = ask.back_wider is not None and STYLES[ask.style].leg != "short"
        self.shared = sums.hem_round is not None or by_method or "back_wider" in ask.chosen
        self.wider = named(ask.wider, "back_wider")
        self.add = (ask.wider / 2).mm if self.shared else sums.tip.mm
        inner = front.edges["inner_leg"].path.segments
        self.front_in, self.front_hem_in = inner[1].end, inner[-1].end
        falls = sums.hem_round is None and self.front_in != self.front_hem_in
        self.add_above = sums.tip.mm if falls else self.add
        # By their names: where the side comes out straight, knee and hem share one segment with the crotch line.
        knee = [front.points["K2"]] if "K2" in front.points else []
        hem = front.edges["side"].path.start
        shift = -(ask.wider / 2).mm if self.shared else sums.front_hip.mm - sums.back_on_crotch_line.mm
        self.side = [Point(p.across + shift, p.down) for p in [*knee, hem]]
        self.onward = unit(self.hem_in(0).minus(self.anchor(0)))
        if self.front_in == self.front_hem_in:
            start = front.edges["inner_leg"].path.start.plus(Point(1, 0), sums.tip.mm)
            self.onward = unit(self.hem_in(0).minus(start))

    def anchor(self, widen: float) -> Point:
        return Point(self.front_in.across + self.add_above + widen, self.front_in.down)

    def hem_in(self, widen: float) -> Point:
        return Point(self.front_hem_in.across + self.add + widen, self.front_hem_in.down)


def _close_inner_leg(leg: _Leg, tip: Point, wanted: float, d: Draft) -> tuple[float, float]:
    """How far the tip drops, and how much the hem widens at the inner leg, so that the inner legs are equal."""

    def length(drop: float, widen: float) -> float:
        parts, _ = inner_leg(tip.plus(Point(0, 1), drop), leg.anchor(widen), leg.onward)
        return Path(tuple(parts)).length + Line(leg.anchor(widen), leg.hem_in(widen)).length - wanted

    if abs(length(0, 0)) < 0.05:
        return 0.0, 0.0
    most = min(MOST_DROP, wanted / 4)
    drop = zero_between(lambda size: length(size, 0), -12.7, most)
    if drop is not None:
        return drop, 0.0
    # The inner leg is shortest where it falls straight from the tip: no wider a hem is needed than that.
    upright = tip.across - leg.anchor(0.0).across
    widen = zero_between(lambda size: length(most, size), 0.0, upright if upright > 0.2 else 127.0)
    if widen is None:
        raise refuse("inner_leg.open", choice("back_tip"), over=found(length(most, 0), ""))
    d.when("hem.widened", True, by=found(widen, "hem_widened"))
    return most, widen


def _close_side(top: Point, hip: Point, upwards: Point, width: float, wanted: float) -> Point:
    """The side's end of the waist seam: `width` from the centre top, the side above the hip line `wanted` long."""

    def point(angle: float) -> Point:
        return top.plus(Point(-cos(radians(angle)), sin(radians(angle))), width)

    def miss(angle: float) -> float:
        return side_above(hip, point(angle), upwards).length - wanted

    # From high to low the seam grows shorter until the side point nears the hip line: take the first that fits.
    off = miss(-40)
    for high in range(-36, 64, 4):
        if point(high).down > hip.down - 6:
            break
        before, off = off, miss(high)
        if before * off <= 0:
            angle = zero_between(miss, high - 4, high)
            return point(high if angle is None else angle)
    raise refuse("side.open", choice("seat_raise"))


def _mark_own_leg(d: Draft, front: Draft, leg: _Leg, widen: float) -> None:
    """The leg from the guide line: where its edges are on knee and hem."""
    d.stage = "leg"
    ends = [("hem", "L", leg.hem_in(widen), leg.side[-1])]
    if len(leg.side) > 1:
        ends.insert(0, ("knee", "K", leg.anchor(widen), leg.side[0]))
    for what, name, inner, side in ends:
        guide = Place(Point(0, inner.down), "guide_line")
        d.mark(f"{name}1", guide.to(inner, "drawn"), f"own_{what}_inner", f"{what}_line", closes="inner_leg")
        if abs(side.across) > 0.2:
            d.mark(f"{name}2", guide.to(side, "drawn"), f"own_{what}_side", f"{what}_line", closes="side")
    d.lengths.setdefault("dart_place", mm(0))


def _mark_leg(d: Draft, front: Draft, leg: _Leg, widen: float) -> None:
    """The leg by what it adds to the front's edges."""
    d.stage = "leg"
    add: Length = leg.wider / 2 if leg.shared else found(leg.add, "moves_with_tip")
    inner = add + found(widen, "hem_widened") if widen > 0.2 else add
    with_tip = found(leg.add_above, "moves_with_tip")
    names = [name for name in ("T", "K", "L") if f"{name}1" in front.points]
    words = {"T": "thigh", "K": "knee", "L": "hem"}
    if "K2" in front.points and "K1" not in front.points:
        side = Place(front.points["K2"], "front_knee_side")
        size = found(side.point.across - leg.side[0].across, "back_ease")
        if size.mm > 0.2:
            d.mark("K2", side.back(size), "knee_side", "knee_line", "front.side", "side")
    for name in names:
        what = words[name]
        start = Place(front.points[f"{name}1"], f"front_{what}_inner")
        by = inner if name != "T" else with_tip + found(widen, "hem_widened") if widen > 0.2 else with_tip
        d.mark(f"{name}1", start.out(by), f"{what}_inner", f"{what}_line", "front.inner_leg", "inner_leg")
        if f"{name}2" in front.points:
            side = Place(front.points[f"{name}2"], f"front_{what}_side")
            d.mark(f"{name}2", side.back(leg.wider / 2), f"{what}_side", f"{what}_line", "front.side", "side")
        elif what == "hem":
            side = Place(front.edges["side"].path.start, "front_hem_side")
            size = found(side.point.across - leg.side[-1].across, "back_ease")
            if size.mm > 0.2:
                d.mark("L2", side.back(size), "hem_side", "hem_line", "front.side", "side")
    d.lengths.setdefault("dart_place", mm(0))
