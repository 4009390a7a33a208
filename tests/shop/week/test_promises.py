"""What can be promised, and why not."""

import pytest

from cutting.kinds import PAIRS
from cutting.kinds import all_styles as of_one_piece

ALL_STYLES = (*of_one_piece(), *PAIRS)


@pytest.mark.parametrize("style", ALL_STYLES)
def test_every_style_can_be_promised_before_anything_of_it_is_planned(owner, style):
    answer = owner("POST", "/promises", {"styles": [style], "day": "2026-12-11"})[1]
    assert answer["can"]
    # A bodice by itself has no hem: nothing of it is finished after a fitting.
    assert answer["minutes"]["cut"] > 20
    assert answer["minutes"]["sew"] > 15
    assert ("finish" in answer["minutes"]) == (style != "bodice")


def test_a_day_is_promised_or_not_with_why_and_nothing_is_stored(owner, orders, new_id):
    before = owner.get("/week")
    ask = {"styles": ["palazzo"], "day": "2026-12-11"}
    status, yes = owner("POST", "/promises", ask)
    assert (status, yes["can"], list(yes["minutes"])) == (200, True, ["measure", "cut", "sew", "finish", "pack"])
    assert "of work are left over then." in yes["says"][0]
    # The minutes of a palazzo's own steps, as its sewing card has them; measuring, cutting and pressing besides.
    made = owner("POST", f"/orders/{orders[0]}/plan")[1]["plan"]
    assert yes["minutes"]["sew"] + yes["minutes"]["finish"] == pytest.approx(
        sum(one["minutes"] for one in made["sewing"]), abs=12
    )
    fitted = owner("POST", "/promises", ask | {"fitting": "2026-12-09"})[1]
    assert (fitted["can"], fitted["minutes"]["fit"], fitted["done_on"] >= "2026-12-09") == (True, 30, True)
    # Nobody is there on a Sunday: what cannot be fitted on its day is not promised, however early it is done.
    sunday = owner("POST", "/promises", ask | {"fitting": "2026-12-06"})[1]
    assert (sunday["can"], sunday["first"]) == (False, None)
    assert sunday["says"][0].startswith("The client comes on Sunday 6 December")
    assert owner("POST", "/promises", ask | {"fitting": "2026-11-29"})[1]["code"] == "day"
    no = owner("POST", "/promises", ask | {"styles": ["jumpsuit"] * 8, "day": "2026-11-30"})[1]
    assert (no["can"], no["first"] > "2026-11-30") == (False, True)
    assert no["says"][-1].endswith("can be promised.")
    again = owner("POST", "/promises", ask | {"styles": ["jumpsuit"] * 8, "day": no["first"]})[1]
    assert again["can"]
    assert owner.get("/week") == before
    moved = owner("POST", "/promises", {"order": orders[4], "day": "2026-12-09"})[1]
    assert moved["can"]
    # What was done by hand of it is not asked for again.
    owner("PUT", f"/steps/{new_id()}", {"order": orders[4], "state": "cut"})
    assert "cut" not in owner("POST", "/promises", {"order": orders[4], "day": "2026-12-09"})[1]["minutes"]


@pytest.mark.parametrize(("ask", "says"), [
    ({"styles": [], "day": "2026-12-11"}, "Say what it is: choose a garment, or an order."),
    ({"styles": ["cape"], "day": "2026-12-11"}, "There is no style cape. Choose one from the list."),
    ({"styles": ["palazzo"], "day": "2026-11-29"}, "A promise is for today or later, within a year. Choose such a day."),
])  # fmt: skip
def test_what_cannot_be_promised_is_refused_in_words(owner, ask, says):
    status, answer = owner("POST", "/promises", ask)
    assert (status, answer["title"]) == (422, says)
