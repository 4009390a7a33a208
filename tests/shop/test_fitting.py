"""Fittings over the API: cures tried on an order's own draft, kept for its client, dropped without a trace."""

import json
from datetime import timedelta
from pathlib import Path

import pytest
from django.db import connection
from django.utils import timezone

from cutting.fitting import SIGNS
from shop.accounts.models import User
from shop.bridge.fitting import changes_of, cures
from shop.clients.models import Correction
from tests.jobs import FIVE, UPPER

JUMPSUIT = Path(__file__).parents[2] / "demo/jobs/crew-jumpsuit.json"
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
    assert (
        first["says"] == "On this garment: let the inner leg out at the fork, up to 1/4 in (1/2 - 1/4) at each layer."
    )
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
    assert owner("PATCH", f"/fitting-corrections/{kept['id']}", {"version": kept["version"], "removed": True})[0] == 200
    assert tip() == (plan, before, tip()[2])
    [row] = owner.get(f"/clients/{order['client']['id']}/fitting-corrections")
    assert row["removed"] is True


def test_a_leg_that_is_longer_is_cut_by_itself(owner, order, keep, new_id):
    """Kept for one side: that side's pieces are in the plan, Design, Sew and the job's file say which."""
    owner("PUT", f"/steps/{new_id()}", {"order": order["id"], "state": "cut"})
    leg = {"sign": "leg_short", "pinned": "1/2"}
    seen = owner("POST", f"/orders/{order['id']}/cures", {"garment": "trousers", "side": "left", **leg})[1]
    assert seen[0]["state"] == "changes"
    status, kept = keep(cure="length_more", side="left", **leg)
    assert (status, kept["side"]) == (200, "left")
    made = owner("POST", f"/orders/{order['id']}/plan")[1]
    apart = [one for one in made["plan"]["pieces"] if one["garment"] == "trousers.left_side"]
    assert {(one["panel"], one["count"], one["pair"]) for one in apart} == {("front", 1, False), ("back", 1, False)}
    rows = owner("GET", f"/orders/{order['id']}/design?garment=trousers")[1]["groups"]
    said = {row["key"]: row["fitting"] for group in rows for row in group["rows"] if row["fitting"]}
    assert said["length"].startswith("left + 1/2 in")
    assert "left side alone" in owner.get(f"/orders/{order['id']}/alterations")[0]["title"]
    file = json.loads(owner.raw("GET", f"/plans/{made['id']}/files/job.json"))
    assert [(one["choice"], one["side"]) for one in file["corrections"]] == [("length", "left")]
    keep(cure="length_less", sign="leg_long", pinned="1/4", side="right")
    path = f"/clients/{order['client']['id']}/fitting-corrections"
    assert [one["against"] for one in owner.get(path)] == [[], []], "one a side: they do not go against one another"
    keep(cure="length_less", sign="leg_long", pinned="1/4")
    assert [bool(one["against"]) for one in owner.get(path)] == [True, False, True], (
        "the shorter both and the longer left"
    )


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
        ({"side": "left"}, 422, "sign"), ({"side": "west"}, 422, "request"),
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
    assert "not in the future" in answer["title"]


def test_a_sewer_may_try_and_not_keep_and_another_workshop_sees_nothing(owner, order, keep, stranger, new_id):
    kept = keep()[1]
    client = order["client"]["id"]
    assert stranger("GET", f"/clients/{client}/fitting-corrections")[0] == 404
    assert stranger("POST", f"/orders/{order['id']}/cures", SEAT)[0] == 404
    body = {key: kept[key] for key in ("version", "order", "garment", "sign", "cure", "pinned", "fitted_on")}
    assert stranger("PUT", f"/fitting-corrections/{kept['id']}", body)[0] == 404
    drop = {"version": kept["version"], "removed": True}
    assert stranger("PATCH", f"/fitting-corrections/{kept['id']}", drop)[0] == 404
    User.objects.filter(username="ebba").update(role="sewer")
    assert owner("POST", f"/orders/{order['id']}/cures", SEAT)[0] == 200
    assert owner("PUT", f"/fitting-corrections/{new_id()}", body)[0] == 403
    assert owner("PATCH", f"/fitting-corrections/{kept['id']}", drop)[0] == 403


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
    assert owner("PATCH", f"/fitting-corrections/{row['id']}", {"version": row["version"], "removed": True})[0] == 200
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


@pytest.fixture
def recurs(keep, order):
    """Five fittings of the order's client that raised the centre back by 2/16 to 6/16 in, on five days."""
    assert order
    return [
        keep(pinned=f"{days + 2}/16", fitted_on=str(timezone.localdate() - timedelta(days=days)), sign="waist_dips",
             cure="raise_more")[1]
        for days in range(5)
    ]  # fmt: skip


def test_what_recurs_is_shown_from_five_fittings_on_for_an_owner(owner, keep, recurs):
    [found] = owner.get("/work")["corrections"]
    assert (found["name"], found["found"], found["fittings"]) == ("Centre back, up", 5, 5)
    assert (found["least"], found["most"]) == (pytest.approx(3.175), pytest.approx(9.525))
    for one in recurs[:1]:
        owner("PATCH", f"/fitting-corrections/{one['id']}", {"version": one["version"], "removed": True})
    assert owner.get("/work")["corrections"] == []


def test_what_recurs_is_made_a_house_rule_for_who_has_no_correction_of_it_and_dropped(owner, order, recurs, new_id):
    rule, own = new_id(), {"kind": "lower", "method": "quarter-hip", "choice": "seat_raise"}
    assert owner("PUT", f"/house-corrections/{new_id()}", own | {"choice": "back_tip"})[0] == 404

    def seat(id):
        made = owner("POST", f"/orders/{id}/plan")[1]["plan"]["numbers"]["trousers.back.seat_raise"]
        return made["net_mm"], made["formula"]

    other = new_id()
    client = owner("PUT", f"/clients/{new_id()}", {"name": "Somebody new"})[1]["id"]
    assert owner("PUT", f"/orders/{other}/same", {"of": order["id"], "client": client})[0] == 200
    taken = owner.get(f"/orders/{other}")["sheet"]["id"]
    for reading in order["sheet"]["readings"]:
        body = {"sheet": taken, "key": reading["key"], "typed": reading["typed"]}
        assert owner("PUT", f"/readings/{new_id()}", body)[0] == 200
    mine, before = seat(order["id"]), seat(other)
    for _ in range(2):
        status, work = owner("PUT", f"/house-corrections/{rule}", own)
        assert status == 200
    [kept] = work["house"]
    # The middle of 2, 3, 4, 5 and 6 sixteenths.
    assert (kept["by_mm"], kept["found"], kept["fittings"]) == (pytest.approx(6.35), 5, 5)
    assert owner("PUT", f"/house-corrections/{new_id()}", own)[0] == 409
    now = seat(other)
    assert now[0] - before[0] == pytest.approx(6.35)
    assert "+ 1/4 in from 5 of 5 fittings here" in now[1]
    assert seat(order["id"]) == mine, "who has a correction of it has that"
    assert owner("DELETE", f"/house-corrections/{rule}")[1]["house"] == []
    assert seat(other) == before


def test_what_goes_both_ways_is_made_no_rule_and_every_draft_stays_as_it_was(owner, keep, tip, new_id):
    for days, (sign, cure) in enumerate(
        [("hips_pull", "hip_more"), ("waist_tight", "waist_more"), ("waist_loose", "waist_less")] * 2
    ):
        day = str(timezone.localdate() - timedelta(days=days))
        assert keep(sign=sign, cure=cure, fitted_on=day)[0] == 200
    before = tip()
    found = {one["choice"]: one for one in owner.get("/work")["corrections"]}
    assert (found["waist_ease"]["found"], found["waist_ease"]["middle"]) == (4, pytest.approx(0))
    body = {"kind": "lower", "method": "quarter-hip", "choice": "waist_ease"}
    status, said = owner("PUT", f"/house-corrections/{new_id()}", body)
    assert (status, said["code"]) == (409, "both_ways")
    assert owner.get("/work")["house"] == []
    assert tip() == before


@pytest.mark.parametrize("unit", ["in", "cm"])
def test_every_cure_of_every_sign_is_kept_as_it_was_shown(unit):
    sizes = {key: f"{size} cm" for key, size in (FIVE["middle"] | UPPER["middle"]).items()}
    raw = json.loads(JUMPSUIT.read_text()) | {"unit": unit, "measurements": sizes, "cloth": {"width": "150 cm"}}
    for half in ("top", "lower"):
        raw["garments"][0][half]["choices"] = {}
    pinned, since = {"in": "1/2 in", "cm": "1.5 cm"}[unit], "2026-12-03"
    found = 0
    for sign in SIGNS.values():
        for one in cures(raw, "jumpsuit", sign.kind, sign.code, pinned, since, "both"):
            kind, kept = changes_of(sign.code, one.key, pinned, unit, since, "both")
            assert kind == sign.kind
            assert [(each["choice"], float(each["by"])) for each in kept] == [
                (each.choice, pytest.approx(each.by_mm, abs=1e-4)) for each in one.changes
            ]
            found += 1
    assert found > 30
    # On a metric tape a rule's 1/2 in is 1.5 cm.
    both = {"in": ["12.7", "12.7"], "cm": ["15", "15"]}[unit]
    assert [one["by"] for one in changes_of("seat_tight", "hip_and_raise", pinned, unit, since, "both")[1]] == both


def test_one_can_be_dropped_and_changed_when_its_garment_has_another_name_or_is_gone(owner, order, keep, tip):
    _, before, _ = tip()
    kept = keep()[1]
    garment = order["garments"][0]
    body = {key: garment[key] for key in ("version", "style", "method", "choices")} | {"order": order["id"]}
    assert owner("PUT", f"/garments/{garment['id']}", body | {"name": "slacks"})[0] == 200
    path = f"/fitting-corrections/{kept['id']}"
    status, alone = owner("PATCH", path, {"version": kept["version"], "only": True})
    assert (status, alone["only"], alone["removed"]) == (200, True, False)
    assert owner("PATCH", path, {"version": kept["version"], "removed": True})[0] == 409
    status, gone = owner("PATCH", path, {"version": alone["version"], "removed": True})
    assert (status, gone["only"], gone["removed"]) == (200, True, True)
    number = owner("POST", f"/orders/{order['id']}/plan")[1]["plan"]["numbers"]["slacks.back.crotch_tip"]
    assert number["net_mm"] == pytest.approx(before)


def test_one_that_is_taken_back_is_refused_where_the_draft_could_not_be_made(owner, keep, tip):
    kept = keep(sign="waist_dips", cure="raise_more", pinned="2")[1]
    path = f"/fitting-corrections/{kept['id']}"
    gone = owner("PATCH", path, {"version": kept["version"], "removed": True})[1]
    assert keep(sign="waist_dips", cure="raise_more", pinned="2")[0] == 200
    before = tip()
    status, answer = owner("PATCH", path, {"version": gone["version"], "removed": False})
    assert status == 422
    assert "comes out too large" in json.dumps(answer)
    assert tip() == before
