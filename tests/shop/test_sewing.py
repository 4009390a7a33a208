"""Steps of sewing ticked over the API: nothing before what it needs, unpicked from the top, by whom and when."""

from concurrent.futures import ThreadPoolExecutor

import pytest
from django.db import connection

from shop.accounts.models import User
from shop.sewing.models import Sewn


@pytest.fixture
def made(owner, order):
    """The order's plan."""
    return owner("POST", f"/orders/{order['id']}/plan")[1]


@pytest.fixture
def sew(owner, order, made, new_id):
    """Ticks or unpicks a step by its code; what is measured reads as it should, where nothing else is typed."""
    steps = {one["code"]: one for one in made["plan"]["sewing"]}

    def tick(code, sewn=True, id=None, typed=None, sure=False):
        read = {one["code"]: f"{one['wanted_mm']} mm" for one in steps[code]["readings"]} if code in steps else {}
        body = {
            "order": order["id"], "plan": made["id"], "operation": f"trousers.{code}", "sewn": sewn,
            "typed": read if typed is None else typed, "sure": sure,
        }  # fmt: skip
        return owner("PUT", f"/sewn/{id or new_id()}", body)

    return tick


def test_steps_are_ticked_in_an_order_that_can_be_sewn(owner, order, made, sew):
    steps = made["plan"]["sewing"]
    assert owner.get(f"/orders/{order['id']}/sewn") == []
    status, said = sew("inner_leg")
    assert (status, said["code"]) == (422, "sewing")
    assert "close the front centre" in said["title"] + said.get("detail", "")
    for one in steps:
        status, done = sew(one["code"])
        assert status == 200, (one["code"], done)
    assert {one["operation"] for one in done} == {one["id"] for one in steps}
    assert {one["by"] for one in done} == {"Ebba"}
    status, said = sew("side", sewn=False)
    assert status == 422, "the inner legs are sewn on it"
    assert "close the inner legs" in said["title"] + said.get("detail", "")
    for one in reversed(steps):
        assert sew(one["code"], sewn=False)[0] == 200
    assert owner.get(f"/orders/{order['id']}/sewn") == []


def test_the_same_tick_again_and_a_step_that_is_done_change_nothing(order, sew, new_id):
    id = new_id()
    assert sew("darts", id=id)[0] == 200
    assert sew("darts", id=id)[0] == 200
    assert sew("darts")[0] == 200
    assert Sewn.of(User.objects.get(username="ebba").workshop).count() == 1
    assert sew("darts", sewn=False)[0] == 200
    assert sew("darts", sewn=False)[0] == 200
    assert sew("sails")[0] == 422


def test_a_sewer_may_and_another_workshop_sees_nothing(owner, order, made, sew, stranger, new_id):
    User.objects.filter(username="ebba").update(role="sewer")
    assert sew("darts")[0] == 200
    assert stranger("GET", f"/orders/{order['id']}/sewn")[0] == 404
    body = {"order": order["id"], "plan": made["id"], "operation": "trousers.darts"}
    assert stranger("PUT", f"/sewn/{new_id()}", body)[0] == 404


def test_as_many_queries_for_many_steps_as_for_few(owner, order, made, sew):
    def asked():
        with connection.execute_wrapper(lambda run, *rest: (counts.append(1), run(*rest))[1]):
            owner.get(f"/orders/{order['id']}/sewn")

    counts = []
    codes = [one["code"] for one in made["plan"]["sewing"]]
    for code in codes[: codes.index("measure_hip") + 1]:
        sew(code)
    asked()
    few = len(counts)
    for one in made["plan"]["sewing"]:
        sew(one["code"])
    counts.clear()
    asked()
    assert len(counts) == few


@pytest.mark.django_db(transaction=True)
def test_two_people_on_one_step_are_one(owner, order, made, sew):
    with ThreadPoolExecutor(2) as pool:
        assert [status for status, _ in pool.map(lambda _: sew("darts"), range(2))] == [200, 200]
    assert Sewn.of(User.objects.get(username="ebba").workshop).count() == 1


@pytest.fixture
def before_waist(made, sew):
    """Everything up to the re-measured waist is done; what that should read, in mm."""
    for one in made["plan"]["sewing"]:
        if one["code"] == "measure_waist":
            return one["readings"][0]["wanted_mm"]
        assert sew(one["code"])[0] == 200


def test_a_waist_that_reads_too_small_says_which_seam_gives_it_back_and_how_long_the_band_is(made, sew, before_waist):
    status, done = sew("measure_waist", typed={"waist": f"{before_waist - 19.05:.2f} mm"})
    assert status == 200
    [waist] = [one for one in done if one["operation"] == "trousers.measure_waist"]
    assert waist["agrees"] is False
    assert waist["says"][:2] == ["3/4 in too small.", "Let the sides out by 3/16 in at each of 4 layers (3/4 in / 4)."]
    band = made["plan"]["numbers"]["trousers.band.cut_length"]["cut_mm"]
    assert waist["band_mm"] == pytest.approx(band - 19.05)
    assert waist["readings"] == [{"code": "waist", "name": "Waist round", "typed": f"{before_waist - 19.05:.2f} mm"}]
    # Let out, it is measured again: the last reading counts, the first is kept.
    assert sew("measure_waist", sewn=False)[0] == 200
    status, done = sew("measure_waist", typed={"waist": f"{before_waist} mm"})
    [waist] = [one for one in done if one["operation"] == "trousers.measure_waist"]
    assert (waist["agrees"], waist["says"]) == (True, ["As it should be."])
    kept = Sewn.of(User.objects.get(username="ebba").workshop).filter(operation="trousers.measure_waist", sewn=True)
    assert sorted(round(one.readings["judged"]["off"], 2) for one in kept) == [-19.05, 0]


@pytest.mark.parametrize(
    ("typed", "code", "said"),
    [
        ({}, "sewing", "Type it: Waist round."), ({"waist": " "}, "sewing", "Type it: Waist round."),
        ({"waist": "13 in"}, "reading_doubted", "look whether two figures changed places"),
        ({"waist": "12 in"}, "reading_doubted", "in the other unit"), ({"waist": "55 in"}, "reading_doubted", "Measure again"),
        ({"waist": "a lot"}, "core", ""), ({"waist": "-3"}, "core", ""), ({"waist": "x" * 41}, "request", ""),
        ({str(k): "1" for k in range(9)}, "request", ""),
    ],
)  # fmt: skip
def test_a_reading_that_cannot_be_is_asked_again_and_kept_only_by_somebody_who_is_sure(
    owner, order, sew, before_waist, typed, code, said
):
    status, answer = sew("measure_waist", typed=typed)
    assert (status, answer["code"]) == (422, code)
    assert said in answer["title"] + (answer.get("detail") or "")
    done = {one["operation"] for one in owner.get(f"/orders/{order['id']}/sewn")}
    assert "trousers.measure_waist" not in done
    assert sew("band")[0] == 422, "nothing is sewn on what was not measured"
    if code == "reading_doubted":
        status, done = sew("measure_waist", typed=typed, sure=True)
        [waist] = [one for one in done if one["operation"] == "trousers.measure_waist"]
        assert (status, waist["agrees"]) == (200, False)
