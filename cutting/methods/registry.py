"""The methods on offer, and the choices a garment takes where none is made."""

from dataclasses import fields, replace
from typing import Any

from cutting.cloth import Cloth
from cutting.errors import CuttingError, Problem, refuse
from cutting.lengths import Fixed, Rule, as_marked, inch
from cutting.methods.ask import GATHERED, Allowances, Ask
from cutting.methods.lower.centre_crease import CENTRE_CREASE
from cutting.methods.lower.four_layer import FOUR_LAYER
from cutting.methods.lower.half_thigh import HALF_THIGH
from cutting.methods.lower.multiplied_quarter import MULTIPLIED_QUARTER
from cutting.methods.lower.one_piece_leg import ONE_PIECE_LEG
from cutting.methods.lower.quarter_hip import QUARTER_HIP
from cutting.methods.lower.quarter_plus_one import QUARTER_PLUS_ONE
from cutting.methods.lower.sixteenth_eighth import SIXTEENTH_EIGHTH
from cutting.methods.lower.third_hip import THIRD_HIP
from cutting.methods.lower.twentieth_tenth import TWENTIETH_TENTH
from cutting.methods.method import Method
from cutting.methods.of_cloth import usual_of_cloth
from cutting.methods.styles import STYLES
from cutting.methods.two_panel import SEATS
from cutting.where import GARMENT, choice

METHODS: dict[str, Method] = {
    method.name: method
    for method in (
        QUARTER_HIP, HALF_THIGH, TWENTIETH_TENTH, SIXTEENTH_EIGHTH, CENTRE_CREASE, THIRD_HIP, ONE_PIECE_LEG,
        FOUR_LAYER, QUARTER_PLUS_ONE, MULTIPLIED_QUARTER,
    )
}  # fmt: skip


def usual(method: str, style: str) -> dict[str, Any]:
    """The choices a method and a style take where none is made.

    The style's go first, but for what the method has for this style, its own knee, and a waist it cannot have.
    """
    how = METHODS[method]
    left = {"knee_ease"} & set(how.usual)
    of_style = STYLES[style].usual
    if of_style.get("waist_finish", how.finishes[0]) not in how.finishes:
        left |= {"waist_finish", "band", "closure"}
    kept = {key: value for key, value in of_style.items() if key not in left}
    return {key: _marked(value) for key, value in {**how.usual, **kept, **how.of_style.get(style, {})}.items()}


def _marked(value: Any) -> Any:
    """An amount that a method or a style brings, as the tape in use has it."""
    if isinstance(value, Allowances):
        return replace(value, **{one.name: as_marked(getattr(value, one.name)) for one in fields(value)})
    return as_marked(value) if isinstance(value, Fixed) else value


def usual_sources(method: str, style: str, cloth: Cloth) -> dict[str, str]:
    """Where the default of a choice comes from, where it is not Plavet's own: the method, the style, or the cloth."""
    known = usual(method, style)
    of_style = {key for key, value in STYLES[style].usual.items() if known.get(key) == value}
    found = {key: "style" if key in of_style else "method" for key in known}
    return found | dict.fromkeys(usual_of_cloth(cloth, known), "cloth")


def methods_for(style: str) -> list[str]:
    """The methods that can make a style."""
    return [name for name, method in METHODS.items() if style in method.styles]


def usual_method(style: str) -> str:
    """The method a style is drafted by where none is chosen; the commonest for a style there is not."""
    own = {"wide-gathered": "multiplied-quarter", "paper-bag": "sixteenth-eighth", "close-trousers": "centre-crease"}
    return own.get(style) or next(iter(methods_for(style)), "quarter-hip")


def resolve(method: str, style: str, chosen: dict[str, Any], cloth: Cloth | None = None, joined: bool = False) -> Ask:
    """The whole of what is asked: chosen, else usual for method, style and cloth.

    `joined` where a top is sewn to its waist. Raises CuttingError for choices that cannot go together.
    """
    cloth = cloth or Cloth()
    if style not in METHODS[method].styles:
        raise refuse("method.style", GARMENT / "method", style=style, methods=tuple(methods_for(style)))
    unused = [key for key, value in chosen.items() if value and key in METHODS[method].unused]
    if unused:
        raise CuttingError(*(Problem("choice.unused", choice(key), {"method": method}) for key in unused))
    made = tuple(chosen)
    chosen = _of_both(chosen)
    known = _by_seat(usual(method, style), chosen)
    if chosen.get("waist_position") == "high":
        depth = known.get("crotch_depth", Ask.crotch_depth)
        known["crotch_depth"] = HIGHER.get(depth, depth)
    known |= {key: value for key, value in usual_of_cloth(cloth, known).items() if key not in METHODS[method].unused}
    own_depth = known.get("crotch_depth", Ask.crotch_depth)
    asked = {**known, **chosen, "depth_else": own_depth}
    asked |= _joined(method, style, chosen) if joined else _finished(method, asked, chosen)
    if asked.get("waist_cleanup") == "redraw-centre" and "allowances" not in chosen:
        given = asked.get("allowances", Allowances())
        asked["allowances"] = replace(given, centre=inch(1))
    if "belt_loops" not in chosen and asked["closure"] == "fly":
        asked["belt_loops"] = "four"
    return Ask(style=style, stretch=cloth.stretch_percent, chosen=made, **asked)


def how_gathered(method: str, style: str) -> bool:
    """Whether a method or a style gives a waist that is gathered where nothing else is said."""
    known = usual(method, style)
    return known.get("waist_finish") in GATHERED or known.get("fullness", 1) > 1 or "darts" in METHODS[method].unused


HIGHER = {"hip/4": "hip/4+2", "hip/4+1": "hip/4+3", "hip/3-1": "hip/3"}
"""The rule of the crotch depth under a high waist."""


def _by_seat(known: dict[str, Any], chosen: dict[str, Any]) -> dict[str, Any]:
    """A method's own tip, raise and slant, moved as far as the seat that was chosen asks; its drop and raise left out
    where another height was chosen.
    """
    known = dict(known)
    if "seat_height" in chosen:
        known.pop("centre_drop", None)
        if chosen["seat_height"] == "none":
            known.pop("seat_raise", None)
    seat, usual_seat = SEATS[chosen.get("seat", "usual")], SEATS["usual"]
    for key, now, before in zip(("back_tip", "seat_raise", "centre_slant"), seat, usual_seat, strict=True):
        own = known.get(key)
        if isinstance(own, Fixed) and own.size:
            known[key] = Fixed(own.size + inch(now - before).size)
    return known


BACK_DART_LONGER = Rule(1)


def _of_both(chosen: dict[str, Any]) -> dict[str, Any]:
    """A choice for the darts of both panels, as one for each that says nothing itself; a back dart is 1 longer."""
    each = dict(chosen)
    for key in ("darts", "dart_place", "dart_intake", "dart_length"):
        value = each.pop(key, None)
        if value is None:
            continue
        longer = Fixed(value.size + BACK_DART_LONGER.now.size) if key == "dart_length" else value
        each = {f"front_{key}": value, f"back_{key}": longer} | each
    return each


OF_A_WAIST = ("waist_finish", "band", "band_depth", "yoke", "belt_loops", "closure", "waist_cleanup")
"""What a lower garment chooses for a waist of its own, not for one that a top is sewn to."""


def _joined(method: str, style: str, chosen: dict[str, Any]) -> dict[str, Any]:
    """The waist that a top is sewn to: no band, deeper to sit in, one zip behind through the seam.

    By what the method asks for to sit; half an inch more where its usual seat is not raised.
    """
    raised = usual(method, style).get("seat_height") != "none" and "seat_raise" not in METHODS[method].unused
    wrong = [
        key
        for key in ("waist_finish", "band", "yoke", "belt_loops")
        if chosen.get(key, "joined") not in ("joined", "none")
    ]
    if wrong:
        raise CuttingError(*(Problem("choice.joined", choice(key), {}) for key in wrong))
    if chosen.get("closure") not in (None, "back-zip", "none"):
        raise refuse("choice.joined_closure", choice("closure"))
    taken: dict[str, Any] = {"waist_finish": "joined", "band": "none"}
    if "waist_join" not in chosen:
        taken["waist_join"] = "gathers" if how_gathered(method, style) else "darts"
    if "closure" not in chosen:
        taken["closure"] = "back-zip"
    if chosen.get("crotch_depth", "rise") == "rise":
        taken["crotch_depth"] = "seated"
    if "crotch_ease" not in chosen:
        taken["crotch_ease"] = Fixed(as_marked(METHODS[method].to_sit).size + inch(0 if raised else 0.5).size)
    return taken


def _finished(method: str, asked: dict[str, Any], chosen: dict[str, Any]) -> dict[str, Any]:
    """The waist of a garment by itself: its band, its closure, its loops."""
    if "waist_join" in chosen:
        raise refuse("choice.alone", choice("waist_join"))
    finish = asked.get("waist_finish", Ask.waist_finish)
    if finish == "joined":
        raise refuse("choice.alone", choice("waist_finish"))
    without = finish in ("casing", "paper-bag", "shaped-band")
    if without and chosen.get("band") not in (None, "none", "inside" if finish == "shaped-band" else None):
        raise refuse("choice.band", choice("band"), finish=finish)
    if without:
        asked["band"] = "none"
    elif asked.get("band") == "none":
        if chosen.get("band") == "none":
            raise refuse("choice.no_band", choice("band"), finish=finish)
        asked["band"] = Ask.band
    if finish in ("casing", "paper-bag") and asked.get("yoke") is not None:
        raise refuse("strip.turned", choice("yoke"), finish=finish)
    if finish not in METHODS[method].finishes:
        offered = METHODS[method].finishes
        raise refuse("method.finish", choice("waist_finish"), finish=finish, offered=offered)
    elastic = finish in ("elastic-band", "casing", "paper-bag", "half-elastic")
    if "closure" not in chosen:
        opens = asked.get("closure", Ask.closure)
        asked["closure"] = "none" if elastic else "side-zip" if opens == "none" else opens
    return {key: asked[key] for key in ("band", "closure") if key in asked}
