"""Files of an order over the API: every one is there, named so that nobody's name leaves, and only for its workshop."""

import json
import re
from datetime import timedelta

import pytest
from django.core.cache import cache
from django.test import Client
from django.utils import timezone

from cutting.files import FILES
from cutting.formats import plan_to_wire, read_job
from cutting.plan import plan
from shop.accounts.models import User
from shop.bridge import files as bridge_files
from shop.clients.models import Seen
from shop.plans import making, pace
from shop.plans.models import PlanRun

BEGINS = {"pdf": b"%PDF-", "dxf": b"  0\n", "hpgl": b"IN;", "svg": b"<svg ", "csv": b"", "json": b"{"}


@pytest.fixture
def run(owner, order):
    """The id of the order's plan."""
    return owner("POST", f"/orders/{order['id']}/plan")[1]["id"]


def test_every_file_is_there_with_its_picture_and_its_bytes(owner, order, run):
    listed = owner.get(f"/plans/{run}/files")
    assert [one["name"] for one in listed] == [file.name for file in FILES]
    assert all(one["title"] and one["says"] for one in listed)
    for one in listed:
        answer = owner.http.get(f"/api/plans/{run}/files/{one['name']}")
        assert answer.status_code == 200
        assert answer.content.startswith(BEGINS[one["name"].rpartition(".")[2]])
        assert answer["Content-Disposition"] == f'attachment; filename="choir-concert-palazzo-{one["name"]}"'
        preview = owner.get(f"/plans/{run}/files/{one['name']}/preview")
        assert preview["size"] == len(answer.content)
        assert preview["picture"].startswith("data:image/") == one["drawn"]
        if one["name"].endswith(".pdf"):
            assert preview["pages"] == len(re.findall(rb"/Type /Page\b", answer.content))


@pytest.mark.parametrize("title", ['../../x"', "=1+1", "Кларнет", "a\nb", "x" * 120])
def test_a_file_is_named_safely_whatever_the_order_is_called(owner, order, run, title):
    body = {
        "client": order["client"]["id"], "sheet": order["sheet"]["id"], "cloth": order["cloth"]["id"],
        "version": order["version"], "title": title, "promised_on": order["promised_on"],
    }  # fmt: skip
    status, shown = owner("PUT", f"/orders/{order['id']}", body)
    assert status == 200, shown
    answer = owner.http.get(f"/api/plans/{run}/files/pattern-a3.pdf")
    assert answer.status_code == 200
    name = re.fullmatch(r'attachment; filename="([a-z0-9.-]+)"', answer["Content-Disposition"])
    assert name
    assert name[1].endswith("pattern-a3.pdf")
    assert ".." not in name[1]


def test_what_is_no_file_is_said_and_another_workshop_sees_none(owner, stranger, run):
    for name in ("pattern-a9.pdf", "..", "plan.exe"):
        assert owner("GET", f"/plans/{run}/files/{name}/preview")[0] == 404, name
    for path in ("files", "files/plan.svg", "files/plan.svg/preview"):
        assert stranger("GET", f"/plans/{run}/{path}")[0] == 404


def test_who_fetches_a_clients_file_is_noted(owner, order, run):
    here = User.objects.get(username="ebba").workshop
    for path in ("calls.csv", "calls.csv/preview"):
        Seen.of(here).all().delete()
        assert owner.http.get(f"/api/plans/{run}/files/{path}").status_code == 200
        assert [(str(one.client_id), one.what) for one in Seen.of(here)] == [(order["client"]["id"], "measures")]


def look(token):
    """What somebody without an account is answered."""
    answer = Client().get("/api/look", headers={"Plavet-Link": token})
    return answer.status_code, json.loads(answer.content)


def test_a_link_shows_the_plan_without_a_name_until_it_ends(owner, order, run, monkeypatch):
    status, made = owner("POST", f"/plans/{run}/link", {"days": 7})
    assert status == 200, made
    token = made["address"].partition("#")[2]
    status, shown = look(token)
    assert (status, shown["title"]) == (200, order["title"])
    assert [mark["say"] for mark in shown["plan"]["marks"]]
    assert order["client"]["name"] not in json.dumps(shown)
    for wrong in (token[:-1] + ("a" if token[-1] != "a" else "b"), token[:20], "x", f"{token}x"):
        assert look(wrong)[0] == 404
    later = timezone.now() + timedelta(days=7, minutes=1)
    monkeypatch.setattr(timezone, "now", lambda: later)
    assert look(token)[0] == 404


def test_a_plan_is_kept_as_long_as_its_link_lasts(owner, run, monkeypatch):
    monkeypatch.setattr(making, "KEPT", 0)
    actor = User.objects.get(username="ebba")
    kept = PlanRun.of(actor.workshop).filter(pk=run)
    row = kept.get().order
    assert owner("POST", f"/plans/{run}/link", {"days": 7})[0] == 200
    making.forget_old(actor, row)
    assert kept.exists()
    later = timezone.now() + timedelta(days=8)
    with monkeypatch.context() as patch:
        patch.setattr(timezone, "now", lambda: later)
        making.forget_old(actor, row)
    assert not kept.exists()


def test_a_link_is_one_until_it_is_taken_back(owner, run):
    assert owner.get(f"/plans/{run}/link") is None
    first = owner("POST", f"/plans/{run}/link", {"days": 2})[1]
    again = owner("POST", f"/plans/{run}/link", {"days": 7})[1]
    assert again["address"] == first["address"] == owner.get(f"/plans/{run}/link")["address"]
    assert again["until"] > first["until"]
    token = first["address"].partition("#")[2]
    assert look(token)[0] == 200
    assert owner("DELETE", f"/plans/{run}/link")[0] == 204
    assert owner.get(f"/plans/{run}/link") is None
    assert look(token)[0] == 404
    new = owner("POST", f"/plans/{run}/link", {"days": 7})[1]["address"]
    assert new != first["address"]
    assert look(token)[0] == 404
    assert look(new.partition("#")[2])[0] == 200


def test_a_link_is_not_looked_at_without_end(owner, run, monkeypatch):
    monkeypatch.setattr(pace, "MOST_LOOKS", 3)
    monkeypatch.setattr(pace, "time", lambda: 6e8)  # all within one minute
    token = owner("POST", f"/plans/{run}/link", {"days": 7})[1]["address"].partition("#")[2]
    answers = [look(token) for _ in range(4)]
    assert [status for status, _ in answers] == [200, 200, 200, 429]
    assert "Wait" in answers[-1][1]["title"]


def test_of_too_much_no_file_is_made_and_it_is_said(owner, run, monkeypatch):
    monkeypatch.setattr(bridge_files, "MOST_CALLS", 20)
    status, said = owner("GET", f"/plans/{run}/files/calls.pdf/preview")
    assert (status, said["title"]) == (422, "This plan has more than 20 calls. Take the files of each order by itself.")
    assert owner("GET", f"/plans/{run}/files/pattern-a4.pdf/preview")[0] == 200
    monkeypatch.setattr(bridge_files, "MOST", 2)
    assert "more than 2 pieces" in owner("GET", f"/plans/{run}/files/pattern-a4.pdf/preview")[1]["title"]


def test_the_drawings_of_a_choice_count_as_a_draft(owner, order, monkeypatch):
    monkeypatch.setattr(pace, "MOST_A_MINUTE", 2)
    cache.clear()
    monkeypatch.setattr(pace, "time", lambda: 6e8)  # all within one minute
    path = f"/orders/{order['id']}/design/moves?choice=seat"
    statuses = [owner("GET", path)[0] for _ in range(3)]
    assert statuses == [200, 200, 429]


def test_so_many_files_a_minute_are_taken_of_a_person_and_of_a_workshop(team, monkeypatch):
    monkeypatch.setattr(pace, "MOST_FILES", 3)
    monkeypatch.setattr(pace, "MOST_FILES_OF_ALL", 5)
    cache.clear()
    monkeypatch.setattr(pace, "time", lambda: 6e8)  # all within one minute
    book = {"text": "BEGIN:VCARD", "keep": False}
    asked = [("POST", "/book", book), ("POST", "/jobs", {"text": "{}"})] * 2
    statuses = [team["owner"](*one)[0] for one in asked]
    assert 429 not in statuses[:3]
    assert statuses[3] == 429
    # What one was refused is counted too; the others of the workshop have what is left of it.
    mine = [team["cutter"]("POST", "/book", book) for _ in range(3)]
    assert [status for status, _ in mine] == [200, 200, 429]
    assert "files of this workshop" in mine[-1][1]["title"]


def test_a_link_is_made_by_who_may_and_for_so_many_days(owner, stranger, run):
    assert stranger("DELETE", f"/plans/{run}/link")[0] == 404
    assert stranger("GET", f"/plans/{run}/link")[0] == 404
    for days in (0, 31, -1):
        assert owner("POST", f"/plans/{run}/link", {"days": days})[0] == 422
    assert stranger("POST", f"/plans/{run}/link", {"days": 7})[0] == 404
    User.objects.filter(username="ebba").update(role="sewer")
    for verb in ("GET", "POST", "DELETE"):
        assert owner(verb, f"/plans/{run}/link", {"days": 7} if verb == "POST" else None)[0] == 403


def test_the_job_of_a_plan_makes_the_same_plan_again(owner, run):
    job = json.loads(owner.http.get(f"/api/plans/{run}/files/job.json").content)
    stored = json.loads(owner.http.get(f"/api/plans/{run}/files/plan.json").content)
    again = plan_to_wire(plan(read_job(job), by_width=False))
    for key in ("numbers", "marks", "ledger"):
        assert json.loads(json.dumps(again[key])) == stored[key], key
