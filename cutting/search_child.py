"""The search child: a job on the first line of standard input, better lays as JSON lines on standard output.

It ends by itself: when the time is over, when a lay is proved the shortest, or when its standard input is closed.
Where the first line has a `hand`, its placements are where the search sets out from, and those of its pins stay.
Where the first line says `savings`, it tries what would make the cloth in hand enough, and writes each as a line.
Else each line holds tried, gone_ms and bound_mm; a better lay adds `lay`; the last line holds the whole `plan`.
`python -m cutting.search_child warm` compiles what the search needs, and keeps it for the next time.
"""

import json
import os
import resource
import select
import sys
import time
from dataclasses import replace
from typing import Any

from cutting.enough import enough
from cutting.formats import keep, read_job
from cutting.formats.keep import keep_lay
from cutting.formats.lay_v1 import placements_of
from cutting.lay import Laid, pinned
from cutting.plan import Plan, by_hand, plan, with_lays
from cutting.searching import Progress, search

MEMORY = 2 * 1024**3
EVERY = 0.3
SMALL = {
    "format": "plavet-job", "version": 1, "unit": "cm", "garments": [{"id": "a", "style": "palazzo"}],
    "measurements": {"waist": 80, "hip": 104, "thigh": 62, "knee": 40, "outseam": 104, "waist_to_knee": 60},
    "cloth": {"width": "60 in"},
}  # fmt: skip


def _say(**line: Any) -> None:
    sys.stdout.write(json.dumps(line, allow_nan=False) + "\n")
    sys.stdout.flush()


def _left_alone() -> bool:
    """True once whoever started the search has gone."""
    ready, _, _ = select.select([sys.stdin], [], [], 0)
    return bool(ready) and os.read(sys.stdin.fileno(), 1) == b""


def try_savings(asked: dict[str, Any]) -> int:
    """Each saving of cloth, as it comes out; the last line says that it ended."""
    job = read_job(asked["job"])
    tried = enough(job, asked["seconds"], asked["seed"], asked.get("known_mm"), wanted=lambda: not _left_alone())
    for number, one in enumerate(tried, 1):
        row = {"code": one.code, "needs_mm": one.needs, "saves_mm": one.saves}
        _say(tried=number, saving=row | {"enough": one.enough, "choices": one.choices})
    _say(ended=True)
    return 0


def _moved(first: Plan, hand: dict[str, Any]) -> tuple[Plan, Laid]:
    """The plan as its pieces were moved by hand, and the same with some of them pinned: what is to be searched."""
    made = by_hand(first, placements_of(hand["placements"]))
    sections = []
    for number, section in enumerate(made.laid.sections):
        among = [k for k, one in enumerate(hand["placements"]) if one["section"] == number]
        pins = [place for place, k in enumerate(among) if k in hand["pins"]]
        # A section of which nothing is pinned stays as it is placed, unless it is the only one.
        free = not pins and len(made.laid.sections) > 1
        sections.append(pinned(section, range(len(among)) if free else pins))
    return made, replace(made.laid, sections=tuple(sections))


def warm() -> int:
    """Search a little and report nothing: everything is compiled after."""
    for step in search(plan(read_job(SMALL), by_width=False).laid, 60, 1, processes=1):
        if step.tried > 2:
            break
    return 0


def main() -> int:
    """Run one search; 0 when it ended by itself."""
    resource.setrlimit(resource.RLIMIT_AS, (MEMORY, MEMORY))
    asked = json.loads(sys.stdin.buffer.readline())
    if asked.get("savings"):
        return try_savings(asked)
    first = plan(read_job(asked["job"]), by_width=False)
    if not first.laid.fits:
        return 0
    laid, hand = first.laid, asked.get("hand")
    if hand:
        first, laid = _moved(first, hand)

    def found(step: Progress) -> Plan:
        # What is proved of a lay with pins holds for those pins only.
        return with_lays(first, step.lays, None if hand else step.bounds)

    spoke, last = 0.0, None
    for last in search(laid, asked["seconds"], asked["seed"], wanted=lambda: not _left_alone()):
        now = time.monotonic()
        if last.news or now - spoke > EVERY:
            line: dict[str, Any] = {"tried": last.tried, "gone_ms": round(last.gone * 1000), "bound_mm": last.bound}
            if last.news:
                line["lay"] = keep_lay(found(last))
            _say(**line)
            spoke = now
    if last is not None:
        made = keep(found(last))
        _say(tried=last.tried, gone_ms=round(last.gone * 1000), bound_mm=last.bound, done=last.done, plan=made)
    return 0


if __name__ == "__main__":
    sys.exit(warm() if sys.argv[1:] == ["warm"] else main())
