"""A ticket of the week moved by hand."""

import pytest

from shop.scheduling.models import Schedule
from tests.shop.week.doing import move, on_board, put_hours


def test_a_ticket_is_moved_as_it_was_shown_and_stays_there(owner, orders, person, new_id):
    # Two who sew: what one has is given to the other, on Thursday.
    for name in ("Hild", "Pelle", "Sanna"):
        put_hours(owner, person[name], [])
    put_hours(owner, person["Ebba"], ["measure", "cut", "sew", "fit", "finish", "pack"])
    put_hours(owner, person["Ivo"], ["sew", "finish"])
    before, week = on_board(owner), owner.get("/week")
    order, by = next((key[0], name) for key, (name, _) in before.items() if key[1] == "sew")
    to = {"Ivo": "Ebba", "Ebba": "Ivo"}[by]
    status, would = move(owner, order, ["sew"], person[to], "2026-12-03")
    assert (status, would["by"], would["on"]) == (200, to, "2026-12-03")
    assert would["moves"][0]["by"] == to or len(would["moves"]) > 1
    # Nothing is stored by asking.
    assert owner.get("/week") == week
    id, body = new_id(), {"order": order, "kinds": ["sew"], "person": person[to], "day": "2026-12-03"}
    assert owner("PUT", f"/ticket-moves/{id}", body | {"stamp": "seen another day"})[1]["code"] == "schedule"
    for _ in range(2):
        status, of_order = owner("PUT", f"/ticket-moves/{id}", body | {"stamp": would["stamp"]})
        assert status == 200
        [sew] = [one for one in of_order["tasks"] if one["kind"] == "sew"]
        assert (sew["by"], sew["end"][:10]) == (to, "2026-12-03")
    assert Schedule._base_manager.count() == 1
    after = on_board(owner)
    assert after[order, "sew"] == (to, "2026-12-03")
    shown = {(one["order"], one["name"]): (one["by"], one["on"]) for one in would["moves"]}
    names = {"sew": "sew", "finish": "finish", "pack": "press and pack", "cut": "mark and cut", "measure": "measure"}
    for key, (by, day) in before.items():
        # The last day of a task is what moves; a task over two days is on the board twice.
        assert (key[0], names[key[1]]) in shown or after[key] == (by, day), key
    assert owner.get("/week")["kept_at"] is not None
    # An hour later, and the next day: it is where it was put.
    assert move(owner, order, ["sew"], person[to], "2026-12-03")[1]["moves"] == []


@pytest.mark.parametrize(("kinds", "to", "day", "says"), [
    (["sew"], "Ivo", "2026-11-29", "Work is put on a day from today on, within 120 days. Choose such a day."),
    (["sew"], "Ivo", "2028-11-29", "Work is put on a day from today on, within 120 days. Choose such a day."),
    (["measure"], "Ivo", "2026-12-03", "That is done already, or is no work of this order. Look at the week again."),
    (["pack"], "Pelle", "2026-12-03", "Pelle does not do this: press and pack. Say under Hours what Pelle does."),
    (["fit"], "Ebba", "2026-12-03", "The client comes for it on a day that was agreed. Change that day with the order first."),
])  # fmt: skip
def test_a_ticket_that_cannot_be_put_there_stays_where_it_is(owner, orders, person, new_id, kinds, to, day, says):
    put_hours(owner, person["Pelle"], ["sew"])
    owner("PUT", f"/client-days/{new_id()}", {"order": orders[0], "kind": "fit", "day": "2026-12-09"})
    before = owner.get("/week")
    status, answer = move(owner, orders[0], kinds, person[to], day)
    assert (status, answer["title"]) == (422, says)
    body = {"order": orders[0], "kinds": kinds, "person": person[to], "day": day, "stamp": ""}
    assert owner("PUT", f"/ticket-moves/{new_id()}", body)[1]["title"] == says
    assert owner.get("/week") == before


def test_two_who_move_tickets_at_once_do_not_undo_one_another(owner, orders, person, new_id):
    """The second is shown again what it would move, since the first has moved something."""
    put_hours(owner, person["Ivo"], ["sew", "finish", "pack", "cut"])
    first = move(owner, orders[0], ["pack"], person["Ivo"], "2026-12-03")[1]
    second = move(owner, orders[0], ["pack"], person["Ivo"], "2026-12-04")[1]
    body = {"order": orders[0], "kinds": ["pack"], "person": person["Ivo"]}
    assert owner("PUT", f"/ticket-moves/{new_id()}", body | {"day": "2026-12-03", "stamp": first["stamp"]})[0] == 200
    status, answer = owner("PUT", f"/ticket-moves/{new_id()}", body | {"day": "2026-12-04", "stamp": second["stamp"]})
    assert (status, answer["code"]) == (409, "schedule")
    assert on_board(owner)[orders[0], "pack"] == ("Ivo", "2026-12-03")
