"""Writes about cloth."""

from typing import Any
from uuid import UUID

from shop.accounts.models import User
from shop.accounts.rights import allow
from shop.accounts.writing import put_row, unit_for_writing
from shop.bridge.drafting import check_part
from shop.cloths.models import Cloth, ShelfCloth

BUYING = ("selvedge", "trim", "spare", "repeat", "unit_of_sale", "price")
FIELDS = (
    "kind", "width", "length", "fold", "sections", "one_way", "shrink_percent", "stretch_percent", "thickness",
    "pleated", *BUYING,
)  # fmt: skip
LATER = {"stretch_percent": "", "thickness": "usual", "pleated": False} | dict.fromkeys(BUYING, "")
"""What a cloth has where nobody said it."""
SHELF = ("colour", *(key for key in FIELDS if key not in ("fold", "sections")))
"""What goes with a cloth from the shelf to an order."""


def job_part(fields: dict[str, Any]) -> dict[str, Any]:
    """A cloth as a job file has it."""
    part = {key: fields[key] for key in FIELDS}
    for key in ("length", *BUYING):
        part[key] = part[key] or None
    for key in ("shrink_percent", "stretch_percent"):
        part[key] = part[key] or 0
    return part


def put_cloth(*, actor: User, id: UUID, version: int, **fields: Any) -> Cloth:
    """Make or change a cloth. Raises CoreRefusal where a number cannot be a cloth's."""
    allow(actor, "orders")
    fields = LATER | {"sections": {}} | fields
    check_part(unit_for_writing(actor.workshop), cloth=job_part(fields))
    return put_row(Cloth, actor=actor, id=id, version=version, **fields)


def put_shelf_cloth(*, actor: User, id: UUID, version: int, name: str, form: str, **fields: Any) -> ShelfCloth:
    """Put a cloth on the shelf, change it, or take it off. Raises CoreRefusal where a number cannot be a cloth's."""
    allow(actor, "orders")
    removed = fields.pop("removed", False)
    fields = LATER | fields
    check_part(unit_for_writing(actor.workshop), cloth=job_part(fields | {"fold": "auto", "sections": {}}))
    return put_row(
        ShelfCloth, actor=actor, id=id, version=version, name=name, form=form, removed=removed, **fields
    )  # fmt: skip
