"""Files: what there is of a plan, how each looks, the file itself; a link to the plan for who has no account."""

from datetime import datetime
from typing import Any
from uuid import UUID

import segno
from django.http import HttpRequest, HttpResponse
from ninja import Field, Router, Schema

from shop.accounts.writing import own
from shop.api.auth import person
from shop.bridge.drafting import PlanShape
from shop.bridge.files import FileLookOut, PlanFileOut, all_files
from shop.bridge.words import said_plan
from shop.clients import seen
from shop.orders import queries
from shop.plans import files, look
from shop.plans.models import PlanRun

router = Router()


class PlanLinkIn(Schema):
    days: int = Field(7, ge=1, le=look.MOST_DAYS)


class PlanLinkOut(Schema):
    address: str
    until: datetime


class LookedAtOut(Schema):
    """What a link shows to somebody without an account: nobody's name is in it."""

    workshop: str
    heading: str
    title: str
    until: datetime
    plan: PlanShape


class CodeOut(Schema):
    """A picture that a telephone reads as the address of a call on Mark."""

    picture: str
    address: str


@router.get("/plans/{id}/files", response=list[PlanFileOut])
def plan_files(request: HttpRequest, id: UUID) -> list[PlanFileOut]:
    """Every file that can be made of a plan."""
    own(PlanRun, person(request), id)
    return all_files()


@router.get("/plans/{id}/files/{name}/look", response=FileLookOut)
def plan_file_look(request: HttpRequest, id: UUID, name: str) -> FileLookOut:
    """How a file looks, how many pages it has, how large it is."""
    found = files.look(person(request), id, name)
    _note(request, id)
    return found


@router.get("/plans/{id}/files/{name}")
def plan_file(request: HttpRequest, id: UUID, name: str) -> Any:
    """The file."""
    called, media, data = files.made(person(request), id, name)
    _note(request, id)
    answer = HttpResponse(data, content_type=media)
    answer["Content-Disposition"] = f'attachment; filename="{called}"'
    return answer


def _note(request: HttpRequest, id: UUID) -> None:
    """Whose values are in the file."""
    actor = person(request)
    run = own(PlanRun, actor, id)
    others = list(queries.bench(actor).filter(pk__in=run.others)) if run.others else []
    seen.note(actor, [run.order.client_id, *(one.client_id for one in others)], "measures")


@router.post("/plans/{id}/link", response=PlanLinkOut)
def make_link(request: HttpRequest, id: UUID, body: PlanLinkIn) -> PlanLinkOut:
    """A link by which anybody can look at the plan until it ends, without the client's name."""
    token, until = look.link(actor=person(request), plan_run=id, days=body.days)
    _note(request, id)
    return PlanLinkOut(address=request.build_absolute_uri(f"/look/{token}"), until=until)


@router.get("/look/{token}", auth=None, response=LookedAtOut, by_alias=True)
def look_at(request: HttpRequest, token: str) -> LookedAtOut:
    """The plan that a link shows."""
    found = look.looked_at(token)
    workshop = found.workshop
    return LookedAtOut(
        workshop=workshop.name, heading=workshop.heading, title=found.title, until=found.until,
        plan=said_plan(found.plan, workshop.unit),
    )  # fmt: skip


@router.get("/orders/{id}/code", response=CodeOut)
def call_code(request: HttpRequest, id: UUID, call: int = 1, cloth: str = "main") -> CodeOut:
    """For the card: what opens a call of the order on Mark."""
    order = queries.order(person(request), id)
    cut = "?cloth=other&" if cloth == "other" else "?"
    address = request.build_absolute_uri(f"/orders/{order.id}/mark{cut}call={min(max(call, 1), 9999)}")
    return CodeOut(picture=segno.make(address, error="m").svg_data_uri(scale=2, border=2), address=address)
