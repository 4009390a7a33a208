"""The search that every plan has by itself: once, behind all others, and every figure goes by the best lay known."""

import os
import subprocess
import sys
from uuid import uuid4

import pytest
from procrastinate.contrib.django.models import ProcrastinateJob

from shop.bridge.child import LESS, give_way
from shop.plans.models import LayRun, PlanRun
from shop.plans.tasks import AUTO, improve_lay


@pytest.fixture
def made(owner, order):
    return owner("POST", f"/orders/{order['id']}/plan")[1]


def plan_of(owner, order):
    return owner("POST", f"/orders/{order['id']}/plan")[1]


def shorter(made, by):
    """A plan as a search would have found it: the same, its lay shorter by so many mm."""
    found = PlanRun._base_manager.get(pk=made["id"]).plan
    length = found["lay"]["length_mm"] - by
    return found | {
        "lay": found["lay"] | {"length_mm": length},
        "yardage": found["yardage"] | {"length_mm": found["yardage"]["length_mm"] - by},
    }


def test_a_plan_is_searched_once_by_itself_and_says_how_far_that_is(owner, order, made):
    assert (made["searched"], made["search"]) == ("none", None)
    first = owner("POST", f"/plans/{made['id']}/search")[1]["run"]
    assert owner("POST", f"/plans/{made['id']}/search")[1]["run"]["id"] == first["id"]
    assert LayRun._base_manager.count() == 1
    under_way = plan_of(owner, order)
    assert (under_way["searched"], under_way["search"]) == ("under_way", first["id"])
    job = ProcrastinateJob.objects.get(args__lay_run=first["id"])
    assert job.priority == AUTO
    LayRun._base_manager.update(state=LayRun.DONE)
    done = plan_of(owner, order)
    assert (done["searched"], done["search"]) == ("done", None)


def test_a_plan_that_was_searched_or_laid_by_hand_is_left_alone(owner, made):
    hand = {"id": str(uuid4()), "placements": made["plan"]["lay"]["placements"]}
    assert owner("PUT", f"/plans/{made['id']}/hand", hand)[0] == 200
    assert owner("POST", f"/plans/{made['id']}/search") == (200, {"run": None})


def test_it_counts_for_nobody_and_gives_way_to_what_somebody_asks_for(owner, made, monkeypatch):
    monkeypatch.setattr("shop.plans.searches.MOST_AT_ONCE", 1)
    own = owner("POST", f"/plans/{made['id']}/search")[1]["run"]["id"]
    asked = {}

    def searching(*_, **__):
        """While it is under way somebody asks for a search of the same plan."""
        yield {"tried": 1}
        asked["answer"] = owner("PUT", f"/lay-runs/{uuid4()}", {"plan": made["id"], "seconds": 1})
        yield None
        raise AssertionError("it did not give way")

    monkeypatch.setattr("shop.plans.tasks.search_lay", searching)
    improve_lay(lay_run=own)
    assert asked["answer"][0] == 200
    run = LayRun._base_manager.get(pk=own)
    assert (run.state, run.gives_way) == (LayRun.QUEUED, False)
    waiting = ProcrastinateJob.objects.order_by("-priority").values_list("args__lay_run", "priority")
    assert [priority for _, priority in waiting] == [0, AUTO, AUTO]
    assert waiting[0][0] == asked["answer"][1]["id"]
    # Its turn again: it begins anew and ends.
    lines = [{"plan": shorter(made, 30), "tried": 9}]
    monkeypatch.setattr("shop.plans.tasks.search_lay", lambda *_, **__: (line for line in lines))
    improve_lay(lay_run=own)
    assert LayRun._base_manager.get(pk=own).state == LayRun.DONE


def test_the_groups_table_and_shopping_list_go_by_the_best_lay(owner, order, made):
    """What Cloth and Lay say, the group's list says too."""
    before = owner.get(f"/orders/{order['id']}/group")["cloths"][0]["length_mm"]
    own = owner("POST", f"/plans/{made['id']}/search")[1]["run"]["id"]
    LayRun._base_manager.filter(pk=own).update(state=LayRun.DONE, plan=shorter(made, 120))
    after = owner.get(f"/orders/{order['id']}/group")["cloths"][0]["length_mm"]
    assert before - after == pytest.approx(120)
    assert plan_of(owner, order)["plan"]["lay"]["length_mm"] == pytest.approx(made["plan"]["lay"]["length_mm"] - 120)


def test_a_search_gives_way_to_whoever_waits_also_where_the_processor_is_shared_out_by_sessions():
    """Its own number alone counts for nothing beside another session's: the session's has to be as modest."""
    shares = "import os; print(os.nice(0)); print(open('/proc/self/autogroup').read())"
    child = [sys.executable, "-c", shares]
    said = subprocess.run(
        child, preexec_fn=give_way, start_new_session=True, capture_output=True, text=True, check=False
    )
    own, *session = said.stdout.split()
    assert int(own) == min(19, os.nice(0) + LESS)
    assert session[-1:] in ([], [str(LESS)]), "a system without such sessions has no such file"
