"""The sums of a leg in one piece."""

from dataclasses import dataclass

from cutting.body import Body
from cutting.errors import refuse
from cutting.finding import Finding
from cutting.lengths import Length, as_marked, inch, mm, named
from cutting.methods.ask import Ask
from cutting.methods.darts import Darts
from cutting.methods.styles import STYLES
from cutting.methods.sums import Sums
from cutting.methods.two_panel.levels import chosen_length, crotch_depth, of_depth, of_length
from cutting.methods.two_panel.sums import check_hem, unmeasured, waist_girth
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


def needs(ask: Ask, *also: str) -> tuple[str, ...]:
    """The measurements that a leg in one piece cannot be drafted without, with those its method adds."""
    keys = [*also, *of_depth(ask)]
    if isinstance(ask.crotch_depth, str) and not of_depth(ask):
        keys.append("hip")
    if ask.waist_finish == "paper-bag":
        keys.append("waist")
    return tuple(dict.fromkeys([*keys, *of_length(ask)]))


def depth_and_length(body: Body, ask: Ask) -> tuple[Length, Length]:
    """The crotch depth and the finished length. Raises CuttingError where the leg would be shorter than its hem."""
    depth = crotch_depth(body.hip if body.has("hip") else None, body, ask)
    style, own = STYLES[ask.style], chosen_length(body, ask)
    if own is not None:
        length: Length = own
    elif style.length is not None and style.length != "knee":
        length = depth + as_marked(style.length)
    else:
        length = body.outseam
    if length.mm < depth.mm + 101.6:
        raise refuse("length.too_short", choice("length"), length=length, crotch=depth)
    return depth, length


def leg_sums(body: Body, ask: Ask, depth: Length, length: Length, w: Widths, *found: Finding) -> Sums:
    """The sums as every garment has them; there is no dart, no raise and no knee here."""
    crotch_round = w.front_hip + w.back_hip + w.extension + w.back_extension
    check_hem(ask, crotch_round, length - depth)
    girth = waist_girth(body, ask)
    waist_round = girth + named(ask.waist_ease, "waist_ease") if girth is not None else None
    gathers = [w.front_waist - waist_round / 4, w.back_waist - waist_round / 4] if waist_round else [mm(0), mm(0)]
    nothing = mm(0)
    hip_depth: Length = depth - inch(2)
    if body.has("waist_to_hip") and body.waist_to_hip.mm < depth.mm - 25.4:
        hip_depth = body.waist_to_hip
    top: Length = named(ask.band_depth, "band") if ask.band == "below" else ask.inside
    return Sums(
        hip=body.hip if body.has("hip") else None, front_hip=w.front_hip, back_hip=w.back_hip, centre_lean=nothing,
        waist_girth=girth, waist_round=waist_round,
        front_waist=w.front_waist, back_waist=w.back_waist,
        front_gathers=gathers[0], back_gathers=gathers[1],
        top=top, crotch_depth=depth, hip_depth=hip_depth, thigh_depth=depth + inch(2), knee_depth=depth * 9 / 4,
        ankle_depth=length - inch(2), length=length, extension=w.extension, back_extension=w.back_extension,
        crotch_width=w.front_hip + w.extension, tip=w.back_extension - w.extension, drop=nothing, lift=nothing,
        slant=nothing, front_darts=Darts.none(), back_darts=Darts.none(), knee_round=None, hem_round=ask.hem_width,
        findings=(*found, *unmeasured(body, ask, crotch_round)),
    )  # fmt: skip
