"""Believable bodies: proportions from docs/drafting.md's sources, from child-sized adults to a hip of 160 cm."""

from fractions import Fraction

from hypothesis import reject
from hypothesis import strategies as st

from cutting.body import Body
from cutting.errors import CuttingError
from cutting.garments import draft_lower
from cutting.lengths import cm, inch
from cutting.methods import METHODS, STYLES, methods_for, resolve
from cutting.methods.upper import TOPS, resolve_top


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
    sizes["ankle"] = 0.13 * hip + 0.05 * height + draw(st.floats(-1, 1))
    sizes["body_rise"] = rise
    sizes["waist_to_floor"] = sizes["outseam"] + draw(st.floats(1, 6))
    if draw(st.booleans()):
        sizes |= {"waist_to_knee": rise + 0.19 * height}
    return Body({key: Fraction(round(value * 10)) for key, value in sizes.items()})


MADE = [(style, method) for style in STYLES for method in methods_for(style)]


@st.composite
def asks(draw, made=None):
    """A method, and the choices of a style in their usual ranges; what is left out is the method's and the style's."""
    style, method = made or draw(st.sampled_from(MADE))
    finish = draw(
        st.sampled_from([None, "straight-band", "shaped-band", "half-elastic", "elastic-band", "casing", "paper-bag"])
    )
    banded = finish in ("straight-band", "elastic-band", "half-elastic")
    chosen = {
        "waist_finish": finish,
        "band": draw(st.sampled_from(["below", "inside", "on-top"])) if banded else None,
        "crotch_extension": draw(st.sampled_from([None, "hip/16", "hip/20", "by-size", "thigh/2"])),
        "seat": draw(st.sampled_from(["flat", "usual", "full"])),
        "seat_height": draw(st.sampled_from([None, "drop-and-raise", "raise-only", "small-drop-and-raise", "none"])),
        "hip_ease": draw(st.sampled_from([None, inch(0), inch(1), inch(2), cm(4)])),
        "ease_place": draw(st.sampled_from([None, "back", "panels"])),
        "waist_ease": draw(st.sampled_from([inch(0), inch(1)])),
        "hem": draw(
            st.sampled_from(
                [inch(1), inch(1.5)] if "short" in style or style == "boxers" else [inch(1), inch(2), inch(3)]
            )
        ),
        "closure": draw(st.sampled_from(["fly", "side-zip", "back-zip"])),
        "pockets": draw(st.sampled_from([(), ("in-seam",), ("front-curved",), ("back-patch", "outside-patch")])),
        "bag_cut": draw(st.sampled_from([None, "fold"])),
        "bag_deep": draw(st.sampled_from([None, "hip-line"])),
        "bag_wide": draw(st.sampled_from([None, "dart"])),
        "heading_place": draw(st.sampled_from(["above", "inside"])) if finish == "paper-bag" else None,
        "belt_loops": draw(st.sampled_from([None, "by-waist"])),
        "yoke": draw(st.sampled_from([None, None, inch(2), inch(3)])),
        "turn_up": draw(st.sampled_from([None, None, inch(1.5)]))
        if style not in ("very-short-shorts", "boxers")
        else None,
        "waist_cleanup": draw(st.sampled_from(["back-to-front", "back-larger", "redraw-centre", "re-mark-side"])),
        "band_join": draw(st.sampled_from(["none", "centre-back", "sides"])),
        "length": draw(st.sampled_from([None, "floor"])) if STYLES[style].leg != "short" else None,
        "leg_inwards": draw(st.sampled_from([None, None, inch(1), inch(-1)])),
        "marking": draw(st.sampled_from(["on-cloth", "on-paper"])),
    }
    how = METHODS[method]
    if finish not in how.finishes:
        chosen["waist_finish"] = chosen["band"] = None
    if (chosen["waist_finish"] or resolve(method, style, {}).waist_finish) in ("casing", "paper-bag"):
        chosen["yoke"] = None  # refused by name: it would be turned down over a seam
    if chosen["band_join"] == "sides" and method in ("one-piece-leg", "four-layer"):
        chosen["band_join"] = None  # refused by name: a leg of one piece has no side seam
    kept = {key: value for key, value in chosen.items() if value is not None and key not in how.unused}
    return method, resolve(method, style, kept)


OUT_OF_REACH = {"strip.too_deep", "strip.dart_out", "waist.steep", "waist.too_large", "side.open", "turn.too_deep"}


def drafted(body, made):
    """The garment of a body and what `asks` drew."""
    method, ask = made
    return draft_lower("t", method, body, ask)


def served(body, made):
    """The same, where the method can serve the body; another body is drawn where it refuses in words."""
    return or_another(lambda: drafted(body, made))


def or_another(make):
    """What is made, where it can be; another body is drawn where it is refused as out of the method's reach."""
    try:
        return make()
    except CuttingError as refused:
        assert {problem.code for problem in refused.problems} <= OUT_OF_REACH
        reject()


@st.composite
def wearers(draw):
    """A body measured above the waist too. Bust, shoulder, back and arm follow hip and height as people do; no source."""
    body = draw(bodies(waist_to=0.98))
    hip, waist = float(body.sizes["hip"]) / 10, float(body.sizes["waist"]) / 10
    height = float(body.sizes["outseam"]) / 10 / 0.605
    bust = max(waist + 2, hip * draw(st.floats(0.88, 1.1)))
    nape = 0.25 * height + draw(st.floats(-2, 2))
    sizes = {
        "bust": bust, "shoulder": 0.19 * height + 0.06 * bust + draw(st.floats(-1.5, 1.5)), "nape_to_waist": nape,
        "upper_arm": 0.26 * bust + 3 + draw(st.floats(-2, 3)), "sleeve_length": 0.35 * height, "wrist": 0.1 * bust + 6,
    }  # fmt: skip
    if draw(st.booleans()):
        sizes["neck_to_waist"] = nape + 0.05 * bust - 1 + draw(st.floats(-1, 3))
    if draw(st.booleans()):
        sizes |= {"neck": 0.28 * bust + 9 + draw(st.floats(-2, 2)), "head": draw(st.floats(52, 61))}
    if draw(st.booleans()):
        sizes |= {"bust_span": 0.2 * bust, "shoulder_to_bust_point": 0.2 * bust + 8 + draw(st.floats(-2, 2))}
    if draw(st.booleans()):
        sizes["armhole_depth"] = 0.125 * bust + 6.5 + draw(st.floats(-1, 1))
    return Body(body.sizes | {key: Fraction(round(value * 10)) for key, value in sizes.items()})


@st.composite
def top_asks(draw, style=None, joined=False):
    """The choices of a top in their usual ranges."""
    style = style or draw(st.sampled_from(list(TOPS)))
    chosen = {
        "neck_shape": draw(st.sampled_from(["round", "v", "square", "boat"])),
        "sleeve": draw(st.sampled_from(["none", "short", "three-quarter", "long"])),
        "sleeve_finish": draw(st.sampled_from(["hem", "cuff"])),
        "closure": draw(st.sampled_from([None, "back-zip", "front-zip"])),
        "finish": draw(st.sampled_from(["facing", "bias"])),
        "bust_dart": draw(st.sampled_from(["side", "none"])),
        "bust_ease": draw(st.sampled_from([None, inch(1), inch(3), inch(5)])),
        "hem_shape": draw(st.sampled_from(["level", "curved"])) if TOPS[style].ends == "hip" else None,
        "marking": draw(st.sampled_from(["on-cloth", "on-paper"])),
    }
    if TOPS[style].ends == "hip" and not joined:
        chosen["side_slit"] = draw(st.sampled_from([None, inch(4)]))
    if TOPS[style].fitted:
        chosen |= {"waist_ease": draw(st.sampled_from([None, inch(1)])), "darts": draw(st.sampled_from([None, "one"]))}
    if joined:
        chosen |= {"closure": None, "hem_shape": None, "waist_ease": None}
    return resolve_top(
        "quarter-bust", style, {key: value for key, value in chosen.items() if value is not None}, joined=joined
    )


@st.composite
def jumpsuits(draw):
    """A top over a lower garment: the method, the lower's choices and the top's."""
    style, method = draw(st.sampled_from(MADE))
    chosen = {
        "seat": draw(st.sampled_from(["flat", "usual", "full"])),
        "waist_ease": draw(st.sampled_from([inch(0), inch(1)])),
    }
    if draw(st.booleans()):
        chosen["waist_join"] = draw(st.sampled_from(["gathers", "tucks"]))
    kept = {key: value for key, value in chosen.items() if key not in METHODS[method].unused}
    return method, resolve(method, style, kept, joined=True), draw(top_asks(joined=True))
