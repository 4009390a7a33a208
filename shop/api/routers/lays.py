"""Searches for a shorter lay."""

from uuid import UUID

from django.http import HttpRequest
from ninja import Router, Schema

from shop.api.auth import person
from shop.bridge.drafting import LayShape
from shop.plans import actions, queries
from shop.plans.models import LayRun

router = Router(tags=["lays"])


class LayRunIn(Schema):
    plan: UUID


class LayRunOut(Schema):
    id: UUID
    plan: UUID
    state: str
    seq: int
    tried: int
    to_try: int
    lay: LayShape | None


def _out(row: LayRun) -> LayRunOut:
    return LayRunOut(
        id=row.id,
        plan=row.plan_run_id,
        state=row.state,
        seq=row.seq,
        tried=row.tried,
        to_try=row.to_try,
        lay=None if row.lay is None else LayShape.model_validate(row.lay),
    )


@router.put("/lay-runs/{id}", response=LayRunOut)
def start(request: HttpRequest, id: UUID, body: LayRunIn) -> LayRunOut:
    """Queue a search for a shorter lay of a plan."""
    return _out(actions.start_lay_run(actor=person(request), id=id, plan_run=body.plan))


@router.get("/lay-runs/{id}", response=LayRunOut)
def look(request: HttpRequest, id: UUID) -> LayRunOut:
    """How far it has come; `seq` grows with every change."""
    return _out(queries.lay_run(person(request), id))


@router.post("/lay-runs/{id}/stop", response=LayRunOut)
def stop(request: HttpRequest, id: UUID) -> LayRunOut:
    """Ask it to end; what it found stays."""
    return _out(actions.stop_lay_run(actor=person(request), id=id))
