"""Twenty cases for the lay: ten outfits, for an invented middle wearer on 45 in cloth and a full one on 60."""

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
