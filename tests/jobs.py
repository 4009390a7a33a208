"""Jobs the tests start from, as plain data."""

import json
from copy import deepcopy
from pathlib import Path

from cutting.files import FILES, Source
from cutting.formats import read_job
from cutting.formats.plan_v1 import to_model
from cutting.kinds import KINDS
from cutting.plan import Plan, plan
from cutting.words import ENGLISH

STYLES_BY_METHOD = [
    (style, method) for kind in KINDS.values() for style in kind.styles for method in kind.methods_for(style)
]
"""Every style of every kind, with each method that makes it."""
MARIT = json.loads((Path(__file__).parents[1] / "demo/jobs/choir-palazzo.json").read_text())


def job(measures=None, cloth=None, style="palazzo", **choices):
    """A job like the demo's, with other measures, cloth or choices."""
    made = deepcopy(MARIT)
    made["measurements"] |= measures or {}
    made["measurements"] = {key: value for key, value in made["measurements"].items() if value is not None}
    made["cloth"] |= cloth or {}
    made["garments"][0]["style"] = style
    made["garments"][0]["choices"] = {"marking": "on-cloth"} | choices
    return made


def planned(*arguments, **choices) -> Plan:
    """The plan of such a job."""
    return plan(read_job(job(*arguments, **choices)), by_width=False)


def file_of(made: Plan, name: str) -> bytes:
    """One of the plan's files, by its name."""
    file = next(one for one in FILES if one.name == name)
    return file.made(Source(to_model(made), ENGLISH, "Choir, concert palazzo"))


def parts_of(**choices):
    """The plan of the demo's body in straight trousers, and its small parts by name."""
    made = planned(style=choices.pop("style", "straight-trousers"), cloth={"width": 60}, **choices)
    return made, {part.panel.name: part for part in made.garments[0].parts}


def size_of(part):
    """Across and down, cut, in inches."""
    across, down = zip(*((p.across / 25.4, p.down / 25.4) for p in part.panel.cut), strict=True)
    return max(across) - min(across), max(down) - min(down)


FIVE = {
    "small": {"waist": 58, "hip": 84, "thigh": 48, "knee": 33, "outseam": 90, "inseam": 66, "ankle": 20, "body_rise": 23, "waist_to_knee": 54},
    "middle": {"waist": 80, "hip": 104, "thigh": 62, "knee": 40, "outseam": 104, "inseam": 77, "ankle": 24, "body_rise": 27, "waist_to_knee": 60},
    "full": {"waist": 125, "hip": 140, "thigh": 82, "knee": 48, "outseam": 106, "inseam": 76, "ankle": 28, "body_rise": 30, "waist_to_knee": 62},
    "tall": {"waist": 78, "hip": 96, "thigh": 55, "knee": 38, "outseam": 118, "inseam": 91, "ankle": 24, "body_rise": 27, "waist_to_hip": 21},
    "round": {"waist": 104, "hip": 102, "thigh": 58, "knee": 38, "outseam": 100, "inseam": 74, "ankle": 23, "body_rise": 26, "waist_to_hip": 19},
}  # fmt: skip
"""Five invented bodies in cm: the drawings of every method on them are kept."""


def of_body(name, method, style, **choices):
    """The plan of one garment for one of the five, on wide open cloth."""
    whole = job(cloth={"width": "129 in", "fold": "open"}, style=style, **choices)
    whole |= {"unit": "cm", "measurements": FIVE[name]}
    whole["garments"][0]["method"] = method
    return plan(read_job(whole), by_width=False)


UPPER = {
    "small": {"bust": 78, "shoulder": 36, "nape_to_waist": 38, "neck_to_waist": 41, "upper_arm": 24, "sleeve_length": 56, "wrist": 14},
    "middle": {"bust": 98, "shoulder": 38, "nape_to_waist": 41, "neck_to_waist": 44.5, "upper_arm": 30, "sleeve_length": 59, "wrist": 16, "neck": 37, "bust_span": 19, "shoulder_to_bust_point": 27},
    "full": {"bust": 136, "shoulder": 43, "nape_to_waist": 44, "neck_to_waist": 51, "upper_arm": 42, "sleeve_length": 60, "wrist": 19, "neck": 43, "bust_span": 25, "shoulder_to_bust_point": 33},
    "tall": {"bust": 92, "shoulder": 41, "nape_to_waist": 45, "neck_to_waist": 47, "upper_arm": 28, "sleeve_length": 65, "wrist": 16},
    "round": {"bust": 110, "shoulder": 38, "nape_to_waist": 40, "neck_to_waist": 45, "upper_arm": 34, "sleeve_length": 56, "wrist": 17, "neck": 38},
}  # fmt: skip
"""What the five measure above the waist, in cm."""


def top_job(name, style, measures=None, fold="auto", unit="cm", **choices):
    """A job for one top (or a jumpsuit, whose halves the test adds) of one of the five; choices are in inches."""
    sizes = FIVE[name] | UPPER[name]
    if unit == "in":
        sizes = {key: f"{value} cm" for key, value in sizes.items()}
        measures = {
            key: f"{value} cm" if isinstance(value, int | float) else value for key, value in (measures or {}).items()
        }
    sizes |= measures or {}
    as_inches = {key: f"{value} in" if isinstance(value, int | float) else value for key, value in choices.items()}
    return {
        "format": "plavet-job", "version": 1, "unit": unit,
        "measurements": {key: value for key, value in sizes.items() if value is not None},
        "garments": [{"id": "t", "style": style, "choices": as_inches}], "cloth": {"width": "60 in", "fold": fold},
    }  # fmt: skip


OF_THE_BODY = {"depth.sit", "hem.foot"}
"""What a rule comes to on some bodies, and is said."""
