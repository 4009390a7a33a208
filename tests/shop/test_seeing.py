"""What is seen of an installation while it runs: its health, its log without a word of anybody, its figures."""

import json
import logging
import urllib.request
from io import StringIO

import pytest
from django.db import OperationalError, connection
from django.db.migrations.recorder import MigrationRecorder
from django.test import Client

from shop.accounts.models import User
from shop.api.errors import SAID
from shop.clients.models import Client as ClientRow
from shop.seeing.health import HealthMiddleware
from shop.seeing.logs import LOGGING
from shop.seeing.requests import SLOW_QUERY
from tests.servers import free_port, served

PRIVATE = ("Gunnhild", "Zweig", "0555 0199", "41 3/8", "a secret of hers", "wrong-password-9")
"""What is typed below; none of it may be logged."""


@pytest.fixture
def lines():
    """The lines of the log as it is written in real use, each as what it says."""
    out = StringIO()
    formatter = LOGGING["formatters"]["lines"]
    handler = logging.StreamHandler(out)
    handler.setFormatter(formatter["()"](**{key: one for key, one in formatter.items() if key != "()"}))
    root, ours = logging.getLogger(), logging.getLogger("plavet")
    usual = ours.level
    ours.setLevel(logging.INFO)
    root.addHandler(handler)
    yield lambda: [json.loads(line) for line in out.getvalue().splitlines()]
    root.removeHandler(handler)
    ours.setLevel(usual)


def test_a_watcher_is_answered_by_any_name_and_without_tls(owner, settings):
    settings.ALLOWED_HOSTS = ["plavet.example"]
    settings.SECURE_SSL_REDIRECT = True
    for path, body in (("live", {"live": True}), ("ready", {"ready": True})):
        answer = Client().get(f"/health/{path}", HTTP_HOST="10.1.2.3")
        assert (answer.status_code, answer.json(), answer["Cache-Control"]) == (200, body, "no-store")
    assert Client().get("/api/session", HTTP_HOST="10.1.2.3").status_code != 200


def test_it_is_not_ready_without_its_database_or_with_one_of_another_release(owner, monkeypatch, rf):
    asked = HealthMiddleware(lambda _: None)
    recorder = MigrationRecorder(connection)
    recorder.record_unapplied("money", "0001_initial")
    answer = asked(rf.get("/health/ready"))
    assert (answer.status_code, json.loads(answer.content)["waits_for"]) == (503, "migrations")
    recorder.record_applied("money", "0001_initial")
    assert asked(rf.get("/health/ready")).status_code == 200

    def gone():
        raise OperationalError

    with monkeypatch.context() as without:
        without.setattr(connection, "cursor", gone)
        without.setattr(connection, "close", lambda: None)
        answer = asked(rf.get("/health/ready"))
    assert (answer.status_code, json.loads(answer.content)["waits_for"]) == (503, "database")
    assert asked(rf.get("/health/live")).status_code == 200


def test_the_log_has_ids_and_no_word_of_anybody(owner, new_id, lines, monkeypatch):
    client = new_id()
    status, _ = owner("PUT", f"/clients/{client}", {"version": 0, "name": "Gunnhild Zweig", "contact": "0555 0199"})
    assert status == 200
    owner("PUT", f"/clients/{client}", {"version": 0, "name": "Gunnhild Q Zweig", "contact": "0555 0199"})
    owner("PUT", f"/clients/{client}", {"version": "41 3/8", "name": "Gunnhild"})
    # Its name is found by it; the address is logged without what was asked.
    owner.get("/clients", find="Gunnhild")
    owner("POST", "/session", {"user_name": "ebba", "password": "wrong-password-9"})

    def breaks(*_, **__):
        raise ValueError("41 3/8 of Gunnhild Zweig, a secret of hers")

    with monkeypatch.context() as broken:
        broken.setattr(ClientRow, "of", breaks)
        answer = owner.http.get(f"/api/clients/{client}")
        assert answer.status_code == 500
    assert f"say this number: {answer['X-Request-Id'][:SAID]}." in answer.json()["title"]
    found = lines()
    text = json.dumps(found)
    assert [word for word in (*PRIVATE, str(client)) if word in text] == []
    wrote = next(one for one in found if one["event"] == "request")
    ebba = User.objects.get(username="ebba")
    assert (wrote["method"], wrote["route"], wrote["status"]) == ("PUT", "api/clients/<id>", 200)
    assert (wrote["person"], wrote["workshop"]) == (str(ebba.pk), str(ebba.workshop_id))
    assert len(wrote["request"]) == 32
    assert 0 < wrote["queries"] < 30
    [broke] = [one for one in found if one["event"] == "broken"]
    assert (broke["error"], broke["request"]) == ("ValueError", answer["X-Request-Id"])
    assert any("tests/shop/test_seeing.py" in place and "breaks" in place for place in broke["places"])
    assert {one["status"] for one in found if one["event"] == "request"} >= {200, 409, 422, 500}
    # What is only read, and quickly, is not worth a line.
    assert not any(one.get("method") == "GET" and one.get("status") == 200 for one in found)


def test_an_owner_sees_how_the_installation_is_and_nobody_else(owner, monkeypatch, tmp_path):
    monkeypatch.delenv("PLAVET_BACKUPS", raising=False)
    seen = owner.get("/installation")
    found = {one["what"]: one for one in seen["found"]}
    assert found["database"]["right"]
    assert found["backup"]["says"] == "none are made here: this is for trying out"
    assert (found["worker"]["right"], found["worker"]["mend"]) == (False, "./plavet start begins it")
    assert seen["backups"] == []
    monkeypatch.setenv("PLAVET_BACKUPS", str(tmp_path))
    assert {one["what"]: one["says"] for one in owner.get("/installation")["found"]}["backup"] == "there is none"
    old = tmp_path / "plavet-20261101-022000.tar"
    old.write_bytes(b"x" * 3 * 1024**2)
    seen = owner.get("/installation")
    assert [(one["at"], one["size_mb"]) for one in seen["backups"]] == [("2026-11-01T02:20:00Z", 3.0)]
    backup = next(one for one in seen["found"] if one["what"] == "backup")
    assert (backup["right"], "plavet-20261101-022000.tar" in backup["says"]) == (False, True)


def test_a_slow_query_is_named_without_what_was_asked(owner, lines, monkeypatch):
    monkeypatch.setattr("shop.seeing.requests.SLOW_QUERY", 0.0)
    owner.get("/clients", find="Gunnhild")
    named = [one for one in lines() if one["event"] == "slow query"]
    assert any('FROM "clients_client"' in one["sql"] for one in named)
    assert "Gunnhild" not in json.dumps(named)
    assert SLOW_QUERY > 0.1, "a usual query is not slow"


def test_figures_of_all_processes_are_served_on_loopback_alone():
    there = free_port()
    with served(2, "--metrics", f"127.0.0.1:{there}") as (port, _):
        for _ in range(10):
            with pytest.raises(urllib.error.HTTPError):
                urllib.request.urlopen(f"http://127.0.0.1:{port}/api/session")
        figures = urllib.request.urlopen(f"http://127.0.0.1:{there}/metrics").read().decode()
        with pytest.raises(urllib.error.HTTPError, match="404"):
            urllib.request.urlopen(f"http://127.0.0.1:{port}/health/metrics")
    counted = [line for line in figures.splitlines() if line.startswith("django_http_responses_total_by_status_total")]
    assert sum(float(line.split()[-1]) for line in counted if 'status="401"' in line) == 10
