"""The sleeve: as wide as the arm and its ease, its cap as long as the armhole and its ease.

From memory of general drafting, proved by its own sums: the cap runs full above and hollow below, the front more hollow
than the back; its height, or where that would be too steep its width, is what makes the lengths agree.
"""

from dataclasses import dataclass

from cutting.body import Body
from cutting.drafting import Draft, Place
from cutting.errors import refuse
from cutting.geometry import Cubic, Line, Point, zero_between
from cutting.lengths import Length, Rule, found, inch, mm, named
from cutting.methods.share import least, most
from cutting.methods.upper.ask import TopAsk
from cutting.methods.upper.curves import cap, cap_length
from cutting.where import choice, measure

FLATTEST, STEEPEST = 1 / 9, 0.37
"""The cap's height as a share of the armhole; practice has a sixth for a loose one, a third for a close one."""
SHORT, UNDER_CAP = Rule(9, "short_sleeve"), Rule(3, "under_the_cap")
HAND = Rule(2.5, "hand")
"""What the lower edge of a long sleeve is wider than the wrist, so that the hand passes."""
CUFF, CUFF_LESS, CUFF_SEAM = Rule(1, "cuff_ease"), Rule(1.5, "drawn_in"), Rule(0.5)
"""What a cuff is wider than the wrist; what the lower edge is drawn in by where no wrist was measured."""
SLIT = Rule(3, "sleeve_slit")
"""How long the slit over a cuff is."""


@dataclass(frozen=True)
class Sleeve:
    """What a sleeve is worked out from. `widened` is what it is wider than arm and ease, in mm; `cuff` what its lower
    edge is drawn in to, without the overlap.
    """

    width: Length
    height: float
    length: Length
    around: Length
    cap: float
    widened: float
    cuff: Length | None = None


def sleeve_sums(body: Body, ask: TopAsk, armhole: float) -> Sleeve:
    """Fit a sleeve to an armhole `armhole` mm round. Raises CuttingError where the arm is too large for it."""
    width = body.upper_arm + named(ask.sleeve_ease, "sleeve_ease")
    wanted = armhole + ask.cap_ease.mm
    low, high = FLATTEST * armhole, STEEPEST * armhole
    widened = 0.0
    if cap_length(width.mm / 2, low) > wanted:
        raise refuse("sleeve.arm", measure("upper_arm"), armhole=found(armhole, ""), width=width)
    height = zero_between(lambda size: cap_length(width.mm / 2, size) - wanted, low, high)
    if height is None:
        height = high
        wide = zero_between(lambda size: cap_length(size / 2, high) - wanted, width.mm, wanted)
        if wide is None:
            raise refuse("sleeve.arm", measure("upper_arm"), armhole=found(armhole, ""), width=width)
        widened = wide - width.mm
        width = width + found(widened, "to_fill_the_armhole")
    length, around = _lower(body, ask, width, height)
    cuff = None
    if ask.cuffed:
        length = length - named(ask.cuff_depth, "cuff")
        cuff = least(around, body.wrist + CUFF.now) if body.has("wrist") else around - CUFF_LESS.now
    if length.mm < height + 25.4:
        raise refuse("sleeve.short", choice("sleeve_length"), length=length, cap=found(height, ""))
    return Sleeve(width, height, length, around, cap_length(width.mm / 2, height), widened, cuff)


def _lower(body: Body, ask: TopAsk, width: Length, height: float) -> tuple[Length, Length]:
    """The sleeve's length and the whole round of its lower edge; never wider than the sleeve itself."""
    whole: Length | None = body.sleeve_length if body.has("sleeve_length") else None
    length: Length
    if ask.sleeve_length is not None:
        length = ask.sleeve_length
    elif ask.sleeve == "short" or whole is None:
        length = most(SHORT.now, found(height, "cap_height") + UNDER_CAP.now)
    else:
        length = whole * 3 / 4 if ask.sleeve == "three-quarter" else whole
    if ask.sleeve_round is not None:
        return length, ask.sleeve_round
    if body.has("sleeve_round"):
        return length, least(width, body.sleeve_round + named(ask.sleeve_ease, "sleeve_ease") / 2)
    if ask.sleeve == "long" and body.has("wrist"):
        return length, least(width, body.wrist + HAND.now)
    taken = {"short": inch(1, "narrower"), "three-quarter": width / 5, "long": width * 3 / 10}[ask.sleeve]
    return length, width - taken


def _at_level(curve: Cubic, down: float) -> Point:
    """Where the cap passes a level; it falls all the way from its top to the underarm."""
    at = zero_between(lambda t: curve.at(t).down - down, 0, 1)
    assert at is not None
    return curve.at(at)


def sleeve(ask: TopAsk, sums: Sleeve, d: Draft) -> None:
    """Draw it about its middle line: the front's half to one side of it, the back's to the other."""
    half, height = sums.width / 2, sums.height
    o = d.start("O", Point(0, 0), "cap_top")
    d.stage = "sleeve-lines"
    biceps = d.mark("H", o.down(found(height, "cap_height")), "cap_height", "middle_line")
    low = d.mark("L", o.down(sums.length), "sleeve_length", "middle_line", None, "hem")
    d.stage = "sleeve-widths"
    front = d.mark("U", Place(biceps.point, "middle_line").out(half), "sleeve_front", "level", None, "underarm").point
    back = d.mark(
        "UB", Place(biceps.point, "middle_line").back(half), "sleeve_back", "level", None, "back_underarm"
    ).point
    edge = sums.around / 2
    if sums.cuff is not None:
        foot = d.mark("S0", Place(low.point, "middle_line").back(sums.around / 4), "sleeve_slit_foot", "level")
        d.mark("S1", foot.up(SLIT.now), "sleeve_slit", "grain")
    right = d.mark("R", Place(low.point, "middle_line").out(edge), "sleeve_hem_front", "level", None, "underarm").point
    left = d.mark(
        "RB", Place(low.point, "middle_line").back(edge), "sleeve_hem_back", "level", None, "back_underarm"
    ).point
    front_cap, back_cap = cap(half.mm, height, True), cap(half.mm, height, False)
    d.stage = "cap"
    for number, share in (("upper", 1), ("lower", 3)):
        depth = found(height, "cap_height") * share / 4
        level = d.mark(f"Q-{number}", o.down(depth), f"cap_{number}", "middle_line").point
        for name, edge_name, curve in (("front", "cap", front_cap), ("back", "back_cap", back_cap)):
            code = f"cap_{name}_{number}"
            place = Place(level, "middle_line").to(_at_level(curve, level.down), "drawn")
            d.mark(f"Q-{name}-{number}", place, code, "level", None, edge_name)
    given = ask.allowances
    d.edge("back_cap", [back_cap.back], given.armhole)
    d.edge("cap", [front_cap], given.armhole)
    d.edge("underarm", [Line(front, right)], given.side)
    # A cuff is sewn where a hem is folded: both lines are chalked inside the cut edge.
    d.edge("hem", [Line(right, left)], ask.hem if sums.cuff is None else CUFF_SEAM.now, turned=1)
    d.edge("back_underarm", [Line(left, back)], given.side)
    d.lengths.update(cap_length=found(sums.cap, "cap_length"), widened=found(sums.widened, "to_fill_the_armhole"))
    d.lengths.update(seam_down=mm(0))
