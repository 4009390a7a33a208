"""The sums done before the chalk: levels, widths, extensions, what the darts and the sides take.

The rules are METHODS of common practice, no source; the closing rules are Plavet's own (docs/drafting.md).
"""

from collections.abc import Mapping
from dataclasses import replace
from fractions import Fraction

from cutting.body import Body
from cutting.codes import FindingCode
from cutting.errors import refuse
from cutting.finding import Finding
from cutting.lengths import Fixed, Length, Rule, found, inch, mm, named
from cutting.methods.ask import Ask
from cutting.methods.darts import Darts, back_darts, front_share
from cutting.methods.share import least, most
from cutting.methods.styles import STYLES, Style
from cutting.methods.sums import Sums
from cutting.methods.two_panel.legs import knee_and_hem
from cutting.methods.two_panel.levels import (
    capped,
    check_levels,
    crotch_depth,
    measured_rise,
    of_depth,
    of_length,
    to_hem,
    to_hip_line,
    to_knee,
    too_deep,
)
from cutting.where import choice, measure, part

Seats = Mapping[str, tuple[float, float, float]]
SEATS: Seats = {"flat": (1.5, 1, 1.5), "usual": (2, 1.5, 2), "full": (3, 2, 2.5)}
"""By the seat: the back's tip, raise and slant in inches."""
LET_OUT = Rule(3.5, "half_elastic")
"""The half that has elastic is wider than the flat front by so much."""
CLEANUPS: Mapping[str, FindingCode] = {
    "back-larger": "waist.back-larger", "redraw-centre": "waist.redraw-centre", "re-mark-side": "waist.re-mark-side",
}  # fmt: skip
"""What is said of a waist that is corrected on the half-sewn garment."""


def work_out(body: Body, ask: Ask, seats: Seats = SEATS) -> Sums:
    """Every sum of the draft. Raises CuttingError with all that is missing or cannot be."""
    style = STYLES[ask.style]
    body.need(*needs(ask))
    findings: list[Finding] = []
    own_hip = _hip_or_let_out(body, ask)
    hip = own_hip + named(ask.hip_ease, "hip_ease") if ask.ease_place == "measure" else own_hip
    front_panel, back_panel = _panels(hip, ask)
    front_hip, back_hip = front_panel * ask.fullness, back_panel * ask.fullness
    if ask.back_side_out.size:
        back_hip = back_hip + named(ask.back_side_out, "side_out")

    girth = waist_girth(body, ask)
    waist_round = girth + named(ask.waist_ease, "waist_ease") if girth is not None else None
    gathered = ask.gathered or ask.fullness > 1
    if waist_round is not None:
        shares = [waist_round / 4 - ask.waist_split / 2, waist_round / 4 + ask.waist_split / 2]
    else:
        shares = [front_hip - ask.waist_in, back_hip - ask.waist_in]
    if girth is not None and not gathered and shares[0].mm - front_hip.mm > 38.1:
        raise refuse("waist.too_large", measure("waist"), waist=girth, hip=own_hip)

    depth = crotch_depth(hip, body, ask)
    if ask.crotch_depth == "hip/3-1" or (ask.crotch_depth == "rise" and measured_rise(body) is None):
        depth = capped(body, ask, depth, findings)
    if ask.crotch_depth == "rise" and measured_rise(body) is not None:
        own = crotch_depth(hip, body, replace(ask, crotch_depth=ask.depth_else))
        if abs(own.mm - depth.mm) > inch(0.25).mm:
            params = {"used": depth, "own": own}
            findings.append(Finding("depth.by_rise", "note", choice("crotch_depth"), params))
    top: Length = named(ask.band_depth, "band") if ask.band == "below" else ask.inside
    knee_depth = to_knee(body, ask, depth)
    length = to_hem(body, ask, depth, knee_depth)
    hip_depth = to_hip_line(body, ask, depth, own_hip)
    deep = bool(too_deep(body, ask, depth))
    check_levels(top, hip_depth, depth, knee_depth, length, style.leg == "short", [] if deep else findings)

    tip, lift, drop, wanted_slant = _seat(ask, seats)
    out = extension(body, ask, hip, front_hip, front_panel)
    if ask.crotch_extension in THIGH_RULES and out.mm <= (hip / 24).mm:
        findings.append(Finding("extension.floor", "note", part("front"), {"used": out}))
    back_out = back_extension(ask, hip, out, tip, back_panel)
    if back_out.mm < out.mm:
        raise refuse("extension.order", choice("back_extension"), front=out, back=back_out)

    # Flat and gathered, the waist is as wide as the hip; over a larger waist as wide as that.
    flat = most(front_hip - ask.waist_in, shares[0]) if gathered else None
    spare = front_hip - shares[0] if flat is None else front_hip - flat
    flat_front = ask.waist_finish == "half-elastic" and ask.front_waist == "hip"
    front = front_share(spare, ask.darts("front")) if flat is None and not flat_front else Darts.none()
    slant_most = most(spare - front.all + inch(0.5), inch(0.5))
    typed = ask.back_dart_intake
    if flat is None and typed is not None:
        taken = typed * 2 if ask.back_darts == "two" else typed
        slant_most = least(slant_most, most(back_hip - shares[1] - taken + inch(0.5), inch(0.5)))
    slant_used: Length = wanted_slant
    if wanted_slant.mm > slant_most.mm:
        slant_used = slant_most
    # Between hip line and waist the centre back leans in by about this much; the side need not take it.
    rise = max(1.0, (depth - top + lift).mm)
    lean = slant_used.mm * (hip_depth - top + lift).mm / rise
    back = Darts.none()
    if flat is None and ask.waist_finish != "half-elastic":
        repeats = ask.front_darts != "none" and ask.front_dart_intake is None
        back_spare = back_hip - shares[1] - found(lean, "centre_lean")
        back = back_darts(front, back_spare, ask.darts("back"), repeats)
    if flat is not None:
        behind = back_hip - ask.back_side_out if ask.back_side_out.size else back_hip
        widths = [flat, most(behind - ask.waist_in if ask.waist_in.size else behind, shares[1])]
        if ask.back_waist_extra.size:  # what the back is wider by goes to its centre, so that the side stays
            widths[1] = widths[1] + named(ask.back_waist_extra, "back_waist_extra")
            slant_used = slant_used - ask.back_waist_extra
    elif ask.waist_finish == "half-elastic":
        closed = front_hip if flat_front else shares[0]
        behind = closed + LET_OUT.now
        if body.has("hip"):
            behind = most(behind, (body.hip + inch(1, "to_pass")) / 2 - closed)
        widths = [closed + front.all, behind]
        slant_used = least(mm(0), back_hip - behind)
    else:
        widths = [shares[0] + front.all, shares[1] + back.all]
        if ask.waist_cleanup == "back-larger":
            widths[1] = widths[1] + inch(0.5, "to_take_in")
    if 0 < slant_used.mm < wanted_slant.mm:
        where = choice("centre_slant") if "centre_slant" in ask.chosen else part("back")
        findings.append(Finding("slant.reduced", "note", where, {"wanted": wanted_slant, "used": slant_used}))
    if ask.waist_cleanup in CLEANUPS:
        findings.append(Finding(CLEANUPS[ask.waist_cleanup], "note", part("back")))
    if flat_front and waist_round is not None:
        shares = [front_hip, waist_round / 2 - front_hip]
    gathers = [width - share - darts.all for width, share, darts in zip(widths, shares, (front, back), strict=True)]
    if girth is not None and not gathered and ask.front_darts is None and spare.mm < 0:
        findings.append(Finding("waist.over_hip", "warn", measure("waist"), {"waist": girth, "hip": own_hip}))
    elif not gathered and front.count == 0 and ask.front_darts != "none" and not flat_front:
        findings.append(Finding("dart.none", "note", part("front"), {"spare": spare}))
    _check_turns(ask, style, hip_depth - top - drop, length - depth)

    at_hip, centre_lean = back_hip, found(0.0, "centre_lean")
    if ask.back_side_out.size and slant_used.mm > 0:  # the side is straight from the hip line to the crotch line
        centre_lean = found(slant_used.mm * (depth - hip_depth).mm / rise, "centre_lean")
        at_hip = back_hip - centre_lean
    crotch_width = front_hip + out
    crotch_round = crotch_width + back_hip + back_out
    levels = (depth, knee_depth, length)
    falls = style.leg == "fall" and body.has("thigh") and "thigh_ease" in ask.chosen
    if falls and (wanted := (body.thigh + named(ask.thigh_ease, "thigh_ease")) / 2).mm > crotch_width.mm:
        params = {"wanted": wanted, "used": crotch_width}
        findings.append(Finding("thigh.capped", "note", choice("thigh_ease"), params))
    knee_round, hem_round = knee_and_hem(style.leg, body, ask, crotch_round, levels, findings)
    check_hem(ask, crotch_round, length - depth)
    thigh_depth = depth + (ask.thigh_line or inch(2))
    if style.leg == "short":
        thigh_depth = least(thigh_depth, length - inch(0.5))
    return Sums(
        hip=hip if body.has("hip") else None, front_hip=front_hip, back_hip=at_hip,
        centre_lean=centre_lean,
        waist_girth=girth, waist_round=waist_round,
        front_waist=widths[0], back_waist=widths[1],
        front_gathers=gathers[0] if abs(gathers[0].mm) > 1e-6 else mm(0),
        back_gathers=gathers[1] if abs(gathers[1].mm) > 1e-6 else mm(0),
        top=top, crotch_depth=depth, hip_depth=hip_depth, thigh_depth=thigh_depth, knee_depth=knee_depth,
        ankle_depth=length - inch(2), length=length,
        extension=out, back_extension=back_out, crotch_width=crotch_width,
        tip=tip if ask.back_extension == "tip" else back_out - out - ask.centre_base,
        drop=drop, lift=lift, slant=slant_used, front_darts=front, back_darts=back,
        knee_round=knee_round, hem_round=hem_round,
        findings=(*findings, *too_deep(body, ask, depth), *unmeasured(body, ask, crotch_round)),
    )  # fmt: skip


def _hip_or_let_out(body: Body, ask: Ask) -> Length:
    """The hip; of half elastic without one what the waist is let out to, from which the legs hang straight down."""
    if body.has("hip") or _needs_hip(ask):
        return body.hip
    girth = waist_girth(body, ask)
    assert girth is not None
    return girth + named(ask.waist_ease, "waist_ease") + LET_OUT.now * 2


def _needs_hip(ask: Ask) -> bool:
    """Whether a draft starts from the hip: not half elastic over a flat front, where no rule of depth has it."""
    flat = ask.waist_finish == "half-elastic" and ask.front_waist == "waist" and ask.crotch_fit == "rule"
    return not (flat and (isinstance(ask.crotch_depth, Fixed) or ask.crotch_depth in ("seated", "outseam-inseam")))


def _panels(hip: Length, ask: Ask) -> tuple[Length, Length]:
    """The widths of front and back at the hip, before any fullness: equal quarters and what is added to each."""
    ease = named(ask.hip_ease, "hip_ease")
    front = back = hip / 4
    if ask.ease_place == "panels" and ask.hip_ease.size:
        front, back = front + ease / 4, back + ease / 4
    if ask.ease_place == "back" and ask.hip_ease.size:
        back = back + ease / 2
    if ask.hip_split.size:
        split = named(ask.hip_split, "hip_split")
        front, back = front - split / 2, back + split / 2
    return front, back


THIGH_RULES = ("thigh/2", "thigh-eased", "thigh-cut")


def extension(body: Body, ask: Ask, hip: Length, front_hip: Length, panel: Length) -> Length:
    """From the centre front to the crotch point. `panel` is the hip width before any fullness."""
    rule = ask.crotch_extension
    if isinstance(rule, Fixed):
        return rule
    if rule == "by-size":
        return by_size(hip)
    if rule in THIGH_RULES:
        half = body.thigh / 2
        if rule == "thigh-eased":
            half = (body.thigh + named(ask.thigh_ease, "thigh_ease")) / 2
        if rule == "thigh-cut":
            half = half - inch(1, "two_seams")
        return most(half - front_hip, hip / 24)
    return {"hip/16": hip / 16, "hip/20": hip / 20, "panel/4": panel / 4}[rule]


def by_size(hip: Length) -> Length:
    """2 in up to a hip of 36, 3 in from 46, straight between."""
    share = least(most((hip - inch(36)) / 10, mm(0)), inch(1))
    return inch(2) + share


def back_extension(ask: Ask, hip: Length, front: Length, tip: Length, panel: Length) -> Length:
    """From the centre back to the back's crotch point, at the crotch line."""
    rule = ask.back_extension
    if isinstance(rule, Fixed):
        return rule
    if rule == "tip":
        return front + tip + ask.centre_base if ask.centre_base.size else front + tip
    return {"hip/8": hip / 8, "hip/10": hip / 10, "panel/2": panel / 2}[rule]


def _seat(ask: Ask, seats: Seats) -> tuple[Length, Length, Length, Length]:
    """Tip, raise, drop and the slant wanted."""
    tip, lift, slant = (
        inch(value, label) for value, label in zip(seats[ask.seat], ("tip", "seat_raise", "slant"), strict=True)
    )
    if isinstance(ask.back_tip, Fixed):
        tip = ask.back_tip
    lift = ask.seat_raise if ask.seat_raise is not None else lift
    drop = {"drop-and-raise": least(lift, inch(1.5)), "small-drop-and-raise": inch(0.5)}.get(ask.seat_height, inch(0))
    if ask.seat_height == "none":
        lift = ask.seat_raise if ask.seat_raise is not None else inch(0)
    drop = ask.centre_drop if ask.centre_drop is not None else drop
    return tip, lift, drop, ask.centre_slant if ask.centre_slant is not None else slant


def needs(ask: Ask) -> tuple[str, ...]:
    """The measurements that such a draft cannot be made without: each of them moves a line or a strip of it."""
    style = STYLES[ask.style]
    keys = [*(["hip"] if _needs_hip(ask) else []), *of_depth(ask)]
    if ask.waist_finish not in ("elastic-band", "casing"):
        keys.append("waist")
    if ask.crotch_extension in THIGH_RULES:
        keys.append("thigh")
    keys += of_length(ask)
    fitted = not ask.gathered and ask.fullness == 1
    for name, place in (("front", ask.front_dart_place), ("back", ask.back_dart_place)):
        half_elastic = ask.waist_finish == "half-elastic"
        if place == "bust-span" and fitted and not (half_elastic and (name == "back" or ask.front_waist == "hip")):
            keys.append("bust_span")
    if style.leg == "close" and ask.hem_width is None:
        keys.append("ankle")
    return tuple(dict.fromkeys(keys))


def waist_girth(body: Body, ask: Ask) -> Length | None:
    """The waist the garment is worn at; None where it was not measured."""
    if ask.waist_position == "low" and body.has("low_waist"):
        return body.low_waist
    return body.waist if body.has("waist") else None


def unmeasured(body: Body, ask: Ask, crotch_round: Length) -> list[Finding]:
    """What cannot be said or checked since it was not measured, though the draft can be made."""
    notes: list[Finding] = []
    if not body.has("thigh"):
        notes.append(Finding("thigh.unmeasured", "note", measure("thigh"), {"used": crotch_round}))
    by_rule = ask.elastic_all_round and not isinstance(ask.elastic, Fixed)
    if by_rule and waist_girth(body, ask) is None:
        notes.append(Finding("elastic.unmeasured", "note", measure("waist")))
    if not body.has("hip"):
        notes.append(Finding("hip.unmeasured", "note", measure("hip")))
    return notes


def _check_turns(ask: Ask, style: Style, above_hip: Length, leg: Length) -> None:
    """A casing or heading turns down no further than the hip line, a short leg's hem up no further than it is long."""
    turn = ask.waist_turn
    if turn is not None and turn.mm / ask.waist_folds > above_hip.mm:
        where = choice("casing") if ask.waist_finish == "casing" else choice("heading")
        raise refuse("turn.too_deep", where, turn=turn, above=above_hip)
    if style.leg == "short" and ask.hem_turn.mm / ask.hem_folds > leg.mm - 12.7:
        raise refuse("hem.too_deep", choice("hem"), hem=ask.hem, leg=leg)


STEEPEST = Fraction(3, 5)
"""Each edge of a leg runs in by no more than this share of its length."""


def check_hem(ask: Ask, crotch_round: Length, leg: Length) -> None:
    """A chosen hem is no narrower than so short a leg can run in to. Raises CuttingError with the least there is."""
    least_hem = crotch_round - leg * 4 * STEEPEST
    if ask.hem_width is not None and ask.hem_width.mm < least_hem.mm:
        where = choice("hem_width")
        raise refuse("hem.too_narrow", where, hem=ask.hem_width, leg=leg, least=least_hem)
