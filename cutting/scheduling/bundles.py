"""The tasks of an order, from how its garments are sewn. How long the rest takes is common practice, no source."""

from collections.abc import Iterable, Mapping
from dataclasses import dataclass
from math import ceil

from cutting.scheduling.hours import DAY
from cutting.scheduling.task import KINDS, Kind, Task

MINUTES: Mapping[Kind, float] = {"measure": 20, "fit": 30, "pack": 15}
"""How long it takes to measure a client, to fit, to press and pack."""
CUT, A_PIECE = 20, 4
"""To mark and cut takes so many minutes, and so many more for each piece."""
AFTER_FITTING = frozenset(
    ("band", "ring", "measure_waist", "casing", "channel", "elastic", "tie", "loops", "turn_up", "hem", "fastening",
     "cuffs", "measure_legs", "armhole_binding", "neck_binding")
)  # fmt: skip
"""What is sewn when the fitting has been: what is turned, finished and fastened."""
USES: Mapping[Kind, tuple[str, ...]] = {"cut": ("table",), "sew": ("machine",), "finish": ("machine",)}
"""What is taken while a task is worked at."""


@dataclass(frozen=True)
class Rest:
    """What is still to be done of an order, in minutes by kind; none of a kind that is done or not wanted."""

    minutes: Mapping[Kind, float]

    @property
    def all(self) -> float:
        return sum(self.minutes.values())


@dataclass(frozen=True)
class Takes:
    """How many minutes a task takes, and their sum in numbers, `20 + 9 x 4`; empty where that is one number."""

    minutes: float
    summed: str = ""


def takes_of(operations: Iterable[tuple[str, float]], pieces: int, fitting: bool) -> dict[Kind, Takes]:
    """What each task of an order takes: `operations` are what is sewn, by code, with their minutes; without a `fitting`
    there is none.
    """
    sewn: dict[Kind, list[float]] = {"sew": [], "finish": []}
    for code, long in operations:
        sewn["finish" if code in AFTER_FITTING else "sew"].append(long)
    takes: dict[Kind, Takes] = {kind: Takes(long) for kind, long in MINUTES.items() if fitting or kind != "fit"}
    takes["cut"] = Takes(CUT + A_PIECE * pieces, f"{CUT} + {pieces} x {A_PIECE}" if pieces else "")
    for kind, all_ in sewn.items():
        takes[kind] = Takes(sum(all_), " + ".join(f"{one:g}" for one in all_) if len(all_) > 1 else "")
    return {kind: takes[kind] for kind in KINDS if kind in takes and takes[kind].minutes}


def rest_of(operations: Iterable[tuple[str, float]], pieces: int, done: Iterable[Kind], fitting: bool) -> Rest:
    """What is to be done of an order: `operations` are those not sewn yet, by code, with their minutes; without a
    `fitting` nothing waits for one.
    """
    gone = set(done)
    takes = takes_of(operations, pieces, fitting)
    return Rest({kind: one.minutes for kind, one in takes.items() if kind not in gone})


def tasks_of(
    order: str, rest: Rest, days: Mapping[str, int] | None = None, not_before: Mapping[str, int] | None = None
) -> tuple[Task, ...]:
    """The tasks of an order, each after the one before; those on whose `days` the client comes are done then, others
    `not_before` a day. Both by kind, as numbers of days.
    """
    found: list[Task] = []
    for kind, minutes in rest.minutes.items():
        needs = (found[-1].id,) if found else ()
        found.append(
            Task(
                f"{order}.{kind}", order, kind, ceil(minutes), needs, USES.get(kind, ()), (days or {}).get(kind), "",
                DAY * (not_before or {}).get(kind, 0),
            )
        )  # fmt: skip
    return tuple(found)
