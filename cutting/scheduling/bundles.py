"""The tasks of an order, from how its garments are sewn. How long the rest takes is common practice, no source."""

from collections.abc import Iterable, Mapping
from dataclasses import dataclass
from math import ceil

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


def rest_of(operations: Iterable[tuple[str, float]], pieces: int, done: Iterable[Kind], fitting: bool) -> Rest:
    """What is to be done of an order: `operations` are those not sewn yet, by code, with their minutes; without a
    `fitting` nothing waits for one.
    """
    minutes: dict[Kind, float] = {"measure": MINUTES["measure"], "cut": CUT + A_PIECE * pieces, "sew": 0, "finish": 0}
    for code, long in operations:
        minutes["finish" if code in AFTER_FITTING else "sew"] += long
    if fitting:
        minutes["fit"] = MINUTES["fit"]
    minutes["pack"] = MINUTES["pack"]
    gone = set(done)
    return Rest({kind: minutes[kind] for kind in KINDS if minutes.get(kind) and kind not in gone})


def tasks_of(order: str, rest: Rest, days: Mapping[str, int] | None = None, earliest: int = 0) -> tuple[Task, ...]:
    """The tasks of an order, each after the one before; those on whose `days` the client comes are done then."""
    found: list[Task] = []
    for kind, minutes in rest.minutes.items():
        needs = (found[-1].id,) if found else ()
        found.append(
            Task(
                f"{order}.{kind}", order, kind, ceil(minutes), needs, USES.get(kind, ()), (days or {}).get(kind), "",
                earliest,
            )
        )  # fmt: skip
    return tuple(found)
