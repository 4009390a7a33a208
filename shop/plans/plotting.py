"""A plan's pieces drawn by a plotter: asked for, gone on with after a trouble, stopped."""

from collections.abc import Collection
from uuid import UUID

from django.db import transaction

from shop.accounts.models import User
from shop.accounts.rights import allow
from shop.accounts.writing import add, check_room, locked, own
from shop.bridge.plotting import plotted_names
from shop.errors import ShopError
from shop.plans import plotter
from shop.plans.models import PlanRun, Plot
from shop.plans.tasks import plot_piece

MOST_OF_AN_ORDER = 100


class PlottingError(ShopError):
    """Nothing can be plotted: there is no plotter, or this plan is being plotted."""

    code = "plotting"


def start_plot(*, actor: User, id: UUID, plan_run: UUID) -> Plot:
    """Send the pieces of a plan to the plotter, one after the other; the same id again is the same. Raises
    PlottingError.
    """
    allow(actor, "lays")
    if not plotter.there():
        raise PlottingError("No plotter is set up on this machine.")
    with transaction.atomic():
        run = locked(PlanRun, actor, plan_run)
        known = Plot.of(actor.workshop).filter(pk=id).first()
        if known is not None:
            return known
        if Plot.of(actor.workshop).filter(plan_run=run, state__in=Plot.OPEN).exists():
            raise PlottingError("This plan is being plotted. Wait until it is done, or stop it first.")
        check_room(Plot.of(actor.workshop).filter(plan_run__order=run.order_id), MOST_OF_AN_ORDER)
        made = Plot(
            id=id, workshop=actor.workshop, changed_by=actor, plan_run=run,
            pieces=plotted_names(run.plan, actor.workshop.unit),
        )  # fmt: skip
        add(made)
        plot_piece.defer(plot=str(made.id))
    return made


@transaction.atomic
def _turned(actor: User, id: UUID, when: Collection[str], state: str) -> Plot:
    """A plot in another state, where it is in one of `when`."""
    allow(actor, "lays")
    plot = locked(Plot, actor, id)
    if plot.state in when:
        plot.state, plot.trouble = state, "" if state == Plot.RUNNING else plot.trouble
        plot.save(update_fields=["state", "trouble"])
        if state == Plot.RUNNING:
            plot_piece.defer(plot=str(plot.id))
    return plot


def go_on(*, actor: User, id: UUID) -> Plot:
    """Go on at the piece that failed, once the plotter is mended. One that does not wait stays as it is."""
    return _turned(actor, id, (Plot.WAITING,), Plot.RUNNING)


def stop_plot(*, actor: User, id: UUID) -> Plot:
    """No piece more is sent; what is being drawn is drawn. One that has ended stays as it is."""
    return _turned(actor, id, Plot.OPEN, Plot.STOPPED)


def plot_of(actor: User, plan_run: UUID) -> Plot | None:
    """The last time that a plan was plotted."""
    run = own(PlanRun, actor, plan_run)
    return Plot.of(actor.workshop).filter(plan_run=run).order_by("-created_at").first()
