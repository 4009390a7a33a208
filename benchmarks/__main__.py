"""./plavet benchmark: how fast the draft, the first lay, a key on Mark and the first page are. Nothing is asserted."""

import json
import statistics
import time
from collections.abc import Callable
from pathlib import Path

from benchmarks.bench import bench_times
from benchmarks.book import doubts_ms, search_ms
from benchmarks.pages import page_times
from benchmarks.week import week_times
from cutting.body import Body
from cutting.cloth import Cloth, folded
from cutting.formats import keep, plan_to_wire, read_job, read_job_text
from cutting.lay import first_lay, items_for
from cutting.ledger import ledger
from cutting.plan import draft as draft_all
from cutting.plan import plan

ROOT = Path(__file__).resolve().parent.parent
WHOLE = {
    "waist_finish": "shaped-band", "closure": "fly", "yoke": 2, "turn_up": 1.5,
    "pockets": ["front-curved", "in-seam", "back-patch"],
}  # fmt: skip
JOB = read_job_text((ROOT / "demo/jobs/choir-palazzo.json").read_bytes())


def median_ms(work: Callable[[], object], times: int = 15) -> float:
    """The median of several warm runs, in ms."""
    work()
    runs = []
    for _ in range(times):
        start = time.perf_counter()
        work()
        runs.append((time.perf_counter() - start) * 1000)
    return statistics.median(runs)


def draft() -> object:
    """Draft, marks and ledger of one garment."""
    for asked in JOB.garments:
        for garment in asked.draft(asked.id, JOB.body):
            garment.tapes()
            ledger(garment)
    return None


def lay() -> object:
    """The first lay of the same garment on 45 in cloth, with its exact check."""
    asked = JOB.garments[0]
    (garment,) = asked.draft(asked.id, JOB.body)
    table = folded(Cloth(), "lengthwise-centre")
    return first_lay(items_for(garment.pieces(True), table, False), table, False)


def with_all_parts() -> Callable[[], object]:
    """Fly, shaped band, yoke, three kinds of pocket, turn-up: all pieces, marks and ledger."""
    raw = json.loads((ROOT / "demo/jobs/choir-palazzo.json").read_text())
    raw["garments"][0] |= {"style": "straight-trousers", "choices": WHOLE}
    job = read_job(raw)
    asked = job.garments[0]

    def once() -> object:
        (garment,) = asked.draft(asked.id, job.body)
        garment.tapes()
        return ledger(garment)

    return once


def jumpsuit_drafts(bodies: int) -> Callable[[], object]:
    """A jumpsuit with sleeves, facings and pockets, for so many bodies that differ: all pieces, marks and ledger."""
    raw = json.loads((ROOT / "demo/jobs/crew-jumpsuit.json").read_text())
    jobs = []
    for k in range(bodies):
        raw["measurements"] |= {"bust": 36 + k / 8, "waist": 29 + k / 8, "hip": 39 + k / 8}
        jobs.append(read_job(raw))

    def once() -> object:
        drafted = [garment for job in jobs for (outfit,) in [draft_all(job)] for garment in outfit]
        for garment in drafted:
            garment.pieces(on_fold=True)
            garment.tapes()
            ledger(garment)
        return drafted

    return once


def thousand_bodies() -> float:
    """A thousand bodies through one method on one core, in seconds."""
    asked = JOB.garments[0]
    start = time.perf_counter()
    for number in range(1000):
        sizes = {key: size * (900 + number % 250) / 1000 for key, size in JOB.body.sizes.items()}
        asked.draft(asked.id, Body(sizes))
    return time.perf_counter() - start


def main() -> None:
    typical, slowest = search_ms()
    rows = [
        ("draft with marks and ledger, warm", median_ms(draft), "ms", 30),
        ("draft with every part, warm", median_ms(with_all_parts()), "ms", 50),
        ("jumpsuit, sleeves and all parts, warm", median_ms(jumpsuit_drafts(1)), "ms", 80),
        ("a choir of forty jumpsuits", median_ms(jumpsuit_drafts(40), 1) / 1000, "s", 5),
        ("a thousand bodies, one method", thousand_bodies(), "s", 30),
        ("draft and first valid lay, warm", median_ms(lay), "ms", 500),
        ("whole plan with all widths, warm", median_ms(lambda: plan(JOB), 5), "ms", None),
        ("whole plan to JSON shapes", median_ms(lambda: plan_to_wire(plan(JOB)), 5), "ms", None),
        ("plan as it is stored", median_ms(lambda: keep(plan(JOB, by_width=False)), 9), "ms", 100),
        ("plan as the pages ask for it", median_ms(lambda: plan_to_wire(plan(JOB, by_width=False)), 9), "ms", 100),
        ("doubts over a full sheet", doubts_ms(), "ms", 5),
        ("a search among 10,000 clients", typical, "ms", 100),
        ("the slowest of forty searches", slowest, "ms", None),
        *week_times(),
        *bench_times(),
        *page_times(),
    ]
    for name, value, unit, goal in rows:
        print(f"{name:38}{value:8.1f} {unit}" + (f"   goal {goal}" if goal else ""))


if __name__ == "__main__":
    main()
