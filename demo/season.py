"""The workshop in its season: many orders in all states, made by chance from a seed through the shop's own actions."""

import random
from datetime import date, timedelta
from decimal import Decimal
from typing import Any
from uuid import UUID, uuid4

from django.utils import timezone

from shop.accounts.models import User
from shop.bridge.money import written
from shop.bridge.sewing import usual_minutes
from shop.clients.book import put_client
from shop.clients.queries import sheets
from shop.clients.sheets import add_reading, put_sheet
from shop.cloths.actions import put_cloth
from shop.money.actions import agree, pay, put_prices, put_quote
from shop.money.queries import cost_of, money_of
from shop.orders.actions import put_garment, put_order
from shop.orders.group import put_same
from shop.orders.life import State, note_passed, put_step
from shop.orders.models import Order
from shop.plans.fitting import put_correction
from shop.plans.making import plan_order
from shop.scheduling.actions import put_away, put_client_day
from shop.sewing.actions import tick

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
            "nape_to_waist": (16, 17), "neck": (14, 16),
            "upper_arm": (11, 13), "sleeve_length": (22, 24), "wrist": (6, 7)}  # fmt: skip
ORDERS, CHOIR = 14, 18
"""So many orders of one client each, and the same outfit for so many of a choir."""
PRICES: dict[str, Any] = {
    "currency": "EUR", "rate": "32", "step": "0.50", "tax": "VAT", "tax_percent": "25", "tax_within": True,
    "notions": {
        "zip": "2.80", "invisible-zip": "3.60", "fly-zip": "3.20", "elastic": "1.40", "interfacing": "6.50",
        "hook": "0.60", "button": "0.45", "pocket-stay": "0.90", "waist-stay": "0.90", "neck-stay": "0.90",
    },
}  # fmt: skip
A_YARD = {"viscose": "12.50", "twill": "14.00", "wool": "24.00", "cotton": "9.80"}
"""What a yard of cloth costs."""
DEPOSIT = Decimal(40)
GARMENT, STEPS = "trousers", 6
"""What most orders are of; so many of its steps are sewn by the clock."""
AGREE = 0.7
"""So many of the clients have agreed to be reminded."""


def load_season(owner: User, people: dict[str, User]) -> None:
    """Orders in all states, dated from today: some late, a choir in progress, a fitting agreed, somebody on holiday."""
    r, today = random.Random(SEED), timezone.localdate()  # noqa: S311  # invented orders, no secrets
    put_prices(actor=owner, version=0, **PRICES)
    for k in range(ORDERS):
        title, style, kind, colour = WORKS[k % len(WORKS)]
        state = STATES[k % len(STATES)]
        day = today + timedelta(days=r.randrange(-2, 3) if k < 2 else r.randrange(3, 20))
        order = _order(owner, r, f"{FIRST[k % len(FIRST)]} {LAST[k % len(LAST)]}", title, style, kind, colour, day)
        if state != "asked":
            put_step(actor=owner, id=uuid4(), order=order, state=state)
        if state in ("cut", "sewing"):
            put_client_day(
                actor=owner,
                id=uuid4(),
                version=0,
                order=order,
                kind="fit",
                day=today + timedelta(days=4 if state == "cut" else 1),
                removed=False,
            )
        _money(owner, order, state, k)
        if state == "sewing":
            _sew(people["Ivo"], r, order)
        if state == "finishing":
            put_correction(
                actor=owner, id=uuid4(), version=0, order=order, garment=GARMENT, only=False, sign="seat_tight",
                cure="tip_more", pinned="1/2", side="both", fitted_on=today, reason="seen when she sat down",
            )  # fmt: skip
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


def _sew(sewer: User, r: random.Random, id: UUID) -> None:
    """The first steps of an order, by the clock, until the tape is needed."""
    order = Order.of(sewer.workshop).select_related("client", "sheet", "cloth", "other_cloth").get(pk=id)
    run, at = plan_order(actor=sewer, order=order), timezone.now() - timedelta(hours=5)
    for step in run.plan["sewing"][:STEPS]:
        if step.get("readings"):
            return
        ended = at + timedelta(minutes=usual_minutes(step["code"]) * r.uniform(0.8, 1.4))
        tick(
            actor=sewer, id=uuid4(), order=id, plan_run=run.id, operation=step["id"], began=at, ended=ended
        )  # fmt: skip
        at = ended


def _money(owner: User, id: UUID, state: State, k: int) -> None:
    """What is only asked for has no price yet; the rest is agreed, most have left a deposit, and what is handed over is
    paid.
    """
    if state == "asked":
        return
    order = Order.of(owner.workshop).select_related("client", "sheet", "cloth", "other_cloth").get(pk=id)
    if k % 5 == 1:
        put_quote(
            actor=owner, id=uuid4(), version=0, order=id, extras=[("Express, within a week", "15")], discount="",
            fitting=False,
        )  # fmt: skip
    open_ = money_of(owner, order).open
    total = cost_of(owner, order, open_).total
    agree(actor=owner, id=open_.id if open_ else uuid4(), order=id, total=written(total, "EUR"))
    if k % 4 != 2:
        pay(actor=owner, id=uuid4(), order=id, kind="deposit", way="cash", amount=written(DEPOSIT, "EUR"), paid="0.00")
        if state == "handed_over":
            rest = written(total - DEPOSIT, "EUR")
            pay(
                actor=owner, id=uuid4(), order=id, kind="payment", way="card", amount=rest, paid=written(DEPOSIT, "EUR")
            )


def _name(k: int) -> str:
    return f"{FIRST[-1 - k % len(FIRST)]} {LAST[(k + 3) % len(LAST)]}"


def _client(owner: User, r: random.Random, name: str) -> UUID:
    """Somebody who is measured."""
    client = put_client(
        actor=owner, id=uuid4(), version=0, name=name, phone=f"0555 01 {r.randrange(100, 999)}",
        takes_reminders=r.random() < AGREE,
    )  # fmt: skip
    sheet = put_sheet(actor=owner, id=uuid4(), version=0, client=client.id, taken_on=timezone.localdate(), unit="in")
    for key, (low, high) in MEASURES.items():
        add_reading(actor=owner, id=uuid4(), sheet=sheet.id, key=key, typed=_quarters(r.randrange(low * 4, high * 4)))
    return client.id


def _quarters(count: int) -> str:
    """So many quarters of an inch as one writes them down: `31 3/4`."""
    whole, part = divmod(count, 4)
    return f"{whole} {('', '1/4', '1/2', '3/4')[part]}".strip()


def _order(owner: User, r: random.Random, name: str, title: str, style: str, kind: str, colour: str, day: date) -> UUID:
    client = _client(owner, r, name)
    sheet = sheets(owner, client)[0]
    cloth = put_cloth(
        actor=owner, id=uuid4(), version=0, colour=colour, length="", fold="auto", one_way=False, kind=kind, width="58",
        shrink_percent="3", price=A_YARD[kind],
    )  # fmt: skip
    order = put_order(
        actor=owner, id=uuid4(), version=0, client=client, sheet=sheet.id, cloth=cloth.id, title=title, promised_on=day
    )
    name = "top" if style.endswith("top") else GARMENT
    put_garment(actor=owner, id=uuid4(), version=0, order=order.id, name=name, style=style, method="", choices={})
    for station in ("measure", "design", "cloth", "lay"):
        note_passed(actor=owner, order=order.id, station=station)
    return order.id
