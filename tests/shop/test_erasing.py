"""Erasing is true: no value that was typed about a client is found anywhere in the database or the log afterwards."""

import logging
from datetime import timedelta
from uuid import uuid4

from django.db import connection
from django.utils import timezone
from psycopg.sql import SQL, Identifier

from shop.clients.models import Erasure

TYPED = {
    "name": "Zebedia Quillfeather", "phone": "0777 918 273", "email": "zq@example.org", "note": "limps on the left xyzzy",
    "leave_be": "the plugh shoulder",
}  # fmt: skip
MEASURES = {
    "hip": "43 5/16", "waist": "33 7/16", "thigh": "25 3/16", "knee": "16 11/16", "outseam": "41 13/16",
    "inseam": "30 15/16", "ankle": "10 1/16", "body_rise": "11 9/16",
}  # fmt: skip
IN_MM = ["1100.1375", "849.3125", "639.7625", "423.8625", "1062.0375", "785.8125"]
TITLE = "Walking-out trousers frobozz"


def dump():
    """Every row of every table as text, as a dump of the database holds it."""
    with connection.cursor() as cursor:
        cursor.execute("select tablename from pg_tables where schemaname = 'public' order by 1")
        names = [name for (name,) in cursor.fetchall()]
        rows = []
        for name in names:
            cursor.execute(SQL("select t::text from {} t").format(Identifier(name)))
            rows += [f"{name} {row}" for (row,) in cursor.fetchall()]
    assert len(names) > 25
    return rows


def found(values):
    return sorted({(row.split()[0], value) for row in dump() for value in values if value in row})


def test_nothing_of_an_erased_client_is_found_in_the_database_or_the_log(owner, order, new_id, caplog):
    """With all that a client leaves: sheets, doubts, orders, plans alone and with others, lays, searches, exports."""
    caplog.set_level(logging.DEBUG)
    client, sheet = new_id(), new_id()
    assert owner("PUT", f"/clients/{client}", TYPED)[0] == 200
    assert owner("PUT", f"/sheets/{sheet}", {"client": client, "taken_on": "2026-11-02", "unit": "in"})[0] == 200
    for key, typed in MEASURES.items():
        body = {"sheet": sheet, "key": key, "typed": typed, "note": "took it twice xyzzy"}
        assert owner("PUT", f"/readings/{new_id()}", body)[0] == 200
    owner("PUT", f"/overrulings/{new_id()}", {"sheet": sheet, "key": "hip"})
    same = new_id()
    assert owner("PUT", f"/orders/{same}/same", {"of": order["id"], "client": client})[0] == 200
    made = owner.get(f"/orders/{same}")
    soon = str(timezone.localdate() + timedelta(days=9))
    body = {"version": made["version"], "client": client, "sheet": sheet, "cloth": made["cloth"]["id"], "title": TITLE}
    assert owner("PUT", f"/orders/{same}", body | {"promised_on": soon})[0] == 200
    plan = owner("POST", f"/orders/{same}/plan")[1]
    assert owner("PUT", f"/lay-runs/{new_id()}", {"plan": plan["id"], "seconds": 1})[0] == 200
    hand = {"id": new_id(), "placements": plan["plan"]["lay"]["placements"]}
    assert owner("PUT", f"/plans/{plan['id']}/hand", hand)[0] == 200
    owner("GET", f"/plans/{plan['id']}/widths")
    assert owner("POST", f"/orders/{order['id']}/plan")[0] == 200
    together = owner("POST", f"/orders/{order['id']}/plan?cloth=all")
    assert TYPED["name"] in str(together[1]["clients"])
    owner.get("/orders/" + order["id"] + "/group")
    owner.raw("GET", f"/clients/{client}/export?kind=csv")
    owner("PUT", f"/clients/{client}", TYPED | {"name": "\u0000"})  # refused, as is the next
    owner("PUT", f"/clients/{uuid4()}", TYPED | {"phone": "9" * 500})
    sought = [
        *TYPED.values(),
        "Quillfeather",
        "0777918273",
        TITLE,
        "xyzzy",
        *MEASURES.values(),
        *IN_MM,
        client,
        sheet,
        same,
    ]
    assert {value for _, value in found(sought)} >= {*TYPED.values(), TITLE, *MEASURES.values(), *IN_MM}
    assert owner("DELETE", f"/clients/{client}")[0] == 200
    assert found(sought) == []
    assert Erasure._base_manager.count() == 1
    assert not [value for value in sought[:-3] if value in caplog.text]
