"""Files of a plan as somebody asks for them: under which name, with what written over them."""

from uuid import UUID

from django.http import Http404
from django.utils.text import slugify

from shop.accounts.models import User
from shop.accounts.writing import own
from shop.bridge import files
from shop.bridge.files import File
from shop.errors import ShopError
from shop.plans.models import PlanRun
from shop.plans.pace import check_pace
from shop.plans.queries import best


class TooLargeError(ShopError):
    """A plan of very many pieces: its files would take too long, and no table holds them."""

    code = "pieces"

    def __init__(self) -> None:
        super().__init__(f"This plan has more than {files.MOST} pieces. Take the files of each order by itself.")


def look(actor: User, plan_run: UUID, name: str) -> files.FileLookOut:
    """How one of the files looks. Raises Http404, TooLargeError, TooOftenError."""
    run, file = _asked(actor, plan_run, name)
    return files.look(file, best(actor.workshop, run).plan, run.job, actor.workshop.unit, _head(run))


def made(actor: User, plan_run: UUID, name: str) -> tuple[str, str, bytes]:
    """The file's name, its type and its bytes. The name says the order and nobody's name. Raises as `look` does."""
    run, file = _asked(actor, plan_run, name)
    data = files.made(file, best(actor.workshop, run).plan, run.job, actor.workshop.unit, _head(run))
    called = slugify(run.order.title)[:40].strip("-")
    return f"{called}-{name}" if called else name, file.media, data


def _asked(actor: User, plan_run: UUID, name: str) -> tuple[PlanRun, File]:
    run = own(PlanRun, actor, plan_run)
    file = files.file_of(name)
    if file is None:
        raise Http404
    if len(run.plan["pieces"]) > files.MOST:
        raise TooLargeError
    check_pace(actor)
    return run, file


def _head(run: PlanRun) -> str:
    others = f" and {len(run.others)} more" if run.others else ""
    return f"{run.order.client.name}{others}: {run.order.title}"
