"""Invented clients to practise on: nobody's measures, but such as somebody could have.

Girths are drawn from the model of adults; heights along the body are shares of the height that are common practice, no
source, and the rest is the sample body's brought to this height or bust.
"""

from math import exp, log
from typing import Any

import numpy as np

from cutting.body.model import FIELDS, adults
from cutting.body.sample import SAMPLE, as_read
from cutting.lengths import Unit

SPREAD, WITHIN = 0.5, 1.1
"""A share of the spread of adults, and no further from the middle than so many deviations: nobody is out of the way."""
SAMPLE_HEIGHT, SAMPLE_BUST = 1680.0, 980.0
BY_HEIGHT = ("nape_to_waist", "sleeve_length", "shoulder_to_bust_point", "waist_to_hip")
BY_BUST = ("bust_span",)
BY_BOTH = ("shoulder", "neck")


def invented(seed: int, unit: Unit) -> dict[str, str]:
    """The measurements of an invented client as they would be written down in `unit`; the same for the same seed."""
    chance = np.random.default_rng(seed)
    one = adults()["MF"[chance.integers(2)]]
    spread = np.linalg.cholesky(np.array(one["cov"]))
    drawn = np.array(one["mu"]) + spread @ np.clip(SPREAD * chance.standard_normal(len(spread)), -WITHIN, WITHIN)
    return _written({key: 10 * exp(drawn[one["fields"].index(field)]) for key, field in FIELDS.items()}, unit)


def around(low: float, high: float, unit: Unit) -> tuple[dict[str, str], dict[str, str]]:
    """The measurements of the smallest and of the largest that somebody usually has with hips of `low` to `high` mm: of
    each point the middle of the adults with that hip, the less and the more of both sexes.
    """
    bodies = [[_with_hip(one, hip) for one in adults().values()] for hip in (low, high)]
    ends = [
        {key: end(one[key] for one in both) for key in FIELDS} for both, end in zip(bodies, (min, max), strict=True)
    ]
    return _written(ends[0], unit), _written(ends[1], unit)


def _with_hip(one: dict[str, Any], hip: float) -> dict[str, float]:
    """Of one sex the middle of those who have such a hip, mm."""
    at = one["fields"].index(FIELDS["hip"])
    spread = np.array(one["cov"])
    away = log(hip / 10) - one["mu"][at]
    drawn = np.array(one["mu"]) + spread[:, at] / spread[at, at] * away
    return {key: 10 * exp(drawn[one["fields"].index(field)]) for key, field in FIELDS.items()}


def _written(sizes: dict[str, float], unit: Unit) -> dict[str, str]:
    """All points from those of the model, as they would be written down."""
    height, hip, bust = sizes["height"], sizes["hip"], sizes["bust"]
    sizes["body_rise"] = 0.155 * height + 0.02 * (hip - 950)
    sizes["inseam"] = 0.45 * height
    sizes["outseam"] = sizes["inseam"] + sizes["body_rise"]
    sizes["waist_to_knee"] = sizes["body_rise"] + 0.19 * height
    sample = {key: 10.0 * size for key, size in SAMPLE.items()}
    sizes |= {key: sample[key] * height / SAMPLE_HEIGHT for key in BY_HEIGHT}
    sizes |= {key: sample[key] * bust / SAMPLE_BUST for key in BY_BUST}
    sizes |= {key: sample[key] * (height / SAMPLE_HEIGHT + bust / SAMPLE_BUST) / 2 for key in BY_BOTH}
    return {key: as_read(size, unit) for key, size in sizes.items()}
