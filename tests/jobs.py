"""Jobs the tests start from, as plain data."""

import json
from copy import deepcopy
from pathlib import Path

from cutting.formats import read_job
from cutting.plan import Plan, plan

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
