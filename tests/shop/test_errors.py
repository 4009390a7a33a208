"""Refusals: one root, each kind with a status and a code of its own, and the answer that carries them."""

from errno import ENOSPC
from importlib import import_module
from unittest.mock import Mock

import pytest
from django.db.utils import OperationalError
from psycopg.errors import DiskFull

from shop.clients.models import Client
from shop.errors import ShopError


def kinds(root=ShopError):
    import_module("shop.api.api")
    for kind in root.__subclasses__():
        yield kind
        yield from kinds(kind)


def test_every_kind_has_a_code_of_its_own_and_a_status_of_a_refusal():
    codes = [kind.code for kind in kinds()]
    assert len(set(codes)) == len(codes) >= 8
    assert {kind.status for kind in kinds()} <= {400, 401, 403, 404, 409, 415, 422, 429}


def test_nothing_else_is_raised_on_purpose():
    """An exception of the shop that is no ShopError would be answered as our own fault."""
    apart = {"UnscopedReadError"}
    found = [
        one for one in Exception.__subclasses__() + RuntimeError.__subclasses__() if one.__module__.startswith("shop.")
    ]
    assert {one.__name__ for one in found} <= apart | {"ShopError"}


def closed(owner, order, new_id):
    sheet = order["sheet"]["id"]
    assert owner("POST", f"/sheets/{sheet}/close")[0] == 200
    return owner("PUT", f"/readings/{new_id()}", {"sheet": sheet, "key": "hip", "typed": "40"})


def stale(owner, order, new_id):
    body = {key: value for key, value in order["cloth"].items() if key != "id"} | {"version": 99, "colour": "#101010"}
    return owner("PUT", f"/cloths/{order['cloth']['id']}", body)


def outfit(owner, order, new_id):
    row = order["garments"][0]
    body = {key: value for key, value in row.items() if key != "id"} | {"removed": True}
    return owner("PUT", f"/garments/{row['id']}", body)


def core(owner, order, new_id):
    return owner("PUT", f"/readings/{new_id()}", {"sheet": order["sheet"]["id"], "key": "hip", "typed": "3o"})


def shelf(owner, order, new_id):
    plan = owner("POST", f"/orders/{order['id']}/plan")[1]["id"]
    return owner("PUT", f"/plans/{plan}/cut", {"id": new_id()})


def password(owner, order, new_id):
    return owner("POST", "/session", {"user_name": "ebba", "password": "wrong"})


@pytest.mark.parametrize(
    ("ask", "status"), [(closed, 409), (stale, 409), (outfit, 422), (core, 422), (shelf, 422), (password, 401)]
)
def test_an_answer_carries_the_status_the_code_and_how_to_mend_it(owner, order, new_id, ask, status):
    got, body = ask(owner, order, new_id)
    assert (got, body["status"], body["code"]) == (status, status, ask.__name__), body
    assert body["title"].endswith(".")
    assert ("theirs" in body) == (ask is stale)


@pytest.mark.parametrize(
    "full", [OperationalError("no room"), OSError(ENOSPC, "No space left on device")], ids=["rows", "files"]
)
def test_a_full_disk_is_said_and_nothing_is_kept(owner, new_id, monkeypatch, full):
    """As the database says it, through Django, and as the system does."""
    if isinstance(full, OperationalError):
        full.__cause__ = DiskFull("could not extend file")
    monkeypatch.setattr(Client, "save", Mock(side_effect=full))
    status, said = owner("PUT", f"/clients/{new_id()}", {"name": "Ada"})
    assert (status, said["code"]) == (507, "disk")
    assert "disk is full" in said["title"]
    monkeypatch.undo()
    assert not Client._base_manager.filter(name="Ada").exists()
    assert owner("PUT", f"/clients/{new_id()}", {"name": "Ada"})[0] == 200, "it goes on when there is room"
