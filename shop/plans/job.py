"""An order as a job file: what the core makes a plan of."""

import hashlib
import json
from collections.abc import Sequence
from typing import Any
from uuid import UUID

from django.utils.text import slugify

from shop.accounts.models import User
from shop.accounts.writing import own
from shop.bridge.drafting import CORE_VERSION, job_garment, needs_of
from shop.bridge.fitting import house_correction, job_corrections
from shop.bridge.patterns import pattern_part
from shop.clients.corrections import corrections_of
from shop.clients.house_corrections import house_corrections
from shop.clients.models import Correction, HouseCorrection, Sheet
from shop.clients.queries import measures
from shop.cloths.actions import FIELDS, job_part
from shop.cloths.models import Cloth
from shop.orders.models import Order
from shop.orders.whole import WholeOrder, whole_order


def job_of(actor: User, order: Order, cut_from: str = "main") -> dict[str, Any]:
    """The order as a job file, without the client's name; `cut_from` says for which of its cloths."""
    return job_from(actor, whole_order(actor, order), cut_from)


def job_from(actor: User, whole: WholeOrder, cut_from: str = "main") -> dict[str, Any]:
    """The same of an order that was read whole."""
    order, second = whole.order, whole.other_cloth
    other = {"other_cloth": _cloth(second)} if second else {}
    return {
        "format": "plavet-job",
        "version": 1,
        "unit": actor.workshop.unit,
        "measurements": measures(whole.readings),
        "garments": [
            job_garment(garment.name, garment.style, garment.method, garment.choices, order.sheet.waist)
            for garment in whole.garments
        ],
        **_patterns(whole), **_corrections(whole),
        "cloth": _cloth(order.cloth), **other, **({"cut_from": cut_from} if cut_from != "main" else {}),
    }  # fmt: skip


def _patterns(whole: WholeOrder) -> dict[str, Any]:
    """The order's house patterns; nothing where it has none, so that its job is what it was."""
    taken = {garment.name for garment in whole.garments}
    parts = []
    for one in whole.patterns:
        name = first = slugify(one.name)[:30].strip("-") or "pattern"
        number = 2
        while name in taken:
            name, number = f"{first}-{number}", number + 1
        taken.add(name)
        parts.append(pattern_part(name, one.pieces))
    return {"patterns": parts} if parts else {}


def _corrections(whole: WholeOrder) -> dict[str, Any]:
    """What holds of the client's fittings and the house's; nothing where there were none, so that the job is what it
    was.
    """
    found = _in_a_job(whole.corrections, whole.house)
    return {"corrections": found} if found else {}


def corrections_of_sheet(actor: User, sheet: UUID) -> list[dict[str, str]]:
    """What holds for every draft of a sheet's client, as a job has it."""
    client = own(Sheet, actor, sheet).client_id
    fitted = [one for one in corrections_of(actor, [client])[client] if not one.only]
    return _in_a_job(fitted, list(house_corrections(actor)))


def _in_a_job(rows: Sequence[Correction], house: Sequence[HouseCorrection]) -> list[dict[str, str]]:
    """The client's own, and the house's of what the client has none of."""
    own = {(one.kind, change["choice"]) for one in rows if one.side == "both" for change in one.changes}
    return [
        *(
            house_correction(one.kind, one.method, one.choice, one.by, one.found, one.fittings) for one in house
            if (one.kind, one.choice) not in own
        ),
        *(
            part for one in rows
            for part in job_corrections(
                one.kind, one.changes, one.fitted_on.isoformat(), one.garment if one.only else "", one.side
            )
        ),
    ]  # fmt: skip


def needs_of_order(actor: User, whole: WholeOrder) -> list[str]:
    """What has to be measured for the garments of an order as they are chosen."""
    job = job_from(actor, whole)
    return needs_of(job["garments"], job["unit"], job["measurements"])


def _cloth(cloth: Cloth) -> dict[str, Any]:
    return job_part({key: getattr(cloth, key) for key in FIELDS})


def hash_of(job: dict[str, Any]) -> str:
    """What a plan is stored under: the job as it stands, by this core."""
    return hashlib.sha256(json.dumps([CORE_VERSION, job], sort_keys=True).encode()).hexdigest()


def outfit_id(order: Order) -> str:
    """What an order is called on a cloth that several are cut from."""
    return order.id.hex[:12]
