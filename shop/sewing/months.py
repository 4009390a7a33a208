"""What was promised, timed and bought, compared with what came of it, month by month of the workshop's own days."""

from dataclasses import dataclass, replace
from datetime import date, datetime, time

from django.utils import timezone

from shop.accounts.models import User
from shop.accounts.rights import allow
from shop.bridge.drafting import bought
from shop.bridge.sewing import usual_minutes
from shop.chalk.models import Chalking
from shop.orders.models import Step
from shop.plans.queries import code_of
from shop.sewing.models import Sewn

MONTHS, MOST = 12, 5_000
"""So many months are looked at, and so many rows of each kind."""


@dataclass(frozen=True)
class Month:
    """A month by its first day: orders `handed_over`, of which `in_time`; minutes of timed steps as they are usual and
    as they were; mm of cloth that was bought for what was cut, and mm that its lays took.
    """

    first: date
    handed_over: int = 0
    in_time: int = 0
    usual: float = 0.0
    taken: float = 0.0
    bought_mm: float = 0.0
    used_mm: float = 0.0


def months(actor: User) -> list[Month]:
    """Those of the last twelve months in which something was done, the newest first, for an owner. Three queries."""
    allow(actor, "people")
    found: dict[date, Month] = {}
    since = _since()

    def more(at: datetime, **by: float) -> None:
        day = timezone.localtime(at).date().replace(day=1)
        was = found.get(day, Month(day))
        found[day] = replace(was, **{key: getattr(was, key) + size for key, size in by.items()})

    handed = Step.of(actor.workshop).filter(state="handed_over", undone=False, created_at__gte=since)
    last = handed.order_by("order_id", "-created_at", "id").distinct("order_id")
    for at, promised in last.values_list("created_at", "order__promised_on")[:MOST]:
        more(at, handed_over=1, in_time=int(timezone.localtime(at).date() <= promised))
    timed = Sewn.of(actor.workshop).filter(took__isnull=False, sewn=True, created_at__gte=since)
    for at, operation, took in timed.values_list("created_at", "operation", "took")[:MOST]:
        more(at, usual=usual_minutes(code_of(operation)), taken=took or 0.0)
    cut = Chalking.of(actor.workshop).filter(cut_at__gte=since, rubbed_out_at=None, order__shelf=None, cut_from="main")
    rows = cut.filter(lay_mm__isnull=False, plan_run__plan__yardage__isnull=False).values_list(
        "cut_at", "lay_mm", "plan_run__plan__yardage__length_mm", "order__cloth__unit_of_sale"
    )
    for cut_at, lay_mm, length_mm, unit_of_sale in rows[:MOST]:
        whole = bought(length_mm, actor.workshop.unit, unit_of_sale)
        if cut_at is not None and lay_mm is not None:
            more(cut_at, bought_mm=whole["buy_mm"], used_mm=lay_mm)
    return sorted(found.values(), key=lambda one: one.first, reverse=True)


def _since() -> datetime:
    """The first moment of the first month that is looked at."""
    today = timezone.localdate()
    count = today.year * 12 + today.month - MONTHS
    return timezone.make_aware(datetime.combine(date(count // 12, count % 12 + 1, 1), time.min))
