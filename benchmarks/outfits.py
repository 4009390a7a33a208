"""Cases for the lay: ten outfits, for an invented middle wearer on 45 in cloth and a full one on 60; and ten of two and
three garments for two others, on which the proofs are measured.
"""

from typing import Any

from cutting.formats import read_job
from cutting.job import Job

MIDDLE = {
    "waist": 80, "hip": 104, "thigh": 62, "knee": 40, "outseam": 104, "inseam": 77, "ankle": 24, "body_rise": 27,
    "waist_to_knee": 60, "bust": 98, "chest": 98, "shoulder": 38, "nape_to_waist": 41, "neck_to_waist": 44.5,
    "upper_arm": 30, "sleeve_length": 59, "wrist": 16, "neck": 37,
}  # fmt: skip
FULL = {
    "waist": 112, "hip": 126, "thigh": 74, "knee": 45, "outseam": 106, "inseam": 76, "ankle": 27, "body_rise": 29,
    "waist_to_knee": 61, "bust": 122, "chest": 122, "shoulder": 41, "nape_to_waist": 43, "neck_to_waist": 49,
    "upper_arm": 37, "sleeve_length": 60, "wrist": 18, "neck": 41,
}  # fmt: skip

SLIGHT = {
    "waist": 66, "hip": 90, "thigh": 53, "knee": 35, "outseam": 98, "inseam": 73, "ankle": 22, "body_rise": 25,
    "waist_to_knee": 56, "bust": 84, "chest": 84, "shoulder": 36, "nape_to_waist": 39, "neck_to_waist": 41,
    "upper_arm": 26, "sleeve_length": 56, "wrist": 14.5, "neck": 34,
}  # fmt: skip
TALL = {
    "waist": 92, "hip": 112, "thigh": 66, "knee": 42, "outseam": 114, "inseam": 85, "ankle": 26, "body_rise": 29,
    "waist_to_knee": 66, "bust": 108, "chest": 108, "shoulder": 42, "nape_to_waist": 45, "neck_to_waist": 48,
    "upper_arm": 33, "sleeve_length": 65, "wrist": 17, "neck": 39,
}  # fmt: skip


def _one(style: str, **choices: Any) -> dict[str, Any]:
    return {"id": style, "style": style, "choices": choices}


POCKETS = ["front-curved", "back-patch"]
OUTFITS: dict[str, list[dict[str, Any]]] = {
    "palazzo": [_one("palazzo")],
    "straight trousers": [_one("straight-trousers", closure="fly", pockets=POCKETS)],
    "shaped band, yoke": [_one("boot-cut", waist_finish="shaped-band", yoke="2 in", pockets=["in-seam"])],
    "shorts and top": [_one("knee-shorts", pockets=["in-seam"]), _one("straight-top", sleeve="short")],
    "paper bag": [_one("paper-bag", pockets=["in-seam"])],
    "straight top": [_one("straight-top", sleeve="long")],
    "two-piece": [_one("cropped-top", sleeve="short"), _one("palazzo")],
    "crew": [_one("loose-top", sleeve="short"), _one("loose-trousers", pockets=["outside-patch"])],
    "bodice and trousers": [_one("bodice", sleeve="three-quarter"), _one("straight-trousers", pockets=["in-seam"])],
    "jumpsuit": [
        {
            "id": "suit", "style": "jumpsuit", "top": {"style": "bodice", "choices": {"sleeve": "long"}},
            "lower": {"style": "straight-trousers", "choices": {"pockets": ["in-seam"]}},
        }
    ],
}  # fmt: skip

SETS: dict[str, tuple[list[dict[str, Any]], dict[str, Any], int]] = {
    "loose set": ([_one("loose-top", sleeve="long"), _one("loose-trousers")], SLIGHT, 45),
    "two trousers": ([_one("straight-trousers", pockets=["in-seam"]), _one("boot-cut")], TALL, 60),
    "cropped top, paper bag": ([_one("cropped-top", sleeve="short"), _one("paper-bag")], SLIGHT, 54),
    "ferry, three": ([_one("straight-top", sleeve="short"), _one("knee-shorts"), _one("loose-trousers")], TALL, 58),
    "palazzo, bodice": ([_one("palazzo"), _one("bodice", sleeve="three-quarter")], TALL, 54),
    "two tops": ([_one("straight-top", sleeve="long"), _one("loose-top", sleeve="short")], SLIGHT, 60),
    "band, three": ([_one("very-short-shorts"), _one("shorts"), _one("cropped-top", sleeve="short")], TALL, 45),
    "boot-cut, top": ([_one("boot-cut", waist_finish="shaped-band"), _one("straight-top", sleeve="short")], TALL, 45),
    "trousers, three": ([_one("palazzo"), _one("close-trousers"), _one("knee-shorts")], SLIGHT, 58),
    "two palazzos, top": ([_one("palazzo"), _one("wide-gathered"), _one("straight-top", sleeve="long")], SLIGHT, 60),
}  # fmt: skip
"""Two and three garments: whose, and how wide the cloth is in inches."""


def job(garments: list[dict[str, Any]], sizes: dict[str, Any], width: int, fold: str) -> Job:
    """The outfit as a job, in cm, on cloth `width` inches wide."""
    return read_job({
        "format": "plavet-job", "version": 1, "unit": "cm", "measurements": sizes, "garments": garments,
        "cloth": {"width": f"{width} in", "fold": fold},
    })  # fmt: skip


def cases(fold: str) -> dict[str, Job]:
    """All twenty by name."""
    return {
        f"{name}, {size} {width}": job(garments, sizes, width, fold)
        for name, garments in OUTFITS.items()
        for size, sizes, width in (("middle", MIDDLE, 45), ("full", FULL, 60))
    }


def sets(fold: str) -> dict[str, Job]:
    """The ten of two and three garments by name."""
    return {
        f"{name}, {width}": job([one | {"id": f"g{k}"} for k, one in enumerate(garments)], sizes, width, fold)
        for name, (garments, sizes, width) in SETS.items()
    }
