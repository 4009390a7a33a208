"""The workshop in its season: many orders in all states, made by chance from a seed through the shop's own actions."""

import random
from datetime import date, timedelta
from uuid import UUID, uuid4

from django.utils import timezone

from shop.accounts.models import User
from shop.clients.book import put_client
from shop.clients.queries import sheets
from shop.clients.sheets import add_reading, put_sheet
from shop.cloths.actions import put_cloth
from shop.orders.actions import put_garment, put_order
from shop.orders.group import put_same
from shop.orders.life import State, note_passed, put_step
from shop.scheduling.actions import put_away, put_client_day

SEED = 7
FIRST = ("Aino", "Brage", "Cille", "Dagny", "Eskil", "Frida", "Gaute", "Hulda", "Ingvar", "Jorunn", "Kaspar", "Liv")
LAST = ("Sundal", "Marsk", "Torvund", "Kjelde", "Havnes", "Brattli", "Ness", "Ulvik")
WORKS = (
    ("Choir, spring concert", "palazzo", "viscose", "#6B3F57"),
    ("Ferry crew, winter trousers", "straight-trousers", "twill", "#2E3440"),
    ("Brass band, march trousers", "straight-trousers", "wool", "#7B2D3B"),
    ("Ferry crew, summer shorts", "knee-shorts", "cotton", "#35506B"),
    ("Choir, summer top", "straight-top", "cotton", "#23556B"),
)  # fmt: skip
STATES: tuple[State, ...] = (
    "asked",
    "agreed",
    "measured",
    "measured",
    "cut",
    "sewing",
    "sewing",
    "finishing",
    "ready",
    "handed_over",
)
CHOIR_STATES: tuple[State, ...] = ("measured", "cut", "sewing")
MEASURES = {"waist": (28, 36), "hip": (38, 44), "thigh": (23, 26), "knee": (15, 17), "outseam": (39, 42),
            "inseam": (29, 32), "body_rise": (10, 11), "bust": (36, 42), "shoulder": (15, 17),
            "nape_to_waist": (16, 17), "neck": (14, 16)}  # fmt: skip
ORDERS, CHOIR = 14, 12
"""So many orders of one client each, and the same outfit for so many of a choir."""


def load_season(owner: User, people: dict[str, User]) -> None:
    """Orders in all states, dated from today: some late, a choir in progress, a fitting agreed, somebody on holiday."""
    r, today = random.Random(SEED), timezone.localdate()  # noqa: S311
    for k in range(ORDERS):
        title, style, kind, colour = WORKS[k % len(WORKS)]
        state = STATES[k % len(STATES)]
        day = today + timedelta(days=r.randrange(-2, 3) if k < 2 else r.randrange(3, 20))
        order = _order(owner, r, f"{FIRST[k % len(FIRST)]} {LAST[k % len(LAST)]}", title, style, kind, colour, day)
        if state != "asked":
            put_step(actor=owner, id=uuid4(), order=order, state=state)
        if state == "cut":
            put_client_day(
                actor=owner,
                id=uuid4(),
                version=0,
                order=order,
                kind="fit",
                day=today + timedelta(days=4),
                removed=False,
            )
    first = _order(
        owner, r, _name(0), "Harbour choir, midsummer", "palazzo", "viscose", "#3F5F4F", today + timedelta(12)
    )
    choir = [first]
    for k in range(1, CHOIR):
        client = _client(owner, r, _name(k))
        choir.append(put_same(actor=owner, id=uuid4(), of=first, client=client).id)
    for k, order in enumerate(choir):
        put_step(actor=owner, id=uuid4(), order=order, state=CHOIR_STATES[k % len(CHOIR_STATES)])
    put_away(
        actor=owner, id=uuid4(), version=0, person=people["Sanna"].id, first=today + timedelta(days=2),
        last=today + timedelta(days=3), reason="on holiday", removed=False,
    )  # fmt: skip


def _name(k: int) -> str:
    return f"{FIRST[-1 - k % len(FIRST)]} {LAST[(k + 3) % len(LAST)]}"


def _client(owner: User, r: random.Random, name: str) -> UUID:
    """Somebody who is measured."""
    client = put_client(actor=owner, id=uuid4(), version=0, name=name)
    sheet = put_sheet(actor=owner, id=uuid4(), version=0, client=client.id, taken_on=timezone.localdate(), unit="in")
    for key, (low, high) in MEASURES.items():
        add_reading(actor=owner, id=uuid4(), sheet=sheet.id, key=key, typed=str(r.randrange(low * 4, high * 4) / 4))
    return client.id


def _order(owner: User, r: random.Random, name: str, title: str, style: str, kind: str, colour: str, day: date) -> UUID:
    client = _client(owner, r, name)
    sheet = sheets(owner, client)[0]
    cloth = put_cloth(
        actor=owner, id=uuid4(), version=0, colour=colour, length="", fold="auto", one_way=False, kind=kind, width="58",
        shrink_percent="3",
    )  # fmt: skip
    order = put_order(
        actor=owner, id=uuid4(), version=0, client=client, sheet=sheet.id, cloth=cloth.id, title=title, promised_on=day
    )
    name = "top" if style.endswith("top") else "trousers"
    put_garment(actor=owner, id=uuid4(), version=0, order=order.id, name=name, style=style, method="", choices={})
    for station in ("measure", "design", "cloth", "lay"):
        note_passed(actor=owner, order=order.id, station=station)
    return order.id
