"""A job file opens as an order whose plan is the file's own, to the digit; what is wrong with one is said."""

import json
import os
from copy import deepcopy
from datetime import timedelta
from pathlib import Path

import numpy as np
import pytest
from django.utils import timezone

from cutting.formats import plan_to_wire, read_job
from cutting.plan import plan
from shop.bridge.jobs import read_parts
from shop.bridge.problems import CoreRefusal
from shop.clients.models import Client
from shop.orders.models import Order

ROOT = Path(__file__).resolve().parents[2]
JOBS = sorted((ROOT / "demo/jobs").glob("*.json"))
SOON = str(timezone.localdate() + timedelta(days=9))
MARIT = json.loads((ROOT / "demo/jobs/choir-palazzo.json").read_text())


def opened(owner, raw, id, **more):
    return owner("PUT", f"/orders/{id}/from-job", {"text": json.dumps(raw), "promised_on": SOON} | more)


@pytest.mark.parametrize("path", JOBS, ids=lambda path: path.stem)
def test_its_plan_is_the_files_own(owner, new_id, path):
    raw = json.loads(path.read_text())
    held = owner("POST", "/jobs", {"text": path.read_text()})[1]
    assert (held["client"], held["measures"]) == (raw["client"]["name"], len(raw["measurements"]))
    status, order = opened(owner, raw, new_id(), title="From a file")
    assert status == 200, order
    assert (order["client"]["name"], order["title"]) == (raw["client"]["name"], "From a file")
    status, made = owner("POST", f"/orders/{order['id']}/plan")
    assert status == 200, made
    wanted = json.loads(json.dumps(plan_to_wire(plan(read_job(raw), by_width=False))))
    for key in ("numbers", "marks", "ledger", "pieces"):
        assert made["plan"][key] == wanted[key], key
    assert made["plan"]["yardage"]["buy_mm"] == wanted["yardage"]["buy_mm"]


def test_in_another_unit_it_means_what_it_meant(owner, new_id):
    """The workshop is in inches; the file says centimetres, in bare numbers too."""
    raw, same = deepcopy(MARIT) | {"unit": "cm"}, deepcopy(MARIT)
    raw["measurements"] = {"waist": 80, "hip": "104", "thigh": 62.5, "knee": 40, "outseam": "41 in", "inseam": 77}
    same["measurements"] = {
        "waist": "80 cm", "hip": "104 cm", "thigh": "62.5 cm", "knee": "40 cm", "outseam": "41 in", "inseam": "77 cm",
    }  # fmt: skip
    raw["garments"][0]["choices"] = {"hip_ease": 3, "allowances": {"side": 2}, "marking": "on-cloth"}
    same["garments"][0]["choices"] = {"hip_ease": "3 cm", "allowances": {"side": "2 cm"}, "marking": "on-cloth"}
    raw["cloth"] = {"kind": "linen", "width": 150, "length": 400, "price": "20"}
    same["cloth"] = {"kind": "linen", "width": "150 cm", "length": "400 cm", "price": "18.29"}
    order = opened(owner, raw, new_id())[1]
    made = owner("POST", f"/orders/{order['id']}/plan")[1]["plan"]
    wanted = json.loads(json.dumps(plan_to_wire(plan(read_job(same), by_width=False))))
    for key in ("numbers", "marks", "ledger"):
        assert made[key] == wanted[key], key
    # A metre for 20 is a yard for 18.29.
    assert made["yardage"]["cost"] == wanted["yardage"]["cost"]


def test_the_same_id_again_is_the_same_order_and_a_known_client_is_not_made_anew(owner, order, new_id):
    id = new_id()
    first = opened(owner, MARIT, id, client=order["client"]["id"])[1]
    assert first["client"]["id"] == order["client"]["id"]
    people = Client._base_manager.count()
    assert opened(owner, MARIT, id)[1]["id"] == first["id"]
    assert Client._base_manager.count() == people
    other = opened(owner, MARIT, new_id(), name="Somebody New")[1]
    assert other["client"]["name"] == "Somebody New"


WRONG = {
    "no JSON": "{",
    "another format": json.dumps({"format": "x"}),
    "an absurd measure": json.dumps(MARIT | {"measurements": MARIT["measurements"] | {"hip": 900}}),
    "an unknown measure": json.dumps(MARIT | {"measurements": MARIT["measurements"] | {"hipp": 40}}),
    "several clients": json.dumps(
        MARIT | {"others": [{"id": "b", "measurements": MARIT["measurements"], "garments": MARIT["garments"]}]}
    ),
    "not a number": json.dumps(MARIT).replace('"hip":', '"hip": NaN, "thigh_":'),
}


@pytest.mark.parametrize("text", WRONG.values(), ids=WRONG)
def test_what_is_wrong_with_a_file_is_said_and_nothing_of_it_is_kept(owner, new_id, text):
    before = Order._base_manager.count(), Client._base_manager.count()
    for status, said in (
        owner("POST", "/jobs", {"text": text}),
        owner("PUT", f"/orders/{new_id()}/from-job", {"text": text, "promised_on": SOON}),
    ):
        assert status == 422
        assert said["problems"]
        assert all(one["what"] and one["mend"] for one in said["problems"])
    assert (Order._base_manager.count(), Client._base_manager.count()) == before


def test_a_file_that_is_broken_anyhow_is_read_or_refused():
    """Some hundred files with letters lost, doubled, changed, or parts put elsewhere; nothing else comes of them."""
    chance, text = np.random.default_rng(7), (ROOT / "demo/jobs/crew-jumpsuit.json").read_text()
    refused = 0
    for _ in range(3000 if os.environ.get("PLAVET_DEEP") else 400):
        broken = list(text)
        for _ in range(int(chance.integers(1, 5))):
            at, end = sorted(map(int, chance.integers(0, len(broken), 2)))
            end = min(end, at + 40)
            kind = int(chance.integers(4))
            if kind == 0:
                del broken[at : at + 1 + int(chance.integers(3))]
            elif kind == 1:
                broken[at] = chance.choice(list('{}[]",:0123456789eE.-+ntfNI\\\u0000é\U0001f9f5'))
            elif kind == 2:
                broken[at:at] = broken[at:end]
            else:
                cut = broken[at:end]
                del broken[at:end]
                there = int(chance.integers(len(broken) + 1))
                broken[there:there] = cut
        try:
            read_parts("".join(broken), "in")
        except CoreRefusal as error:
            refused += 1
            assert error.problems
    assert refused > 200


def test_another_workshops_client_is_nobodys(owner, stranger, order, new_id):
    assert opened(stranger, MARIT, new_id(), client=order["client"]["id"])[0] == 404
    id = new_id()
    opened(owner, MARIT, id)
    assert opened(stranger, MARIT, id)[0] == 404
