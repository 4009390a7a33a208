"""The tops: whether the waist is fitted, how long they are, and the choices each takes where none is made."""

from collections.abc import Mapping
from dataclasses import dataclass, field
from typing import Any, Literal

from cutting.lengths import inch


@dataclass(frozen=True)
class TopStyle:
    """One top. `ends` is where its lower edge is where nothing says how long it is; `girth` what its width is of."""

    ends: Literal["waist", "above_waist", "hip"]
    fitted: bool = False
    girth: Literal["bust", "chest"] = "bust"
    usual: Mapping[str, Any] = field(default_factory=dict)


TOPS: dict[str, TopStyle] = {
    "bodice": TopStyle("waist", True, usual={"closure": "back-zip"}),
    "straight-top": TopStyle("hip", usual={"bust_ease": inch(4), "sleeve": "short"}),
    "loose-top": TopStyle(
        "hip", girth="chest",
        usual={
            "bust_ease": inch(6), "sleeve": "short", "sleeve_ease": inch(4), "cap_ease": inch(0),
            "armhole_lower": inch(1), "armhole_hollow": inch(0.25), "neck_opening": "slit",
        },
    ),
    "cropped-top": TopStyle("above_waist", usual={"bust_ease": inch(3), "sleeve": "none"}),
}  # fmt: skip
