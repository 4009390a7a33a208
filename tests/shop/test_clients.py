"""The client book: found by sound and number, sheets that close and are corrected, advice, export, merge, erase."""

import csv
import io
import json

import pytest

from demo import people
from shop.clients.models import Client, Erasure, Overruling, Reading, Sheet
from shop.clients.sound import sounding
from shop.orders.models import Order
from shop.plans.models import PlanRun

SPOKEN = [
    ("Marit Sol", "Marrit Soll"), ("Joren Aak", "Yoren Ak"), ("Tuva Lindqvist", "Tuwa Lindkwist"), ("Søren", "Soren"),
    ("Philippa", "Filipa"), ("Cathrine", "Katrine"), ("Quist", "Kvist"), ("Schmidt", "Shmit"), ("Zoë", "Soe"),
]  # fmt: skip


@pytest.mark.parametrize(("written", "heard"), SPOKEN)
def test_two_spellings_of_one_spoken_name_sound_alike(written, heard):
    assert sounding(written) == sounding(heard)


def test_names_that_sound_different_stay_apart():
    names = ["Marit", "Marta", "Jonas", "Joren", "Tuva", "Tove", "Alma", "Elma", "Rask", "Rusk"]
    assert len({sounding(name) for name in names}) == len(names)


FINDS = [
    ("mar", {"Marit Sol"}), ("marrit", {"Marit Sol"}), ("soll mar", {"Marit Sol"}), ("yoren ak", {"Joren Aak"}),
    ("014-220", {"Marit Sol"}), ("lindkwist", {"Tuva Lindqvist-Ray"}), ("nobody", set()), ("%", set()), ("_____", set()),
    ("", {str(said["client"]) for said in people.ORDERS}), ("22", set()),
]  # fmt: skip


@pytest.mark.parametrize(("find", "names"), FINDS)
def test_clients_are_found_by_any_part_as_it_sounds(owner, find, names):
    found = owner.get("/clients", find=find)
    assert {one["name"] for one in found} == names


@pytest.fixture
def sheet(order):
    return order["sheet"]


def put_reading(owner, new_id, sheet, key, typed, **more):
    return owner("PUT", f"/readings/{new_id()}", {"sheet": sheet["id"], "key": key, "typed": typed} | more)


def advice(owner, sheet):
    return owner("GET", f"/sheets/{sheet['id']}/advice")[1]


def test_a_doubt_is_raised_upheld_and_raised_again_for_another_value(owner, sheet, new_id):
    assert advice(owner, sheet)["doubts"] == []
    put_reading(owner, new_id, sheet, "thigh", "12 1/4")
    (doubt,) = advice(owner, sheet)["doubts"]
    assert (doubt["key"], doubt["again"], doubt["upheld"]) == ("thigh", True, False)
    assert "12 1/4 in does not fit" in doubt["words"]
    expected = next(one for one in advice(owner, sheet)["expected"] if one["key"] == "thigh")
    assert expected["low_mm"] < 24.5 * 25.4 < expected["high_mm"]
    for _ in range(2):
        status, _told = owner("PUT", f"/overrulings/{new_id()}", {"sheet": sheet["id"], "key": "thigh"})
        assert status == 200
    assert Overruling._base_manager.count() == 1
    assert advice(owner, sheet)["doubts"][0]["upheld"]
    put_reading(owner, new_id, sheet, "thigh", "12")
    assert not advice(owner, sheet)["doubts"][0]["upheld"]
    assert owner("PUT", f"/overrulings/{new_id()}", {"sheet": sheet["id"], "key": "wrist"})[0] == 404


def test_a_second_way_stands_beside_a_measured_point_and_an_estimate_feeds_no_other(owner, sheet, new_id):
    put_reading(owner, new_id, sheet, "inseam", "30 1/2")
    ways = {(one["key"], one["code"]): one for one in advice(owner, sheet)["ways"]}
    rise = ways["body_rise", "outseam_less_inseam"]
    assert rise["formula"] == "outseam - inseam"
    assert rise["mm"] == pytest.approx(1041 - 30.5 * 25.4)
    assert rise["differs_mm"] is None
    assert ways["thigh", "thigh_from_hip"]["differs_mm"] == pytest.approx((24.5 - 41 * 0.59) * 25.4)
    status, kept = put_reading(owner, new_id, sheet, "body_rise", rise["typed"], way=rise["code"])
    assert (status, kept["way"]) == (200, "outseam_less_inseam")
    codes = {one["code"] for one in advice(owner, sheet)["ways"]}
    assert "outseam_less_rise" not in codes


def test_trousers_laid_flat_give_a_reading(owner, db):
    assert owner("POST", "/flat", {"key": "hip", "typed": "20 1/2", "unit": "in"})[1] == {"typed": "41 in"}
    status, said = owner("POST", "/flat", {"key": "neck", "typed": "7", "unit": "in"})
    assert status == 422
    assert "on the body" in said["problems"][0]["mend"]


def test_a_skipped_point_keeps_its_reason_and_comes_back(owner, sheet, new_id):
    put_reading(owner, new_id, sheet, "inseam", "", note="would rather not")
    now = owner("GET", f"/sheets/{sheet['id']}")[1]
    assert [(one["key"], one["note"]) for one in now["skipped"]] == [("inseam", "would rather not")]
    put_reading(owner, new_id, sheet, "inseam", "30")
    assert owner("GET", f"/sheets/{sheet['id']}")[1]["skipped"] == []
    status, said = put_reading(owner, new_id, sheet, "inseem", "", note="x")
    assert status == 422
    assert "inseam" in said["problems"][0]["mend"]


def test_a_sheet_in_the_wrong_unit_is_noticed_and_turned_whole(owner, order, new_id):
    made = new_id()
    body = {"client": order["client"]["id"], "taken_on": "2026-11-01", "unit": "cm"}
    sheet = owner("PUT", f"/sheets/{made}", body)[1]
    seen = []
    for key, typed in {"hip": "58", "waist": "100 cm", "thigh": "31"}.items():
        assert put_reading(owner, new_id, sheet, key, typed)[0] == 200
        seen.append(advice(owner, sheet)["other_unit"])
    assert seen == [None, None, "in"]
    assert advice(owner, sheet)["other_unit"] == "in"
    turned = owner("POST", f"/sheets/{made}/turn", {"unit": "in"})[1]
    assert turned["unit"] == "in"
    assert {one["key"]: one["mm"] for one in turned["readings"]} == {"hip": 1473.2, "thigh": 787.4, "waist": 1000}
    assert advice(owner, sheet)["other_unit"] is None


def test_a_sheet_that_cannot_be_turned_stays_whole(owner, order, sheet, new_id):
    put_reading(owner, new_id, sheet, "knee", "16")
    before = owner("GET", f"/sheets/{sheet['id']}")[1]
    status, said = owner("POST", f"/sheets/{sheet['id']}/turn", {"unit": "cm"})
    assert status == 422
    assert said["problems"][0]["where"].startswith("measurements.")
    assert owner("GET", f"/sheets/{sheet['id']}")[1] == before


def test_a_closed_sheet_is_corrected_by_a_new_one(owner, order, sheet, new_id):
    owner("POST", f"/sheets/{sheet['id']}/close")
    assert put_reading(owner, new_id, sheet, "hip", "42")[0] == 409
    assert owner("PUT", f"/overrulings/{new_id()}", {"sheet": sheet["id"], "key": "hip"})[0] == 409
    assert owner("POST", f"/sheets/{sheet['id']}/turn", {"unit": "cm"})[0] == 409
    made = new_id()
    for _ in range(2):
        status, new = owner("PUT", f"/corrections/{made}", {"sheet": sheet["id"]})
        assert status == 200
    assert new["corrects"] == sheet["id"]
    assert not new["closed"]
    assert {one["key"]: one["mm"] for one in new["readings"]} == {one["key"]: one["mm"] for one in sheet["readings"]}
    put_reading(owner, new_id, new, "hip", "42")
    old = owner("GET", f"/sheets/{sheet['id']}")[1]
    assert next(one["mm"] for one in old["readings"] if one["key"] == "hip") == 1041.4


def test_a_hip_that_grew_since_the_last_sheet_is_doubted(owner, order, sheet, new_id):
    made = new_id()
    body = {"client": order["client"]["id"], "taken_on": "2026-11-20", "unit": "in"}
    new = owner("PUT", f"/sheets/{made}", body)[1]
    put_reading(owner, new_id, new, "hip", "45 1/2")
    said = advice(owner, new)
    assert said["last_on"] == sheet["taken_on"]
    assert {one["key"] for one in said["last"]} >= {"hip", "waist"}
    (doubt,) = said["doubts"]
    assert doubt["code"] == "doubt.last"
    assert "45 1/2 in" in doubt["words"]
    assert "41 in" in doubt["words"]


def test_where_the_waist_is_reaches_the_rules(owner, order, sheet):
    body = {key: sheet[key] for key in ("version", "client", "taken_on", "unit")} | {"waist": "high"}
    assert owner("PUT", f"/sheets/{sheet['id']}", body)[1]["waist"] == "high"
    run = owner("POST", f"/orders/{order['id']}/plan")[1]["id"]
    assert PlanRun._base_manager.get(pk=run).job["garments"][0]["choices"]["waist_position"] == "high"


def test_two_people_measuring_at_once_lose_nothing(owner, sheet, new_id):
    put_reading(owner, new_id, sheet, "hip", "41 1/4")
    put_reading(owner, new_id, sheet, "hip", "41 1/2")
    all_ = owner("GET", f"/sheets/{sheet['id']}/readings")[1]
    assert [one["typed"] for one in all_ if one["key"] == "hip"] == ["41", "41 1/4", "41 1/2"]
    assert {one["taken_by"] for one in all_} == {"Ebba"}


def test_everything_of_a_client_is_exported(owner, order, sheet, new_id):
    put_reading(owner, new_id, sheet, "hip", "=1+1 cm")
    put_reading(owner, new_id, sheet, "hip", "41 1/4")
    whole = owner("GET", f"/clients/{order['client']['id']}/export")[1]
    assert whole["client"]["name"] == "Marit Sol"
    assert [o["title"] for o in whole["orders"]] == ["Choir, concert palazzo"]
    assert [one["typed"] for one in whole["sheets"][0]["readings"] if one["point"] == "hip"] == ["41", "41 1/4"]
    text = owner.raw("GET", f"/clients/{order['client']['id']}/export?kind=csv")
    rows = list(csv.DictReader(io.StringIO(text)))
    assert {row["point"] for row in rows} >= {"waist", "hip", "outseam"}
    assert {row["mm"] for row in rows if row["point"] == "outseam"} == {"1041", "1041.4"}


def test_two_entries_of_one_person_become_one(owner, order, new_id):
    other = new_id()
    owner("PUT", f"/clients/{other}", {"name": "Marrit Sol", "phone": "0555 999 111", "email": "m@sol.test"})
    owner("PUT", f"/sheets/{new_id()}", {"client": other, "taken_on": "2026-10-01", "unit": "cm"})
    kept = owner("POST", f"/clients/{order['client']['id']}/merge", {"other": other})[1]
    assert (kept["name"], kept["phone"], kept["email"]) == ("Marit Sol", "0555 014 220, 0555 999 111", "m@sol.test")
    assert "0555" not in kept["note"], "who sews reads the note"
    assert len(owner("GET", f"/clients/{kept['id']}/sheets")[1]) == 3
    assert owner("GET", f"/clients/{other}")[0] == 404


def test_erasing_leaves_nothing_of_the_client(owner, order, db):
    client = order["client"]
    owner("POST", f"/orders/{order['id']}/plan")
    assert owner("DELETE", f"/clients/{client['id']}")[1] == {"sheets": 2, "orders": 1}
    assert owner("GET", f"/clients/{client['id']}")[0] == 404
    assert owner("DELETE", f"/clients/{client['id']}")[0] == 404
    assert not Client._base_manager.filter(pk=client["id"]).exists()
    assert not Sheet._base_manager.filter(client_id=client["id"]).exists()
    assert not Reading._base_manager.filter(sheet_id=order["sheet"]["id"]).exists()
    assert not PlanRun._base_manager.exists()
    assert Order._base_manager.count() == len(people.ORDERS) - 1
    (record,) = Erasure._base_manager.all()
    assert "Marit" not in json.dumps([str(value) for value in record.__dict__.values()])


def test_an_archived_client_leaves_the_book_but_not_the_workshop(owner, order):
    client = order["client"]
    body = {key: value for key, value in client.items() if key != "id"} | {"archived": True}
    owner("PUT", f"/clients/{client['id']}", body)
    assert "Marit Sol" not in {one["name"] for one in owner.get("/clients")}
    assert {one["name"] for one in owner.get("/clients", archived="true")} == {"Marit Sol"}
    assert owner("GET", f"/clients/{client['id']}")[0] == 200


@pytest.mark.parametrize(
    "typed", ["15 ⅓", "15⅔", "15 1\u20443", "15 1/3", "15.25", "15 in", "38.1 cm", "381 mm", "1' 3\""]
)
def test_turning_a_sheet_reads_every_bare_number_anew_and_no_other(owner, order, new_id, typed):
    """However its fraction is written: a glyph and a fraction slash are bare numbers too."""
    sheet = new_id()
    body = {"client": order["client"]["id"], "taken_on": "2026-11-27", "unit": "in"}
    owner("PUT", f"/sheets/{sheet}", body)
    for key, size in (("ankle", typed), ("knee", "20")):
        status, _ = owner("PUT", f"/readings/{new_id()}", {"sheet": sheet, "key": key, "typed": size})
        assert status == 200
    before = {one["key"]: one["mm"] for one in owner.get(f"/sheets/{sheet}")["readings"]}
    status, turned = owner("POST", f"/sheets/{sheet}/turn", {"unit": "cm"})
    bare = not any(unit in typed for unit in ("in", "cm", "mm", "'"))
    assert status == 200
    after = {one["key"]: one["mm"] for one in turned["readings"]}
    assert after["knee"] == pytest.approx(before["knee"] / 2.54)
    assert after["ankle"] == pytest.approx(before["ankle"] / (2.54 if bare else 1), abs=1e-5)
