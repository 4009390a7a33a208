"""Loads the invented workshop through the same actions the pages use."""

from datetime import date, timedelta
from typing import Any
from uuid import uuid4

from django.db import transaction
from django.utils import timezone

from demo import people
from demo.season import load_season
from shop.accounts.models import User, Workshop
from shop.bridge.hours import USUAL
from shop.clients.book import put_client
from shop.clients.models import Client, Sheet
from shop.clients.sheets import add_reading, close_sheet, put_sheet
from shop.cloths.actions import put_cloth, put_shelf_cloth
from shop.orders.actions import put_garment, put_order
from shop.orders.life import MEASURED, note_passed
from shop.scheduling.actions import put_hours


@transaction.atomic
def load(season: bool = False) -> Workshop:
    """The demo workshop, in its `season` with many orders more; made at the first call, found at the next."""
    owner = User.objects.filter(username=people.OWNER_NAME).select_related("workshop").first()
    if owner:
        return owner.workshop
    workshop = Workshop.objects.create(name=people.WORKSHOP_NAME, unit="in")
    owner = User(username=people.OWNER_NAME, first_name="Ebba", workshop=workshop)
    owner.set_password(people.OWNER_PASSWORD)
    owner.save()
    team = {one["name"]: _works(owner, **one) for one in people.TEAM}
    for order in people.ORDERS:
        _order(owner, order)
    for cloth in people.SHELF:
        put_shelf_cloth(actor=owner, id=uuid4(), version=0, one_way=False, **cloth)
    if season:
        load_season(owner, team)
    return workshop


def _works(owner: User, name: str, role: str, skills: list[str], week: Any = USUAL) -> User:
    one = User(username=f"{name.lower()}-of-{owner.username}", first_name=name, role=role, workshop=owner.workshop)
    one.set_unusable_password()
    one.save()
    put_hours(actor=owner, person=one.id, version=0, skills=skills, week=week)
    return one


def _sheet(owner: User, client: Client, day: date, measures: dict[str, str]) -> Sheet:
    sheet = put_sheet(actor=owner, id=uuid4(), version=0, client=client.id, taken_on=day, unit="in")
    for key, typed in measures.items():
        add_reading(actor=owner, id=uuid4(), sheet=sheet.id, key=key, typed=typed)
    return sheet


def _order(owner: User, asked: dict[str, Any]) -> None:
    today = timezone.localdate()
    client = put_client(actor=owner, id=uuid4(), version=0, name=asked["client"], **asked.get("card", {}))
    if before := asked.get("before"):
        old = _sheet(owner, client, today - timedelta(days=before["days"]), before["measures"])
        close_sheet(actor=owner, id=old.id)
    sheet = _sheet(owner, client, today, asked["measures"])
    cloth = put_cloth(
        actor=owner,
        id=uuid4(),
        version=0,
        colour=asked["colour"],
        length="",
        fold="auto",
        one_way=False,
        **asked["cloth"],
    )
    order = put_order(
        actor=owner, id=uuid4(), version=0, client=client.id, sheet=sheet.id, cloth=cloth.id, title=asked["title"],
        promised_on=today + timedelta(days=asked["days"]),
    )  # fmt: skip
    for garment in asked["garments"]:
        put_garment(actor=owner, id=uuid4(), version=0, order=order.id, method="", **garment)
    # Design and cloth were chosen when it was asked; those that are measured wait to be chalked.
    for station in ("measure", "design", "cloth", "lay") if len(asked["measures"]) >= MEASURED else ():
        note_passed(actor=owner, order=order.id, station=station)
