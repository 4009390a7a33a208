"""Believable bodies: proportions from docs/drafting.md's sources, from child-sized adults to a hip of 160 cm."""

from fractions import Fraction

from hypothesis import strategies as st

from cutting.body import Body
from cutting.lengths import cm, inch
from cutting.methods import Ask


@st.composite
def bodies(draw, waist_to=1.02):
    """A body in mm. thigh and knee follow the hip within what was measured on 507 adults (BODIES, bdims)."""
    height = draw(st.floats(135, 200))
    hip = max(70.0, min(160.0, height * draw(st.floats(0.48, 0.85))))
    share = draw(st.floats(0.66, waist_to))
    thigh = 0.59 * hip + draw(st.floats(-4, 4))
    knee = 0.25 * hip + 0.065 * height + draw(st.floats(-2, 2))
    rise = 0.155 * height + 0.02 * (hip - 95) + draw(st.floats(-1.5, 1.5))
    inseam = 0.45 * height + draw(st.floats(-3, 3))
    sizes = {"waist": hip * share, "hip": hip, "thigh": thigh, "knee": knee, "outseam": inseam + rise, "inseam": inseam}
    if draw(st.booleans()):
        sizes |= {"body_rise": rise, "waist_to_knee": rise + 0.19 * height}
    return Body({key: Fraction(round(value * 10)) for key, value in sizes.items()})


@st.composite
def asks(draw):
    """Choices of the quarter-hip method in their usual ranges."""
    style = draw(st.sampled_from(["straight-trousers", "palazzo"]))
    return Ask(
        style=style,
        band=draw(st.sampled_from(["below", "inside"])),
        crotch_extension=draw(st.sampled_from(["hip/16", "hip/20", "by-size", "thigh/2"])),
        seat=draw(st.sampled_from(["flat", "usual", "full"])),
        seat_height=draw(st.sampled_from(["drop-and-raise", "raise-only", "small-drop-and-raise", "none"])),
        hip_ease=draw(st.sampled_from([inch(0), inch(1), inch(2), cm(4)])),
        waist_ease=draw(st.sampled_from([inch(0), inch(1)])),
        hem=draw(st.sampled_from([inch(1), inch(2), inch(3)])),
        marking=draw(st.sampled_from(["on-cloth", "on-paper"])),
    )
