"""The sums of a leg in one piece."""

from dataclasses import dataclass

from cutting.body import Body
from cutting.errors import refuse
from cutting.finding import Finding
from cutting.lengths import Length, inch, mm, named
from cutting.methods.ask import Ask
from cutting.methods.darts import Darts
from cutting.methods.styles import STYLES
from cutting.methods.sums import Sums
from cutting.methods.two_panel.sums import check_hem, crotch_depth
from cutting.where import choice


@dataclass(frozen=True)
class Widths:
    """Half of the panel towards the front and half towards the back, from the guide line; the extensions."""

    front_hip: Length
    back_hip: Length
    front_waist: Length
    back_waist: Length
    extension: Length
    back_extension: Length


def needed(body: Body, ask: Ask) -> None:
    """Raise CuttingError with every measurement that is missing."""
    keys = ["waist", "hip", "thigh"]
    if ask.crotch_depth == "seated":
        keys.append("body_rise")
    if ask.crotch_depth == "outseam-inseam":
        keys += ["outseam", "inseam"]
    if ask.length is None and STYLES[ask.style].length is None:
        keys.append("outseam")
    body.need(*dict.fromkeys(keys))


def depth_and_length(body: Body, ask: Ask) -> tuple[Length, Length]:
    """The crotch depth and the finished length. Raises CuttingError where the leg would be shorter than its hem."""
    depth = crotch_depth(body.hip, body, ask)
    style = STYLES[ask.style]
    if ask.length is not None:
        length: Length = ask.length
    elif style.length is not None and style.length != "knee":
        length = depth + style.length
    else:
        length = body.outseam
    if length.mm < depth.mm + 101.6:
        raise refuse("length.too_short", choice("length"), length=length, crotch=depth)
    return depth, length


def leg_sums(body: Body, ask: Ask, depth: Length, length: Length, w: Widths, *found: Finding) -> Sums:
    """The sums as every garment has them; there is no dart, no raise and no knee here."""
    check_hem(ask, w.front_hip + w.back_hip + w.extension + w.back_extension, length - depth)
    waist_round = body.waist + named(ask.waist_ease, "waist_ease")
    nothing = mm(0)
    hip_depth: Length = depth - inch(2)
    if body.has("waist_to_hip") and body.waist_to_hip.mm < depth.mm - 25.4:
        hip_depth = body.waist_to_hip
    top: Length = named(ask.band_depth, "band") if ask.band in ("below", "inside") else nothing
    return Sums(
        hip=body.hip, front_hip=w.front_hip, back_hip=w.back_hip, waist_girth=body.waist, waist_round=waist_round,
        front_waist=w.front_waist, back_waist=w.back_waist,
        front_gathers=w.front_waist - waist_round / 4, back_gathers=w.back_waist - waist_round / 4,
        top=top, crotch_depth=depth, hip_depth=hip_depth, thigh_depth=depth + inch(2), knee_depth=depth * 9 / 4,
        ankle_depth=length - inch(2), length=length, extension=w.extension, back_extension=w.back_extension,
        crotch_width=w.front_hip + w.extension, tip=w.back_extension - w.extension, drop=nothing, lift=nothing,
        slant=nothing, front_darts=Darts.none(), back_darts=Darts.none(), knee_round=None, hem_round=ask.hem_width,
        findings=found,
    )  # fmt: skip
