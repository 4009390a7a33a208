"""How far down each level is: hip line, crotch, knee and hem, by the rule chosen or as measured.

The rules are METHODS of common practice, no source.
"""

from cutting.body import Body
from cutting.errors import CuttingError, Problem, refuse
from cutting.finding import Finding
from cutting.lengths import Fixed, Length, Rule, as_marked, cm, inch, named
from cutting.methods.ask import Ask
from cutting.methods.share import least
from cutting.methods.styles import STYLES
from cutting.where import choice, measure

LOW_WAIST = cm(7, "low_waist")
CLEAR = Rule(0.5, "off_the_floor")
"""A hem that goes to the floor clears it by so much."""


def crotch_depth(hip: Length | None, body: Body, ask: Ask) -> Length:
    """From the waist to the crotch line, by the rule chosen, with its ease."""
    rule = ask.crotch_depth
    rise = measured_rise(body) if rule == "rise" else None
    if rule == "rise" and rise is None:
        rule = ask.depth_else
    if isinstance(rule, Fixed):
        depth: Length = rule
    elif rise is not None:
        depth = rise + inch(0.5, "to_sit")
    elif rule == "seated":
        depth = body.body_rise
    elif rule == "outseam-inseam":
        depth = body.outseam - body.inseam
    elif hip is None:
        raise refuse("measure.missing", measure("hip"))
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


def capped(body: Body, ask: Ask, depth: Length, findings: list[Finding]) -> Length:
    """A third of the hip is no deeper than the rise and 2: measured, else the usual one, a quarter of the outseam."""
    rise = measured_rise(body)
    if (ask.depth_else if ask.crotch_depth == "rise" else ask.crotch_depth) != "hip/3-1":
        return depth
    if rise is None and body.has("outseam"):
        rise = body.outseam / 4
    ease = named(ask.crotch_ease, "crotch_ease")
    if rise is None or depth.mm <= (rise + inch(2) + ease).mm:
        return depth
    most_ = rise + inch(2) + ease if ask.crotch_ease.size else rise + inch(2)
    findings.append(
        Finding("depth.capped", "note", choice("crotch_depth"), {"wanted": depth, "used": most_, "rise": rise})
    )
    return most_


def measured_rise(body: Body) -> Length | None:
    """From the waist to the seat: measured sitting, else outseam less inseam; None where neither was."""
    if body.has("body_rise"):
        return body.body_rise
    return body.outseam - body.inseam if body.has("outseam") and body.has("inseam") else None


def of_length(ask: Ask) -> tuple[str, ...]:
    """What the garment's length is taken from, besides the depth."""
    if ask.length == "floor":
        return ("waist_to_floor",)
    return ("outseam",) if ask.length == "by-style" and STYLES[ask.style].length is None else ()


def chosen_length(body: Body, ask: Ask) -> Length | None:
    """A length that was typed, or the one that clears the floor; None where the style says how long it is."""
    if isinstance(ask.length, Fixed):
        return ask.length
    return body.waist_to_floor - CLEAR.now if ask.length == "floor" else None


def of_depth(ask: Ask) -> tuple[str, ...]:
    """What the rule of the crotch depth needs besides the hip."""
    rule = ask.depth_else if ask.crotch_depth == "rise" else ask.crotch_depth
    fit = ("crotch_length",) if ask.crotch_fit == "measured" else ()
    keys = {"seated": ("body_rise",), "outseam-inseam": ("outseam", "inseam")}
    return keys.get(rule, ()) + fit if isinstance(rule, str) else fit


def to_knee(body: Body, ask: Ask, depth: Length) -> Length:
    """Measured, else half of crotch to ankle, raised 1 1/2; without an outseam 2 1/4 times the crotch depth."""
    if body.has("waist_to_knee"):
        return body.waist_to_knee
    whole = chosen_length(body, ask) if STYLES[ask.style].leg != "short" else None
    if whole is None and body.has("outseam"):
        whole = body.outseam
    if whole is None:
        return depth * 9 / 4
    return (depth + whole - inch(2)) / 2 - inch(1.5)


def to_hem(body: Body, ask: Ask, depth: Length, knee: Length) -> Length:
    """From where the figure was taken to the finished hem: chosen, else by the style."""
    style, own = STYLES[ask.style], chosen_length(body, ask)
    if own is not None:
        return own
    if style.length == "knee":
        return knee
    if style.length is not None:
        return depth + as_marked(style.length)
    return body.outseam


def to_hip_line(body: Body, ask: Ask, depth: Length, hip: Length) -> Length:
    """Measured, or 2 in or hip/16 above the crotch line; never nearer to it than 1 in."""
    if ask.hip_line == "measured" and body.has("waist_to_hip"):
        return least(body.waist_to_hip, depth - inch(1))
    if ask.hip_line == "hip/16-above":
        return depth - hip / 16
    return depth - inch(2)


def check_levels(
    top: Length, hip: Length, crotch: Length, knee: Length, length: Length, short: bool, findings: list[Finding]
) -> None:
    """Raises CuttingError where the levels are out of order; adds a warning where the hip line is oddly placed."""
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


def too_deep(body: Body, ask: Ask, depth: Length) -> list[Finding]:
    """The depth against the measured rise: far over it. That it is under it is measured on the outline."""
    rise = measured_rise(body)
    loose = (inch(2) + ask.crotch_ease).mm if ask.crotch_depth == "hip/3-1" else inch(1.5).mm
    if rise is None or ask.waist_position == "high" or depth.mm <= rise.mm + loose + 0.01:
        return []
    return [Finding("depth.guard", "warn", choice("crotch_depth"), {"depth": depth, "rise": rise})]
