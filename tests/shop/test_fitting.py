"""Fittings over the API: cures tried on an order's own draft, kept for its client, dropped without a trace."""

import json
from datetime import timedelta

import pytest
from django.db import connection
from django.utils import timezone

from shop.accounts.models import User
from shop.clients.models import Correction

SEAT = {"garment": "trousers", "sign": "seat_tight", "pinned": "1/2"}


@pytest.fixture
def keep(owner, order, new_id):
    """Keeps a cure for the order's client."""

    def put(id=None, version=0, **more):
        body = {
            "version": version, "order": order["id"], "garment": "trousers", "sign": "seat_tight", "cure": "tip_more",
            "pinned": "1/2", "fitted_on": str(timezone.localdate()),
        }  # fmt: skip
        return owner("PUT", f"/fitting-corrections/{id or new_id()}", body | more)

    return put


@pytest.fixture
def tip(owner, order):
    """The back's tip of the order's plan, in mm, with its sum."""

    def found(id=None):
        made = owner("POST", f"/orders/{id or order['id']}/plan")[1]
        number = made["plan"]["numbers"]["trousers.back.crotch_tip"]
        return made["id"], number["net_mm"], number["formula"]

    return found


def test_cures_are_tried_on_the_order_s_own_draft_and_nothing_is_kept(owner, order, tip):
    before = tip()
    status, cures = owner("POST", f"/orders/{order['id']}/cures", SEAT)
    assert status == 200
    assert [one["key"] for one in cures] == ["tip_more", "hip_and_raise"]
    first = cures[0]
    assert [(one["choice"], one["by_mm"]) for one in first["changes"]] == [("back_tip", pytest.approx(12.7))]
    numbers = {one["key"]: one for one in first["numbers"]}
    own = numbers["back.crotch_tip"]
    assert own["now_mm"] - own["was_mm"] == pytest.approx(12.7)
    assert "from the fitting of" in own["formula"]
    assert first["moved"]["panel"] == "back"
    assert first["says"] == "On this garment: let the inner leg out at the fork, up to 1/4 in at each layer."
    assert tip() == before
    assert not Correction._base_manager.exists()


def test_what_is_kept_is_in_every_draft_of_the_client_and_dropped_leaves_no_trace(owner, order, keep, tip, new_id):
    plan, before, _ = tip()
    status, kept = keep(reason="Sat down")
    assert (status, kept["reason"], kept["by"]) == (200, "Sat down", "Ebba")
    other, now, formula = tip()
    assert now - before == pytest.approx(12.7)
    day = f"{timezone.localdate().day} {timezone.localdate():%B}"
    assert f"+ 1/2 in from the fitting of {day}" in formula
    again = new_id()
    assert owner("PUT", f"/orders/{again}/again", {"of": order["id"], "promised_on": order["promised_on"]})[0] == 200
    assert tip(again)[1] == pytest.approx(now)
    rows = owner("GET", f"/orders/{order['id']}/design?garment=trousers")[1]["groups"]
    said = {row["key"]: row["fitting"] for group in rows for row in group["rows"] if row["fitting"]}
    assert said == {"back_tip": f"+ 1/2 in from the fitting of {day}"}
    file = json.loads(owner.raw("GET", f"/plans/{other}/files/job.json"))
    assert file["corrections"][0]["choice"] == "back_tip"
    assert keep(kept["id"], kept["version"], removed=True, reason="Sat down")[0] == 200
    assert tip() == (plan, before, tip()[2])
    [row] = owner.get(f"/clients/{order['client']['id']}/fitting-corrections")
    assert row["removed"] is True


def test_one_of_a_garment_alone_is_not_in_another_order(owner, order, keep, tip, new_id):
    _, before, _ = tip()
    assert keep(only=True)[0] == 200
    assert tip()[1] - before == pytest.approx(12.7)
    again = new_id()
    owner("PUT", f"/orders/{again}/again", {"of": order["id"], "promised_on": order["promised_on"]})
    assert tip(again)[1] == pytest.approx(before)


def test_two_that_go_against_one_another_are_shown_and_the_lists_are_asked_for_at_once(owner, order, keep):
    keep()
    keep(sign="bags_under_seat", cure="tip_less")
    path = f"/clients/{order['client']['id']}/fitting-corrections"
    one, other = owner.get(path)
    assert one["against"] == [other["id"]]
    assert other["against"] == [one["id"]]

    def asked():
        counts = []
        with connection.execute_wrapper(lambda run, *rest: (counts.append(1), run(*rest))[1]):
            owner.get(path)
        return len(counts)

    few = asked()
    for pinned in ("1/8", "1/4", "3/8"):
        assert keep(sign="waist_tight", cure="waist_more", pinned=pinned)[0] == 200
    assert asked() == few
    assert owner.get(path, page=2) == []


@pytest.mark.parametrize(
    ("more", "status", "code"),
    [
        ({"sign": "nothing"}, 422, "sign"), ({"cure": "nothing"}, 422, "sign"), ({"cure": "waist_more"}, 422, "sign"),
        ({"pinned": "a bit"}, 422, "core"), ({"pinned": "0"}, 422, "sign"), ({"pinned": "7"}, 422, "sign"),
        ({"pinned": "-1/2"}, 422, "core"), ({"garment": "hat"}, 404, "missing"),
        ({"fitted_on": "2027-12-01"}, 422, ""), ({"fitted_on": "1999-12-01"}, 422, ""),
        ({"reason": "x" * 201}, 422, "request"), ({"pinned": "x" * 41}, 422, "request"),
    ],
)  # fmt: skip
def test_what_cannot_be_is_refused_in_words_and_nothing_is_kept(keep, tip, more, status, code):
    before = tip()
    found, answer = keep(**more)
    assert (found, answer["code"]) == (status, code or answer["code"])
    assert answer["title"]
    assert tip() == before
    assert not Correction._base_manager.exists()


def test_a_correction_that_the_draft_refuses_is_said_at_once_and_the_last_one_stays(keep, tip, owner, order):
    assert keep(sign="waist_dips", cure="raise_more", pinned="2")[0] == 200
    before = tip()
    status, answer = keep(sign="waist_dips", cure="raise_more", pinned="2")
    assert status == 422
    assert "from the fittings this comes out too large" in json.dumps(answer)
    assert tip() == before
    assert Correction._base_manager.count() == 1
    [cure, _] = owner("POST", f"/orders/{order['id']}/cures", SEAT | {"sign": "waist_dips", "pinned": "2"})[1]
    assert cure["state"] == "refused"
    assert "% of it works: pin less" in cure["says"]


def test_a_day_to_come_is_no_fitting(keep):
    status, answer = keep(fitted_on=str(timezone.localdate() + timedelta(days=2)))
    assert status == 422
    assert "future" in json.dumps(answer) or "near" in json.dumps(answer) or answer["title"]


def test_a_sewer_may_try_and_not_keep_and_another_workshop_sees_nothing(owner, order, keep, stranger, new_id):
    kept = keep()[1]
    client = order["client"]["id"]
    assert stranger("GET", f"/clients/{client}/fitting-corrections")[0] == 404
    assert stranger("POST", f"/orders/{order['id']}/cures", SEAT)[0] == 404
    body = {key: kept[key] for key in ("version", "order", "garment", "sign", "cure", "pinned", "fitted_on")}
    assert stranger("PUT", f"/fitting-corrections/{kept['id']}", body | {"removed": True})[0] == 404
    User.objects.filter(username="ebba").update(role="sewer")
    assert owner("POST", f"/orders/{order['id']}/cures", SEAT)[0] == 200
    assert owner("PUT", f"/fitting-corrections/{new_id()}", body)[0] == 403


def test_a_client_s_file_has_them_and_brought_together_they_come_along(owner, order, keep, new_id):
    keep()
    client = order["client"]["id"]
    [row] = owner.get(f"/clients/{client}/export")["corrections"]
    assert (row["sign"], row["changes"]) == ("seat_tight", [{"choice": "back_tip", "by": "12.7"}])
    other = owner("PUT", f"/clients/{new_id()}", {"name": "Marit Sol the same"})[1]["id"]
    assert owner("POST", f"/clients/{other}/merge", {"other": client})[0] == 200
    assert len(owner.get(f"/clients/{other}/fitting-corrections")) == 1
    assert owner("DELETE", f"/clients/{other}")[0] in (200, 204)
    assert not Correction._base_manager.exists()


def test_every_sign_is_offered_in_words_by_its_side(owner):
    views = owner.get("/signs")
    assert [one["key"] for one in views] == ["front", "back", "side", "seated"]
    assert all(sign["name"] and sign["pinned"] for one in views for sign in one["signs"])
    assert {sign["kind"] for one in views for sign in one["signs"]} == {"lower", "top"}


def test_a_job_file_brings_its_corrections_along_and_they_can_be_dropped(owner, order, keep, tip, new_id):
    keep()
    plan, mm, _ = tip()
    text = owner.raw("GET", f"/plans/{plan}/files/job.json")
    opened = new_id()
    body = {"text": text, "promised_on": order["promised_on"], "name": "Ada Elsewhere"}
    status, made = owner("PUT", f"/orders/{opened}/from-job", body)
    assert status == 200, made
    assert tip(opened)[1] == pytest.approx(mm)
    [row] = owner.get(f"/clients/{made['client']['id']}/fitting-corrections")
    assert (row["sign_name"], row["changes"][0]["by_mm"]) == ("Found at a fitting before", pytest.approx(12.7))
    own = {
        key: row[key]
        for key in ("version", "order", "garment", "only", "sign", "cure", "pinned", "fitted_on", "reason")
    }
    assert owner("PUT", f"/fitting-corrections/{row['id']}", own | {"removed": True})[0] == 200
    assert tip(opened)[1] == pytest.approx(mm - 12.7)


def test_methods_draw_a_client_with_what_the_fittings_found_and_without(owner, order, keep):
    keep()
    keep(sign="waist_dips", cure="raise_more")
    keep(sign="hips_pull", cure="hip_more")
    path = "/drafts/quarter-hip"
    asked = {"style": "straight-trousers", "sheet": order["sheet"]["id"]}
    plain, fitted = owner.get(path, **asked), owner.get(path, **asked, fittings=True)
    moved = {
        key: round(fitted["numbers"][key]["net_mm"] - one["net_mm"], 2) for key, one in plain["numbers"].items()
        if key in ("trousers.back.crotch_tip", "trousers.back.seat_raise", "trousers.back.hip_width")
    }  # fmt: skip
    assert moved == {
        "trousers.back.crotch_tip": 12.7, "trousers.back.seat_raise": 12.7, "trousers.back.hip_width": 6.35,
    }  # fmt: skip
