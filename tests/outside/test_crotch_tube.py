"""Room for the thigh at the crotch line, compared with body data.

Source: the 507 adults of bdims (Heinz, Peterson, Johnson, Kerk 2003, Journal of Statistics Education 11(2)): the
distribution of hips, and the thigh as a regression on the hip with its scatter. The thigh at the fold of the seat is
1.03 times that. Shares of people with under 1 in of ease at the crotch line, no hip ease: as measured on the people
themselves, here within two points and a little, since the crowd is drawn from the model.
"""

from fractions import Fraction

import numpy as np
import pytest

from cutting.body import Body
from cutting.lengths import inch
from tests.cutting.test_doubts import MODEL
from tests.strategies import drafted, resolve

THIGH = {"M": (3.8, 0.539, 2.6), "F": (-0.6, 0.604, 2.0)}
AT_THE_FOLD = 1.03
MEASURED = {("M", "sixteenth"): 0.4, ("F", "sixteenth"): 1.2, ("M", "twentieth"): 17, ("F", "twentieth"): 35}
CHOICES = {
    "sixteenth": ("quarter-hip", {"crotch_extension": "hip/16", "back_extension": "hip/8"}, 1 / 16 + 1 / 8),
    "twentieth": ("quarter-hip", {"crotch_extension": "hip/20", "back_extension": "hip/10"}, 1 / 20 + 1 / 10),
}


def tube(hip_cm, kind):
    """Round the leg at the crotch line in cm, sliced from the drafted net outlines."""
    method, choices, _ = CHOICES[kind]
    sizes = {"waist": 0.78 * hip_cm, "hip": hip_cm, "thigh": 0.58 * hip_cm, "knee": 0.4 * hip_cm, "outseam": 104}
    body = Body({key: Fraction(round(value * 10)) for key, value in sizes.items()})
    ask = resolve(method, "straight-trousers", choices | {"hip_ease": inch(0)})
    garment = drafted(body, (method, ask))
    around = 0.0
    for name in ("front", "back"):
        panel = garment.panels[name]
        level = panel.points["C1"].down
        side = min(p.across for p in panel.edges["side"].path.flat() if abs(p.down - level) < 0.5)
        around += panel.points["X"].across - side
    return around / 10


@pytest.mark.parametrize(("sex", "kind"), MEASURED)
def test_the_share_of_people_without_room_is_what_was_measured(sex, kind):
    model, (base, slope, scatter) = MODEL[sex], THIGH[sex]
    chance = np.random.default_rng(5)
    hips = np.exp(chance.multivariate_normal(model["mu"], model["cov"], size=60_000))[
        :, model["fields"].index("hip_gi")
    ]
    thighs = AT_THE_FOLD * (base + slope * hips + chance.normal(0, scatter, len(hips)))
    low, high = tube(85, kind), tube(120, kind)
    assert low / 85 == pytest.approx(0.5 + CHOICES[kind][2], abs=1e-3)
    rounds = low + (hips - 85) * (high - low) / (120 - 85)
    share = 100 * float(np.mean(rounds - thighs < 2.54))
    assert share == pytest.approx(MEASURED[sex, kind], abs=2.2)
