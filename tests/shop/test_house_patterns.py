"""House patterns over the API: kept from a file, cut with an order's garments, in its plan; nobody else's."""

import json

import pytest

from shop.accounts.models import User
from shop.orders.models import Order

OPEN = '<svg xmlns="http://www.w3.org/2000/svg" width="600mm" viewBox="0 0 600 600">'
FILE = f'{OPEN}<path id="Yoke" d="M10,10h200v120h-200z"/><path id="Belt loop" d="M300,10h150v30h-150z"/></svg>'
SAID = [
    {"name": "Yoke", "count": 2, "pair": True},
    {"name": "Belt loop", "count": 5, "turned": 90},
]


@pytest.fixture
def kept(owner, new_id):
    """A pattern of two pieces that the workshop keeps."""
    status, made = owner(
        "PUT", f"/house-patterns/{new_id()}", {"name": "Deckhand's yoke", "text": FILE, "pieces": SAID}
    )
    assert status == 200, made
    return made


def cut_with(owner, order, *patterns):
    return owner("PUT", f"/orders/{order['id']}/patterns", {"patterns": [one["id"] for one in patterns]})


def planned(owner, order):
    return owner("POST", f"/orders/{order['id']}/plan")[1]


def test_a_pattern_is_kept_with_what_is_said_of_its_pieces(owner, kept, stranger, new_id):
    [row] = owner.get("/house-patterns")
    assert row == kept
    sizes = [(one["name"], one["count"], one["pair"], one["across_mm"], one["down_mm"]) for one in row["pieces"]]
    assert sizes == [("yoke", 2, True, 200.0, 120.0), ("belt-loop", 5, False, 30.0, 150.0)], "its grain runs down"
    assert stranger.get("/house-patterns") == []
    assert stranger("PUT", f"/house-patterns/{kept['id']}", {"name": "Mine", "text": FILE, "pieces": SAID})[0] == 404
    for wrong, code in (
        ({"text": FILE, "pieces": SAID[:1]}, "other_pieces"),
        ({"text": "", "pieces": SAID}, "no_file"),
        ({"text": FILE, "pieces": [SAID[0] | {"count": 3}, SAID[1]]}, "pattern.pair"),
        ({"text": FILE.replace("M10,10h200v120h-200z", "M0,0L90,90 90,0 0,90z"), "pieces": SAID}, "pattern"),
    ):
        status, said = owner("PUT", f"/house-patterns/{new_id()}", {"name": "Wrong"} | wrong)
        assert status == 422, said
        assert code in (said["code"], *(one["code"] for one in said.get("problems", []))), said
    assert len(owner.get("/house-patterns")) == 1


def test_it_is_laid_and_called_with_the_garments(owner, order, kept):
    before = planned(owner, order)
    status, shown = cut_with(owner, order, kept)
    assert (status, shown["patterns"]) == (200, [{"id": kept["id"], "name": "Deckhand's yoke", "pieces": 7}])
    made = planned(owner, order)
    assert made["id"] != before["id"]
    counts = {piece["id"]: piece["count"] for piece in made["plan"]["pieces"] if "house-" in piece["id"]}
    assert counts == {"deckhands-yoke.house-yoke": 2, "deckhands-yoke.house-belt-loop": 5}
    laid = {}
    for one in made["plan"]["lay"]["placements"]:
        laid[one["piece"]] = laid.get(one["piece"], 0) + one["copies"]
    assert counts.items() <= laid.items()
    assert {"house-yoke", "house-belt-loop"} <= {mark["panel"] for mark in made["plan"]["marks"]}
    assert cut_with(owner, order)[1]["patterns"] == []
    assert planned(owner, order)["id"] == before["id"], "without it the plan is the one that was"


def test_what_is_said_of_it_is_changed_and_it_leaves_the_list_but_not_the_order(owner, order, kept):
    cut_with(owner, order, kept)
    body = {"version": kept["version"], "name": "Yoke", "pieces": [SAID[0] | {"count": 4}, SAID[1] | {"turned": 0}]}
    status, changed = owner("PUT", f"/house-patterns/{kept['id']}", body)
    assert (status, changed["pieces"][0]["count"]) == (200, 4)
    assert owner("PUT", f"/house-patterns/{kept['id']}", body | {"name": "Stale"})[0] == 409
    gone = {"version": changed["version"], "name": "Yoke", "removed": True}
    assert owner("PUT", f"/house-patterns/{kept['id']}", gone)[0] == 200
    assert owner.get("/house-patterns") == []
    assert owner.get(f"/orders/{order['id']}")["patterns"][0]["pieces"] == 9
    counts = {piece["id"]: piece["count"] for piece in planned(owner, order)["plan"]["pieces"]}
    assert counts["yoke.house-yoke"] == 4


def test_another_workshops_pattern_is_never_cut(owner, order, stranger, kept, new_id):
    theirs = stranger("PUT", f"/house-patterns/{new_id()}", {"name": "Theirs", "text": FILE, "pieces": SAID})[1]
    assert cut_with(owner, order, theirs)[0] == 404
    Order._base_manager.filter(pk=order["id"]).update(patterns=[theirs["id"]])
    assert not [piece for piece in planned(owner, order)["plan"]["pieces"] if "house-" in piece["id"]]


def test_a_sewer_keeps_none(owner, order, kept):
    User.objects.filter(username="ebba").update(role="sewer")
    assert owner("PUT", f"/house-patterns/{kept['id']}", {"version": 1, "name": "x"})[0] == 403
    assert cut_with(owner, order, kept)[0] == 403


def test_the_same_for_another_and_the_job_file_have_it_too(owner, order, kept, new_id):
    cut_with(owner, order, kept)
    client = owner("PUT", f"/clients/{new_id()}", {"name": "Nils"})[1]["id"]
    other = owner("PUT", f"/orders/{new_id()}/same", {"of": order["id"], "client": client})
    assert other[0] == 200, other
    assert [one["id"] for one in owner.get(f"/orders/{other[1]['id']}")["patterns"]] == [kept["id"]]
    made = planned(owner, order)
    text = owner.http.get(f"/api/plans/{made['id']}/files/job.json").content.decode()
    assert [one["id"] for one in json.loads(text)["patterns"]] == ["deckhands-yoke"]
    body = {"text": text, "title": "From the file", "promised_on": order["promised_on"]}
    status, again = owner("PUT", f"/orders/{new_id()}/from-job", body)
    assert status == 200, again
    marks = planned(owner, again)["plan"]["marks"]
    assert [one["say"] for one in marks] == [one["say"] for one in made["plan"]["marks"]]
