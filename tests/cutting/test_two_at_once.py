"""Several requests work out lengths at the same time, and none waits for another for ever."""

import json
import sys
import threading
from concurrent.futures import ThreadPoolExecutor
from dataclasses import dataclass, field
from fractions import Fraction
from pathlib import Path

import pytest

from cutting.formats import keep, read_job
from cutting.formats.plan_v1 import read_kept
from cutting.lengths.length import Exact, Fixed, Length, Scaled, Sum
from cutting.plan import plan
from cutting.words import ENGLISH

INCH = Fraction(254, 10)


@dataclass(frozen=True)
class Meeting(Length):
    """A length that is worked out only when another thread works out one too."""

    where: threading.Barrier = field(compare=False)

    @property
    def value(self) -> Exact:
        self.where.wait(timeout=10)
        return INCH


@pytest.mark.parametrize("made", [
    lambda one: Sum((one, Fixed(INCH))),
    lambda one: Scaled(one, Fraction(2)),
    lambda one: Sum((one,)),
])  # fmt: skip
def test_two_threads_work_out_lengths_of_one_kind_at_once(made) -> None:
    """Where all lengths of a kind share a lock, the second never comes to the meeting, and the first gives up."""
    where = threading.Barrier(2)
    with ThreadPoolExecutor(2) as pool:
        found = list(pool.map(lambda n: made(Meeting(where)).value, range(2)))
    assert found == [made(Fixed(INCH)).value] * 2


def test_lengths_inside_one_another_the_other_way_round_both_come_out() -> None:
    """A sum of a share beside a share of a sum: each holds what the other needs, if there is anything to hold."""
    where = threading.Barrier(2)
    first = Sum((Meeting(where), Scaled(Fixed(INCH), Fraction(1, 2))))
    second = Scaled(Sum((Meeting(where), Fixed(INCH))), Fraction(1, 2))
    with ThreadPoolExecutor(2) as pool:
        assert list(pool.map(lambda one: one.value, (first, second))) == [INCH * 3 / 2, INCH]


def test_one_plan_said_by_many_threads_is_the_same_in_all() -> None:
    stored = keep(plan(read_job(json.loads(Path("demo/jobs/choir-palazzo.json").read_text())), by_width=False))
    alone = read_kept(stored, ENGLISH, "in")
    usual = sys.getswitchinterval()
    sys.setswitchinterval(1e-5)
    try:
        with ThreadPoolExecutor(4) as pool:
            said = [pool.submit(read_kept, stored, ENGLISH, "in") for _ in range(12)]
            assert all(one.result(timeout=60) == alone for one in said)
    finally:
        sys.setswitchinterval(usual)
