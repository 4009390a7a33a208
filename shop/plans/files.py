"""Files of a plan as somebody asks for them: under which name, with what written over them."""

from uuid import UUID

from django.http import Http404
from django.utils.text import slugify

from shop.accounts.models import User
from shop.accounts.writing import own
from shop.bridge import files
from shop.bridge.files import File, OnPaper
from shop.errors import ShopError
from shop.orders.models import Order
from shop.plans.job import outfit_id
from shop.plans.models import PlanRun
from shop.plans.pace import check_pace
from shop.plans.queries import best


class TooLargeError(ShopError):
    """A plan of very many pieces or calls: its files would take too long, and no table holds them."""

    code = "pieces"

    def __init__(self, most: str) -> None:
        super().__init__(f"This plan has more than {most}. Take the files of each order by itself.")


def preview(actor: User, plan_run: UUID, name: str, address: str) -> files.FilePreviewOut:
    """How one of the files looks; `address` is where the workshop's pages are. Raises Http404, TooLargeError,
    TooOftenError.
    """
    run, file = _asked(actor, plan_run, name)
    workshop = actor.workshop
    return files.preview(file, best(workshop, run).plan, run.job, workshop.unit, _on_paper(actor, run, address))


def made(actor: User, plan_run: UUID, name: str, address: str) -> tuple[str, str, bytes]:
    """The file's name, its type and its bytes. The name says the order and nobody's name. Raises as `preview` does."""
    run, file = _asked(actor, plan_run, name)
    workshop = actor.workshop
    data = files.made(file, best(workshop, run).plan, run.job, workshop.unit, _on_paper(actor, run, address))
    called = slugify(run.order.title)[:40].strip("-")
    return f"{called}-{name}" if called else name, file.media, data


def mark_address(address: str, order: UUID, cloth: str) -> str:
    """Where the pages open a call of an order: its number comes after."""
    return f"{address}/orders/{order}/mark{'?cloth=other&' if cloth == 'other' else '?'}call="


def _asked(actor: User, plan_run: UUID, name: str) -> tuple[PlanRun, File]:
    run = own(PlanRun, actor, plan_run)
    file = files.file_of(name)
    if file is None:
        raise Http404
    if len(run.plan["pieces"]) > files.MOST:
        raise TooLargeError(f"{files.MOST} pieces")
    if file.use == "card" and len(run.plan["marks"]) > files.MOST_CALLS:
        raise TooLargeError(f"{files.MOST_CALLS} calls")
    check_pace(actor)
    return run, file


def _on_paper(actor: User, run: PlanRun, address: str) -> OnPaper:
    others = f" and {len(run.others)} more" if run.others else ""
    head = f"{run.order.client.name}{others}: {run.order.title}"
    to_mark = mark_address(address, run.order_id, run.job.get("cut_from", "main"))
    return OnPaper(head, actor.workshop.heading, actor.workshop.paper, to_mark, _clients(actor, run))


def _clients(actor: User, run: PlanRun) -> dict[str, str]:
    """Of a plan for several the clients' names by the outfits' ids; the first outfit has none."""
    if not run.others:
        return {}
    others = Order.of(actor.workshop).filter(pk__in=run.others).select_related("client")
    return {"": run.order.client.name} | {outfit_id(one): one.client.name for one in others}
