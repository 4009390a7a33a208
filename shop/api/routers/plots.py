"""The plotter: the pieces of a plan sent to it, how far it is, gone on with after a trouble."""

from typing import Literal
from uuid import UUID

from django.http import HttpRequest
from ninja import Router, Schema

from shop.api.auth import person
from shop.plans import plotter, plotting
from shop.plans.models import Plot

router = Router()


class PlotIn(Schema):
    plan: UUID


class PlotOut(Schema):
    """How far a plotter is with a plan: the names of its pieces, how many of them are drawn, for what it waits."""

    id: UUID
    state: Literal["running", "waiting", "done", "stopped"]
    pieces: list[str]
    drawn: int
    trouble: Literal["", "jam", "empty", "line"]


class PlotterOut(Schema):
    """Whether there is a plotter, and the last time that it was given the plan."""

    there: bool
    plot: PlotOut | None


@router.get("/plans/{id}/plot", response=PlotterOut)
def plan_plot(request: HttpRequest, id: UUID) -> PlotterOut:
    """The plotter, and how far it is with a plan."""
    plot = plotting.plot_of(person(request), id)
    return PlotterOut(there=plotter.there(), plot=None if plot is None else _out(plot))


@router.put("/plots/{id}", response=PlotOut)
def start_plot(request: HttpRequest, id: UUID, body: PlotIn) -> PlotOut:
    """Send the pieces of a plan to the plotter."""
    return _out(plotting.start_plot(actor=person(request), id=id, plan_run=body.plan))


@router.post("/plots/{id}/on", response=PlotOut)
def go_on(request: HttpRequest, id: UUID) -> PlotOut:
    """Go on at the piece that failed."""
    return _out(plotting.go_on(actor=person(request), id=id))


@router.post("/plots/{id}/stop", response=PlotOut)
def stop_plot(request: HttpRequest, id: UUID) -> PlotOut:
    """Send no piece more."""
    return _out(plotting.stop_plot(actor=person(request), id=id))


def _out(plot: Plot) -> PlotOut:
    return PlotOut.model_validate(plot, from_attributes=True)
