"""How fast the bench, the week and the money answer with 5,000 old orders behind sixty open ones, and how fast a price
is found before anybody is measured. Nothing is asserted; the workshop is rolled back afterwards.
"""

import time
from datetime import timedelta
from statistics import median
from typing import Any
from uuid import uuid4

OPEN, OLD, TIMES = 60, 5_000, 9
Row = tuple[str, float, str, float | None]


def bench_times() -> list[Row]:
    """Rows of the benchmark: each page's answer, and how often it asks the database."""
    import django

    django.setup()
    from django.db import connection, transaction
    from django.test import Client as Browser
    from django.test.utils import CaptureQueriesContext

    class Over(Exception):
        pass

    rows: list[Row] = []
    try:
        with transaction.atomic():
            owner = _workshop()
            with connection.cursor() as cursor:
                # As the database does by itself after so many new rows.
                cursor.execute("analyze")
            browser = Browser(SERVER_NAME="127.0.0.1")
            browser.force_login(owner, backend="django.contrib.auth.backends.ModelBackend")
            for name, path, goal in (
                ("bench behind 5,000 old orders", "/api/orders", 1000),
                ("when sixty orders are ready", "/api/ends", 1000),
                ("week of sixty orders", "/api/week", 100),
                ("open money behind 5,000 old orders", "/api/money", 100),
                ("reminders behind 5,000 old orders", "/api/reminders", 100),
            ):
                browser.get(path)
                with CaptureQueriesContext(connection) as queries:
                    assert browser.get(path).status_code == 200
                asked = len(queries)  # the requests that follow forget them
                rows += [(name, _ms(lambda path=path: browser.get(path)), "ms", goal)]
                rows += [(f"  asked of the database, {path}", asked, "", None)]
            rows += _quick(browser)
            raise Over
    except Over:
        pass
    return rows


def _ms(work: Any) -> float:
    runs = []
    for _ in range(TIMES):
        start = time.perf_counter()
        work()
        runs.append(1000 * (time.perf_counter() - start))
    return median(runs)


def _quick(browser: Any) -> list[Row]:
    """The first price of a jumpsuit of a size, and the same with another price of the cloth."""
    from shop.bridge.quick import forget

    body = {"styles": ["jumpsuit"], "hip": "41 in", "width": "58 in", "cloth_price": "14"}

    def ask() -> None:
        assert browser.post("/api/quick-prices", body, content_type="application/json").status_code == 200

    cold = []
    for _ in range(3):
        forget()
        start = time.perf_counter()
        ask()
        cold.append(1000 * (time.perf_counter() - start))
    return [
        ("a quick price of a jumpsuit, the first", median(cold), "ms", 1000),
        ("a quick price, another price of cloth", _ms(ask), "ms", 100),
    ]


def _workshop() -> Any:
    """An owner with sixty open orders, and 5,000 that were handed over, agreed and paid."""
    from django.utils import timezone

    from shop.accounts.models import User, Workshop
    from shop.clients.models import Client, Sheet
    from shop.cloths.models import Cloth
    from shop.money.models import Payment, Quote
    from shop.orders.models import Garment, Order, Step

    today = timezone.localdate()
    workshop = Workshop.objects.create(name="Many orders", currency="EUR")
    owner = User.objects.create(username=f"many-{uuid4().hex[:8]}", workshop=workshop)
    own: dict[str, Any] = {"workshop": workshop, "changed_by": owner}
    client = Client(name="One", **own)
    client.save(force_insert=True)
    sheet = Sheet(client=client, taken_on=today, unit="in", **own)
    sheet.save(force_insert=True)
    cloth = Cloth(kind="wool", colour="#202020", width="58", fold="auto", **own)
    cloth.save(force_insert=True)
    orders = Order._base_manager.bulk_create(
        Order(
            client=client, sheet=sheet, cloth=cloth, title=f"Order {k}",
            promised_on=today + timedelta(days=k % 20 if k < OPEN else -k // 20), **own,
        ) for k in range(OPEN + OLD)
    )  # fmt: skip
    Garment._base_manager.bulk_create(
        Garment(order=one, name="trousers", style="straight-trousers", method="quarter-hip", **own) for one in orders
    )
    old = orders[OPEN:]
    Step._base_manager.bulk_create(Step(order=one, state="handed_over", **own) for one in old)
    Quote._base_manager.bulk_create(
        Quote(order=one, agreed_at=timezone.now(), total=100, currency="EUR", **own) for one in old
    )
    Payment._base_manager.bulk_create(
        Payment(
            order=one, kind="payment", way="cash", amount=100, currency="EUR", day=today, year=2000, number=k, **own
        ) for k, one in enumerate(old)
    )  # fmt: skip
    return owner
