"""A draft brought to the body's own crotch: its depth, and where that is not enough its tip, found by drawing it again.

The sewn seam is to be half an inch longer than the body there, and the crotch ease: common practice, no source.
"""

from collections.abc import Callable
from dataclasses import replace
from fractions import Fraction

from cutting.body import Body
from cutting.drafting import Draft
from cutting.lengths import Fixed, inch
from cutting.methods.ask import Ask
from cutting.methods.sums import Sums
from cutting.methods.two_panel.levels import measured_rise

CLOSE = 0.05
"""The seam is found to so many mm."""
PER_DEPTH, PER_TIP = 1.75, 0.8
"""About how much longer the seam is for each mm of depth, and of tip."""
SHALLOWER, DEEPER = (0.25, 1.5), 3.0
"""How far from the rise the depth may go, in inches; from a quarter of the hip where no rise was measured. It is over
the rise by more than the first only where no tip brings the seam to its length otherwise.
"""
LEAST_TIP, MOST_TIP = 0.5, 5.0
Drawn = tuple[Sums, list[Draft]]


FRONT_SHARE = (0.44, 0.47)
"""How much of the crotch seam is the front's."""
MOST_RAISE = 4.0
"""How far up the centre back may go for that, in inches."""
TRIES = 12


def fitted(body: Body, ask: Ask, draw: Callable[[Ask], Drawn]) -> Ask:
    """The same with the depth, and the tip, that give the measured crotch length, and with the centre back so high that
    the front has its share of it, where no height was chosen. Raises CuttingError as `draw`.
    """
    if ask.crotch_fit != "measured" or not body.has("crotch_length"):
        return ask
    made = _long_enough(body, ask, draw)
    if "seat_raise" in ask.chosen:
        return made
    least, most = FRONT_SHARE
    for _ in range(TRIES):
        drawn = draw(made)
        front, whole = _front_seam(made, drawn), crotch_seam(made, drawn)
        off = front - min(max(front, (least + NARROWER) * whole), (most - NARROWER) * whole)
        now = drawn[0].lift.mm
        # What the back is higher by is taken off the depth: half of it off each.
        lift = min(max(now + 2 * off, 0.0), inch(MOST_RAISE).mm)
        if abs(lift - now) < CLOSE or least * whole <= front <= most * whole:
            break
        ask = replace(ask, seat_raise=Fixed(Fraction(lift), "by_crotch_share"))
        made = _long_enough(body, ask, draw)
    return made


NARROWER = 0.002
"""The share is aimed so far within its limits."""


def _long_enough(body: Body, ask: Ask, draw: Callable[[Ask], Drawn]) -> Ask:
    """The same with the depth, and the tip, that give the measured crotch length."""
    made = ask
    for shallower in SHALLOWER:
        made, left = _within(body, ask, draw, shallower)
        if abs(left) <= CLOSE:
            break
    return made


def _within(body: Body, ask: Ask, draw: Callable[[Ask], Drawn], shallower: float) -> tuple[Ask, float]:
    """The same with the depth no more than so many inches over the rise, and what is still missing, in mm."""
    wanted = body.crotch_length.mm + inch(0.5).mm + ask.crotch_ease.mm
    rise = measured_rise(body)
    middle = rise.mm if rise is not None else body.hip.mm / 4
    depth = draw(ask)[0].crotch_depth.mm - ask.crotch_ease.mm

    def deep(size: float) -> Ask:
        return replace(ask, crotch_depth=Fixed(Fraction(size), "by_crotch_length"))

    def tipped(size: float) -> Ask:
        return replace(deep(depth), back_tip=Fixed(Fraction(size), "by_crotch_length"))

    within = (middle - inch(shallower).mm, middle + inch(DEEPER).mm)
    depth, left = _found(lambda size: wanted - crotch_seam(deep(size), draw(deep(size))), depth, within, PER_DEPTH)
    if abs(left) <= CLOSE or ask.back_extension != "tip":
        return deep(depth), left
    tip = draw(deep(depth))[0].tip.mm
    within = (inch(LEAST_TIP).mm, inch(MOST_TIP).mm)
    tip, left = _found(lambda size: wanted - crotch_seam(tipped(size), draw(tipped(size))), tip, within, PER_TIP)
    return tipped(tip), left


def _found(
    missing: Callable[[float], float], start: float, within: tuple[float, float], slope: float
) -> tuple[float, float]:
    """The size at which nothing is missing, and what still is at the end of its range; a secant from `start`."""
    size = min(max(start, within[0]), within[1])
    left = missing(size)
    for _ in range(8):
        if abs(left) <= CLOSE:
            break
        other = min(max(size + left / slope, within[0]), within[1])
        if other == size:
            break
        then = missing(other)
        slope = (left - then) / (other - size) if abs(left - then) > 1e-9 else slope
        size, left = other, then
    return size, left


def _front_seam(ask: Ask, drawn: Drawn) -> float:
    """The front's part of it, in mm."""
    front = next(d for d in drawn[1] if d.panel == "front")
    return front.edges["crotch"].path.length + (ask.finished_above.mm if ask.finished_above else 0.0)


def crotch_seam(ask: Ask, drawn: Drawn) -> float:
    """Round the crotch from waist to waist as it is drafted, the finished band counted, in mm."""
    _, drafts = drawn
    edges = [edge.path.length for d in drafts for name, edge in d.edges.items() if name.endswith("crotch")]
    return sum(edges) + (2 * ask.finished_above.mm if ask.finished_above else 0.0)
