"""Searches for a shorter lay."""

from typing import Annotated, Any, Literal
from uuid import UUID

from django.http import HttpRequest, HttpResponse
from ninja import Field, Router, Schema

from shop.api.auth import person
from shop.api.routers.plans import PlanAnswer, plan_answer
from shop.bridge.drafting import LayShape
from shop.bridge.words import said_lay, words
from shop.plans import lays, queries, searches
from shop.plans.models import LayRun

router = Router(tags=["lays"])


FAR = 60_000
"""No cloth is so many mm long."""


class PlacementIn(Schema):
    """Where a piece is put, in mm; the numbers of its layers and of its section."""

    piece: str = Field(max_length=120)
    copies: int = Field(ge=1, le=64)
    layers: list[Annotated[int, Field(ge=0, le=64)]] = Field(max_length=16)
    section: int = Field(ge=0, le=16)
    x_mm: float = Field(ge=-FAR, le=FAR)
    y_mm: float = Field(ge=-FAR, le=FAR)
    turned: bool
    mirrored: bool
    under: bool = False


class HeldIn(Schema):
    """Where every piece is, and the numbers of those that stay there while the rest is laid anew."""

    placements: list[PlacementIn] = Field(max_length=500)
    pins: list[Annotated[int, Field(ge=0, le=500)]] = Field(max_length=500)


class LayRunIn(Schema):
    """A search of so many seconds; another seed looks elsewhere."""

    plan: UUID
    seconds: int = Field(10, ge=1, le=searches.LONGEST)
    seed: int = Field(1, ge=1, le=1_000_000)
    kind: Literal["shorter", "savings", "rest"] = "shorter"
    hand: HeldIn | None = None


class SavingOut(Schema):
    """One saving of cloth, tried: what it needs and saves, and whether the cloth in hand is enough for it.

    `choices` are those it takes, of each garment by its name; of one of two halves by its halves.
    """

    code: str
    says: str
    needs_mm: float
    saves_mm: float
    enough: bool
    choices: dict[str, dict[str, Any]] = {}


class LayRunOut(Schema):
    id: UUID
    plan: UUID
    state: str
    seq: int
    tried: int
    gone_ms: int
    seconds: int
    bound_mm: float | None
    proved: bool
    lay: LayShape | None
    kind: str
    found: list[SavingOut]


def _out(request: HttpRequest, row: LayRun) -> LayRunOut:
    return LayRunOut(
        id=row.id,
        plan=row.plan_run_id,
        state=row.state,
        seq=row.seq,
        tried=row.tried,
        gone_ms=row.gone_ms,
        seconds=row.seconds,
        bound_mm=row.bound_mm,
        proved=row.proved,
        kind=row.kind,
        found=[SavingOut(**one | {"says": words().saving_words(one["code"])}) for one in row.found],
        lay=None if row.lay is None else said_lay(row.lay, person(request).workshop.unit),
    )


@router.put("/lay-runs/{id}", response=LayRunOut)
def start(request: HttpRequest, id: UUID, body: LayRunIn) -> LayRunOut:
    """Queue a search for a shorter lay of a plan."""
    hand = body.hand.model_dump() if body.hand is not None else None
    return _out(
        request,
        searches.start_lay_run(
            actor=person(request), id=id, plan_run=body.plan, seconds=body.seconds, seed=body.seed, kind=body.kind,
            hand=hand,
        ),
    )  # fmt: skip


class BegunOut(Schema):
    """`run` is null where the plan has no lay, or its lay was searched or moved by hand already."""

    run: LayRunOut | None


@router.post("/plans/{id}/search", response=BegunOut)
def begin_by_itself(request: HttpRequest, id: UUID) -> BegunOut:
    """Begin the one search that every plan that is looked at has, behind all that somebody asked for."""
    run = searches.begin_by_itself(actor=person(request), plan_run=id)
    return BegunOut(run=None if run is None else _out(request, run))


class HandIn(Schema):
    """Where every piece is; `id` is the move's own."""

    id: UUID
    placements: list[PlacementIn] = Field(max_length=500)


@router.put("/plans/{id}/hand", response=PlanAnswer, by_alias=True)
def by_hand(request: HttpRequest, id: UUID, body: HandIn) -> HttpResponse:
    """Lay the pieces of a plan as they were moved by hand: checked exactly, and kept."""
    placements = [one.model_dump() for one in body.placements]
    run = lays.put_hand_lay(actor=person(request), id=body.id, plan_run=id, placements=placements)
    return plan_answer(request, run)


@router.get("/lay-runs/{id}", response=LayRunOut)
def look(request: HttpRequest, id: UUID) -> LayRunOut:
    """How far it has come; `seq` grows with every change."""
    return _out(request, queries.lay_run(person(request), id))


@router.post("/lay-runs/{id}/stop", response=LayRunOut)
def stop(request: HttpRequest, id: UUID) -> LayRunOut:
    """Ask it to end; what it found stays."""
    return _out(request, searches.stop_lay_run(actor=person(request), id=id))
