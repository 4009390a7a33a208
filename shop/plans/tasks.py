"""What the queue does: improve a lay in a supervised child process, have a piece plotted, and take up what a dead
worker left.
"""

from contextlib import closing
from typing import Any
from uuid import UUID

from django.utils import timezone
from procrastinate.contrib.django import app

from shop.bridge.drafting import plan_with_lay
from shop.bridge.lay import search_lay, try_savings
from shop.bridge.plotting import pieces_to_plot
from shop.plans.being_made import QUEUE
from shop.plans.making import keep_widths
from shop.plans.models import LayRun, PlanRun, Plot
from shop.plans.plotter import LINE, Plotter
from shop.plans.pruning import prune
from shop.plans.queries import best_length
from shop.plans.together import make_together

AUTO = -1000
"""The priority of a search that nobody asked for: behind all others."""


@app.task(name="improve_lay", queue="lay", queueing_lock=None, retry=2)
def improve_lay(*, lay_run: str) -> None:
    """Search until the time is over, none can be shorter, or a stop is asked for; keep each better lay.

    A child that goes without its last line has broken off: the run has failed, what it found stays. One that gives way
    is put on the queue again. Where another worker took it up meanwhile, for this one was cut off, nothing more is
    written.
    """
    # The queue carries no workshop: it serves all of them, and reads just the row it was given.
    rows = LayRun._base_manager.filter(pk=UUID(lay_run))
    run = rows.select_related("plan_run", "workshop").first()
    if run is None or run.state in (LayRun.DONE, LayRun.STOPPED):
        return
    taken = run.taken + 1
    if not rows.filter(taken=run.taken).update(taken=taken):
        return
    rows = rows.filter(taken=taken)
    _record(rows, run, state=LayRun.RUNNING)
    stopped = ended = gives_way = False
    asked = run.plan_run.job, run.seconds, run.seed
    known = best_length(run.workshop, run.plan_run_id)
    if run.kind == LayRun.SAVINGS:
        _record(rows, run, found=[])
    with closing(try_savings(*asked, known) if run.kind == LayRun.SAVINGS else search_lay(*asked, run.hand)) as lines:
        for line in lines:
            if line is not None:
                ended = ended or "plan" in line or "ended" in line
                _record(rows, run, **_news(run, line))
            asked_for = rows.values_list("stop_asked", "gives_way").first()
            if asked_for is None:
                return
            stopped, gives_way = asked_for
            if stopped or gives_way:
                break
    if gives_way and not stopped and not ended:
        _record(rows, run, state=LayRun.QUEUED, gives_way=False)
        improve_lay.configure(priority=AUTO).defer(lay_run=lay_run)
        return
    if run.lay is not None and run.plan is None:
        _record(rows, run, plan=plan_with_lay(run.plan_run.job, run.lay))
    _record(rows, run, state=LayRun.STOPPED if stopped else LayRun.DONE if ended else LayRun.FAILED)


@app.task(name="plot_piece", queue="plot", queueing_lock=None, retry=2)
def plot_piece(*, plot: str) -> None:
    """Have the plotter draw the next piece; the one after it stands on the queue again, so that nothing waits long.

    What the plotter says it has drawn is not sent again. Where it stops for a trouble, the plot waits.
    """
    rows = Plot._base_manager.filter(pk=UUID(plot))
    run = rows.select_related("plan_run", "workshop").first()
    if run is None or run.state != Plot.RUNNING:
        return
    drawn, trouble = run.drawn, ""
    try:
        with Plotter() as plotter:
            drawn = max(drawn, min(plotter.drawn(plot), len(run.pieces)))
            if drawn < len(run.pieces):
                piece = pieces_to_plot(run.plan_run.plan, run.workshop.unit, plot)[drawn]
                trouble = plotter.draw(piece)
                drawn += not trouble
    except (OSError, ValueError):
        trouble = LINE
    rows.update(drawn=drawn, trouble=trouble)
    state = Plot.WAITING if trouble else Plot.DONE if drawn == len(run.pieces) else Plot.RUNNING
    # Somebody may have stopped it meanwhile.
    if rows.filter(state=Plot.RUNNING).update(state=state) and state == Plot.RUNNING:
        plot_piece.defer(plot=plot)


@app.periodic(cron="* * * * *")
@app.task(name="take_up_again", queue="lay", queueing_lock="take_up_again")
async def take_up_again(timestamp: int, silent: float = 30) -> None:
    """Put what workers that were killed had begun back on the queue: those without a sign of life for `silent` s."""
    for job in await app.job_manager.get_stalled_jobs(seconds_since_heartbeat=silent):
        await app.job_manager.retry_job(job)


@app.task(name="make_together", queue=QUEUE, retry=2)
def make_group_plan(*, order: str, person: str) -> None:
    """The plan of a group's cloth."""
    make_together(UUID(order), UUID(person))


@app.task(name="make_widths", queue=QUEUE, retry=2)
def make_group_widths(*, plan_run: str) -> None:
    """What a group's plan needs on cloth of other widths."""
    run = PlanRun._base_manager.filter(pk=UUID(plan_run), widths__isnull=True).select_related("workshop").first()
    if run is not None:
        keep_widths(run)


@app.periodic(cron="5 3 * * *")
@app.task(name="prune_plans", queue="lay", queueing_lock="prune_plans")
def prune_plans(timestamp: int) -> None:
    """Every night: old plans that nobody works by."""
    prune(timezone.now())


def _news(run: LayRun, line: dict[str, Any]) -> dict[str, Any]:
    """What a line of the child changes: a search taken up again begins anew, but keeps the shorter lay it had."""
    changes: dict[str, Any] = {key: line[key] for key in ("tried", "gone_ms", "bound_mm") if key in line}
    if line.get("saving"):
        changes["found"] = [*run.found, line["saving"]]
    if line.get("done"):
        changes["proved"] = True
    lay, plan = line.get("lay"), line.get("plan")
    if lay and (run.lay is None or lay["length_mm"] < run.lay["length_mm"]):
        changes["lay"] = lay
    if plan and (run.plan is None or plan["lay"]["length_mm"] < run.plan["lay"]["length_mm"]):
        changes["plan"] = plan
    return changes


def _record(rows: Any, run: LayRun, **changes: Any) -> None:
    """Change the row and let `seq` grow, so that the page sees it."""
    run.seq += 1
    for key, value in changes.items():
        setattr(run, key, value)
    rows.update(seq=run.seq, changed_at=timezone.now(), **changes)
