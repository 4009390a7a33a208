"""What the API takes: a good body for every path that takes one, and how many rows there are."""

from datetime import timedelta
from pathlib import Path
from uuid import uuid4

from django.apps import apps
from django.db import connection
from django.utils import timezone
from psycopg.sql import SQL, Identifier, Literal

from shop.accounts.models import Invitation, User

JOB = (Path(__file__).parents[2] / "demo/jobs/choir-palazzo.json").read_text()


DOT = "iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg=="
"""A picture of one pixel."""
SQUARE = '<svg xmlns="http://www.w3.org/2000/svg" width="9cm" viewBox="0 0 90 90"><rect width="50" height="40"/></svg>'


def rows():
    """How many rows each table holds and how often they were changed, in one question."""
    asked = []
    for model in apps.get_models():
        changes = SQL("coalesce(sum(version), 0)" if hasattr(model, "version") else "0")
        parts = Literal(model._meta.label), changes, Identifier(model._meta.db_table)
        asked.append(SQL("select {}, {}, count(*) from {}").format(*parts))
    with connection.cursor() as cursor:
        cursor.execute(SQL(" union all ").join(asked))
        return sorted(cursor.fetchall())


def order_that_is_ready(owner):
    """The order of a client who is to be told that it is ready."""
    last = owner.get(f"/orders/{owner.get('/orders')[-1]['id']}")
    client = {key: last["client"][key] for key in ("version", "name")} | {"phone": "0555", "takes_reminders": True}
    assert owner("PUT", f"/clients/{last['client']['id']}", client)[0] == 200
    assert owner("PUT", f"/steps/{uuid4()}", {"order": last["id"], "state": "ready"})[0] == 200
    return last["id"]


def bodies_for(owner, order):
    """A body that is taken, for every path that takes one; with the path it goes to. `owner` calls as the owner."""
    made = owner("POST", f"/orders/{order['id']}/plan")[1]
    ids = {key: order[key]["id"] for key in ("client", "sheet", "cloth")} | {"order": order["id"]}
    soon = str(timezone.localdate() + timedelta(days=9))
    cloth = {key: value for key, value in order["cloth"].items() if key != "id"}
    garment = {key: value for key, value in order["garments"][0].items() if key not in ("id", "from_another_cloth")}
    sheet = {key: order["sheet"][key] for key in ("version", "client", "taken_on", "unit", "waist")}
    invitation = str(uuid4())
    owner("PUT", f"/invitations/{invitation}", {"name": "Nils", "role": "sewer"})
    token = Invitation._base_manager.get(pk=invitation).token
    tape = owner("POST", "/tape")[1]["code"]
    shelf, plan = str(uuid4()), made["id"]
    on_shelf = {key: value for key, value in cloth.items() if key not in ("fold", "sections")}
    owner("PUT", f"/shelf/{shelf}", on_shelf | {"version": 0, "name": "Bolt", "form": "bolt"})
    tick = {"order": ids["order"], "plan": plan, "stamp": made["stamp"], "call": 2}
    chalk = owner("PUT", f"/ticks/{uuid4()}", tick)[1]["id"]
    drill = {"method": "quarter-hip", "style": "straight-trousers", "rule": "front.hip_width", "seed": 3}
    found = {
        "order": ids["order"],
        "sign": "seat_tight",
        "cure": "tip_more",
        "pinned": "1/2",
        "fitted_on": "2026-11-01",
    }
    correction, payment = str(uuid4()), str(uuid4())
    photo = {"order": ids["order"], "taken_on": "2026-11-01", "picture": DOT}
    owner("PUT", f"/fitting-corrections/{correction}", found)
    paid = owner("PUT", f"/payments/{payment}", {"order": ids["order"], "amount": "40", "paid": "0.00"})[1]
    move = {"kinds": ["pack"], "person": str(User.objects.get(username="ebba").id), "day": soon}
    by_hand = next(mark["n"] for mark in made["plan"]["marks"] if mark["by_hand"])
    return {
        ("POST", "/book"): {"text": "BEGIN:VCARD", "keep": False},
        ("PUT", f"/clients/{uuid4()}"): {"name": "Ada"},
        ("POST", f"/clients/{ids['client']}/merge"): {"other": str(uuid4())},
        ("PUT", f"/cloths/{ids['cloth']}"): cloth,
        ("PUT", f"/corrections/{uuid4()}"): {"sheet": ids["sheet"]},
        ("POST", f"/orders/{ids['order']}/cures"): {"garment": "trousers", "sign": "seat_tight", "pinned": "1/2"},
        ("PUT", f"/fitting-corrections/{uuid4()}"): found,
        ("PUT", f"/photos/{uuid4()}"): photo,
        ("PATCH", f"/fitting-corrections/{correction}"): {"version": 1, "removed": True},
        ("PUT", f"/house-corrections/{uuid4()}"): {"kind": "lower", "method": "quarter-hip", "choice": "seat_raise"},
        ("POST", "/drafts/quarter-hip/number?style=palazzo"): {"key": "palazzo.crotch_depth", "typed": "11"},
        ("POST", "/flat"): {"key": "hip", "typed": "20", "unit": "in"},
        ("PUT", f"/garments/{order['garments'][0]['id']}"): garment,
        ("PUT", f"/orders/{ids['order']}/outfit"): {"garments": [{"id": order["garments"][0]["id"], **garment}]},
        ("PUT", f"/house-rules/{uuid4()}"): {"name": "Ours", "method": "quarter-hip", "choices": {}},
        ("PUT", f"/invitations/{uuid4()}"): {"name": "Nils", "role": "sewer", "to": "0555"},
        ("PUT", f"/lay-runs/{uuid4()}"): {"plan": plan, "seconds": 1},
        ("PUT", f"/plots/{uuid4()}"): {"plan": plan},
        ("PUT", f"/orders/{ids['order']}"): {
            "version": order["version"],
            "title": "Trousers",
            "garments": [],
            "promised_on": order["promised_on"],
            **{key: ids[key] for key in ("client", "sheet", "cloth")},
        },
        ("PUT", f"/orders/{uuid4()}/again"): {"of": ids["order"], "promised_on": soon},
        ("POST", f"/orders/{ids['order']}/passed"): {"station": "design"},
        ("PUT", f"/steps/{uuid4()}"): {"order": ids["order"], "state": "sewing"},
        ("POST", "/jobs"): {"text": JOB},
        ("PUT", f"/house-patterns/{uuid4()}"): {"name": "Square", "text": SQUARE, "pieces": [{"name": "Square"}]},
        ("PUT", f"/orders/{ids['order']}/patterns"): {"patterns": []},
        ("PUT", f"/sewn/{uuid4()}"): {"order": ids["order"], "plan": plan, "operation": "trousers.darts"},
        ("POST", "/patterns"): {"text": SQUARE},
        ("POST", "/patterns/file"): {"text": SQUARE, "name": "pieces.hpgl"},
        ("PUT", f"/orders/{uuid4()}/from-job"): {"text": JOB, "promised_on": soon},
        ("PUT", f"/orders/{uuid4()}/same"): {"of": ids["order"], "client": ids["client"]},
        ("PUT", f"/orders/{ids['order']}/shelf"): {"shelf": shelf},
        ("PUT", f"/overrulings/{uuid4()}"): {"sheet": ids["sheet"], "key": "hip"},
        ("PUT", f"/password-links/{uuid4()}"): {"person": str(uuid4())},
        ("PUT", "/session/step"): {"code": "123456"},
        ("POST", "/session/step/off"): {"password": "wrong one"},
        ("PUT", f"/people/{User.objects.get(username='ebba').id}"): {"role": "owner"},
        ("PUT", f"/plans/{plan}/cut"): {"id": str(uuid4())},
        ("PUT", f"/plans/{plan}/hand"): {"id": str(uuid4()), "placements": made["plan"]["lay"]["placements"]},
        ("POST", f"/plans/{plan}/link"): {"days": 7},
        ("POST", f"/plans/{plan}/number"): {"key": "trousers.crotch_depth", "typed": "11"},
        ("PUT", f"/readings/{uuid4()}"): {"sheet": ids["sheet"], "key": "hip", "typed": "41"},
        ("POST", "/session"): {"user_name": "ebba", "password": "wrong one"},
        ("POST", "/session/password"): {"old_password": "three-tables", "password": "three-tables"},
        ("POST", f"/session/join/{token}"): {"user_name": "nils", "password": "a long enough word"},
        ("PUT", f"/sheets/{ids['sheet']}"): sheet,
        ("POST", f"/sheets/{ids['sheet']}/file"): {"text": "point,typed\nhip,41"},
        ("POST", f"/sheets/{ids['sheet']}/turn"): {"unit": "in"},
        ("PUT", f"/shelf/{shelf}"): on_shelf | {"version": 1, "name": "Bolt", "form": "bolt"},
        ("POST", f"/tape/{tape}/readings"): {"id": str(uuid4()), "typed": "41 in"},
        ("PUT", f"/drill-answers/{uuid4()}"): drill | {"typed": "11"},
        ("PUT", f"/call-answers/{uuid4()}"): {
            "plan": plan,
            "stamp": made["stamp"],
            "call": by_hand,
            "typed": "11",
        },
        ("PUT", f"/tape-readings/{uuid4()}"): {"chalk": chalk, "garment": "trousers", "panel": "front", "tape": 0},
        ("PUT", f"/ticks/{uuid4()}"): tick | {"call": 1},
        ("PUT", f"/hours/{User.objects.get(username='ebba').id}"): {
            "skills": ["cut"],
            "week": [[["08:00", "12:00"]], *([[]] * 6)],
        },
        ("PUT", f"/away/{uuid4()}"): {"person": str(User.objects.get(username="ebba").id), "first": soon, "last": soon},
        ("PUT", f"/client-days/{uuid4()}"): {"order": ids["order"], "kind": "fit", "day": soon},
        ("POST", f"/hours/{User.objects.get(username='ebba').id}/moves"): {"first": soon, "last": soon},
        ("POST", f"/orders/{ids['order']}/moves"): move,
        ("PUT", f"/ticket-moves/{uuid4()}"): move
        | {
            "order": ids["order"],
            "stamp": owner("POST", f"/orders/{ids['order']}/moves", move)[1]["stamp"],
        },
        ("POST", "/promises"): {"styles": ["palazzo"], "day": soon},
        ("PUT", "/prices"): {"currency": "EUR", "rate": "30", "notions": {"zip": "2.50"}, "tax_percent": "25"},
        ("PUT", f"/quotes/{uuid4()}"): {"order": ids["order"], "extras": [{"name": "Express", "amount": "5"}]},
        ("POST", f"/quotes/{uuid4()}/agree"): {"order": ids["order"], "total": "0.00"},
        ("PUT", f"/payments/{uuid4()}"): {"order": ids["order"], "amount": "5", "paid": paid["paid_written"]},
        ("PUT", f"/taken-back/{uuid4()}"): {"payment": payment},
        ("PUT", f"/reminders/{uuid4()}"): {"order": order_that_is_ready(owner), "kind": "ready"},
        ("POST", "/quick-prices"): {"styles": ["palazzo"], "hip": "41", "width": "58 in"},
        ("PATCH", "/workshop"): {"heading": "Quay 3"},
        ("PUT", f"/tablets/{uuid4()}"): {"name": "Cutting table"},
        ("POST", "/session/tablet"): {"person": str(uuid4()), "code": "2580"},
        ("PUT", "/session/code"): {"password": "wrong one", "code": "2580"},
        ("PUT", "/workshop/unit"): {"unit": "in"},
        ("PATCH", "/session/own"): {"light": "dim"},
    }


def shape_of(path):
    """A path of the schema without its parameters, and one that was called without its ids."""
    return "/".join(
        "*" if "{" in part or len(part) > 15 or part == "quarter-hip" else part
        for part in path.partition("?")[0].split("/")
    )
