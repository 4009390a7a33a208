"""Chalk and draft: the first tick freezes the plan; nothing that is chalked moves by itself."""

from concurrent.futures import ThreadPoolExecutor
from uuid import uuid4

import pytest
from django.db import connections

from cutting.kinds import KINDS, PAIRS, all_styles, kind_of
from demo.load import load
from shop.accounts.models import User
from shop.bridge.differences import differences
from shop.chalk.models import Chalking, Tick
from shop.plans import making
from shop.plans.making import KEPT
from shop.plans.models import PlanRun
from tests.shop.conftest import Caller


def plan_of(call, order, chalked=True):
    return call("POST", f"/orders/{order['id']}/plan?chalked={str(chalked).lower()}")[1]


def tick(call, order, made, number, chalked=True, id=None, waited=False):
    body = {"order": order["id"], "plan": made["id"], "stamp": made["stamp"], "call": number, "chalked": chalked}
    body["waited"] = waited
    return call("PUT", f"/ticks/{id or uuid4()}", body)


def change_hip(owner, order, typed):
    return owner("PUT", f"/readings/{uuid4()}", {"sheet": order["sheet"]["id"], "key": "hip", "typed": typed})


def colleague(role):
    workshop = User.objects.get(username="ebba").workshop
    return Caller(User.objects.create(username=role, first_name=role.title(), workshop=workshop, role=role))


def test_a_tick_that_waited_for_the_line_freezes_the_plan_as_the_page_had_it(owner, order):
    """Meanwhile the pieces were moved and the hip was changed: the chalk is on the cloth as it was."""
    made = plan_of(owner, order)
    moved = [one | {"x_mm": one["x_mm"] + 100} for one in made["plan"]["lay"]["placements"]]
    assert owner("PUT", f"/plans/{made['id']}/hand", {"id": str(uuid4()), "placements": moved})[0] == 200
    assert change_hip(owner, order, "44 1/8")[0] == 200
    assert tick(owner, order, made, 1)[0] == 409
    assert tick(owner, order, made | {"stamp": "0" * 16}, 1, waited=True)[0] == 409
    assert tick(owner, order, made, 1, waited=True)[0] == 200
    chalked = plan_of(owner, order)
    assert chalked["plan"] == made["plan"]
    assert chalked["newer"]
    # What is chalked by one plan is not ticked by another, waited or not.
    assert tick(owner, order, made | {"stamp": "0" * 16}, 2, waited=True)[0] == 409


def test_a_new_measure_or_a_shorter_lay_does_not_move_what_is_chalked(owner, order):
    made = plan_of(owner, order)
    assert made["newer"] == []
    assert owner.get(f"/orders/{order['id']}/chalk") == {"chalk": None, "earlier": 0}
    assert tick(owner, order, made, 1)[0] == 200
    had = next(one["typed"] for one in order["sheet"]["readings"] if one["key"] == "hip")
    assert change_hip(owner, order, "44 1/8")[0] == 200
    chalked, stands = plan_of(owner, order), plan_of(owner, order, chalked=False)
    assert chalked["plan"] == made["plan"]
    assert stands["id"] != made["id"]
    assert len(chalked["newer"]) == 1
    assert chalked["newer"][0].startswith("hip: ")
    assert had in chalked["newer"][0]
    assert "44 1/8" in chalked["newer"][0]
    assert owner.get(f"/orders/{order['id']}/chalk")["chalk"]["newer"]
    # The hip as it was: the plan is the same again.
    assert change_hip(owner, order, had)[0] == 200
    assert plan_of(owner, order)["newer"] == []
    # Every piece further along the cloth: the best lay is now as it was moved by hand.
    moved = [one | {"x_mm": one["x_mm"] + 100} for one in made["plan"]["lay"]["placements"]]
    assert owner("PUT", f"/plans/{made['id']}/hand", {"id": str(uuid4()), "placements": moved})[0] == 200
    chalked = plan_of(owner, order)
    assert chalked["plan"]["lay"] == made["plan"]["lay"]
    assert chalked["newer"][0].startswith("lay: ")
    assert plan_of(owner, order, chalked=False)["plan"]["lay"]["placements"][0]["x_mm"] != pytest.approx(
        made["plan"]["lay"]["placements"][0]["x_mm"]
    )


@pytest.mark.parametrize(("change", "says"), [
    ({"cloth": {"width": "61"}}, "cloth, width: "),
    ({"cloth": {"fold": "open"}}, "cloth, fold: "),
    ({"garment": {"crotch_depth": "12"}}, "depth to the crotch line"),
    ({"garment": {}, "style": "shorts"}, "style: "),
    ({"garment": {"allowances": {"side": "1 1/4"}}}, "allowance, side"),
])  # fmt: skip
def test_what_a_newer_plan_has_otherwise_is_said(owner, order, change, says):
    tick(owner, order, plan_of(owner, order), 1)
    if "cloth" in change:
        cloth = order["cloth"] | change["cloth"]
        status, answer = owner("PUT", f"/cloths/{cloth.pop('id')}", cloth)
    else:
        garment = order["garments"][0]
        garment |= {"choices": garment["choices"] | change["garment"], "style": change.get("style", garment["style"])}
        body = {key: garment[key] for key in ("version", "order", "name", "style", "method", "choices")}
        status, answer = owner("PUT", f"/garments/{garment['id']}", body)
    assert status == 200, answer
    newer = plan_of(owner, order)["newer"]
    assert any(says in one.lower() for one in newer), newer


@pytest.mark.parametrize("kind", KINDS)
def test_every_choice_that_differs_is_named_in_words(kind):
    """Those of a set one by one; in a jumpsuit's half as in a garment by itself."""
    style = next(style for style, each in PAIRS.items() if kind in each.halves)
    own = next(one for one in all_styles() if kind_of(one).name == kind)

    def job(choices):
        half = {"style": own, "choices": choices}
        garments = [{"id": "one"} | half, {"id": "two", "style": style, kind: half}]
        return {"unit": "in", "measurements": {}, "garments": garments, "cloth": {}}

    for key, choice in KINDS[kind].choices.items():
        sets = [{edge: "1"} for edge in choice.offered] if choice.kind == "allowances" else ["another"]
        for value in sets:
            found = differences(job({}), job({key: value}), "in")
            assert [one.split(": ")[0] for one in found] == ["one", f"two, {kind}"], key
            assert len({one.split(": ")[1] for one in found}) == 1
            assert "_" not in found[0], found
            assert ("allowance, " in found[0]) == (choice.kind == "allowances")


def test_ticks_are_added_and_the_last_of_a_call_counts(owner, order):
    made, id = plan_of(owner, order), str(uuid4())
    assert tick(owner, order, made, 3, id=id)[1]["ticked"] == [3]
    assert tick(owner, order, made, 3, id=id)[1]["ticked"] == [3]
    assert tick(owner, order, made, 5)[1]["ticked"] == [3, 5]
    assert tick(owner, order, made, 3, chalked=False)[1]["ticked"] == [5]
    assert tick(owner, order, made, 3)[1]["ticked"] == [3, 5]
    rows = Tick._base_manager.order_by("created_at").values_list("call", "chalked")
    assert list(rows) == [(3, True), (5, True), (3, False), (3, True)]


def test_two_cutters_see_each_others_place_and_go_on_where_it_was_left(owner, order):
    made, ivo = plan_of(owner, order), colleague("apprentice")
    tick(owner, order, made, 2)
    seen = tick(ivo, order, made, 9)[1]
    assert [(one["who"], one["mine"], one["call"]) for one in seen["places"]] == [
        ("Apprentice", True, 9), ("Ebba", False, 2),
    ]  # fmt: skip
    assert seen["ticked"] == [2, 9]
    assert seen["began_by"] == "Ebba"


def test_a_page_that_shows_another_plan_is_refused_and_nothing_is_noted(owner, order):
    made = plan_of(owner, order)
    assert tick(owner, order, made | {"stamp": "0" * 16}, 1)[0] == 409
    assert tick(owner, order, made | {"id": str(uuid4())}, 1)[0] == 404
    assert not Chalking._base_manager.exists()
    change_hip(owner, order, "44 1/8")
    newer = plan_of(owner, order)
    assert tick(owner, order, newer, 1)[0] == 200
    status, answer = tick(owner, order, made, 1)
    assert (status, answer["code"]) == (409, "moved")
    assert tick(owner, order, newer, len(newer["plan"]["marks"]) + 1)[0] == 422
    assert Tick._base_manager.count() == 1


def test_rubbed_out_it_is_chalked_anew_and_the_old_ticks_stay_with_the_old_plan(owner, order):
    made = plan_of(owner, order)
    chalk = tick(owner, order, made, 1)[1]
    change_hip(owner, order, "44 1/8")
    status, answer = owner("POST", f"/chalks/{chalk['id']}/rub-out")
    assert (status, answer) == (200, {"chalk": None, "earlier": 1})
    anew = plan_of(owner, order)
    assert anew["id"] != made["id"]
    again = tick(owner, order, anew, 4)[1]
    assert again["ticked"] == [4]
    rows = Tick._base_manager.values_list("chalking__plan_run", "call")
    assert {(str(plan), call) for plan, call in rows} == {(made["id"], 1), (anew["id"], 4)}


def test_a_plan_somebody_chalked_by_is_not_forgotten(owner, order, monkeypatch):
    monkeypatch.setattr(making, "LOOKED_FOR", 1)
    made = plan_of(owner, order)
    tick(owner, order, made, 1)
    for eighths in range(KEPT + 2):
        change_hip(owner, order, f"{44 + eighths // 7} {eighths % 7 + 1}/8 in")
        plan_of(owner, order, chalked=False)
    assert PlanRun._base_manager.filter(pk=made["id"]).exists()
    assert plan_of(owner, order)["plan"] == made["plan"]


def test_what_is_cut_comes_off_the_shelf_once_and_its_chalk_stays(owner, order):
    shelf = str(uuid4())
    cloth = {
        "form": "length", "kind": "cotton", "colour": "#202020", "width": order["cloth"]["width"], "length": "9 yd",
        "name": "Nine yards",
    }  # fmt: skip
    assert owner("PUT", f"/shelf/{shelf}", cloth)[0] == 200
    assert owner("PUT", f"/orders/{order['id']}/shelf", {"shelf": shelf})[0] == 200
    made = plan_of(owner, order)
    chalk = tick(owner, order, made, 1)[1]
    for _ in range(2):
        status, cut = owner("POST", f"/chalks/{chalk['id']}/cut")
        assert status == 200, cut
    assert cut["cut_by"] == "Ebba"
    whole = owner.get(f"/orders/{order['id']}")
    assert whole["cut"]["length_mm"] == pytest.approx(made["plan"]["yardage"]["length_mm"])
    assert tick(owner, order, made, 2)[0] == 422
    assert owner("POST", f"/chalks/{chalk['id']}/rub-out")[0] == 422


def read(owner, chalk, tape, typed="", id=None, panel="front"):
    body = {"chalk": chalk["id"], "garment": "trousers", "panel": panel, "tape": tape, "typed": typed}
    return owner("PUT", f"/tape-readings/{id or uuid4()}", body)


def test_control_tapes_are_read_or_nodded_and_one_that_is_far_off_keeps_it_from_being_cut(owner, order):
    chalk = tick(owner, order, plan_of(owner, order), 1)[1]
    tapes = owner.get(f"/chalks/{chalk['id']}/tapes", garment="trousers", panel="front")
    assert 3 <= len(tapes["tapes"]) <= 6
    assert tapes["verdict"] is None
    id = str(uuid4())
    for _ in range(2):
        status, nodded = read(owner, chalk, 0, id=id)
        assert status == 200, nodded
        assert nodded["verdict"] == {"agrees": True, "may_cut": True, "suspects": []}
        assert [one["typed"] for one in nodded["tapes"]] == [""] + [None] * (len(tapes["tapes"]) - 1)
    assert read(owner, chalk, 1, "no length")[0] == 422
    assert read(owner, chalk, 20)[0] == 422
    far = tapes["tapes"][1]["mm"] / 25.4 + 1.5
    _, off = read(owner, chalk, 1, f"{far:.3f} in")
    assert [one["agrees"] for one in off["tapes"][:2]] == [True, False]
    assert off["tapes"][1]["off_mm"] == pytest.approx(1.5 * 25.4, abs=0.1)
    assert not off["verdict"]["may_cut"]
    status, refused = owner("POST", f"/chalks/{chalk['id']}/cut")
    assert status == 422
    assert "front" in refused["title"]
    # The mark is mended, the tape read again: the last reading counts.
    assert read(owner, chalk, 1)[1]["verdict"]["agrees"]
    assert owner("POST", f"/chalks/{chalk['id']}/cut")[0] == 200
    assert read(owner, chalk, 2)[0] == 422
    assert owner("GET", f"/chalks/{chalk['id']}/tapes?garment=trousers&panel=none")[1]["tapes"] == []


def test_who_may_not_chalk_or_cut_is_refused(owner, order):
    made = plan_of(owner, order)
    assert tick(colleague("sewer"), order, made, 1)[0] == 403
    chalk = tick(colleague("apprentice"), order, made, 1)[1]
    assert Caller(User.objects.get(username="apprentice"))("POST", f"/chalks/{chalk['id']}/cut")[0] == 403


def test_eight_cutters_begin_at_once_and_one_plan_is_chalked(transactional_db):
    load()
    ebba = User.objects.get(username="ebba")
    call = Caller(ebba)
    order = call.get(f"/orders/{call.get('/orders')[0]['id']}")
    made = plan_of(call, order)

    def one(number):
        try:
            return tick(Caller(ebba), order, made, number)[0]
        finally:
            connections.close_all()

    with ThreadPoolExecutor(8) as threads:
        assert set(threads.map(one, range(1, 9))) == {200}
    assert Chalking._base_manager.count() == 1
    assert call.get(f"/orders/{order['id']}/chalk")["chalk"]["ticked"] == list(range(1, 9))
