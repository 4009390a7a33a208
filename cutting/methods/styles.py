"""The lower garments: how the leg goes, how long it is, and the choices each takes where none is made."""

from collections.abc import Mapping
from dataclasses import dataclass, field
from typing import Any, Literal

from cutting.lengths import Fixed, cm, inch

Leg = Literal["straight", "close", "boot-cut", "tapered", "fall", "wide", "short"]


@dataclass(frozen=True)
class Style:
    """One style. `leg` says how the leg goes below the crotch line; `length` where it ends.

    A `length` is None for the outseam, "knee" for the knee line, or so much below the crotch line. `usual` are the
    choices of this style; they come after the method's own and before what is chosen.
    """

    leg: Leg
    length: Fixed | Literal["knee"] | None = None
    usual: Mapping[str, Any] = field(default_factory=dict)


ELASTIC = {"waist_finish": "elastic-band", "closure": "none"}
STYLES: dict[str, Style] = {
    "very-short-shorts": Style("short", inch(2.5, "leg"), {"hem": inch(1.5)}),
    "shorts": Style("short", inch(5, "leg"), {"hem": inch(1.5)}),
    "knee-shorts": Style(
        "short",
        "knee",
        {"hem": inch(1.5), "ease_place": "measure", "hip_ease": inch(2), "closure": "fly", "back_wider": inch(2)},
    ),
    "straight-trousers": Style("straight"),
    "close-trousers": Style("close", usual={"knee_ease": inch(1)}),
    "boot-cut": Style("boot-cut", usual={"knee_ease": inch(2)}),
    "palazzo": Style("fall"),
    "wide-gathered": Style("wide", usual=ELASTIC),
    "paper-bag": Style(
        "tapered", usual={"waist_finish": "paper-bag", "band": "none", "closure": "none", "knee_ease": inch(6)}
    ),
    "boxers": Style(
        "short", cm(15, "leg"), {"hem": inch(1), "waist_finish": "casing", "band": "none", "closure": "none"}
    ),
    "loose-trousers": Style("straight", usual={"knee_ease": inch(8), "closure": "fly"}),
}
TROUSERS = tuple(name for name in STYLES if name != "boxers")
"""All but the one that is cut without a side seam."""
