"""The front panel: from the guide line (side) towards the crotch; one line, one chalk mark."""

from math import sqrt

from cutting.body import Body
from cutting.drafting import Draft, Place
from cutting.geometry import Line, Path, Point, Segment, squared, unit
from cutting.lengths import Length, found, inch, mm, named
from cutting.methods.ask import Ask
from cutting.methods.share import most
from cutting.methods.styles import STYLES
from cutting.methods.sums import Sums
from cutting.methods.two_panel.curves import (
    Crotch,
    as_long_as,
    crotch,
    hem_of,
    inner_leg,
    outside,
    passing,
    side_above,
    side_below,
)  # fmt: skip
from cutting.methods.two_panel.marks import SEEN, lines_across, mark_curve, mark_darts, waist_edge, waist_width
from cutting.where import choice

BLEND = 5.0
"""How much further down a leg that falls straight begins, for each mm that it runs in before."""
ON_THE_CREASE = mm(0)
DOWN, UP = Point(0, 1), Point(0, -1)
STAGES = ("lines", "widths", "crotch", "waist", "darts", "side", "leg")
"""The order of the table."""


def front(body: Body, ask: Ask, sums: Sums, d: Draft) -> None:
    """Draw the front. Lengths in mm, net; raises CuttingError where a sum cannot be laid out."""
    d.lengths.update(seam_down=ask.inside)
    o = d.start("O", Point(0, 0), "top")
    crotch_line, hip_line, knee_line, hem_line = lines_across(sums, ask, d, o)

    d.stage = "widths"
    d.mark("H1", hip_line.out(sums.front_hip), "hip_width", "hip_line", "guide", "centre")
    corner = d.mark("C1", crotch_line.out(sums.front_hip), "centre_on_crotch_line", "crotch_line", "guide", "centre")
    reach = crotch_line.out(sums.crotch_width)
    tip = d.mark("X", reach, "crotch_point", "crotch_line", "guide", ("crotch", "inner_leg"))

    top, waist = _waist(ask, sums, d, corner, hip_line)

    crease = crotch_line.out(sums.crotch_width / 2)
    d.put("M", crease.point)
    hip, foot = hip_line.point, crotch_line.point
    leg = _leg(body, ask, sums, tip.point, crease, knee_line, hem_line)
    if sums.hem_round is not None:
        leg = leg.narrower(leg.hem(tip.point, foot).longer)
    inner, leaving = leg.inner(tip.point)
    arriving = Point(leaving.down, -leaving.across)
    highest = 0.6 * (sums.crotch_depth - sums.top).mm
    gap = min(max(sums.crotch_depth.mm - sums.hip_depth.mm, 1.5 * sums.extension.mm), highest)
    base = Point(corner.point.across, hip_line.point.down)
    wanted = ask.front_diagonal

    def curve_from(height: float) -> Crotch:
        return crotch(top.point, base, corner.point, height, tip.point, arriving, wanted.mm)

    if ask.curve_outside.size:
        gap = passing(curve_from, base, ask.curve_outside.mm, gap, highest)
    curve = curve_from(gap)
    if "curve_outside" in ask.chosen:
        reached = found(outside(curve.segments[-1], base), "curve_outside")
        moved = abs(reached.mm - ask.curve_outside.mm) > SEEN
        d.when("curve.moved", moved, at=choice("curve_outside"), wanted=ask.curve_outside, used=reached)
    mark_curve(d, corner, curve, wanted, ask)
    mark_darts(d, ask, sums.front_darts, top, waist, sums.front_waist, inch(4), body, crease.point.across)
    _mark_side(d, hip_line, waist.start)
    _mark_leg(d, leg, crease, knee_line, hem_line)

    below = [Line(hip, foot), *side_below(foot, DOWN, leg.side)]
    waist_edge(d, ask, waist)
    d.edge("crotch", curve.segments, ask.allowances.centre)
    d.edge("inner_leg", inner, ask.allowances.inner_leg)
    d.edge("hem", list(leg.hem(tip.point, foot).segments), ask.hem_turn, turned=ask.hem_folds)
    above = side_above(hip, waist.start, UP)
    d.edge("side", [*(part.back for part in reversed(below)), above], ask.allowances.side)
    d.steps.sort(key=lambda step: STAGES.index(step.stage))
    d.lengths.update(diagonal=found(curve.diagonal, "diagonal") if curve.wanted_was_moved else wanted)


def _waist(ask: Ask, sums: Sums, d: Draft, corner: Place, hip: Place) -> tuple[Place, Path]:
    """The centre's end of the waist seam, and the seam: as long as the width, dart open."""
    d.stage = "waist"
    seam = d.lengths["seam_down"].mm
    level = d.put("F", Point(corner.point.across, seam), "centre_at_waist")
    top = level
    if sums.front_darts.centre_in.mm > 0:
        top = d.mark("F1", top.back(sums.front_darts.centre_in), "centre_in", "waist_line")
    if sums.drop.mm > 0:
        top = d.mark("F2", top.down(sums.drop), "centre_drop", "centre_line", waits="until_back_traced")
    d.put("CF", top.point, "centre_top")
    width = sums.front_waist
    rise = sums.drop.mm + ask.side_raise.mm
    centre = unit(Point(corner.point.across, hip.point.down).minus(top.point))

    def seam_of(chord: float) -> Path:
        run = sqrt(max(0.0, chord**2 - rise**2))
        end = Point(top.point.across - run, seam - ask.side_raise.mm)
        return squared(side_above(hip.point, end, UP).direction(1), end, top.point, centre)

    waist = as_long_as(width.mm, seam_of)
    side_point = waist.start
    if ask.side_raise.mm > 0:
        d.mark("W0", Place(Point(side_point.across, seam), "waist_line").up(ask.side_raise), "side_raise", "side")
    d.mark("W", waist_width(top, waist, width), "waist_width", "waist_seam", "centre", "side")
    return top, waist


class Leg:
    """Where the leg's edges go: the point the inner leg aims for, then the hem's two ends, and the side's points.

    `onward` is the direction in which the inner leg passes its anchor, `inwards` how far its middle is from the crease.
    """

    def __init__(
        self,
        anchor: Point,
        hem_in: Point,
        side: list[Point],
        marks: list[tuple[str, str, Length, str]],
        onward: Point | None = None,
        inwards: Length = ON_THE_CREASE,
    ):
        self.anchor, self.hem_in, self.side, self.marks, self.inwards = anchor, hem_in, side, marks, inwards
        self.onward = onward or unit(hem_in.minus(anchor))

    def inner(self, tip: Point) -> tuple[list[Segment], Point]:
        """The inner leg from the crotch point, and the direction in which it leaves that."""
        segments, leaving = inner_leg(tip, self.anchor, self.onward)
        return [*segments, *([Line(self.anchor, self.hem_in)] if self.anchor != self.hem_in else [])], leaving

    def hem(self, tip: Point, foot: Point) -> Path:
        """The hem; `foot` is where the side meets the crotch line."""
        return hem_of(self.inner(tip)[0], side_below(foot, DOWN, self.side))

    def narrower(self, by: float) -> "Leg":
        """The leg with a hem narrower by so many mm, shared by its ends."""
        inwards = Point(-by / 2, 0)
        hem_in = self.hem_in.plus(inwards)
        side = [*self.side[:-1], self.side[-1].plus(inwards, -1)]
        if self.anchor == self.hem_in:
            return Leg(hem_in, hem_in, side, self.marks, self.onward)
        return Leg(self.anchor, hem_in, side, self.marks, inwards=self.inwards)


def _leg(body: Body, ask: Ask, sums: Sums, tip: Point, crease: Place, knee: Place | None, hem: Place) -> Leg:
    """The front's leg: shared about the crease, equally or moved towards the inside, straight down from the thigh line,
    or from the crotch point.
    """
    middle, low = crease.point.across, hem.point.down
    kind = STYLES[ask.style].leg
    if sums.hem_round is not None:
        half_hem = (sums.hem_round - named(ask.wider, "back_wider")) / 4
        kneed = sums.knee_round is not None and ask.hem_from == "crease"
        moved = ask.leg_inwards if kneed else inch(0)
        inwards = named(moved, "leg_inwards" if moved.size > 0 else "leg_outwards")
        middle += inwards.mm
        hem_in, hem_side = Point(middle + half_hem.mm, low), Point(middle - half_hem.mm, low)
        hem_mark = ("hem", "crease", half_hem, "L")
        if ask.hem_from == "guide" and sums.knee_round is not None and knee is not None:
            return _from_guide(ask, sums, half_hem * 2, knee.point.down, low)
        if sums.knee_round is None or knee is None:
            onward = unit(hem_in.minus(tip)) if kind == "short" else None
            return Leg(hem_in, hem_in, [hem_side], [hem_mark], onward)
        half_knee = (sums.knee_round - named(ask.wider, "back_wider")) / 4
        anchor, outer = (Point(middle + sign * half_knee.mm, knee.point.down) for sign in (1, -1))
        marks = [("knee", "crease", half_knee, "K"), hem_mark]
        return Leg(anchor, hem_in, [outer, hem_side], marks, inwards=inwards)
    side_in: Length = ask.side_in_hem or inch(1 if kind == "wide" else 0)
    if kind in ("short", "wide") or ask.inner_in_hem is not None:
        line = sums.crotch_width - (ask.inner_in_hem or inch(1))
        hem_in = Point(line.mm, low)
        marks = [("hem", "guide_line", line, "L")]
        if side_in.mm > 0:
            marks.append(("hem_in", "guide_line", side_in, "N"))
        return Leg(hem_in, hem_in, [Point(side_in.mm, low)], marks, unit(hem_in.minus(tip)))
    line = sums.crotch_width
    if body.has("thigh") or ask.fullness > 1:
        line = sums.crotch_width - inch(1)
    if body.has("thigh"):
        line = most((body.thigh + named(ask.thigh_ease, "thigh_ease")) / 2, line)
    if line.mm > tip.across:
        line = sums.crotch_width
    # What the leg runs in is spread over more than 2 in: the curve would bend back.
    blend = 0.0 if ask.thigh_line is not None else BLEND * (tip.across - line.mm)
    thigh_down = min(tip.down + (sums.thigh_depth - sums.crotch_depth).mm + blend, (tip.down + low) / 2)
    marks = [("thigh", "guide_line", line, "T"), ("hem", "guide_line", line, "L")]
    side = [Point(side_in.mm, low)]
    if ask.side_in_knee is not None and knee is not None:
        side.insert(0, Point(ask.side_in_knee.mm, knee.point.down))
        marks.append(("knee_in", "guide_line", ask.side_in_knee, "K"))
    if side_in.mm > 0:
        marks.append(("hem_in", "guide_line", side_in, "N"))
    return Leg(Point(line.mm, thigh_down), Point(line.mm, low), side, marks)


def _from_guide(ask: Ask, sums: Sums, hem: Length, knee_down: float, low: float) -> Leg:
    """Knee and hem measured from the guide line, so that the side falls straight."""
    knee_round = sums.knee_round if sums.knee_round is not None else hem
    knee = (knee_round - named(ask.wider, "back_wider")) / 2
    marks = [("knee", "guide_line", knee, "K"), ("hem", "guide_line", hem, "L")]
    return Leg(Point(knee.mm, knee_down), Point(hem.mm, low), [Point(0, low)], marks)


def _mark_side(d: Draft, hip: Place, side_top: Point) -> None:
    """Halfway up the side curve, so that it can be drawn by hand."""
    d.stage = "side"
    curve = side_above(hip.point, side_top, UP)
    middle = curve.at(0.5)
    start = Place(Point(hip.point.across, middle.down), "guide_line")
    if abs(middle.across - hip.point.across) > 1:
        d.mark("S", start.to(middle, "side_curve"), "side_middle", "halfway", "guide", "side")


def _mark_leg(d: Draft, leg: Leg, crease: Place, knee: Place | None, hem: Place) -> None:
    d.stage = "leg"
    d.mark("M", crease, "crease", "crotch_line", "guide")
    for what, datum, size, name in leg.marks:
        down = leg.anchor.down if what == "thigh" else hem.point.down
        if what == "knee" and knee is not None:
            down = knee.point.down
        line = "hem_line" if what == "hem_in" else f"{what}_line"
        if datum == "crease":
            start = Place(Point(crease.point.across, down), "crease")
            d.mark(f"{name}1", start.out(size + leg.inwards), f"{what}_inner", line, closes="inner_leg")
            d.mark(f"{name}2", start.back(size - leg.inwards), f"{what}_side", line, closes="side")
        elif what == "hem_in":
            d.mark(f"{name}1", Place(Point(0, down), "guide_line").out(size), what, line, "guide", "side")
        elif what == "knee_in" and knee is not None:
            at = Place(Point(0, knee.point.down), "guide_line")
            d.mark("K2", at.out(size), what, "knee_line", "guide", "side")
        else:
            d.mark(
                f"{name}1", Place(Point(0, down), "guide_line").out(size), f"{what}_width", line, "guide", "inner_leg"
            )
