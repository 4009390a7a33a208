"""What nobody should send: in every field of every path. No answer is our own fault, and a refused write changes nothing."""

import copy
import json
import os
from urllib.parse import quote
from uuid import uuid4

import pytest
from django.test import Client as Http

from shop.accounts.models import User
from shop.api.api import api
from tests.shop.bodies import SQUARE, bodies_for, rows, shape_of
from tests.shop.conftest import Caller

HOSTILE = [
    "", "   ", "\u0000", "a\u0000b", "\ud800", "\u202eabc", "x" * 5000, "\u2603" * 60, "=1+1", "../../etc", "<b>", "0001-01-01",
    "9999-12-31", "NaN", "1e999", "-1", "00000000-0000-0000-0000-000000000000", -1, 0, 2**31, 2**53, 1e308, 0.5, None,
    True, [], {}, [[[]]], {"a": 1}, ["\u0000"], {"\u0000": "x"}, {"top": 1, "lower": "x"}, [None] * 600,
]  # fmt: skip
EVERY = 1 if os.environ.get("PLAVET_DEEP") else 8
"""One field is sent each so many of them, the next field the next ones."""
ADDRESSES = ["%00", "%ff", "a%0ab", "x" * 3000, "..", "%F0%9F%98%80", "null", "%E2%80%AEabc"]


@pytest.fixture
def bodies(owner, order):
    return bodies_for(owner, order)


def test_no_field_of_no_path_takes_what_it_should_not(owner, bodies, settings):
    """Each field of each body in turn is each hostile value; so are a list's and a choice's own fields."""
    settings.AXES_ENABLED = False
    described = api.get_openapi_schema(path_prefix="/api/")["paths"]
    takes = {
        (method.upper(), shape_of(path[4:]))
        for path, ways in described.items()
        for method, way in ways.items()
        if "requestBody" in way
    }
    tape = {("POST", "/tape/*/readings")}
    assert {(method, shape_of(path)) for method, path in bodies} | tape >= takes
    broken = []
    for (method, path), body in bodies.items():
        before = rows()
        for turn, field in enumerate([*body, "one_more"]):
            for value in HOSTILE[turn % EVERY :: EVERY]:
                if path.startswith("/session"):  # which ends after some wrong passwords
                    owner = Caller(User.objects.get(username="ebba"))
                    before = rows()
                sent = copy.deepcopy(body) | {field: value}
                status, answer = owner(method, path, sent)
                if status >= 500:
                    broken.append((method, shape_of(path), field, value if len(str(value)) < 40 else "long"))
                elif status >= 400:
                    assert answer["title"], path
                    assert rows() == before, (method, path, field, value)
                else:
                    before = rows()
        inner = body.get("placements", [{}])[0]
        for turn, field in enumerate(inner):
            for value in HOSTILE[turn % EVERY :: EVERY]:
                sent = copy.deepcopy(body)
                sent["placements"][0][field] = value
                if owner(method, path, sent)[0] >= 500:
                    broken.append((method, shape_of(path), f"placements.{field}", str(value)[:40]))
    assert broken == []


def test_no_address_is_our_own_fault(owner, order):
    """In place of every id and name in an address, and in every query."""
    for path, ways in api.get_openapi_schema(path_prefix="/api/")["paths"].items():
        for method, way in ways.items():
            for odd in ADDRESSES:
                names = [one["name"] for one in way.get("parameters", []) if one["in"] == "path"]
                queries = [one["name"] for one in way.get("parameters", []) if one["in"] == "query"]
                there = path
                for name in names:
                    there = there.replace(f"{{{name}}}", odd)
                plain = path.replace("{id}", order["id"]).replace("{method}", "quarter-hip")
                for called in [there] * bool(names) + [f"{plain}?{name}={odd}" for name in queries]:
                    answer = owner.http.generic(method.upper(), called, b"{}", content_type="application/json")
                    assert answer.status_code < 500, (method, called)


@pytest.mark.parametrize(
    ("body", "kind", "status"),
    [
        (b"{", "application/json", 400),
        (b'{"user_name": NaN}', "application/json", 400),
        (b"[" * 100_000, "application/json", 400),
        (b'{"a":' * 40 + b"1" + b"}" * 40, "application/json", 400),
        (b"\xff\xfe", "application/json", 400),
        (b'{"user_name": "' + b"x" * 1_100_000 + b'"}', "application/json", 413),
        (b"user_name=ebba&password=three-tables", "application/x-www-form-urlencoded", 415),
        (b'{"user_name": "ebba", "password": "three-tables"}', "text/plain", 415),
        (b"--x", "multipart/form-data", 415),
        (b"--x", "multipart/form-data; boundary=x", 415),
        (b"12", "application/json", 422),
    ],
)
def test_a_body_is_json_of_a_bounded_size_or_is_refused_in_words(owner, body, kind, status):
    answer = Http().post("/api/session", body, content_type=kind)
    assert (answer.status_code, answer["Content-Type"]) == (status, "application/problem+json")
    assert json.loads(answer.content)["title"]


def test_an_address_that_is_not_there_is_said_in_words(owner):
    for method, path, status in (("GET", "/nothing", 404), ("POST", "/clients/1/2/3", 404), ("POST", "/trade", 405)):
        answer = owner.http.generic(method, f"/api{path}", b"", content_type="application/json")
        assert (answer.status_code, answer["Content-Type"]) == (status, "application/problem+json")


def test_a_name_of_spaces_is_refused_and_one_is_trimmed(owner, order, new_id):
    cloth = {"form": "bolt", "kind": "wool", "colour": "#202020", "width": "60"}
    for path, field, more in (
        ("clients", "name", {}), ("shelf", "name", cloth), ("house-rules", "name", {"method": "quarter-hip", "choices": {}}),
        ("house-patterns", "name", {"text": SQUARE, "pieces": [{"name": "Square"}]}),
    ):  # fmt: skip
        status, refused = owner("PUT", f"/{path}/{new_id()}", more | {field: "   "})
        assert (status, refused["problems"][0]["where"]) == (422, field)
        assert owner("PUT", f"/{path}/{new_id()}", more | {field: "  Ada\u0301  "})[1][field] == "Ad\u00e1"
        owner.get(f"/{path}")


def test_a_write_comes_from_our_own_page_or_not_at_all(owner, db):
    """Also the log-in and joining, for those who are nobody yet; the device of a tape has no page."""
    http = Http(enforce_csrf_checks=True)
    typed = json.dumps({"user_name": "ebba", "password": "three-tables"})
    refused = http.post("/api/session", typed, content_type="application/json")
    assert (refused.status_code, refused.json()["code"]) == (403, "page")
    assert "sessionid" not in http.cookies
    assert http.post("/api/session/join/x", "{}", content_type="application/json").status_code == 403
    assert http.post("/api/tape/nocode/readings", typed, content_type="application/json").status_code == 422
    token = http.get("/").cookies["csrftoken"].value
    taken = http.post("/api/session", typed, content_type="application/json", headers={"X-CSRFToken": token})
    assert taken.status_code == 200
    for method, path in (("PUT", f"/clients/{uuid4()}"), ("DELETE", "/session"), ("POST", "/tape")):
        assert http.generic(method, f"/api{path}", b"{}", content_type="application/json").status_code == 403


def test_nothing_private_may_be_kept_by_a_browser(owner, order):
    for path in ("/clients", f"/orders/{order['id']}", "/session", "/trade", "/nothing"):
        assert owner.http.get(f"/api{path}")["Cache-Control"] == "no-store", path
    assert Http().get("/api/clients")["Cache-Control"] == "no-store"


def test_a_lay_by_hand_is_within_reason_and_within_its_cloth(owner, order, new_id):
    """A kilometre of cloth, the same piece twice, hundreds of pieces: refused before anything is measured."""
    made = owner("POST", f"/orders/{order['id']}/plan")[1]
    placements = made["plan"]["lay"]["placements"]
    for x, where in ((1e6, "placements"), (2**31, "placements"), (55_000, "lay"), (-55_000, "lay")):
        moved = [placements[0] | {"x_mm": x}, *placements[1:]]
        status, refused = owner("PUT", f"/plans/{made['id']}/hand", {"id": new_id(), "placements": moved})
        assert (status, where in refused["problems"][0]["where"]) == (422, True), refused
        hand = {"placements": moved, "pins": []}
        assert owner("PUT", f"/lay-runs/{new_id()}", {"plan": made["id"], "kind": "rest", "hand": hand})[0] == 422
    status, refused = owner("PUT", f"/plans/{made['id']}/hand", {"id": new_id(), "placements": placements * 60})
    assert status == 422
    assert owner.get(f"/orders/{quote(order['id'])}")["id"] == order["id"]
