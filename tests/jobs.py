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
