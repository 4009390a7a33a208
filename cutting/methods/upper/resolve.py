"""The whole of what is asked of a top: chosen, else usual for style and cloth."""

from typing import Any

from cutting.cloth import Cloth
from cutting.errors import CuttingError, Problem
from cutting.lengths import Fixed, as_marked, inch
from cutting.methods.of_cloth import STRETCHES
from cutting.methods.upper.ask import TopAsk
from cutting.methods.upper.styles import TOPS
from cutting.where import choice

QUARTER_BUST = "quarter-bust"
"""The one method tops are drafted by."""
OF_THE_SEAM = ("closure", "zip_edge", "waist_ease", "top_length", "hem_shape", "side_slit")
"""What the lower garment decides for a top that is sewn to it."""
OF_SLEEVE = ("sleeve_ease", "cap_ease", "sleeve_length", "sleeve_round")


def usual_top(style: str, cloth: Cloth | None = None) -> dict[str, Any]:
    """The choices a top takes where none is made; cloth that stretches needs no ease, thick cloth a little more."""
    of_style = TOPS[style].usual.items()
    known = {key: as_marked(value) if isinstance(value, Fixed) else value for key, value in of_style}
    if cloth is not None and cloth.stretch_percent >= STRETCHES:
        known["bust_ease"] = inch(0)
    elif cloth is not None and cloth.thickness == "thick":
        ease = known.get("bust_ease", TopAsk().bust_ease)
        known["bust_ease"] = type(ease)(ease.size + inch(1).size)
    if cloth is not None and cloth.pleated:
        known["darts"] = "none"
    return known


def usual_top_sources(method: str, style: str, cloth: Cloth) -> dict[str, str]:
    """Where the default of a choice comes from, where it is not the method's: the style, or the cloth."""
    of_style = dict.fromkeys(TOPS[style].usual, "style")
    now, plain = usual_top(style, cloth), usual_top(style)
    return of_style | {key: "cloth" for key, value in now.items() if plain.get(key) != value}


def resolve_top(
    method: str, style: str, chosen: dict[str, Any], cloth: Cloth | None = None, joined: bool = False
) -> TopAsk:
    """The whole of what is asked of a top; there is one method.

    Raises CuttingError for choices that cannot go together.
    """
    if joined:
        decided = [key for key in OF_THE_SEAM if key in chosen]
        if decided:
            raise CuttingError(*(Problem("choice.of_seam", choice(key), {}) for key in decided))
    asked = {**usual_top(style, cloth), **chosen}
    unused: list[str] = []
    if asked.get("sleeve", "none") == "none":
        unused += [key for key in OF_SLEEVE if key in chosen]
    if TOPS[style].fitted:
        unused += [key for key in ("top_length", "hip_ease", "side_slit") if key in chosen]
    else:
        unused += [key for key in ("waist_ease", "darts", "dart_intake") if key in chosen]
    if TOPS[style].ends != "hip" and chosen.get("hem_shape", "level") != "level":
        unused.append("hem_shape")
    if unused:
        raise CuttingError(*(Problem("choice.unused_top", choice(key), {"style": style}) for key in unused))
    stretch = cloth.stretch_percent if cloth is not None else 0
    return TopAsk(style=style, stretch=type(TopAsk().stretch)(stretch), joined=joined, chosen=tuple(chosen), **asked)
