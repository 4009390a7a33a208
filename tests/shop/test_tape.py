"""The digital tape: an outside device that is heard by its code alone, may send twice, slip, drop out or be absent."""

import subprocess
import sys
from pathlib import Path

import pytest

from demo.tape import SLIPS, main
from shop.accounts.models import User
from shop.clients.models import Tape
from tests.shop.conftest import Caller

ROOT = Path(__file__).resolve().parents[2]


@pytest.fixture
def device(db):
    nobody = Caller(None)
    return lambda code, id, typed: nobody("POST", f"/tape/{code}/readings", {"id": id, "typed": typed})[0]


def test_a_reading_is_heard_once_by_the_one_it_is_paired_with(owner, stranger, device, new_id):
    assert owner("GET", "/tape")[0] == 404
    code = owner("POST", "/tape")[1]["code"]
    one = new_id()
    assert [device(code, one, "41.5 in") for _ in range(2)] == [204, 204]
    heard = owner.get("/tape")
    assert (heard["seq"], heard["typed"]) == (1, "41.5 in")
    assert device(code, new_id(), "41.5 in") == 204
    assert owner.get("/tape")["seq"] == 2
    assert stranger("GET", "/tape")[0] == 404
    colleague = Caller(User.objects.create(username="mate", workshop=User.objects.get(username="ebba").workshop))
    assert colleague("GET", "/tape")[0] == 404


def test_a_sign_of_life_without_a_reading_fills_nothing(owner, device, new_id):
    code = owner("POST", "/tape")[1]["code"]
    assert device(code, new_id(), "  ") == 204
    heard = owner.get("/tape")
    assert heard["seq"] == 0
    assert heard["heard_at"]


def test_an_unknown_an_old_and_a_put_away_code_are_not_heard(owner, device, new_id):
    assert device("NOBODY00", new_id(), "41 in") == 404
    first = owner("POST", "/tape")[1]["code"]
    second = owner("POST", "/tape")[1]["code"]
    assert first != second
    assert device(first, new_id(), "41 in") == 404
    Tape._base_manager.update(created_at="2026-01-01T00:00Z")
    assert device(second, new_id(), "41 in") == 404
    third = owner("POST", "/tape")[1]["code"]
    assert owner("DELETE", "/tape")[0] == 204
    assert device(third, new_id(), "41 in") == 404


def test_a_reading_changes_no_sheet_by_itself(owner, order, device, new_id):
    code = owner("POST", "/tape")[1]["code"]
    device(code, new_id(), "99 in")
    device(code, new_id(), "x" * 60)
    assert owner("GET", f"/orders/{order['id']}")[1] == order


@pytest.mark.parametrize(
    ("slip", "sent"),
    [("none", "41.5 in"), ("half", "20.75 in"), ("double", "83 in"), ("cm", "41.5 cm"), ("swap", "14 in")],
)
def test_the_stand_in_slips_as_it_is_told(slip, sent):
    assert SLIPS[slip](41.5) == sent


@pytest.mark.django_db(transaction=True)
def test_the_stand_in_sends_over_the_line_and_loses_what_it_is_told_to(live_server, capsys):
    from demo.load import load

    load()
    owner = Caller(User.objects.get(username="ebba"))
    code = owner("POST", "/tape")[1]["code"]
    words = [code, "41.5", "24", "16", "--drop", "2", "--pause", "0"]
    assert main(words, live_server.url) == 0
    assert capsys.readouterr().out.splitlines() == ["41.5 in", "24 in: lost on the way", "16 in"]
    heard = owner.get("/tape")
    assert (heard["seq"], heard["typed"]) == (2, "16 in")
    assert main(["NOBODY00", "41"], live_server.url) == 1
    assert "Pair the tape" in capsys.readouterr().err
    assert main([code, "41"], "http://127.0.0.1:9") == 1
    assert "Nobody answers" in capsys.readouterr().err


def test_the_command_says_how_it_is_used():
    said = subprocess.run(
        [sys.executable, "-m", "setup", "tape", "--help"], cwd=ROOT, capture_output=True, text=True, check=False
    )
    assert said.returncode == 0
    assert "--slip" in said.stdout
