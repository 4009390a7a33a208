"""Ticking what is chalked, rubbing it out, and confirming that it is cut."""

from uuid import UUID, uuid4, uuid5

from django.db import transaction
from django.utils import timezone

from shop.accounts.models import User
from shop.accounts.rights import allow
from shop.accounts.writing import add, check_room, locked, own, unit_for_writing
from shop.bridge.controls import NOT_CUT_MM
from shop.bridge.measuring import read_tape
from shop.bridge.stock import length_text
from shop.chalk.models import Chalking, TapeReading, Tick
from shop.chalk.queries import control_tapes, not_to_be_cut, open_chalking
from shop.errors import ShopError
from shop.orders.models import Order
from shop.orders.queries import cut_for
from shop.orders.shelf import cut
from shop.plans.models import PlanRun
from shop.plans.queries import as_it_was, best

MOST_TICKS = 5_000
"""So many ticks, and so many control tapes, of one chalked cloth are kept."""


class ChalkError(ShopError):
    """What cannot be ticked, rubbed out or cut."""

    code = "chalk"


class MovedError(ShopError):
    """The page shows another plan than the one that is chalked, or that would be."""

    status = 409
    code = "moved"


def tick(
    *,
    actor: User,
    id: UUID,
    order: UUID,
    plan_run: UUID,
    stamp: str,
    call: int,
    cut_from: str = "main",
    chalked: bool = True,
    waited: bool = False,
) -> Chalking:
    """Note that a call was chalked, or with `chalked` False that it was rubbed out; the same id again is the same tick.

    The first tick of a cloth freezes the plan: `plan_run` and `stamp` say which one the page shows. One that `waited`
    for the line freezes it as the page had it: the chalk is on the cloth. Raises MovedError where it is another than
    the one that is chalked or would be, ChalkError where it is cut or has no such call.
    """
    allow(actor, "chalk")
    with transaction.atomic():
        row = locked(Order, actor, order)
        known = Tick.of(actor.workshop).filter(pk=id, chalking__order=row).select_related("chalking").first()
        if known is not None:
            return known.chalking
        chalking = open_chalking(actor, row.id, cut_from) or _begin(actor, row, cut_from, plan_run, stamp, waited)
        if (chalking.plan_run_id, chalking.stamp) != (plan_run, stamp):
            raise MovedError("This cloth is chalked by another plan than this page shows. Here is that plan.")
        if chalking.cut_at is not None:
            raise ChalkError("It is cut: its chalk stays as it is.")
        if not 1 <= call <= chalking.calls:
            raise ChalkError("This plan has no such call. Read the page again.")
        check_room(Tick.of(actor.workshop).filter(chalking=chalking), MOST_TICKS)
        add(Tick(id=id, workshop=actor.workshop, changed_by=actor, chalking=chalking, call=call, chalked=chalked))
    return chalking


def _begin(actor: User, order: Order, cut_from: str, plan_run: UUID, stamp: str, waited: bool) -> Chalking:
    """Freeze the plan that the page shows."""
    run = own(PlanRun, actor, plan_run)
    found, of = best(actor.workshop, run), "main" if cut_from == "all" else cut_from
    if waited and found.stamp != stamp:
        found = as_it_was(actor, run, stamp) or found
    if run.order_id != order.id or run.job.get("cut_from", "main") != of or found.stamp != stamp:
        raise MovedError("The lay changed since this page was read. Here it is anew: look, then chalk.")
    lay = found.plan["lay"]
    made = add(Chalking(
        id=uuid4(), workshop=actor.workshop, changed_by=actor, order=order, cut_from=cut_from, plan_run=run,
        plan=found.plan, stamp=stamp, lay_mm=lay and lay["length_mm"], calls=len(found.plan["marks"]),
    ))  # fmt: skip
    PlanRun.of(actor.workshop).filter(pk=run.pk).update(held=True)
    return made


def rub_out(*, actor: User, chalking: UUID) -> Chalking:
    """Begin anew by the order as it stands: the ticks are kept with the plan they were made by. Raises ChalkError where
    it is cut.
    """
    allow(actor, "chalk")
    with transaction.atomic():
        row = locked(Chalking, actor, chalking)
        if row.cut_at is not None:
            raise ChalkError("It is cut: what is cut cannot be rubbed out.")
        if row.rubbed_out_at is None:
            row.rubbed_out_at, row.version = timezone.now(), row.version + 1
            row.save(update_fields=["rubbed_out_at", "version", "changed_at"])
    return row


def read_control_tape(
    *, actor: User, id: UUID, chalking: UUID, garment: str, panel: str, tape: int, typed: str
) -> Chalking:
    """Note what a control tape of a piece read; nothing typed means as it was called. The same id again is the same
    reading. Raises CoreRefusal for what is no length, ChalkError where there is no such tape or it is cut.
    """
    allow(actor, "chalk")
    with transaction.atomic():
        row = locked(Chalking, actor, chalking)
        if TapeReading.of(actor.workshop).filter(pk=id, chalking=row).exists():
            return row
        if row.cut_at is not None or row.rubbed_out_at is not None:
            raise ChalkError("It is cut or rubbed out: there is nothing left to measure again.")
        made, _ = control_tapes(row, garment, panel)
        if tape >= len(made):
            raise ChalkError("This piece has no such control tape. Read the page again.")
        called = made[tape].mm
        mm = read_tape(typed, unit_for_writing(actor.workshop)) if typed else called
        check_room(TapeReading.of(actor.workshop).filter(chalking=row), MOST_TICKS)
        add(TapeReading(
            id=id, workshop=actor.workshop, changed_by=actor, chalking=row, garment=garment, panel=panel, tape=tape,
            typed=typed, mm=mm, off_mm=mm - called,
        ))  # fmt: skip
    return row


def cut_it(*, actor: User, chalking: UUID) -> Chalking:
    """Confirm that it is cut, by whom and when; the same again changes nothing. What it takes comes off the cloth of
    the shelf that is kept for the order. Raises ChalkError where it was rubbed out or its control tapes do not agree,
    ShelfError where there is not so much.
    """
    allow(actor, "cut")
    with transaction.atomic():
        row = locked(Chalking, actor, chalking)
        if row.rubbed_out_at is not None:
            raise ChalkError("Its chalk was rubbed out. Chalk it by the plan as it stands, then cut.")
        wrong = not_to_be_cut(actor, row) if row.cut_at is None else []
        if wrong:
            raise ChalkError(
                f"Control tapes are off by more than {length_text(NOT_CUT_MM, actor.workshop.unit)} on: "
                f"{', '.join(wrong)}. Mend the mark that is named there, and read them again."
            )
        if row.cut_at is None:
            order = own(Order, actor, row.order_id)
            if order.shelf_id is not None and row.cut_from != "other" and cut_for(actor, order.id) is None:
                needs = row.plan["yardage"]["length_mm"]
                cut(actor=actor, id=uuid5(row.id, "cut"), order=order.id, length_mm=needs)
            row.cut_at, row.cut_by, row.version = timezone.now(), actor, row.version + 1
            row.save(update_fields=["cut_at", "cut_by", "version", "changed_at"])
    return row
