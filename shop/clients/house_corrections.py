"""What recurs at the fittings, made a rule of the house: by the owner, from what was counted, and dropped again."""

from uuid import UUID

from django.db import transaction
from django.db.models import QuerySet

from shop.accounts.models import User, Workshop
from shop.accounts.rights import allow
from shop.accounts.writing import locked, put_row
from shop.bridge.fitting import as_marked_text
from shop.clients.corrections import recurring_corrections
from shop.clients.models import HouseCorrection
from shop.errors import ShopError


class NotRecurringError(ShopError):
    """Nothing that is found again and again."""

    status = 404
    code = "not_recurring"


class BothWaysError(ShopError):
    """What recurs comes to nothing in the middle: no draft can be corrected by that."""

    status = 409
    code = "both_ways"


class RuleHeldError(ShopError):
    """There is a rule of it already."""

    status = 409
    code = "rule_held"


def house_corrections(actor: User) -> QuerySet[HouseCorrection]:
    """Those that hold, the oldest first."""
    return HouseCorrection.of(actor.workshop).filter(removed=False).order_by("created_at", "id")


def keep_recurring(*, actor: User, id: UUID, kind: str, method: str, choice: str) -> HouseCorrection:
    """Make what recurs a rule of the house, by its middle as a tape is marked; the same id again is the same rule.
    Raises NotRecurringError, BothWaysError, RuleHeldError.
    """
    allow(actor, "workshop")
    rows = HouseCorrection.of(actor.workshop)
    with transaction.atomic():
        # One at a time: two owners who press at once make one rule, and the second is answered in words.
        Workshop.objects.select_for_update(no_key=True).get(pk=actor.workshop_id)
        kept = rows.filter(pk=id).first()
        if kept is not None:
            return kept
        of = (
            one for one in recurring_corrections(actor) if (one.kind, one.method, one.choice) == (kind, method, choice)
        )
        found = next(of, None)
        if found is None:
            raise NotRecurringError("This is not found again and again now. Read the page again.")
        by = as_marked_text(found.middle, actor.workshop.unit)
        if float(by) == 0:
            raise BothWaysError(
                "These fittings go both ways: their middle is nothing. Keep corrections client by client."
            )
        if house_corrections(actor).filter(kind=kind, method=method, choice=choice).exists():
            raise RuleHeldError("There is a house rule of this already. Drop that one first.")
        return put_row(
            HouseCorrection, actor=actor, id=id, version=0, kind=kind, method=method, choice=choice,
            by=by, found=found.found, fittings=found.fittings, removed=False,
        )  # fmt: skip


def drop_rule(*, actor: User, id: UUID) -> None:
    """The rule holds no more: drafts are what they were without it."""
    allow(actor, "workshop")
    with transaction.atomic():
        row = locked(HouseCorrection, actor, id)
        put_row(HouseCorrection, actor=actor, id=id, version=row.version, removed=True)
