"""One-piece leg: boxers and pyjamas without a side seam. Half the hip and 10 cm across; the back's point 10 cm out and
half of its drop down, the front's 5 cm out, found so that the inner legs are equal. Common practice, no source.
"""

from math import hypot, sqrt

from cutting.body import Body
from cutting.drafting import Draft, Place
from cutting.geometry import Line, Point, hermite, unit
from cutting.lengths import cm, found, inch, mm
from cutting.methods.ask import Ask
from cutting.methods.method import Method
from cutting.methods.one_leg import UNUSED, Widths, close_leg, leg_sums, needs
from cutting.methods.one_leg.outline import half_curve, mirrored
from cutting.methods.one_leg.sums import depth_and_length
from cutting.methods.sums import Sums
from cutting.methods.two_panel import Seats
from cutting.methods.two_panel.marks import mark_diagonal


def _needs(ask: Ask) -> tuple[str, ...]:
    return needs(ask, "hip")


HALF_DROP, BELOW, IN = cm(7.5), cm(3), cm(1)


def draw(body: Body, ask: Ask, _: Seats) -> tuple[Sums, list[Draft]]:
    """The leg about its middle grain line; the front's half is on the far side. Lengths in mm, net."""
    body.need(*_needs(ask))
    rise, length = depth_and_length(body, ask)
    half = (body.hip / 2 + cm(10, "loose")) / 2
    widths = Widths(half, half, half, half, cm(5), cm(10))
    sums = leg_sums(body, ask, rise, length, widths)
    leg = (length - rise).mm
    d = Draft("leg")
    d.lengths.update(seam_down=ask.inside, hem_widened=mm(0), side_raise=mm(0))
    seam = d.lengths["seam_down"].mm

    d.stage = "lines"
    o = d.start("O", Point(0, 0), "top")
    line = d.mark("C", o.down(sums.level(rise, ask)), "rise_line", "guide_line", "top")
    hem_line = d.mark("L", o.down(sums.level(length, ask)), "hem_line", "guide_line", "top", "hem")
    d.put("H", Point(0, sums.level(sums.hip_depth, ask).mm))

    d.stage = "widths"
    front = d.mark("H1", line.out(half), "front_half", "crotch_line", closes="crotch")
    back = d.mark("H2", line.back(half), "back_half", "crotch_line", closes="back_crotch")
    out = d.mark("X1", front.out(widths.extension), "front_out", "crotch_line", "crotch", "inner_leg")
    behind = d.mark("X2", back.back(widths.back_extension), "back_out", "crotch_line", "back_crotch", "back_inner_leg")
    taken = _taper(ask, 2 * half.mm + 140)
    hem_back = Point(behind.point.across + IN.mm + taken, hem_line.point.down + BELOW.mm)
    tip_back = d.mark("XB", behind.down(HALF_DROP), "back_tip", "down")
    inner = hypot(hem_back.across - tip_back.point.across, hem_back.down - tip_back.point.down)
    hem_front = Point(out.point.across - taken, hem_line.point.down)
    up = sqrt(inner**2 - taken**2)
    tip_front = d.mark("X", out.down(found(leg - up, "inner_leg_equal")), "front_tip", "down")

    d.stage = "leg"
    d.mark(
        "B1",
        Place(hem_line.point, "guide_line").to(hem_front, "to_the_bottom"),
        "front_bottom",
        "hem_line",
        closes="inner_leg",
    )
    under = d.mark("B3", behind.down(found(leg, "to_the_hem_line")), "back_on_hem_line", "down")
    low = d.mark("B4", under.out(IN + found(taken, "to_the_leg") if taken > 0.2 else IN), "back_hem_in", "hem_line")
    d.mark("B2", low.down(BELOW), "back_bottom", "down")

    front_top, back_top = Point(half.mm, seam), Point(half.mm, seam)
    corner = Point(half.mm, tip_front.point.down)
    curve = half_curve(front_top, front.point, tip_front.point, corner, hem_front, ask.front_diagonal.mm)
    back_tip, back_hem = mirrored(tip_back.point), mirrored(hem_back)
    back_corner = Point(half.mm, back_tip.down)
    back_half = half_curve(back_top, mirrored(back.point), back_tip, back_corner, back_hem, ask.back_diagonal.mm)
    mark_diagonal(d, Place(corner, "corner"), curve, ask.front_diagonal, "crotch", 1, ask)
    mark_diagonal(d, Place(mirrored(back_corner), "corner"), back_half, ask.back_diagonal, "back_crotch", -1, ask)
    d.put("CF", front_top)
    d.put("CB", mirrored(back_top))

    leaves = unit(tip_front.point.minus(hem_front))
    arrives = unit(hem_back.minus(tip_back.point))
    hem = [
        hermite(hem_front, Point(leaves.down, -leaves.across), hem_line.point, Point(-1, 0)),
        hermite(hem_line.point, Point(-1, 0), hem_back, Point(-arrives.down, arrives.across)),
    ]
    close_leg(d, ask, [Line(mirrored(back_top), front_top)], curve.segments, hem, back_half.segments)
    d.lengths.update(
        diagonal=found(curve.diagonal, "diagonal"), back_diagonal=found(back_half.diagonal, "diagonal"),
        tip_drop=found(tip_back.point.down - tip_front.point.down, "inner_leg_equal"),
    )  # fmt: skip
    return sums, [d]


def _taper(ask: Ask, straight: float) -> float:
    """How far each bottom moves in for the hem asked for, in mm; none where the leg falls straight."""
    return 0.0 if ask.hem_width is None else max(0.0, (straight - ask.hem_width.mm) / 2)


ONE_PIECE_LEG = Method(
    "one-piece-leg",
    {
        "crotch_depth": "seated",
        "hip_ease": cm(20),
        "waist_finish": "casing",
        "band": "none",
        "closure": "none",
        "seat_height": "none",
        "hem": inch(1),
    },
    styles=("boxers", "loose-trousers"),
    finishes=("casing", "elastic-band", "paper-bag"),
    unused=UNUSED,
    draw=draw,
    needs=_needs,
)  # fmt: skip
