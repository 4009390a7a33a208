"""The sums done before the chalk: levels, widths, extensions, what the darts and the sides take.

The rules are METHODS of common practice, no source; the closing rules are Plavet's own (docs/drafting.md).
"""

from collections.abc import Mapping
from fractions import Fraction

from cutting.body import Body
from cutting.codes import FindingCode
from cutting.errors import CuttingError, Problem, refuse
from cutting.finding import Finding
from cutting.lengths import Fixed, Length, cm, found, inch, mm, named
from cutting.methods.ask import Ask
from cutting.methods.darts import Darts, back_darts, front_share
from cutting.methods.share import least, most
from cutting.methods.styles import STYLES, Style
from cutting.methods.sums import Sums
from cutting.methods.two_panel.legs import knee_and_hem
from cutting.where import choice, measure, part

Seats = Mapping[str, tuple[float, float, float]]
SEATS: Seats = {"flat": (1.5, 1, 1.5), "usual": (2, 1.5, 2), "full": (3, 2, 2.5)}
"""By the seat: the back's tip, raise and slant in inches."""
LOW_WAIST = cm(7, "low_waist")
CLEANUPS: Mapping[str, FindingCode] = {
    "back-larger": "waist.back-larger", "redraw-centre": "waist.redraw-centre", "re-mark-side": "waist.re-mark-side",
}  # fmt: skip
"""What is said of a waist that is corrected on the half-sewn garment."""


def work_out(body: Body, ask: Ask, seats: Seats = SEATS) -> Sums:
    """Every sum of the draft. Raises CuttingError with all that is missing or cannot be."""
    style = STYLES[ask.style]
    body.need(*_needed(body, ask))
    findings: list[Finding] = []
    hip = body.hip + named(ask.hip_ease, "hip_ease") if ask.ease_place == "measure" else body.hip
    front_panel, back_panel = _panels(hip, ask)
    front_hip, back_hip = front_panel * ask.fullness, back_panel * ask.fullness

    girth: Length = body.low_waist if ask.waist_position == "low" and body.has("low_waist") else body.waist
    waist_round = girth + named(ask.waist_ease, "waist_ease")
    shares = [waist_round / 4 - ask.waist_split / 2, waist_round / 4 + ask.waist_split / 2]
    gathered = ask.gathered or ask.fullness > 1
    if not gathered and shares[0].mm - front_hip.mm > 38.1:
        raise refuse("waist.too_large", measure("waist"), waist=girth, hip=body.hip)

    depth = crotch_depth(hip, body, ask)
    top: Length = named(ask.band_depth, "band") if ask.band in ("below", "inside") else mm(0)
    knee_depth = _knee_depth(body, ask, depth)
    length = _length(body, ask, depth, knee_depth)
    hip_depth = _hip_depth(body, ask, depth)
    _check_levels(top, hip_depth, depth, knee_depth, length, style.leg == "short", findings)

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
    front = front_share(spare, ask) if flat is None else Darts.none()
    slant_most = most(spare - front.all + inch(0.5), inch(0.5))
    slant_used: Length = wanted_slant
    if wanted_slant.mm > slant_most.mm:
        slant_used = slant_most
        findings.append(Finding("slant.reduced", "note", part("back"), {"wanted": wanted_slant, "used": slant_most}))
    # Between hip line and waist the centre back leans in by about this much; the side need not take it.
    rise = max(1.0, (depth - top + lift).mm)
    lean = slant_used.mm * (hip_depth - top + lift).mm / rise
    back = Darts.none()
    if flat is None and ask.waist_finish != "half-elastic":
        back = back_darts(front, back_hip - shares[1] - found(lean, "centre_lean"), ask)
    if flat is not None:
        widths = [flat, most(back_hip - ask.waist_in + ask.back_waist_extra, shares[1])]
    elif ask.waist_finish == "half-elastic":
        widths = [
            shares[0] + front.all, least(shares[1] + inch(3.5, "half_elastic"), most(back_hip + inch(0.5), shares[1])),
        ]  # fmt: skip
    else:
        widths = [shares[0] + front.all, shares[1] + back.all]
        if ask.waist_cleanup == "back-larger":
            widths[1] = widths[1] + inch(0.5, "to_take_in")
    if ask.waist_cleanup in CLEANUPS:
        findings.append(Finding(CLEANUPS[ask.waist_cleanup], "note", part("back")))
    gathers = [width - share - darts.all for width, share, darts in zip(widths, shares, (front, back), strict=True)]
    if not gathered and ask.darts is None and spare.mm < 0:
        findings.append(Finding("waist.over_hip", "warn", measure("waist"), {"waist": girth, "hip": body.hip}))
    elif not gathered and front.count == 0 and ask.darts is None:
        findings.append(Finding("dart.none", "note", part("front"), {"spare": spare}))
    _check_turns(ask, style, hip_depth - top - drop, length - depth)

    crotch_width = front_hip + out
    crotch_round = crotch_width + back_hip + back_out
    knee_round, hem_round = knee_and_hem(style.leg, body, ask, crotch_round, findings)
    check_hem(ask, crotch_round, length - depth)
    thigh_depth = depth + inch(2)
    if style.leg == "short":
        thigh_depth = least(thigh_depth, length - inch(0.5))
    return Sums(
        hip=hip, front_hip=front_hip, back_hip=back_hip, waist_girth=girth, waist_round=waist_round,
        front_waist=widths[0], back_waist=widths[1],
        front_gathers=gathers[0] if abs(gathers[0].mm) > 1e-6 else mm(0),
        back_gathers=gathers[1] if abs(gathers[1].mm) > 1e-6 else mm(0),
        top=top, crotch_depth=depth, hip_depth=hip_depth, thigh_depth=thigh_depth, knee_depth=knee_depth,
        ankle_depth=length - inch(2), length=length,
        extension=out, back_extension=back_out, crotch_width=crotch_width,
        tip=tip if ask.back_extension == "tip" else back_out - out - ask.centre_base,
        drop=drop, lift=lift, slant=slant_used, front_darts=front, back_darts=back,
        knee_round=knee_round, hem_round=hem_round, findings=tuple(findings + _doubts(body, ask, depth)),
    )  # fmt: skip


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


def crotch_depth(hip: Length, body: Body, ask: Ask) -> Length:
    """From the waist to the crotch line, by the rule chosen, with its ease."""
    rule = ask.crotch_depth
    if isinstance(rule, Fixed):
        depth: Length = rule
    elif rule == "seated":
        depth = body.body_rise
    elif rule == "outseam-inseam":
        depth = body.outseam - body.inseam
    else:
        if rule == "hip/3":
            depth = hip / 3
        elif rule == "hip/3-1":
            depth = hip / 3 - inch(1)
        else:
            depth = hip / 4 + inch({"hip/4": 0, "hip/4+1": 1, "hip/4+2": 2, "hip/4+3": 3}[rule])
        if ask.waist_position == "low":
            depth = depth - LOW_WAIST
    return depth + named(ask.crotch_ease, "crotch_ease")


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
    drop = {"drop-and-raise": lift, "small-drop-and-raise": inch(0.5)}.get(ask.seat_height, inch(0))
    if ask.seat_height == "none":
        lift = ask.seat_raise if ask.seat_raise is not None else inch(0)
    drop = ask.centre_drop if ask.centre_drop is not None else drop
    return tip, lift, drop, ask.centre_slant if ask.centre_slant is not None else slant


def _needed(body: Body, ask: Ask) -> list[str]:
    style = STYLES[ask.style]
    needed = ["waist", "hip", "thigh"]
    if (ask.length is None and style.length is None) or ask.crotch_depth == "outseam-inseam":
        needed.append("outseam")
    if ask.crotch_depth == "seated":
        needed.append("body_rise")
    if ask.crotch_depth == "outseam-inseam":
        needed.append("inseam")
    if ask.dart_place == "bust-span":
        needed.append("bust_span")
    if style.leg == "close" and ask.hem_width is None:
        needed.append("ankle")
    return needed


def _knee_depth(body: Body, ask: Ask, depth: Length) -> Length:
    """Measured, else half of crotch to ankle, raised 1 1/2; without an outseam 2 1/4 times the crotch depth."""
    if body.has("waist_to_knee"):
        return body.waist_to_knee
    whole: Length | None = ask.length if STYLES[ask.style].leg != "short" else None
    if whole is None and body.has("outseam"):
        whole = body.outseam
    if whole is None:
        return depth * 9 / 4
    return (depth + whole - inch(2)) / 2 - inch(1.5)


def _length(body: Body, ask: Ask, depth: Length, knee: Length) -> Length:
    """From where the figure was taken to the finished hem: chosen, else by the style."""
    style = STYLES[ask.style]
    if ask.length is not None:
        return ask.length
    if style.length == "knee":
        return knee
    if style.length is not None:
        return depth + style.length
    return body.outseam


def _hip_depth(body: Body, ask: Ask, depth: Length) -> Length:
    """Measured, or 2 in or hip/16 above the crotch line; never nearer to it than 1 in."""
    if ask.hip_line == "measured" and body.has("waist_to_hip"):
        return least(body.waist_to_hip, depth - inch(1))
    if ask.hip_line == "hip/16-above":
        return depth - body.hip / 16
    return depth - inch(2)


def _check_levels(
    top: Length, hip: Length, crotch: Length, knee: Length, length: Length, short: bool, findings: list[Finding]
) -> None:
    problems: list[Problem] = []
    if crotch.mm < 101.6:
        problems.append(Problem("depth.too_small", choice("crotch_depth"), {"depth": crotch}))
    elif hip.mm - top.mm < 38.1:
        problems.append(Problem("hip_line.too_high", measure("waist_to_hip"), {"hip": hip, "band": top}))
    where = choice("length")
    if short:
        if length.mm < crotch.mm + 38.0:
            problems.append(Problem("length.too_short", where, {"length": length, "crotch": crotch}))
        elif length.mm > knee.mm + 25.4:
            problems.append(Problem("length.below_knee", where, {"length": length, "knee": knee}))
    else:
        if knee.mm < crotch.mm + 76.2:
            problems.append(Problem("knee.too_high", measure("waist_to_knee"), {"knee": knee, "crotch": crotch}))
        if length.mm < max(knee.mm, crotch.mm + 76.2) + 50.8:
            problems.append(Problem("length.short", where, {"length": length, "knee": knee}))
    if problems:
        raise CuttingError(*problems)
    gap = crotch.mm - hip.mm
    if not 25.4 - 0.01 <= gap <= 114.3:
        findings.append(Finding("hip_line.gap", "warn", measure("waist_to_hip"), {"gap": crotch - hip}))


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


def _doubts(body: Body, ask: Ask, depth: Length) -> list[Finding]:
    """The depth against the measured rise."""
    rise: Length | None = body.body_rise if body.has("body_rise") else None
    if rise is None and body.has("outseam") and body.has("inseam"):
        rise = body.outseam - body.inseam
    found_: list[Finding] = []
    where = choice("crotch_depth")
    if rise is not None and not isinstance(ask.crotch_depth, Fixed):
        if depth.mm > rise.mm + 38.1 and ask.waist_position != "high":
            found_.append(Finding("depth.guard", "warn", where, {"depth": depth, "rise": rise}))
        elif depth.mm < rise.mm - 38.1:
            found_.append(Finding("depth.shallow", "warn", where, {"depth": depth, "rise": rise}))
    return found_
