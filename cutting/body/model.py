"""The model of adults: how their girths go together.

Log-centimetre means and covariances (model.json) for two sexes, derived from the bdims data, Heinz, Peterson, Johnson,
Kerk 2003, Journal of Statistics Education 11(2).
"""

import json
from functools import cache
from pathlib import Path
from typing import Any

FIELDS = {
    "height": "hgt", "chest": "che_gi", "bust": "che_gi", "waist": "wst", "hip": "hip_gi", "thigh": "thi_gi",
    "knee": "kne_gi", "calf": "cal_gi", "ankle": "ank_gi", "upper_arm": "bic_gi", "wrist": "wri_gi",
}  # fmt: skip
"""The model's name of each point of the tape that it has."""


@cache
def adults() -> dict[str, dict[str, Any]]:
    """Of each sex `fields`, the mean `mu` and the covariance `cov` of their logarithms, in cm."""
    read: dict[str, dict[str, Any]] = json.loads((Path(__file__).parent / "model.json").read_text())
    return read
