"""The plan of an order, a number of one's own beside it, and the same on other widths."""

from typing import Any, Literal
from uuid import UUID

from django.http import HttpRequest, HttpResponse
from ninja import Field, Router, Schema

from shop.accounts.models import User
from shop.accounts.writing import own
from shop.api.auth import person
from shop.bridge.drafting import PlanShape, WidthShape
from shop.bridge.own_number import OwnNumberIn, OwnNumberOut, own_number
from shop.chalk.queries import chalked_plan, newer, open_chalking
from shop.clients import seen
from shop.orders import queries
from shop.plans.job import outfit_id
from shop.plans.making import plan_order, widths_of
from shop.plans.models import PlanRun
from shop.plans.queries import searched
from shop.plans.said import best_text, plan_text
from shop.plans.together import plan_together

router = Router(tags=["plans"])
ClothName = Literal["main", "other", "all"]
"""A cloth of an order, or the one that a whole group is cut from."""


class PlanAbout(Schema):
    """What is said of a stored plan; its `stamp` is another where anything of it moved."""

    id: UUID
    stamp: str
    clients: dict[str, str] = Field(
        default_factory=dict, description="where outfits of several clients are cut from the cloth: names by outfit"
    )
    newer: list[str] = Field(
        default_factory=list, description="what the order as it stands has otherwise than the plan it is chalked by"
    )
    searched: Literal["none", "under_way", "done"] = Field(
        "done", description="whether a shorter lay was looked for: none of its figures falls any more where it is done"
    )
    search: UUID | None = Field(None, description="the search that is under way")


class PlanAnswer(PlanAbout):
    """A stored plan; `plan` is the file of docs/file-formats.md."""

    plan: PlanShape


@router.post("/orders/{id}/plan", response=PlanAnswer, by_alias=True)
def plan(
    request: HttpRequest,
    id: UUID,
    cloth: ClothName = "main",
    unit: Literal["", "in", "cm"] = "",
    chalked: bool = False,
) -> HttpResponse:
    """The plan of the order as it stands, for one of its cloths, or with `all` for its whole group on one: made at the
    first call, found at the next; with its best lay. With `chalked` the plan that the cloth is chalked by, where
    somebody began. Lengths are shown in `unit`, else in the workshop's.
    """
    actor = person(request)
    row = queries.order(actor, id)
    chalking = open_chalking(actor, row.id, cloth) if chalked else None
    shown, told = unit or actor.workshop.unit, list[str]()
    if chalking is not None:
        run, stamp, told = chalking.plan_run, chalking.stamp, newer(actor, row, chalking)
        text = plan_text(run.id, stamp, chalked_plan(chalking), shown)
    else:
        run = plan_together(actor=actor, order=row) if cloth == "all" else plan_order(
            actor=actor, order=row, cut_from=cloth
        )  # fmt: skip
        stamp, text = best_text(actor.workshop, run, shown)
    others = list(queries.bench(actor).filter(pk__in=run.others)) if run.others else []
    names = {"": row.client.name} | {outfit_id(one): one.client.name for one in others} if cloth == "all" else {}
    seen.note(actor, [row.client_id, *(one.client_id for one in others)], "measures")
    about = PlanAbout(id=run.id, stamp=stamp, clients=names, newer=told, **_search(actor, run))
    return _planned(about, text)


def plan_answer(request: HttpRequest, run: PlanRun) -> HttpResponse:
    """A stored plan with its best lay, in words: a PlanAnswer."""
    actor = person(request)
    stamp, text = best_text(actor.workshop, run, actor.workshop.unit)
    return _planned(PlanAbout(id=run.id, stamp=stamp, **_search(actor, run)), text)


def _planned(about: PlanAbout, plan: str) -> HttpResponse:
    """A PlanAnswer around a plan's text, which is not read again to be written."""
    head = about.model_dump_json().removesuffix("}")
    return HttpResponse(f'{head},"plan":{plan}}}', content_type="application/json; charset=utf-8")


def _search(actor: User, run: PlanRun) -> dict[str, Any]:
    state, search = searched(actor, run)
    return {"searched": state, "search": search}


@router.post("/plans/{id}/number", response=OwnNumberOut)
def check_own_number(request: HttpRequest, id: UUID, body: OwnNumberIn) -> OwnNumberOut:
    """A number of one's own beside the plan's: the difference, what it does, the slip it looks like."""
    actor = person(request)
    return own_number(own(PlanRun, actor, id).plan, body.key, body.typed, actor.workshop.unit)


@router.get("/plans/{id}/widths", response=list[WidthShape])
def plan_widths(request: HttpRequest, id: UUID) -> list[dict[str, Any]]:
    """What the pieces of a plan need on cloth of other widths."""
    return widths_of(actor=person(request), plan_run=id)
