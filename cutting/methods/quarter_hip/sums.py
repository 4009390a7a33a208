"""The sums done before the chalk: levels, quarters, extensions, what the darts and the sides take.

The rules are METHODS of common practice, no source; the closing rules are Plavet's own (docs/drafting.md).
"""

from dataclasses import dataclass

from cutting.body import Body
from cutting.errors import CuttingError, Problem, refuse
from cutting.finding import Finding
from cutting.lengths import Fixed, Length, cm, found, inch, mm, named
from cutting.methods.ask import Ask

BACK_WIDER = inch(1, "back_wider")
"""The back's knee and hem are this much wider than the front's, all in all."""
SEATS = {  # tip, raise, slant in inches
    "flat": (1.5, 1, 1.5),
    "usual": (2, 1.5, 2),
    "full": (3, 2, 2.5),
}


def least(*among: Length) -> Length:
    """The smallest, with the sum it alone came from."""
    return min(among, key=lambda one: one.value)


def most(*among: Length) -> Length:
    """The largest, with the sum it alone came from."""
    return max(among, key=lambda one: one.value)


@dataclass(frozen=True)
class Darts:
    """How a panel's waist is brought in: dart intakes (none, one or two equal), and the centre's share."""

    intake: Length
    count: int
    centre_in: Length

    @property
    def all(self) -> Length:
        """What the darts take in together."""
        return self.intake * self.count if self.count != 1 else self.intake


@dataclass(frozen=True)
class Sums:
    """All of it, as lengths. Depths are from where the client's figure was taken; `top` is the waist seam's."""

    quarter: Length
    back_quarter: Length
    waist_round: Length
    waist_quarter: Length
    top: Length
    crotch_depth: Length
    hip_depth: Length
    thigh_depth: Length
    knee_depth: Length
    ankle_depth: Length
    length: Length
    extension: Length
    back_extension: Length
    crotch_width: Length
    tip: Length
    drop: Length
    raise_: Length
    slant: Length
    front_darts: Darts
    back_darts: Darts
    knee_round: Length | None
    hem_round: Length | None
    findings: tuple[Finding, ...]

    def level(self, depth: Length, ask: Ask) -> Length:
        """A depth on the draft: the tape starts above the waist line where the band lies below it."""
        return depth - named(ask.band_depth, "band") if ask.band == "below" else depth


def crotch_depth(body: Body, ask: Ask) -> Length:
    """From the waist to the crotch line, by the rule chosen, with its ease."""
    rule = ask.crotch_depth
    if isinstance(rule, Fixed):
        depth: Length = rule
    elif rule == "seated":
        depth = body.body_rise
    elif rule == "outseam-inseam":
        depth = body.outseam - body.inseam
    elif rule == "hip/3":
        depth = body.hip / 3
    elif rule == "hip/3-1":
        depth = body.hip / 3 - inch(1)
    else:
        depth = body.hip / 4 + inch({"hip/4": 0, "hip/4+1": 1, "hip/4+2": 2, "hip/4+3": 3}[rule])
    return depth + named(ask.crotch_ease, "crotch_ease")


def extension(body: Body, ask: Ask) -> Length:
    """From the centre front to the crotch point."""
    rule = ask.crotch_extension
    if isinstance(rule, Fixed):
        return rule
    if rule == "by-size":
        return by_size(body)
    if rule == "thigh/2":
        return most(body.thigh / 2 - body.hip / 4, body.hip / 24)
    return {"hip/16": body.hip / 16, "hip/20": body.hip / 20, "panel/4": body.hip / 4 / 4}[rule]


def by_size(body: Body) -> Length:
    """2 in up to a hip of 36, 3 in from 46, straight between."""
    share = least(most((body.hip - inch(36)) / 10, mm(0)), inch(1))
    return inch(2) + share


def back_extension(body: Body, ask: Ask, front: Length, tip: Length) -> Length:
    """From the centre back to the back's crotch point, at the crotch line."""
    rule = ask.back_extension
    if isinstance(rule, Fixed):
        return rule
    if rule == "tip":
        return front + tip
    quarter = body.hip / 4 + ask.hip_ease / 2
    return {"hip/8": body.hip / 8, "hip/10": body.hip / 10, "panel/2": quarter / 2}[rule]


def front_share(spare: Length, ask: Ask) -> Darts:
    """Share what the waist is smaller than the hip: dart 1, side 1 1/2, centre 1/2, dart 1 1/2, then two darts."""
    nothing, side, centre = mm(0), inch(1.5), inch(0.5)
    if ask.darts == "none":
        return Darts(nothing, 0, nothing)
    one = least(inch(1, "dart"), most(spare - inch(0.25), nothing))
    if ask.dart_intake is not None or ask.darts == "two":
        each: Length = ask.dart_intake if ask.dart_intake is not None else one / 2
        return Darts(each, 2 if ask.darts == "two" else 1, nothing)
    if one.mm < 3:
        return Darts(nothing, 0, nothing)
    if spare.mm <= (side + inch(1)).mm:
        return Darts(one, 1, nothing)
    if spare.mm <= (side + inch(1) + centre).mm:
        return Darts(one, 1, spare - side - inch(1))
    wanted = spare - side - centre
    if wanted.mm <= inch(1.5).mm or ask.darts == "one":
        return Darts(least(wanted, inch(1.5, "dart")), 1, centre)
    return Darts(least(wanted / 2, inch(1.5, "dart")), 2, centre)


def _back_darts(front: Darts, spare: Length, ask: Ask) -> Darts:
    """The front's darts again, deepened where the back's side would take more than 2 in."""
    over = spare - front.all - inch(2)
    if over.mm <= 0 or ask.darts is not None or ask.dart_intake is not None:
        return Darts(front.intake, front.count, mm(0))
    wanted = front.all + over
    if wanted.mm <= inch(1.5).mm:
        return Darts(wanted, 1, mm(0))
    return Darts(least(wanted / 2, inch(1.5, "dart")), 2, mm(0))


def work_out(body: Body, ask: Ask) -> Sums:
    """Every sum of the draft. Raises CuttingError with all that is missing or cannot be."""
    body.need(*_needed(body, ask))
    findings: list[Finding] = []
    waist_round = body.waist + named(ask.waist_ease, "waist_ease")
    quarter, waist_quarter = body.hip / 4, waist_round / 4
    back_quarter = quarter + named(ask.hip_ease, "hip_ease") / 2 if ask.hip_ease.size else quarter
    if waist_quarter.mm - quarter.mm > 38.1:
        raise refuse("waist.too_large", "measurements.waist", waist=body.waist, hip=body.hip)

    depth = crotch_depth(body, ask)
    top: Length = named(ask.band_depth, "band")
    length: Length = ask.length if ask.length is not None else body.outseam
    hip_depth = _hip_depth(body, ask, depth, top)
    ankle = length - inch(2)
    knee = body.waist_to_knee if body.has("waist_to_knee") else (depth + ankle) / 2 - inch(1.5)
    _check_levels(top, hip_depth, depth, knee, length, findings)

    tip, raise_, slant = (
        inch(value, label) for value, label in zip(SEATS[ask.seat], ("tip", "seat_raise", "slant"), strict=True)
    )
    if isinstance(ask.back_tip, Fixed):
        tip = ask.back_tip
    raise_ = ask.seat_raise if ask.seat_raise is not None else raise_
    drop = {"drop-and-raise": raise_, "small-drop-and-raise": inch(0.5)}.get(ask.seat_height, inch(0))
    if ask.seat_height == "none":
        raise_ = ask.seat_raise if ask.seat_raise is not None else inch(0)
    drop = ask.centre_drop if ask.centre_drop is not None else drop
    wanted_slant = ask.centre_slant if ask.centre_slant is not None else slant

    out = extension(body, ask)
    if ask.crotch_extension == "thigh/2" and (body.thigh / 2 - body.hip / 4).mm < (body.hip / 24).mm:
        findings.append(Finding("extension.floor", "note", "front", {"used": out}))
    back_out = back_extension(body, ask, out, tip)
    if back_out.mm < out.mm:
        raise refuse("extension.order", "garment.choices.back_extension", front=out, back=back_out)

    spare = quarter - waist_quarter
    front_darts = front_share(spare, ask)
    slant_most = most(spare - front_darts.all + inch(0.5), inch(0.5))
    slant_used: Length = wanted_slant
    if wanted_slant.mm > slant_most.mm:
        slant_used = slant_most
        findings.append(Finding("slant.reduced", "note", "back", {"wanted": wanted_slant, "used": slant_most}))
    # Between hip line and waist the centre back leans in by about this much; the side need not take it.
    rise = max(1.0, (depth - top + raise_).mm)
    lean = slant_used.mm * (hip_depth - top + raise_).mm / rise
    back_spare = back_quarter - waist_quarter - found(lean, "centre_lean")
    back_darts = _back_darts(front_darts, back_spare, ask)
    if spare.mm < 0:
        findings.append(Finding("waist.over_hip", "warn", "measurements.waist", {"waist": body.waist, "hip": body.hip}))
    elif front_darts.count == 0 and ask.darts is None:
        findings.append(Finding("dart.none", "note", "front", {"spare": spare}))

    crotch_width = quarter + out
    crotch_round = crotch_width + back_quarter + back_out
    knee_round, hem_round = _leg(body, ask, crotch_round, findings)
    return Sums(
        quarter=quarter, back_quarter=back_quarter, waist_round=waist_round, waist_quarter=waist_quarter, top=top,
        crotch_depth=depth,
        hip_depth=hip_depth, thigh_depth=depth + inch(2), knee_depth=knee, ankle_depth=ankle, length=length,
        extension=out, back_extension=back_out, crotch_width=crotch_width,
        tip=tip if ask.back_extension == "tip" else back_out - out,
        drop=drop, raise_=raise_, slant=slant_used, front_darts=front_darts, back_darts=back_darts,
        knee_round=knee_round, hem_round=hem_round, findings=tuple(findings + _doubts(body, ask, depth)),
    )  # fmt: skip


def _needed(body: Body, ask: Ask) -> list[str]:
    needed = ["waist", "hip", "thigh"]
    if ask.length is None or ask.crotch_depth == "outseam-inseam":
        needed.append("outseam")
    if ask.crotch_depth == "seated":
        needed.append("body_rise")
    if ask.crotch_depth == "outseam-inseam":
        needed.append("inseam")
    if ask.dart_place == "bust-span":
        needed.append("bust_span")
    return needed


def _hip_depth(body: Body, ask: Ask, depth: Length, top: Length) -> Length:
    """Measured, or 2 in or hip/16 above the crotch line; never nearer to it than 1 in."""
    if ask.hip_line == "measured" and body.has("waist_to_hip"):
        return least(body.waist_to_hip, depth - inch(1))
    if ask.hip_line == "hip/16-above":
        return depth - body.hip / 16
    return depth - inch(2)


def _check_levels(
    top: Length, hip: Length, crotch: Length, knee: Length, length: Length, findings: list[Finding]
) -> None:
    problems: list[Problem] = []
    if crotch.mm < 101.6:
        problems.append(Problem("depth.too_small", "garment.choices.crotch_depth", {"depth": crotch}))
    elif hip.mm - top.mm < 38.1:
        problems.append(Problem("hip_line.too_high", "measurements.waist_to_hip", {"hip": hip, "band": top}))
    if knee.mm < crotch.mm + 76.2:
        problems.append(Problem("knee.too_high", "measurements.waist_to_knee", {"knee": knee, "crotch": crotch}))
    if length.mm < max(knee.mm, crotch.mm + 76.2) + 50.8:
        problems.append(Problem("length.short", "garment.choices.length", {"length": length, "knee": knee}))
    if problems:
        raise CuttingError(*problems)
    gap = crotch.mm - hip.mm
    if not 25.4 - 0.01 <= gap <= 114.3:
        findings.append(Finding("hip_line.gap", "warn", "measurements.waist_to_hip", {"gap": crotch - hip}))


def _leg(body: Body, ask: Ask, crotch_round: Length, findings: list[Finding]) -> tuple[Length | None, Length | None]:
    """The whole rounds of knee and hem; None where the leg falls straight from the thigh line."""
    if ask.style == "palazzo":
        return None, ask.hem_width
    if ask.knee_width is not None:
        knee: Length = ask.knee_width
    else:
        least = cm(round(crotch_round.mm * 0.7, 3) / 10, "seven_tenths_of_crotch_round")
        if body.has("knee"):
            eased = body.knee + named(ask.knee_ease, "knee_ease")
            knee = eased if eased.mm >= least.mm else least
            if eased.mm < least.mm:
                findings.append(Finding("knee.floor", "note", "front", {"used": knee, "wanted": eased}))
        else:
            knee = least
            findings.append(Finding("knee.unmeasured", "note", "measurements.knee", {"used": knee}))
    return knee, ask.hem_width if ask.hem_width is not None else knee


def _doubts(body: Body, ask: Ask, depth: Length) -> list[Finding]:
    """Depth against the measured rise; thigh against hip; the extension against the hip."""
    rise = body.body_rise if body.has("body_rise") else None
    if rise is None and body.has("outseam") and body.has("inseam"):
        rise_length: Length | None = body.outseam - body.inseam
    else:
        rise_length = rise
    found: list[Finding] = []
    where = "garment.choices.crotch_depth"
    if rise_length is not None and not isinstance(ask.crotch_depth, Fixed):
        if depth.mm > rise_length.mm + 38.1 and ask.waist_position != "high":
            found.append(Finding("depth.guard", "warn", where, {"depth": depth, "rise": rise_length}))
        elif depth.mm < rise_length.mm - 38.1:
            found.append(Finding("depth.shallow", "warn", where, {"depth": depth, "rise": rise_length}))
    return found
