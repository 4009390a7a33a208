"""What is worked out is the same in every process: nothing depends on the order in which a set happens to be read."""

import os
import subprocess
import sys
from pathlib import Path

ROOT = Path(__file__).parents[2]
PROGRAM = """
import json
from fractions import Fraction
from cutting.body import Body, doubts
from cutting.cloth import Cloth
from cutting.effects import effects
from tests.jobs import FIVE, UPPER
body = Body({key: Fraction(str(size)) * 10 for key, size in (FIVE["middle"] | UPPER["middle"]).items()})
for method, style in (("quarter-hip", "straight-trousers"), ("half-thigh", "palazzo"), ("quarter-bust", "bodice")):
    for one in effects(body, method, style, {}, Cloth()):
        print(one.choice, one.rule, list(one.by.items()))
now = dict(waist=800, hip=1040, thigh=620, knee=420, inseam=760, outseam=1040, bust=900)
last = {key: Fraction(size * 8, 10) for key, size in now.items()}
for one in doubts({key: Fraction(size) for key, size in now.items()}, last):
    print(one.code, one.where, list(one.params.items()))
"""


def said(seed: str) -> list[str]:
    run = subprocess.run(
        [sys.executable, "-c", PROGRAM], cwd=ROOT, env=os.environ | {"PYTHONHASHSEED": seed}, text=True,
        capture_output=True, check=True,
    )  # fmt: skip
    return run.stdout.splitlines()


def test_effects_and_doubts_come_in_the_same_order_in_every_process():
    first, *others = (said(seed) for seed in ("1", "2", "3"))
    assert len(first) > 100
    assert all(other == first for other in others)
