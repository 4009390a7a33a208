"""It is Monday in these tests, with the demo's orders on the bench."""

from datetime import date, datetime, timedelta

import pytest
from django.utils import timezone

from shop.orders.models import Order

MONDAY = datetime(2026, 11, 30, 7, 0, tzinfo=timezone.get_default_timezone())


@pytest.fixture(autouse=True)
def _monday(monkeypatch):
    """It is early on a Monday, and every order is promised for some days later."""
    real, began = timezone.now, timezone.now()
    monkeypatch.setattr(timezone, "now", lambda: MONDAY + (real() - began))


@pytest.fixture
def orders(owner):
    """The orders of the bench, promised from Wednesday on."""
    ids = [one["id"] for one in owner.get("/orders")]
    for k, id in enumerate(ids):
        Order._base_manager.filter(pk=id).update(promised_on=date(2026, 12, 2) + timedelta(days=k))
    return ids


@pytest.fixture
def person(owner):
    """The id of somebody by their name."""
    return {one["name"]: one["person"] for one in owner.get("/hours")["people"]}
