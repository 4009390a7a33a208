"""Choices, what each would change, methods on a body, the workshop's own rules, and cloth that changes the draft."""

from itertools import pairwise
from math import dist

import pytest

from cutting.lengths import show
from cutting.methods import METHODS, STYLES, methods_for
from cutting.methods.upper import TOPS


def garment_of(order, **changes):
    row = order["garments"][0]
    return f"/garments/{row['id']}", {key: row[key] for key in row if key != "id"} | changes


def rules(given, key):
    """The options of a choice by their value; of the methods for `method`."""
    rows = {row["key"]: row for group in given["groups"] for row in group["rows"]}
    options = given["methods"] if key == "method" else rows[key]["options"]
    return {one["value"]: one for one in options}


def planned(owner, order):
    status, given = owner("POST", f"/orders/{order['id']}/plan")
    assert status == 200, given
    return given["plan"]


@pytest.mark.parametrize(
    ("choice", "rule", "number"),
    [
        ("crotch_depth", "hip/4+1", "crotch_depth"),
        ("crotch_extension", "hip/20", "front.crotch_extension"),
        ("seat", "full", "back.crotch_tip"),
        ("method", "half-thigh", "crotch_depth"),
    ],
)
def test_what_a_choice_is_said_to_change_is_what_it_changes(owner, order, choice, rule, number):
    before = planned(owner, order)["numbers"][f"trousers.{number}"]["net_mm"]
    said = rules(owner.get(f"/orders/{order['id']}/design"), choice)[rule]["says"]
    path, body = garment_of(order)
    body |= {"method": rule} if choice == "method" else {"choices": body["choices"] | {choice: rule}}
    assert owner("PUT", path, body)[0] == 200
    by = (planned(owner, order)["numbers"][f"trousers.{number}"]["net_mm"] - before) / 25.4
    sixteenths = round(abs(by) * 16)
    whole, rest = divmod(sixteenths, 16)
    shown = f"{'+' if by > 0 else '-'} {whole or ''}".strip()
    name = {"crotch_depth": "crotch depth", "front.crotch_extension": "front extension", "back.crotch_tip": "back tip"}
    assert f"{name[number]} {shown}" in said
    assert rest == 0 or "/" in said


def test_a_typed_length_says_what_it_changes_against_the_usual(owner, order):
    """A hip of 41: a quarter of it is 10 1/4, so that 11 is 3/4 deeper; the usual tip is 2, so that 3 1/2 is 1 1/2 more."""
    path, body = garment_of(order)
    body |= {"choices": body["choices"] | {"crotch_depth": "11", "back_tip": "3 1/2"}}
    assert owner("PUT", path, body)[0] == 200
    rows = {row["key"]: row for g in owner.get(f"/orders/{order['id']}/design")["groups"] for row in g["rows"]}
    assert "crotch depth + 3/4 in" in rows["crotch_depth"]["typed_says"]
    assert "back tip + 1 1/2 in" in rows["back_tip"]["typed_says"]
    assert rows["knee_width" if "knee_width" in rows else "hem"]["typed_says"] == ""


def test_what_is_usual_says_its_size_on_this_client(owner, order):
    """The style's own hem is what the drawn panels measure along it, front and back together."""
    path, body = garment_of(order, style="straight-trousers", choices={})
    assert owner("PUT", path, body)[0] == 200
    panels = planned(owner, order)["panels"]
    hems = [
        [part["points"] for part in panel["segments"] if part["edge"] == "hem"]
        for panel in panels if panel["name"] in ("front", "back")
    ]  # fmt: skip
    drawn = sum(dist(*pair) for hem in hems for points in hem for pair in pairwise(points))
    rows = {row["key"]: row for g in owner.get(f"/orders/{order['id']}/design")["groups"] for row in g["rows"]}
    assert rows["hem_width"]["usually"].split(",")[0] == show(drawn, "in").text


def test_a_choice_that_lacks_a_measure_says_which(owner, order):
    depths = rules(owner.get(f"/orders/{order['id']}/design"), "crotch_depth")
    assert "Rise, seated is missing" in depths["seated"]["dead"]
    assert depths["hip/3"]["dead"] == ""


def test_every_style_has_a_silhouette_and_methods_that_make_it(owner, order):
    listed = {kind["key"]: kind["styles"] for kind in owner.get("/trade")["kinds"]}
    assert [style["key"] for style in listed["lower"]] == list(STYLES)
    assert all(style["first"] in style["methods"] == methods_for(style["key"]) for style in listed["lower"])
    drawn = owner.get(f"/sheets/{order['sheet']['id']}/silhouettes")
    assert set(drawn) == {*STYLES, *TOPS}
    for outline in drawn.values():
        assert len(outline) > 4
        assert max(x for x, _ in outline) == pytest.approx(0, abs=0.2)


def test_a_garment_without_a_method_takes_the_styles_own(owner, order):
    path, body = garment_of(order, style="paper-bag", method="", choices={})
    status, kept = owner("PUT", path, body)
    assert (status, kept["method"]) == (200, "sixteenth-eighth")


@pytest.mark.parametrize("method", METHODS)
def test_every_method_is_stepped_through_on_an_invented_body(owner, method):
    given = owner.get(f"/drafts/{method}", style=METHODS[method].styles[-1])
    steps = [mark for mark in given["marks"] if mark["stage"] != "place"]
    assert len(steps) > 8
    assert all(mark["name"] and mark["reason"] and mark["say"] for mark in steps)


def test_a_method_on_a_body_of_another_workshop_is_not_found(stranger, owner, order):
    sheet = order["sheet"]["id"]
    assert stranger("GET", f"/drafts/quarter-hip?sheet={sheet}")[0] == 404
    mine = owner.get("/drafts/quarter-hip", style="palazzo", sheet=sheet)
    assert mine["numbers"]["trousers.front.hip_width"]["net_mm"] == pytest.approx(41 / 4 * 25.4)


def test_a_number_of_ones_own_is_compared_with_a_method_on_a_clients_body(stranger, owner, order):
    """A hip of 41 makes a quarter of 10 1/4; half of it was taken, 10 1/4 too much; nothing is kept."""
    path = f"/drafts/quarter-hip/number?style=palazzo&sheet={order['sheet']['id']}"
    hip = {"key": "trousers.front.hip_width", "typed": "20 1/2"}
    status, answer = owner("POST", path, hip)
    assert (status, answer["right"], answer["right_mm"]) == (200, False, pytest.approx(41 / 4 * 25.4))
    assert "10 1/4" in answer["says"][0]
    assert owner("POST", path, hip | {"typed": "10 1/4"})[1]["right"]
    assert stranger("POST", path, hip)[0] == 404
    assert owner("POST", path, hip | {"typed": "wide"})[0] == 422
    assert owner("POST", path, hip | {"key": "trousers.front.tail"})[0] == 422


def test_house_rules_are_kept_used_and_taken_off(owner, stranger, new_id):
    rule = new_id()
    body = {"version": 0, "name": " Our palazzo ", "method": "quarter-hip", "choices": {"seat": "full", "hem": "3"}}
    status, kept = owner("PUT", f"/house-rules/{rule}", body)
    assert (status, kept["name"]) == (200, "Our palazzo")
    assert [one["choices"] for one in owner.get("/house-rules")] == [{"seat": "full", "hem": "3"}]
    assert stranger.get("/house-rules") == []
    bad = owner("PUT", f"/house-rules/{new_id()}", body | {"choices": {"hem": "9"}})
    assert bad[0] == 422
    assert bad[1]["problems"][0]["where"].endswith("choices.hem")
    status, again = owner("PUT", f"/house-rules/{rule}", body)
    assert (status, again["version"]) == (200, kept["version"]), "the same once more changes nothing"
    gone = owner("PUT", f"/house-rules/{rule}", body | {"version": kept["version"], "removed": True})
    assert gone[0] == 200
    assert owner.get("/house-rules") == []


def test_cloth_that_stretches_is_answered_and_said(owner, order):
    before = planned(owner, order)
    cloth = order["cloth"]
    body = {key: cloth[key] for key in cloth if key != "id"} | {"stretch_percent": "25"}
    assert owner("PUT", f"/cloths/{cloth['id']}", body)[0] == 200
    after = planned(owner, order)
    ease = [next(row["ease_mm"] for row in plan["ledger"] if row["level"] == "hip") for plan in (before, after)]
    assert ease == [25.4, 0]
    assert "cloth.stretch" in {one["code"] for one in after["findings"]}


def test_a_low_waist_on_the_sheet_takes_the_depth_down(owner, order):
    before = planned(owner, order)["numbers"]["trousers.crotch_depth"]["net_mm"]
    sheet = order["sheet"]
    body = {key: sheet[key] for key in ("version", "client", "taken_on", "unit")} | {"waist": "low"}
    assert owner("PUT", f"/sheets/{sheet['id']}", body)[0] == 200
    assert planned(owner, order)["numbers"]["trousers.crotch_depth"]["net_mm"] == pytest.approx(before - 70)


def test_a_usual_house_rule_is_what_new_garments_start_from(owner, order, new_id):
    def rule(name, method, **choices):
        body = {"version": 0, "name": name, "method": method, "choices": choices, "usual": True}
        return owner("PUT", f"/house-rules/{new_id()}", body)[1]

    def new(style):
        body = {
            "version": 0,
            "order": order["id"],
            "name": f"more-{new_id()[:8]}",
            "style": style,
            "method": "",
            "choices": {},
        }
        return owner("PUT", f"/garments/{new_id()}", body)[1]["choices"]

    assert new("palazzo") == {"crotch_depth": "rise"}, (
        "a quarter of the hip misses the body's depth by an inch and more"
    )
    rule("Ours", "quarter-hip", hem="3", closure="fly")
    assert new("palazzo") == {"hem": "3", "closure": "fly"}
    assert new("very-short-shorts") == {"hem": "3", "closure": "fly"}
    assert new("boxers") == {}
    rule("Other", "quarter-hip", seat="full")
    rules = {one["name"]: one for one in owner.get("/house-rules")}
    assert [name for name, one in rules.items() if one["usual"]] == ["Other"]
    assert rules["Ours"]["version"] == 2, "whoever has the old one open is given that it changed"
    assert new("palazzo") == {"seat": "full"}


def test_what_a_choice_moves_is_drawn_for_the_garment_as_it_stands(owner, order):
    """The seat's other rules move the back; what is not asked is not drawn."""
    at = f"/orders/{order['id']}/design/moves"
    seats = owner.get(at, choice="seat")
    assert {one["key"] for one in seats} == {"seat"}
    assert {one["rule"] for one in seats} == {"flat", "full"}
    assert {one["panel"] for one in seats} == {"back"}
    assert all(one["was"] == seats[0]["was"] and one["lines"] != one["was"] for one in seats)
    [eased] = owner.get(at, choice="hip_ease")
    assert (eased["way"], eased["by_mm"]) == ("more", 25.4)
    [side] = owner.get(at, choice="side", of="allowances")
    assert (side["of"], side["by_mm"]) == ("allowances", 25.4)
    path, body = garment_of(order)
    assert owner("PUT", path, body | {"choices": body["choices"] | {"seat": "full"}})[0] == 200
    assert {one["rule"] for one in owner.get(at, choice="seat")} == {"flat", "usual"}
    assert owner.get(at, choice="nothing") == owner.get(at, choice="side") == []


def test_what_is_usual_of_a_number_can_be_typed_as_it_is_said(owner, order):
    path, body = garment_of(order)
    assert (
        owner("PUT", path, body | {"style": "wide-gathered", "method": "multiplied-quarter", "choices": {}})[0] == 200
    )
    groups = owner.get(f"/orders/{order['id']}/design")["groups"]
    [fullness] = [row for group in groups for row in group["rows"] if row["key"] == "fullness"]
    assert fullness["usual"] == "2.5"
    assert fullness["usually"].startswith("2.5, ")


def test_an_order_is_drawn_as_its_plan_will_have_it_before_that_is_made(owner, order):
    first = order["garments"][0]
    body = {key: first[key] for key in ("version", "name", "style", "method")} | {"order": order["id"]}
    for choices in (first["choices"], first["choices"] | {"seat_raise": "2 in"}):
        version = owner("GET", f"/orders/{order['id']}")[1]["garments"][0]["version"]
        changed = body | {"version": version, "choices": choices}
        assert owner("PUT", f"/garments/{first['id']}", changed)[0] == 200
        drawn = owner.get(f"/orders/{order['id']}/drawn")
        plan = owner("POST", f"/orders/{order['id']}/plan")[1]["plan"]
        own = {one["name"]: one["net"] for one in plan["panels"]}
        assert {one["name"]: one["net"] for one in drawn} == {one["name"]: own[one["name"]] for one in drawn}
        assert {"front", "back"} <= {one["name"] for one in drawn}
