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
from shop.bridge.files import FilePreviewOut, PlanFileOut, all_files
from shop.bridge.words import said_plan
from shop.clients import seen
from shop.orders import queries
from shop.plans import files, look
from shop.plans.models import PlanRun

router = Router()
LINK = "Plavet-Link"
"""The header with which a page says the secret of its link."""


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


@router.get("/plans/{id}/files/{name}/preview", response=FilePreviewOut)
def plan_file_preview(request: HttpRequest, id: UUID, name: str) -> FilePreviewOut:
    """How a file looks, how many pages it has, how large it is."""
    found = files.preview(person(request), id, name, _here(request))
    _note(request, id)
    return found


@router.get("/plans/{id}/files/{name}")
def plan_file(request: HttpRequest, id: UUID, name: str) -> Any:
    """The file."""
    called, media, data = files.made(person(request), id, name, _here(request))
    _note(request, id)
    answer = HttpResponse(data, content_type=media)
    answer["Content-Disposition"] = f'attachment; filename="{called}"'
    return answer


def _here(request: HttpRequest) -> str:
    """Where the pages are."""
    return request.build_absolute_uri("/").rstrip("/")


def _note(request: HttpRequest, id: UUID) -> None:
    """Whose values are in the file."""
    actor = person(request)
    run = own(PlanRun, actor, id)
    others = list(queries.bench(actor).filter(pk__in=run.others)) if run.others else []
    seen.note(actor, [run.order.client_id, *(one.client_id for one in others)], "measures")


@router.get("/plans/{id}/link", response=PlanLinkOut | None)
def plan_link(request: HttpRequest, id: UUID) -> PlanLinkOut | None:
    """The link by which anybody can look at the plan; none where there is none."""
    return _link(request, look.link_of(person(request), id))


@router.post("/plans/{id}/link", response=PlanLinkOut)
def make_link(request: HttpRequest, id: UUID, body: PlanLinkIn) -> PlanLinkOut | None:
    """A link by which anybody can look at the plan until it ends, without the client's name."""
    made = _link(request, look.make_link(actor=person(request), plan_run=id, days=body.days))
    _note(request, id)
    return made


@router.delete("/plans/{id}/link", response={204: None})
def end_link(request: HttpRequest, id: UUID) -> tuple[int, None]:
    """Nobody sees the plan by its link any more."""
    look.end_link(actor=person(request), plan_run=id)
    return 204, None


def _link(request: HttpRequest, link: look.Link | None) -> PlanLinkOut | None:
    return None if link is None else PlanLinkOut(address=f"{_here(request)}/look#{link.token}", until=link.until)


@router.get("/look", auth=None, response=LookedAtOut, by_alias=True)
def look_at(request: HttpRequest) -> LookedAtOut:
    """The plan that a link shows. The secret is in no address that a server would write down: the page's own has it
    after the #.
    """
    found = look.looked_at(request.headers.get(LINK, ""))
    workshop = found.workshop
    return LookedAtOut(
        workshop=workshop.name, heading=workshop.heading, title=found.title, until=found.until,
        plan=said_plan(found.plan, workshop.unit),
    )  # fmt: skip


@router.get("/orders/{id}/code", response=CodeOut)
def call_code(request: HttpRequest, id: UUID, call: int = 1, cloth: str = "main") -> CodeOut:
    """For the card: what opens a call of the order on Mark."""
    order = queries.order(person(request), id)
    address = f"{files.mark_address(_here(request), order.id, cloth)}{min(max(call, 1), 9999)}"
    return CodeOut(picture=segno.make(address, error="m").svg_data_uri(scale=2, border=2), address=address)
