"""A workshop's lengths written out when its unit changes: what was typed as 45 stays 45 in."""

from collections.abc import Callable, Iterator
from typing import Any
from uuid import UUID

from django.db import transaction
from django.db.models import F

from shop.accounts.models import Workshop, WorkshopRow
from shop.bridge.house import LENGTHS, choices_in, length_in, price_from
from shop.cloths.models import Cloth, ShelfCloth
from shop.orders.models import Cut, Garment, HouseRule

AT_ONCE = 500
"""So many rows are read and written at once."""


def write_out(workshop: UUID) -> None:
    """Give every bare length of the workshop its unit, turn the price of a yard or a metre, then the unit."""
    with transaction.atomic():
        row = Workshop.objects.select_for_update(no_key=True).filter(pk=workshop).first()
        if row is None or not row.turning_to:
            return
        unit = row.unit

        def written(text: str) -> str:
            return length_in(text, unit)

        for model in (Cloth, ShelfCloth):
            _rewrite(model, row, dict.fromkeys(LENGTHS, written) | {"price": lambda price: price_from(price, unit)})
        _rewrite(Cut, row, {"was": written, "left": written})
        for choosing in (Garment, HouseRule):
            _rewrite(choosing, row, {"choices": lambda choices: choices_in(choices, unit)})
        row.allowances = {
            kind: {edge: written(text) for edge, text in given.items()} for kind, given in row.allowances.items()
        }
        row.unit, row.turning_to = row.turning_to, ""
        row.save(update_fields=["unit", "turning_to", "allowances"])


def _rewrite(model: type[WorkshopRow], workshop: Workshop, fields: dict[str, Callable[[Any], Any]]) -> None:
    """Each field by its own rule, so many rows at once; the version of one that changes grows, so that an older page is
    asked.
    """
    for rows in _in_parts(model, workshop):
        changed = []
        for row in rows:
            now = {field: anew(getattr(row, field)) for field, anew in fields.items()}
            if any(getattr(row, field) != value for field, value in now.items()):
                for field, value in now.items():
                    setattr(row, field, value)
                row.version = F("version") + 1
                changed.append(row)
        model.of(workshop).bulk_update(changed, [*fields, "version"], batch_size=AT_ONCE)


def _in_parts(model: type[WorkshopRow], workshop: Workshop) -> Iterator[list[Any]]:
    last = UUID(int=0)
    while rows := list(model.of(workshop).select_for_update(no_key=True).filter(pk__gt=last).order_by("pk")[:AT_ONCE]):
        yield rows
        last = rows[-1].pk
