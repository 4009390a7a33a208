"""Old plans go in the night; what somebody worked by, and the newest of what waits, stays."""

from datetime import timedelta

import pytest
from django.utils import timezone

from shop.accounts.models import User
from shop.orders.models import Order, Step
from shop.plans.models import LayRun, PlanRun, Plot
from shop.plans.pruning import prune

NOW = timezone.now()


@pytest.fixture
def planned(owner):
    """Puts a plan of an order there as it was made so many days ago; nothing of it is read."""
    user = User.objects.get(username="ebba")
    orders = list(Order._base_manager.filter(workshop=user.workshop).order_by("promised_on")[:3])

    def put(of=0, days=40, cut_from="main", **more):
        number = PlanRun._base_manager.count()
        job = {"number": number} | ({"cut_from": cut_from} if cut_from != "main" else {})
        made = PlanRun._base_manager.create(
            workshop=user.workshop, changed_by=user, order=orders[of], job_hash=f"{number}", job=job, plan={}, **more
        )
        PlanRun._base_manager.filter(pk=made.pk).update(created_at=NOW - timedelta(days=days))
        return made

    PlanRun._base_manager.all().delete()
    return put, orders, user


def there():
    return set(PlanRun._base_manager.values_list("pk", flat=True))


def test_of_what_waits_the_newest_and_what_was_worked_by_stay(planned):
    put, _, user = planned
    row = {"workshop": user.workshop, "changed_by": user}
    stays = [
        put(days=41, held=True),
        put(days=42, link="1e0c1a2e-0000-4000-8000-000000000001", link_ends=NOW + timedelta(days=1)),
        by_hand := put(days=43),
        plotted := put(days=44),
        put(days=31),  # the newest of the order
        put(days=50, cut_from="other"),  # the newest of its other cloth
        put(days=51, others=["5"]),  # and of what is cut together
        put(1, days=300),  # of another order the only one
        put(2, days=29),
        put(2, days=1),
    ]
    LayRun._base_manager.create(plan_run=by_hand, kind=LayRun.HAND, **row)
    Plot._base_manager.create(plan_run=plotted, **row)
    goes = [
        searched := put(days=45),
        put(days=46, link="1e0c1a2e-0000-4000-8000-000000000002", link_ends=NOW - timedelta(days=1)),
        put(days=60, cut_from="other"),
        put(2, days=31),
    ]
    LayRun._base_manager.create(plan_run=searched, auto=True, **row)
    assert prune(NOW) == len(goes)
    assert there() == {one.pk for one in stays}
    assert prune(NOW) == 0
    assert LayRun._base_manager.count() == 1


def test_when_an_order_has_left_the_bench_a_month_ago_only_what_was_chalked_stays(planned):
    put, orders, user = planned
    chalked, moved = put(held=True), put()
    LayRun._base_manager.create(plan_run=moved, kind=LayRun.HAND, workshop=user.workshop, changed_by=user)
    step = Step._base_manager.create(workshop=user.workshop, changed_by=user, order=orders[0], state="handed_over")
    assert prune(NOW) == 0, "it was handed over just now"
    Step._base_manager.filter(pk=step.pk).update(created_at=NOW - timedelta(days=31))
    # Taken back, it waits as before.
    Step._base_manager.filter(pk=step.pk).update(undone=True)
    assert prune(NOW) == 0
    Step._base_manager.filter(pk=step.pk).update(undone=False)
    assert prune(NOW) == 1
    assert there() == {chalked.pk}
