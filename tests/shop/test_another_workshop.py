"""Every path of the API, walked with the ids of another workshop: nothing of it is given, nothing of it is changed."""

from contextlib import suppress
from datetime import timedelta
from uuid import UUID

from django.test import Client as Http
from django.utils import timezone

from shop.accounts.models import User
from tests.shop.bodies import DOT, JOB, SQUARE, order_that_is_ready


def ids_in(value, found):
    """Every UUID in an answer."""
    if isinstance(value, dict):
        for one in value.values():
            ids_in(one, found)
    elif isinstance(value, list):
        for one in value:
            ids_in(one, found)
    elif isinstance(value, str) and len(value) == 36:
        with suppress(ValueError):
            found.add(str(UUID(value)))
    return found


def test_another_workshop_gets_nothing_on_any_path(owner, stranger, order, new_id):
    from shop.api.api import api

    cloth = {"name": "Ours", "form": "bolt", "kind": "twill", "colour": "#101010", "width": "60"}
    kept = owner("PUT", f"/shelf/{new_id()}", cloth)[1]
    owner("PUT", f"/orders/{order['id']}/shelf", {"shelf": kept["id"]})
    made = owner("POST", f"/orders/{order['id']}/plan")[1]
    run = new_id()
    owner("PUT", f"/lay-runs/{run}", {"plan": made["id"]})
    plot = new_id()
    owner("PUT", f"/plots/{plot}", {"plan": made["id"]})
    invited = owner("PUT", f"/invitations/{new_id()}", {"name": "Ivo", "role": "sewer"})[1]
    rule = owner("PUT", f"/house-rules/{new_id()}", {"name": "Ours", "method": "quarter-hip", "choices": {}})[1]
    said = {"name": "Square", "text": SQUARE, "pieces": [{"name": "Square"}]}
    pattern = owner("PUT", f"/house-patterns/{new_id()}", said)[1]
    cut = owner("PUT", f"/plans/{made['id']}/cut", {"id": new_id()})[1]["cut"]
    tick = {"order": order["id"], "plan": made["id"], "stamp": made["stamp"], "call": 1}
    chalk = owner("PUT", f"/ticks/{new_id()}", tick)[1]["id"]
    step = new_id()
    owner("PUT", f"/steps/{step}", {"order": order["id"], "state": "agreed"})
    drill = {"method": "quarter-hip", "style": "palazzo", "rule": "front.hip_width", "seed": 3, "typed": "11"}
    drilled = new_id()
    assert owner("PUT", f"/drill-answers/{drilled}", drill)[0] == 200
    day, schedule = str(timezone.localdate() + timedelta(days=3)), new_id()
    ill = {"person": str(User.objects.get(username="ebba").id), "first": day, "last": day}
    [away] = owner("PUT", f"/away/{new_id()}", ill)[1]["away"]
    [comes] = owner("PUT", f"/client-days/{new_id()}", {"order": order["id"], "kind": "fit", "day": day})[1]["days"]
    assert owner("PUT", f"/schedules/{schedule}")[0] == 200
    quote, payment, taken = new_id(), new_id(), {"order": order["id"], "amount": "40", "paid": "0.00"}
    assert owner("PUT", f"/quotes/{quote}", {"order": order["id"]})[0] == 200
    assert owner("PUT", f"/payments/{payment}", taken)[0] == 200
    photo, shown = new_id(), {"order": order["id"], "taken_on": "2026-11-01", "picture": DOT}
    assert owner("PUT", f"/photos/{photo}", shown)[0] == 200
    reminder, ready = new_id(), order_that_is_ready(owner)
    assert owner("PUT", f"/reminders/{reminder}", {"order": ready, "kind": "ready"})[0] == 200
    tablet = new_id()
    assert owner("PUT", f"/tablets/{tablet}", {"name": "Table"})[0] == 200
    rows = {
        "chalks": chalk, "ticks": new_id(), "tape-readings": new_id(), "steps": step, "drill-answers": drilled, "call-answers": new_id(), "sewn": new_id(), "fitting-corrections": new_id(), "photos": photo, "house-corrections": new_id(),
        "shelf": kept["id"], "cuts": cut["id"], "house-rules": rule["id"], "house-patterns": pattern["id"], "clients": order["client"]["id"], "sheets": order["sheet"]["id"], "orders": order["id"], "lay-runs": run, "plots": plot,
        "garments": order["garments"][0]["id"], "cloths": order["cloth"]["id"], "plans": made["id"],
        "readings": order["sheet"]["readings"][0]["id"], "corrections": new_id(), "overrulings": new_id(),
        "people": str(User.objects.get(username="ebba").id), "invitations": invited["id"], "password-links": new_id(),
        "hours": str(User.objects.get(username="ebba").id), "away": away["id"], "client-days": comes["id"], "schedules": schedule,
        "quotes": quote, "payments": payment, "taken-back": new_id(), "reminders": reminder, "ticket-moves": new_id(), "tablets": tablet,
    }  # fmt: skip
    bodies = {
        "clients": {"name": "x", "other": rows["clients"]}, "sheets": {"client": rows["clients"], "taken_on": "2026-01-01", "unit": "in", "text": "point,typed"},
        "orders": {
            "client": rows["clients"], "sheet": rows["sheets"], "cloth": rows["cloths"], "title": "x", "promised_on": "2026-01-01",
            "of": rows["orders"], "shelf": rows["shelf"], "station": "cloth", "text": JOB, "patterns": [], "sign": "seat_tight", "pinned": "1/2",
            "kinds": ["pack"], "person": rows["people"], "day": day,
            "garments": [{"id": rows["garments"], "name": "t", "style": "palazzo"}],
        },
        "ticks": tick, "tape-readings": {"chalk": chalk, "garment": "trousers", "panel": "front", "tape": 0},
        "steps": {"order": rows["orders"], "state": "called_off"}, "drill-answers": drill,
        "call-answers": {"plan": made["id"], "stamp": made["stamp"], "call": 1, "typed": "11"},
        "shelf": cloth, "plans": {"id": new_id(), "placements": [], "key": "trousers.crotch_depth", "typed": "10"},
        "garments": {"order": rows["orders"], "name": "t", "style": "palazzo", "method": "quarter-hip", "choices": {}},
        "cloths": {"kind": "x", "colour": "#000000", "width": "150", "fold": "open"},
        "readings": {"sheet": rows["sheets"], "key": "hip", "typed": "100"}, "lay-runs": {"plan": made["id"]}, "plots": {"plan": made["id"]}, "jobs": {"text": JOB}, "patterns": {"text": SQUARE, "name": "pieces.hpgl"},
        "corrections": {"sheet": rows["sheets"]}, "overrulings": {"sheet": rows["sheets"], "key": "hip"},
        "workshop": {"unit": "cm"}, "flat": {"key": "hip", "typed": "20", "unit": "in"}, "drafts": {"key": "trousers.crotch_depth", "typed": "10"}, "book": {"text": ""}, "people": {"role": "sewer"},
        "invitations": {"name": "Ivo", "role": "owner"}, "password-links": {"person": rows["people"]}, "house-rules": {"name": "x", "method": "half-thigh", "choices": {}},
        "house-corrections": {"kind": "lower", "method": "quarter-hip", "choice": "seat_raise"},
        "fitting-corrections": {"order": rows["orders"], "sign": "seat_tight", "cure": "tip_more", "pinned": "1/2", "fitted_on": "2026-11-01"},
        "photos": shown, "hours": {"skills": [], "week": [[]] * 7, "first": day, "last": day}, "away": {"person": str(User.objects.get(username="ebba").id), "first": day, "last": day},
        "client-days": {"order": rows["orders"], "kind": "fit", "day": day}, "promises": {"styles": ["palazzo"], "day": day},
        "quotes": {"order": rows["orders"], "total": "1.00"}, "payments": taken, "reminders": {"order": rows["orders"], "kind": "ready"}, "taken-back": {"payment": payment}, "prices": {"rate": "3"},
        "ticket-moves": {"order": rows["orders"], "kinds": ["pack"], "person": rows["people"], "day": day, "stamp": ""},
        "quick-prices": {"styles": ["palazzo"], "hip": "104", "width": "150"},
        "tablets": {"name": "x"}, "house-patterns": said, "sewn": {"order": rows["orders"], "plan": made["id"], "operation": "trousers.darts"},
    }  # fmt: skip
    secret = ids_in([rows, made["id"]], set())
    order = owner("GET", f"/orders/{order['id']}")[1]
    walked = 0
    for path, methods in api.get_openapi_schema(path_prefix="/").get("paths").items():
        for method in methods:
            if path.startswith(
                ("/session", "/tape/", "/look", "/calendar/")
            ):  # whoever has the code, link or address: test_tape, test_files, test_feed
                continue
            kind = path.split("/")[1]
            status, given = stranger(
                method.upper(),
                path.replace("{id}", rows.get(kind, "")).format(method="half-thigh", name="plan.svg")
                + "?garment=trousers&panel=front" * path.endswith("/tapes")
                + "?choice=seat" * path.endswith("/moves")
                + "?until=2026-12-31" * (path == "/shopping"),
                bodies.get(kind, {}),
            )
            assert kind in rows or "{id}" not in path, f"an id of {kind} is not tried"
            walked += 1
            if "{id}" in path or path == "/archive/file":  # theirs was never made
                assert status == 404, (method, path, status, given)
            else:
                assert status in (200, 204), (method, path)
            assert not ids_in(given, set()) & secret
            nobody = Http().generic(
                method.upper(), f"/api{path.replace('{id}', new_id()).format(method='half-thigh', name='plan.svg')}"
            )
            assert nobody.status_code in (401, 403), (method, path)
    assert walked >= 18
    assert owner("GET", f"/orders/{order['id']}")[1] == order
