"""Four-layer quick cut: wide elastic trousers without a side seam, cut through four layers from a double fold.

A slanted waist of a quarter and 2, 2 1/2 higher at the centre; square to it the centre line, the crotch point 2 out
(or hip/16) along the slant; the length is swung from the waist, so that the hem is a bow. It needs no hip; where
one was measured the waist is as wide as a quarter of it, so that it passes. Common practice, no source.
"""

from dataclasses import replace
from math import sqrt

from cutting.body import Body
from cutting.drafting import Draft, Place
from cutting.finding import Finding
from cutting.geometry import Path, Point, hermite, squared
from cutting.lengths import Rule, found, inch, mm, named
from cutting.methods.ask import Ask
from cutting.methods.method import Method
from cutting.methods.one_leg import UNUSED, Widths, close_leg, leg_sums, needs
from cutting.methods.one_leg.outline import flipped, half_curve, mirrored
from cutting.methods.one_leg.sums import depth_and_length
from cutting.methods.share import most
from cutting.methods.sums import Sums
from cutting.methods.two_panel import Seats
from cutting.methods.two_panel.curves import as_long_as
from cutting.methods.two_panel.marks import mark_diagonal
from cutting.where import part


def _needs(ask: Ask) -> tuple[str, ...]:
    return needs(ask, "waist")


HIGHER, OUT, STARTS = Rule(2.5), Rule(2), Rule(5)
FAR = 150.0
"""Over so many mm the slanted waist runs level into the fold: both halves are one edge there."""


def draw(body: Body, ask: Ask, _: Seats) -> tuple[Sums, list[Draft]]:
    """Half a leg from the fold towards the centre, the other half its mirror. Lengths in mm, net."""
    body.need(*_needs(ask))
    depth, length = depth_and_length(body, ask)
    notes: list[Finding] = []
    plain = (body.waist + named(ask.waist_ease, "waist_ease")) / 4 + inch(2)
    waist = most(plain, body.hip / 4) if body.has("hip") else plain
    if waist is not plain:
        notes.append(Finding("waist.widened", "note", part("leg"), {"plain": plain, "used": waist}))
    run = sqrt(waist.mm**2 - HIGHER.now.mm**2)
    # The fork is 2 out, and more on a larger body, where its hip was measured.
    fork = most(OUT.now, body.hip / 16) if body.has("hip") else OUT.now
    slant = Point(run / waist.mm, -HIGHER.now.mm / waist.mm)
    down = Point(-slant.down, slant.across)

    d = Draft("leg")
    d.stage = "lines"
    o = d.start("O", Point(0, 0), "fold_at_waist")
    if ask.marking == "on-cloth":
        above = named(ask.waist_turn or ask.allowances.waist, "casing")
        o = d.mark("O", Place(Point(0, -above.mm), "top").down(above), "fold_at_waist", "fold")
    d.mark("F", o.up(HIGHER.now), "casing_line", "fold")

    def half_waist(chord: float) -> Path:
        return squared(Point(0, -1), o.point, o.point.plus(slant, chord), down, FAR)

    waist_line = as_long_as(waist.mm, half_waist)
    d.mark("W", o.along(slant, waist), "slanted_waist", "waist_slant", closes="crotch")
    centre = Place(waist_line.end, "slanted_waist")
    d.mark("L", o.down(length), "hem_line", "fold", closes="hem")
    d.put("CF", centre.point)
    d.put("CB", mirrored(centre.point))

    d.stage = "crotch"
    hip_depth = min(depth.mm - 50.8, body.waist_to_hip.mm if body.has("waist_to_hip") else depth.mm)
    hip_at = centre.point.plus(down, (hip_depth - centre.point.down) / down.down)
    d.put("H", Point(0, hip_depth))
    starts = d.mark("G", centre.along(down, STARTS.now), "curve_start", "square_to_slant")
    corner = d.mark("C1", centre.along(down, depth), "corner", "square_to_slant")
    tip = d.mark("X", corner.along(slant, fork), "crotch_point", "parallel_to_slant", closes="inner_leg")
    d.put("C", Point(0, tip.point.down))
    hem_end = tip.point.plus(down, (length - depth).mm)
    curve = half_curve(centre.point, starts.point, tip.point, corner.point, hem_end, ask.front_diagonal.mm)
    mark_diagonal(d, Place(corner.point, "corner"), curve, ask.front_diagonal, "crotch", 1, ask)

    d.stage = "leg"
    d.mark("L1", Place(tip.point, "crotch_point").along(down, length - depth), "inner_length", "square_to_slant")
    middle = o.point.towards(centre.point, 0.5)
    bow = Point(down.across / 2, (1 + down.down) / 2)
    d.mark("L2", Place(middle, "waist_middle").along(bow, length), "swung_length", "swung")

    front_hem = hermite(hem_end, Point(-slant.across, -slant.down), Point(0, length.mm), Point(-1, 0))
    half = list(waist_line.segments)
    d.lengths.update(
        seam_down=mm(0), hem_widened=mm(0), side_raise=mm(0), tip_drop=mm(0),
        diagonal=found(curve.diagonal, "diagonal"), back_diagonal=found(curve.diagonal, "diagonal"),
    )  # fmt: skip
    close_leg(d, ask, [*flipped(half), *half], curve.segments, [front_hem, *flipped([front_hem])], curve.segments)
    hip = found(hip_at.across, "on_the_draft")
    sums = leg_sums(body, ask, depth, length, Widths(hip, hip, waist, waist, fork, fork), *notes)
    return replace(sums, leg_on_fold=True), [d]


FOUR_LAYER = Method(
    "four-layer",
    {
        "crotch_depth": "seated",
        "waist_finish": "casing",
        "casing": inch(2.5),
        "band": "none",
        "closure": "none",
        "hem": inch(1),
    },
    styles=("palazzo", "wide-gathered"),
    finishes=("casing",),
    unused=(*UNUSED, "hem_width", "back_diagonal"),
    to_sit=inch(2),  # its depth is laid square to a slanted waist: less of it is upright
    draw=draw,
    needs=_needs,
)  # fmt: skip
