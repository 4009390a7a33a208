"""Searches for a better lay, queued and stopped."""

from datetime import timedelta
from typing import Any
from uuid import UUID, uuid5

from django.db import transaction
from django.db.models import QuerySet
from django.utils import timezone

from shop.accounts.models import User
from shop.accounts.rights import allow
from shop.accounts.writing import add, check_room, locked, own
from shop.bridge.drafting import check_hand
from shop.errors import ShopError
from shop.plans.models import LayRun, PlanRun
from shop.plans.tasks import AUTO, improve_lay

LONGEST = 600
"""The longest a search may take, in seconds."""
MOST_AT_ONCE, MOST_OF_ALL = 3, 12
"""So many searches of one person, and of all of a workshop, wait or are under way."""
MOST_OF_AN_ORDER = 500
"""So many searches and lays by hand are kept of one order."""
DEAD = timedelta(seconds=5)
"""A search that reported nothing for so long has no worker."""


class BusyError(ShopError):
    """As many searches wait as one person or a workshop may have; the first of them ends by itself in `again_in`."""

    status = 429
    code = "busy"

    def __init__(self, whose: str, again_in: int):
        super().__init__(
            f"{whose} wait or are under way. Stop one on Lay, or wait about {again_in} s until one has ended."
        )
        self.again_in = again_in


def check_room_of_order(actor: User, plan: PlanRun) -> None:
    """Raises FullError where as many searches and lays by hand of the plan's order are kept as there may be."""
    check_room(LayRun.of(actor.workshop).filter(plan_run__order=plan.order_id), MOST_OF_AN_ORDER)


def _check_busy(whose: str, waiting: QuerySet[LayRun], most: int) -> None:
    """Raises BusyError."""
    left = [seconds - gone_ms / 1000 for seconds, gone_ms in waiting.values_list("seconds", "gone_ms")]
    if len(left) >= most:
        raise BusyError(whose, max(1, round(min(left))))


def start_lay_run(
    *,
    actor: User,
    id: UUID,
    plan_run: UUID,
    seconds: int = 10,
    seed: int = 1,
    kind: str = LayRun.SHORTER,
    hand: dict[str, Any] | None = None,
) -> LayRun:
    """Queue a search for a shorter lay, for savings of cloth, or for the rest around pinned pieces; the same id
    again is the same search. Raises CoreRefusal where pieces in `hand` could not be cut as they are placed, BusyError
    where the person has too many already.
    """
    allow(actor, "lays")
    with transaction.atomic():
        User.objects.select_for_update(no_key=True).get(pk=actor.pk)
        plan = locked(PlanRun, actor, plan_run)
        known = LayRun.of(actor.workshop).filter(pk=id).first()
        if known is not None:
            return known
        waiting = LayRun.of(actor.workshop).filter(state__in=(LayRun.QUEUED, LayRun.RUNNING))
        _check_busy(f"{MOST_AT_ONCE} searches of yours", waiting.filter(changed_by=actor, auto=False), MOST_AT_ONCE)
        _check_busy(f"{MOST_OF_ALL} searches of your workshop", waiting.filter(auto=False), MOST_OF_ALL)
        check_room_of_order(actor, plan)
        run = LayRun(
            id=id, workshop=actor.workshop, changed_by=actor, plan_run=plan, seconds=seconds, seed=seed, kind=kind,
            hand=hand,
        )  # fmt: skip
        if hand is not None:
            check_hand(plan.job, hand)
        # Who has many waiting stands behind who has few.
        behind = waiting.filter(auto=False).count()
        add(run)
        waiting.filter(auto=True, state=LayRun.RUNNING).update(gives_way=True)
        improve_lay.configure(priority=-behind).defer(lay_run=str(run.id))
    return run


def begin_by_itself(*, actor: User, plan_run: UUID) -> LayRun | None:
    """The search that is begun once for every plan that is looked at, without anybody's asking; None where its lay was
    searched or moved by hand already, or it has none.
    """
    allow(actor, "lays")
    with transaction.atomic():
        plan = locked(PlanRun, actor, plan_run)
        id = uuid5(plan.id, "auto")
        known = LayRun.of(actor.workshop).filter(pk=id).first()
        others = LayRun.of(actor.workshop).filter(plan_run=plan, kind__in=(LayRun.SHORTER, LayRun.HAND))
        if known is not None or plan.plan["lay"] is None or others.exists():
            return known
        check_room_of_order(actor, plan)
        run = add(LayRun(id=id, workshop=actor.workshop, changed_by=actor, plan_run=plan, auto=True))
        improve_lay.configure(priority=AUTO).defer(lay_run=str(run.id))
    return run


def stop_lay_run(*, actor: User, id: UUID) -> LayRun:
    """Ask a search to end; what it found stays. One that nobody works at any more ends here."""
    allow(actor, "lays")
    run = own(LayRun, actor, id)
    asked = LayRun.of(actor.workshop).filter(pk=run.id)
    asked.update(stop_asked=True)
    asked.filter(state=LayRun.RUNNING, changed_at__lt=timezone.now() - DEAD).update(state=LayRun.STOPPED)
    run.refresh_from_db()
    return run
