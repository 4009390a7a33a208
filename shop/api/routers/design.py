"""What can be chosen, what each choice changes, methods on a body, and the workshop's own rules."""

from typing import Any, Literal
from uuid import UUID

from django.http import HttpRequest
from ninja import Field, Router, Schema

from shop.api.auth import person
from shop.api.incoming import Version
from shop.bridge.designing import DesignOut, Outline, design, draft_alone, kept_alone, silhouettes
from shop.bridge.drafting import PanelShape, PlanShape, draw_panels
from shop.bridge.moving import MoveOut, moved
from shop.bridge.own_number import OwnNumberIn, OwnNumberOut, own_number
from shop.bridge.trade import TradeOut, trade
from shop.clients import seen
from shop.clients.queries import measures_of
from shop.orders import actions, queries
from shop.orders.actions import OutfitError
from shop.orders.models import HouseRule
from shop.plans.job import corrections_of_sheet, job_of
from shop.plans.pace import check_pace

router = Router(tags=["design"])


class HouseRuleIn(Schema):
    version: Version = 0
    name: str = Field(min_length=1, max_length=60)
    method: str = Field(max_length=40)
    choices: dict[str, Any] = Field(max_length=120)
    usual: bool = False
    removed: bool = False


class HouseRuleOut(HouseRuleIn):
    id: UUID


class BodyOut(Schema):
    """A body methods can be tried on: a client's newest sheet."""

    sheet: UUID
    name: str


def _rule(row: HouseRule) -> HouseRuleOut:
    return HouseRuleOut(
        id=row.id, version=row.version, name=row.name, method=row.method, choices=row.choices, usual=row.usual
    )


def _job(request: HttpRequest, id: UUID) -> dict[str, Any]:
    """An order that has a garment, as a job; one draft more of the actor's."""
    row = queries.order(person(request), id)
    seen.note(person(request), [row.client_id], "measures")
    job = job_of(person(request), row)
    if not job["garments"]:
        raise OutfitError("This order has no garment yet. Add one: what is to be sewn is chosen here then.")
    check_pace(person(request))
    return job


@router.get("/orders/{id}/design", response=DesignOut)
def order_design(
    request: HttpRequest, id: UUID, garment: str = "", half: Literal["", "top", "lower"] = ""
) -> DesignOut:
    """The choices of one of the order's garments by its name (the first where none is given), or of a jumpsuit's half,
    and what each would change on this client.
    """
    return design(_job(request, id), garment, half)


@router.get("/orders/{id}/drawn", response=list[PanelShape])
def order_drawn(request: HttpRequest, id: UUID) -> list[PanelShape]:
    """The panels of the order as it stands: they are there well before the rest of its plan."""
    return draw_panels(_job(request, id))


@router.get("/orders/{id}/design/moves", response=list[MoveOut])
def order_moves(
    request: HttpRequest, id: UUID, choice: str, of: str = "", garment: str = "",
    half: Literal["", "top", "lower"] = "",
) -> list[MoveOut]:  # fmt: skip
    """What a choice, of a set such as the seam allowances or by itself, would move on this client's own draft: drawn
    before and after.
    """
    return moved(_job(request, id), garment, half, choice, of)


@router.get("/trade", response=TradeOut)
def trade_lists(request: HttpRequest) -> TradeOut:
    """Kinds of garments with their styles, methods, folds, cloth: what there is, and what it is called."""
    return trade()


@router.get("/sheets/{id}/silhouettes", response=dict[str, Outline])
def sheet_silhouettes(request: HttpRequest, id: UUID) -> dict[str, Outline]:
    """Half of every style's front as it is drafted for a sheet, an invented body standing in for what is missing."""
    unit, measures = _body(request, id)
    return silhouettes(unit, measures)


@router.get("/bodies", response=list[BodyOut])
def bodies(request: HttpRequest) -> list[BodyOut]:
    """Whom methods can be tried on: the clients of the first orders on the bench, each once."""
    found: dict[UUID, BodyOut] = {}
    for row in queries.bench(person(request))[: 3 * queries.ON_BENCH]:
        found.setdefault(row.client_id, BodyOut(sheet=row.sheet_id, name=row.client.name))
    return list(found.values())


@router.get("/drafts/{method}", response=PlanShape, by_alias=True)
def draft_by(
    request: HttpRequest, method: str, style: str = "straight-trousers", sheet: UUID | None = None,
    fittings: bool = False,
) -> PlanShape:  # fmt: skip
    """One style by one method, with its usual choices and net, on a sheet's measures or on an invented body; with
    what the fittings of the sheet's client found, where that is asked for.
    """
    unit, measures = _body(request, sheet)
    found = corrections_of_sheet(person(request), sheet) if sheet and fittings else []
    return draft_alone(unit, measures, style, method, NET, found)


@router.post("/drafts/{method}/number", response=OwnNumberOut)
def check_own_number_of_draft(
    request: HttpRequest, method: str, body: OwnNumberIn, style: str = "straight-trousers", sheet: UUID | None = None
) -> OwnNumberOut:
    """A number of one's own beside that draft's: the difference, what it does, the slip it looks like."""
    unit, measures = _body(request, sheet)
    return own_number(kept_alone(unit, measures, style, method, NET), body.key, body.typed, unit)


NET = {"marking": "on-paper"}


def _body(request: HttpRequest, sheet: UUID | None) -> tuple[str, dict[str, str]]:
    """The unit and the measures of a sheet to be drafted for; none of an invented body."""
    actor = person(request)
    check_pace(actor)
    return measures_of(actor, seen.sheet(actor, sheet).id) if sheet else (actor.workshop.unit, {})


@router.get("/house-rules", response=list[HouseRuleOut])
def house_rules(request: HttpRequest) -> list[HouseRuleOut]:
    return [_rule(row) for row in queries.house_rules(person(request))]


@router.put("/house-rules/{id}", response=HouseRuleOut)
def put_house_rule(request: HttpRequest, id: UUID, body: HouseRuleIn) -> HouseRuleOut:
    return _rule(actions.put_house_rule(actor=person(request), id=id, **body.dict()))
