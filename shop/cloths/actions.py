"""Writes about cloth."""

from typing import Any
from uuid import UUID

from shop.accounts.models import User
from shop.accounts.rights import allow
from shop.accounts.writing import put_row
from shop.bridge.drafting import check_part
from shop.cloths.models import Cloth

FIELDS = ("kind", "width", "length", "fold", "one_way", "shrink_percent", "stretch_percent", "thickness", "pleated")


def job_part(fields: dict[str, Any]) -> dict[str, Any]:
    """A cloth as a job file has it."""
    part = {key: fields[key] for key in FIELDS}
    part["length"] = part["length"] or None
    for key in ("shrink_percent", "stretch_percent"):
        part[key] = part[key] or 0
    return part


def put_cloth(*, actor: User, id: UUID, version: int, **fields: Any) -> Cloth:
    """Make or change a cloth. Raises CoreRefusal where a number cannot be a cloth's."""
    allow(actor, "orders")
    fields = {"stretch_percent": "", "thickness": "usual", "pleated": False} | fields
    check_part(actor.workshop.unit, cloth=job_part(fields))
    return put_row(Cloth, actor=actor, id=id, version=version, **fields)
