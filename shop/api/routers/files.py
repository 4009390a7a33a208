"""Files: what there is of a plan, how each looks, and the file itself."""

from typing import Any
from uuid import UUID

from django.http import HttpRequest, HttpResponse
from ninja import Router

from shop.accounts.writing import own
from shop.api.auth import person
from shop.bridge.files import FileLookOut, PlanFileOut, all_files
from shop.clients import seen
from shop.orders import queries
from shop.plans import files
from shop.plans.models import PlanRun

router = Router()


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
