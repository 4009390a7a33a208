"""Steps of sewing ticked over the API: nothing before what it needs, unpicked from the top, by whom and when."""

import re
from concurrent.futures import ThreadPoolExecutor
from datetime import timedelta

import pytest
from django.db import connection
from django.utils import timezone

from shop.accounts.models import User, Workshop
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
    band = made["plan"]["numbers"]["trousers.band.cut_length"]["shown"]
    assert re.fullmatch(rf"By the waist that was read, the band is .+ long \({band} - 3/4 in\)\.", waist["band_says"])
    assert waist["readings"] == [{"code": "waist", "name": "Waist round", "typed": f"{before_waist - 19.05:.2f} mm"}]
    # Let out, it is measured again: the last reading counts, the first is kept.
    assert sew("measure_waist", sewn=False)[0] == 200
    status, done = sew("measure_waist", typed={"waist": f"{before_waist} mm"})
    [waist] = [one for one in done if one["operation"] == "trousers.measure_waist"]
    assert (waist["agrees"], waist["says"]) == (True, ["As it should be."])
    assert waist["band_says"] == f"By the waist that was read, the band is {band} long, as it was drafted."
    # Within what sewing is the seams stay; the band is as long as the waist all the same.
    assert sew("measure_waist", sewn=False)[0] == 200
    status, done = sew("measure_waist", typed={"waist": f"{before_waist + 6.35:.2f} mm"})
    [waist] = [one for one in done if one["operation"] == "trousers.measure_waist"]
    assert waist["agrees"] is True
    assert waist["band_says"].endswith(f"({band} + 1/4 in).")
    kept = Sewn.of(User.objects.get(username="ebba").workshop).filter(operation="trousers.measure_waist", sewn=True)
    assert sorted(round(one.readings["judged"]["off"], 2) for one in kept) == [-19.05, 0, 6.35]


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


def timed(minutes, ended=None):
    """From when to when a step was done, by the clock of a device."""
    ended = ended or timezone.now()
    return {"began": (ended - timedelta(minutes=minutes)).isoformat(), "ended": ended.isoformat()}


def test_a_step_that_was_timed_teaches_how_long_it_takes_here(owner, order, made, new_id):
    def sewn(code, on=True, **more):
        body = {"order": order["id"], "plan": made["id"], "operation": f"trousers.{code}", "sewn": on}
        return owner("PUT", f"/sewn/{new_id()}", body | more)

    assert owner.get("/minutes") == []
    for minutes in (1, 2, 3, 40):
        assert sewn("darts", **timed(minutes))[0] == 200
        assert sewn("darts", False)[0] == 200
    [darts] = owner.get("/minutes")
    # Usually 3; 40 was broken off; the middle of 1, 2 and 3 is 2: (3 x 2 + 5 x 3) / 8.
    assert (darts["code"], darts["usual"], darts["times"]) == ("darts", 3, 4)
    assert darts["minutes"] == pytest.approx(2.6)


@pytest.mark.parametrize(
    ("more", "status"),
    [
        (timed(-5), 422), (timed(1, timezone.now() + timedelta(hours=2)), 422), ({"began": "yesterday"}, 422),
        ({"began": "2026-01-01T10:00:00", "ended": "2026-01-01T10:05:00"}, 422), (timed(3000), 200), (timed(0), 200),
        ({"began": timezone.now().isoformat()}, 200),
    ],
)  # fmt: skip
def test_a_clock_that_runs_backwards_is_refused_and_one_that_ran_on_teaches_nothing(
    owner, order, made, new_id, more, status
):
    body = {"order": order["id"], "plan": made["id"], "operation": "trousers.darts"}
    found, answer = owner("PUT", f"/sewn/{new_id()}", body | more)
    assert found == status, answer
    assert owner.get("/minutes") == []
    if status == 422:
        assert owner.get(f"/orders/{order['id']}/sewn") == []


def test_readings_are_compared_with_the_plan_by_whom_and_on_which_cloth_for_an_owner(owner, sew, before_waist):
    assert owner.get("/work")["readings"] == []
    for off in (-9.525, -6.35, -12.7):
        sew("measure_waist", typed={"waist": f"{before_waist + off:.3f} mm"})
        sew("measure_waist", sewn=False)
    found = {one["name"]: one for one in owner.get("/work")["readings"]}
    waist = found["Waist round"]
    assert (waist["by"], waist["times"]) == ("Ebba", 3)
    assert (waist["mean"], waist["least"], waist["most"]) == (
        pytest.approx(-9.525),
        pytest.approx(-12.7),
        pytest.approx(-6.35),
    )
    assert waist["cloth"]
    User.objects.filter(username="ebba").update(role="cutter")
    assert owner("GET", "/work")[0] == 403


def test_sewing_goes_by_the_plan_that_was_chalked(owner, order, made, new_id):
    """What is cut is sewn: a choice made after the first chalk changes nothing of it."""
    tick = {"order": order["id"], "plan": made["id"], "stamp": made["stamp"], "call": 1}
    assert owner("PUT", f"/ticks/{new_id()}", tick)[0] == 200
    garment = order["garments"][0]
    changed = {key: garment[key] for key in ("version", "name", "style", "method")} | {
        "order": order["id"], "choices": garment["choices"] | {"waist_finish": "casing", "closure": "none"}
    }  # fmt: skip
    assert owner("PUT", f"/garments/{garment['id']}", changed)[0] == 200
    chalked = owner("POST", f"/orders/{order['id']}/plan?chalked=true")[1]
    now = owner("POST", f"/orders/{order['id']}/plan")[1]
    codes = [[one["code"] for one in each["plan"]["sewing"]] for each in (made, chalked, now)]
    assert codes[0] == codes[1] != codes[2]
    body = {"order": order["id"], "plan": chalked["id"], "operation": "trousers.darts"}
    assert owner("PUT", f"/sewn/{new_id()}", body)[0] == 200


def test_what_a_sewn_garment_can_still_take_is_listed_after_the_fitting_and_ticked(
    owner, order, made, stranger, new_id
):
    def fitted(sign, cure, pinned="1/2"):
        body = {
            "order": order["id"], "garment": "trousers", "sign": sign, "cure": cure, "pinned": pinned,
            "fitted_on": str(timezone.localdate()),
        }  # fmt: skip
        return owner("PUT", f"/fitting-corrections/{new_id()}", body)[1]

    path = f"/orders/{order['id']}/alterations"
    # What is found before anything is cut is in the draft.
    assert fitted("waist_loose", "waist_less", "1/4")["id"]
    assert owner.get(path) == []
    owner("PUT", f"/steps/{new_id()}", {"order": order["id"], "state": "cut"})
    assert owner.get(path) == []
    kept = [
        fitted("hips_pull", "hip_more"),
        fitted("waist_loose", "waist_less", "1"),
        fitted("leg_short", "length_more"),
    ]
    waits = fitted("waist_dips", "raise_more")
    found = owner.get(path)
    assert [one["id"] for one in found] == [f"fitting.{one['id']}" for one in kept]
    assert waits["id"] not in str(found)
    assert [one["title"] for one in found] == ["Let the sides out", "Take the sides in", "Let the hem down"]
    assert found[0]["says"].startswith("By 1/8 in at each of 4 layers (1/2 / 4).")
    assert found[1]["says"].startswith("By 1/4 in at each of 4 layers (1 / 4).")
    # Taken in, nothing has to be left; a hem keeps its inch.
    assert "stays" not in found[1]["says"]
    assert found[2]["says"] == "By 1/2 in. 1 in of the hem stays turned."

    def tick(operation, sewn=True, who=owner):
        body = {"order": order["id"], "plan": made["id"], "operation": operation, "sewn": sewn}
        return who("PUT", f"/sewn/{new_id()}", body)

    assert {one["operation"] for one in tick(found[0]["id"])[1]} == {found[0]["id"]}
    assert tick(found[0]["id"], sewn=False)[1] == []
    assert tick(f"fitting.{waits['id']}")[0] == 422
    assert tick(found[0]["id"], who=stranger)[0] == 404
    assert stranger("GET", path)[0] == 404
    # What was pinned without a unit means what it meant then, whatever the workshop's unit is now.
    Workshop.objects.update(unit="cm")
    assert owner.get(path)[2]["says"].startswith("By 1.3 cm.")
    Workshop.objects.update(unit="in")
    # Dropped, it is not altered.
    owner("PATCH", f"/fitting-corrections/{kept[0]['id']}", {"version": kept[0]["version"], "removed": True})
    assert len(owner.get(path)) == 2


def test_an_order_is_being_sewn_from_the_first_tick_and_at_the_fitting_when_one_is_written(owner, order, sew, new_id):
    def state():
        ticket = next(one for one in owner.get("/orders") if one["id"] == order["id"])
        whole = owner.get(f"/orders/{order['id']}")
        assert ticket["state"] == whole["state"]
        return whole["state"]

    assert state() == "measured"
    sew("darts")
    assert state() == "sewing"
    sew("darts", sewn=False)
    assert state() == "measured"
    body = {
        "order": order["id"], "garment": "trousers", "sign": "hips_pull", "cure": "hip_more", "pinned": "1/2",
        "fitted_on": str(timezone.localdate()),
    }  # fmt: skip
    id = new_id()
    kept = owner("PUT", f"/fitting-corrections/{id}", body)[1]
    assert state() == "fitting"
    owner("PATCH", f"/fitting-corrections/{id}", {"version": kept["version"], "removed": True})
    assert state() == "measured"
