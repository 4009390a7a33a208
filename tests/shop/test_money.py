"""Money: prices, quotes that stay as they were agreed, payments that nobody takes twice, receipts without a gap."""

import io
from datetime import date, timedelta
from decimal import Decimal

import pytest
from django.utils import timezone
from pypdf import PdfReader

from cutting.kinds import PAIRS
from cutting.kinds import all_styles as of_one_piece
from shop.accounts.models import User
from shop.money.models import Payment, Quote
from shop.money.queries import open_orders
from tests.shop.conftest import Caller

ALL_STYLES = (*of_one_piece(), *PAIRS)
PRICES = {
    "currency": "EUR", "rate": "30", "step": "0.50", "tax": "VAT", "tax_percent": "25", "tax_within": True,
    "notions": {"zip": "2.50", "hook": "0.40", "elastic": "1,20", "interfacing": "4"},
}  # fmt: skip


@pytest.fixture
def priced(owner, order):
    """The first order of the bench, with prices in its workshop and on its cloth."""
    assert owner("PUT", "/prices", {"version": 0} | PRICES)[0] == 200
    cloth = order["cloth"]
    body = {key: value for key, value in cloth.items() if key != "id"} | {"price": "14.00"}
    assert owner("PUT", f"/cloths/{cloth['id']}", body)[0] == 200
    return order["id"]


@pytest.fixture
def agreed(owner, priced, new_id):
    """The same with its price agreed."""
    now = owner.get(f"/orders/{priced}/money")["now"]
    assert owner("POST", f"/quotes/{new_id()}/agree", {"order": priced, "total": now["written"]})[0] == 200
    return priced


def pay(owner, order, amount, id, kind="payment", paid=None, **more):
    paid = owner.get(f"/orders/{order}/money")["paid_written"] if paid is None else paid
    return owner("PUT", f"/payments/{id}", {"order": order, "kind": kind, "amount": amount, "paid": paid} | more)


def test_a_quote_is_the_cloth_the_notions_and_the_minutes_of_the_plan(owner, priced):
    """Every amount again, from the plan file and the price list, by hand."""
    plan = owner("POST", f"/orders/{priced}/plan")[1]["plan"]
    lines = {one["title"]: one for one in owner.get(f"/orders/{priced}/money")["now"]["lines"]}
    cloth = next(one for title, one in lines.items() if title.startswith("Cloth"))
    assert cloth["amount"] == f"\u20ac{Decimal(plan['yardage']['cost'])}"
    sewing = sum(one["minutes"] for one in plan["sewing"])
    pieces = len(plan["pieces"])
    minutes = {
        title: float(one["summed"].split(";")[0].split("=")[-1].removesuffix("min"))
        for title, one in lines.items() if " min" in one["summed"]
    }  # fmt: skip
    assert minutes["Sew"] + minutes["Finish"] == pytest.approx(sewing)
    assert minutes["Mark and cut"] == 20 + 4 * pieces
    assert minutes["Measure"] == 20
    assert "Fitting" not in lines
    for title, long in minutes.items():
        assert lines[title]["amount"] == f"\u20ac{Decimal(long * 0.5).quantize(Decimal('0.01'))}"
    bought = {one["code"] for one in plan["notions"]}
    assert len([one for one in lines.values() if one["code"] == "notion"]) == len(bought)


def test_an_agreed_quote_stays_and_a_newer_one_says_what_changed(owner, agreed, new_id):
    before = owner.get(f"/orders/{agreed}/money")
    assert before["changes"] == []
    assert before["agreed"]["quote"] == before["now"]
    assert owner.get(f"/orders/{agreed}")["state"] == "agreed" or owner.get(f"/orders/{agreed}")["state"] == "measured"
    assert [one["state"] for one in owner.get(f"/orders/{agreed}")["steps"]] == ["agreed"]
    version = owner.get("/prices")["version"]
    assert owner("PUT", "/prices", {"version": version} | PRICES | {"rate": "36"})[0] == 200
    quote = {"order": agreed, "extras": [{"name": "Express", "amount": "15"}], "fitting": True, "discount": "5 %"}
    after = owner("PUT", f"/quotes/{new_id()}", quote)[1]
    assert after["agreed"]["quote"] == before["agreed"]["quote"]
    assert after["left"] == before["left"]
    changed = {one["title"]: one for one in after["changes"]}
    assert changed["Express"] == {"title": "Express", "was": "", "now": "\u20ac15.00"}
    assert changed["Fitting"]["now"] == "\u20ac18.00"
    assert changed["Measure"] == {"title": "Measure", "was": "\u20ac10.00", "now": "\u20ac12.00"}
    assert not any(title.startswith("Cloth") for title in changed)
    # Agreed in its turn it is what is asked for; the one before is kept.
    total = after["now"]["written"]
    again = owner("POST", f"/quotes/{after['open']['id']}/agree", {"order": agreed, "total": total})[1]
    assert again["open"] is None
    # What was typed stays for the next: nothing of it is dropped in silence.
    assert again["typed"] == {"extras": [{"name": "Express", "amount": "15.00"}], "discount": "5 %", "fitting": True}
    assert again["changes"] == []
    assert again["left_written"] == total
    assert Quote._base_manager.filter(order=agreed).count() == 2


def test_what_was_not_seen_is_not_agreed_and_nothing_is_agreed_twice(owner, priced, new_id):
    id, seen = new_id(), owner.get(f"/orders/{priced}/money")["now"]["written"]
    status, answer = owner("POST", f"/quotes/{id}/agree", {"order": priced, "total": "1.00"})
    assert (status, answer["code"]) == (409, "quote")
    assert seen in answer["title"]
    for _ in range(2):
        assert owner("POST", f"/quotes/{id}/agree", {"order": priced, "total": seen})[0] == 200
    assert Quote._base_manager.filter(order=priced).count() == 1
    status, answer = owner("PUT", f"/quotes/{id}", {"order": priced, "version": 2})
    assert (status, answer["code"]) == (409, "quote")
    assert "Begin a newer one" in answer["title"]
    first, second = new_id(), new_id()
    assert owner("PUT", f"/quotes/{first}", {"order": priced})[0] == 200
    assert owner("PUT", f"/quotes/{second}", {"order": priced})[1]["code"] == "quote"


@pytest.mark.parametrize(
    ("body", "code"),
    [
        ({"extras": [{"name": "", "amount": "5"}]}, "amount.unnamed"),
        ({"extras": [{"name": "Hem", "amount": "five"}]}, "amount.unreadable"),
        ({"extras": [{"name": "Hem", "amount": "5"}, {"name": "hem", "amount": "6"}]}, "amount.twice"),
        ({"discount": "120 %"}, "amount.percent"),
        ({"discount": "-5"}, "amount.negative"),
    ],
)  # fmt: skip
def test_what_cannot_be_quoted_is_refused_where_it_is(owner, priced, new_id, body, code):
    status, answer = owner("PUT", f"/quotes/{new_id()}", {"order": priced} | body)
    assert status == 422
    [problem] = answer["problems"]
    assert problem["code"] == code
    assert problem["where"] in ("extras.0", "extras.1", "discount")


def test_more_taken_off_than_there_is_says_so_and_what_was_typed_is_kept(owner, priced, new_id):
    id = new_id()
    assert owner("PUT", f"/quotes/{id}", {"order": priced, "discount": "99999"})[0] == 200
    money = owner.get(f"/orders/{priced}/money")
    assert money["now"] is None
    assert "More is taken off than there is" in money["why"][0]["what"]
    assert money["typed"]["discount"] == "99999"


def test_an_order_that_cannot_be_planned_says_what_is_missing(owner, priced):
    third = owner.get("/orders")[2]["id"]
    money = owner.get(f"/orders/{third}/money")
    assert money["now"] is None
    assert money["why"][0]["station"] == "measure"
    assert money["owed"] == "unknown"


def test_deposit_part_refund_and_the_rest_leave_nothing(owner, agreed, new_id):
    total = Decimal(owner.get(f"/orders/{agreed}/money")["left_written"])
    assert pay(owner, agreed, "40", new_id(), "deposit")[0] == 200
    assert pay(owner, agreed, "30,50", new_id(), way="card")[0] == 200
    assert pay(owner, agreed, "10", new_id(), "refund", way="bank", note="  one  button\n missing ")[0] == 200
    money = owner.get(f"/orders/{agreed}/money")
    assert Decimal(money["left_written"]) == total - Decimal("60.50")
    assert [one["amount"] for one in money["payments"]] == ["\u20ac40.00", "\u20ac30.50", "\u2212\u20ac10.00"]
    assert money["payments"][2]["note"] == "one button missing"
    assert pay(owner, agreed, money["left_written"], new_id())[1]["owed"] == "nothing"
    assert agreed not in {str(one.id) for one in open_orders(User.objects.get(username="ebba"))}
    year = timezone.localdate().year
    numbers = [one["receipt"] for one in owner.get(f"/orders/{agreed}/money")["payments"]]
    assert numbers == [f"{year}-000{k}" for k in range(1, 5)]


def test_money_is_taken_once_however_often_it_is_sent_and_not_by_two_people(owner, agreed, new_id):
    first, second = new_id(), new_id()
    for _ in range(3):
        assert pay(owner, agreed, "40", first, paid="0.00")[0] == 200
    status, answer = pay(owner, agreed, "40", second, paid="0.00")
    assert (status, answer["code"]) == (409, "paid_meanwhile")
    assert "\u20ac40.00 is paid" in answer["title"]
    assert owner.get(f"/orders/{agreed}/money")["paid_written"] == "40.00"


def test_more_than_was_agreed_is_asked_about_and_more_than_was_paid_is_not_given_back(owner, agreed, new_id):
    left = Decimal(owner.get(f"/orders/{agreed}/money")["left_written"])
    id = new_id()
    status, answer = pay(owner, agreed, str(left + 5), id)
    assert (status, answer["code"]) == (409, "overpaid")
    assert "\u20ac5.00 more" in answer["title"]
    money = pay(owner, agreed, str(left + 5), id, over=True)[1]
    assert (money["owed"], money["left"]) == ("to_give_back", "\u20ac5.00")
    status, answer = pay(owner, agreed, str(left + 6), new_id(), "refund")
    assert (status, answer["problems"][0]["code"]) == (422, "amount.refund")
    assert pay(owner, agreed, "0", new_id())[1]["problems"][0]["code"] == "amount.nothing"
    assert pay(owner, agreed, "5", new_id(), "refund")[1]["owed"] == "nothing"


def test_who_pays_and_takes_it_along_has_it_handed_over_once(owner, agreed, new_id):
    left = owner.get(f"/orders/{agreed}/money")["left_written"]
    owner("PUT", f"/steps/{new_id()}", {"order": agreed, "state": "ready"})
    assert owner.get(f"/orders/{agreed}/money")["ready"]
    id = new_id()
    assert pay(owner, agreed, "x", id, fetched=True)[0] == 422
    assert owner.get(f"/orders/{agreed}")["state"] == "ready"
    for _ in range(2):
        money = pay(owner, agreed, left, id, paid="0.00", fetched=True)[1]
        assert (money["owed"], money["ready"]) == ("nothing", False)
    steps = owner.get(f"/orders/{agreed}")["steps"]
    assert [one["state"] for one in steps if one["state"] == "handed_over"] == ["handed_over"]
    assert agreed not in {one["id"] for one in owner.get("/orders")}


def test_a_group_has_its_money_in_one_table_for_who_sees_prices(owner, agreed, new_id):
    """Two of the group have a price agreed, one has paid a deposit of 40; the third has none."""
    total = Decimal(owner.get(f"/orders/{agreed}/money")["agreed"]["quote"]["written"])
    others = [new_id(), new_id()]
    for id in others:
        client = owner("PUT", f"/clients/{new_id()}", {"name": f"Somebody {id[:4]}"})[1]["id"]
        assert owner("PUT", f"/orders/{id}/same", {"of": agreed, "client": client})[0] == 200
    sheet, order = owner.get(f"/orders/{agreed}")["sheet"], owner.get(f"/orders/{others[0]}")
    for one in sheet["readings"]:
        owner("PUT", f"/readings/{new_id()}", {"sheet": order["sheet"]["id"], "key": one["key"], "typed": one["typed"]})
    now = owner.get(f"/orders/{others[0]}/money")["now"]
    owner("POST", f"/quotes/{new_id()}/agree", {"order": others[0], "total": now["written"]})
    pay(owner, agreed, "40", new_id(), "deposit")
    money = owner.get(f"/orders/{agreed}/group")["money"]
    both = total + Decimal(now["written"])
    assert (money["agreed"], money["paid"], money["left"]) == (
        f"\u20ac{both:,.2f}", "\u20ac40.00", f"\u20ac{both - 40:,.2f}",
    )  # fmt: skip
    assert (len(money["orders"]), money["without"]) == (3, 1)
    assert {one["order"]: one["left"] for one in money["orders"]}[agreed] == f"\u20ac{total - 40:,.2f}"
    workshop = User.objects.get(username="ebba").workshop
    sewer = Caller(User.objects.create(username="sewer", workshop=workshop, role="sewer"))
    assert sewer.get(f"/orders/{agreed}/group")["money"] is None


def test_a_mistake_is_a_line_against_it_and_nothing_is_deleted(owner, agreed, new_id):
    wrong = new_id()
    pay(owner, agreed, "400", wrong, over=True)
    back = new_id()
    for _ in range(2):
        money = owner("PUT", f"/taken-back/{back}", {"payment": wrong})[1]
    assert owner("PUT", f"/taken-back/{new_id()}", {"payment": wrong})[1]["payments"] == money["payments"]
    assert [(one["kind"], one["amount"], one["undone"]) for one in money["payments"]] == [
        ("payment", "\u20ac400.00", True), ("correction", "\u2212\u20ac400.00", False),
    ]  # fmt: skip
    assert money["payments"][1]["against"] == money["payments"][0]["receipt"]
    assert money["paid_written"] == "0.00"
    assert owner("PUT", f"/taken-back/{new_id()}", {"payment": back})[1]["code"] == "quote"


def test_receipts_of_each_year_begin_at_one_without_a_gap(owner, agreed, new_id, monkeypatch):
    for year in (2026, 2026, 2028, 2028, 2028):
        # The last evening of the year, and the leap day.
        day = date(year, 12, 31) if year == 2026 else date(year, 2, 29)
        monkeypatch.setattr(timezone, "localdate", lambda value=None, day=day: day)
        assert pay(owner, agreed, "1", new_id())[0] == 200
    found = list(Payment._base_manager.order_by("year", "number").values_list("year", "number", "day"))
    assert [(year, number) for year, number, _ in found] == [(2026, 1), (2026, 2), (2028, 1), (2028, 2), (2028, 3)]
    assert {str(day) for *_, day in found} == {"2026-12-31", "2028-02-29"}


def test_the_currency_stays_while_money_is_open_in_it(owner, agreed, new_id):
    version = owner.get("/prices")["version"]
    status, answer = owner("PUT", "/prices", {"version": version} | PRICES | {"currency": "SEK"})
    assert (status, answer["code"]) == (409, "currency_held")
    pay(owner, agreed, owner.get(f"/orders/{agreed}/money")["left_written"], new_id())
    assert owner("PUT", "/prices", {"version": version} | PRICES | {"currency": "SEK"})[0] == 200
    # What was paid in one is not added to another.
    paid = owner.get(f"/orders/{agreed}/money")
    assert pay(owner, agreed, "1", new_id(), paid=paid["paid_written"])[1]["code"] == "currency_held"
    assert paid["payments"][0]["amount"].startswith("\u20ac")
    assert owner("PUT", "/prices", {"currency": "XYZ"})[1]["code"] == "prices"
    assert owner("PUT", "/prices", {"currency": "SEK", "rate": "a lot"})[1]["problems"][0]["where"] == "rate"


def test_notions_have_a_price_by_the_yard_until_the_unit_is_turned(owner, priced):
    assert {one["code"]: one["price"] for one in owner.get("/prices")["notions"]}["elastic"] == "1.20"
    User.objects.get(username="ebba").workshop.__class__.objects.update(unit="cm")
    prices = owner.get("/prices")
    assert prices["per"] == "metre"
    found = {one["code"]: one["price"] for one in prices["notions"]}
    assert (found["elastic"], found["zip"]) == ("", "2.50")


@pytest.mark.parametrize("style", ALL_STYLES)
def test_every_style_has_a_quick_price_before_anybody_is_measured(owner, priced, style):
    asked = {"styles": [style], "hip": "41", "width": "60 in", "cloth_price": "14", "fitting": True}
    status, answer = owner("POST", "/quick-prices", asked)
    assert status == 200, answer
    low, high = Decimal(answer["low"]["written"]), Decimal(answer["high"]["written"])
    assert 0 < low < high < 3 * low
    assert "Fitting" in [one["title"] for one in answer["drivers"]]
    assert answer["low_hip_mm"] < 41 * 25.4 < answer["high_hip_mm"]


@pytest.mark.parametrize(
    ("body", "code"),
    [
        ({"hip": "4"}, "quick"), ({"hip": "wide"}, "core"), ({}, "quick"), ({"look": "huge"}, "quick"),
        ({"look": "middle", "styles": ["cape"]}, "quick"), ({"look": "middle", "width": "8"}, "quick"),
        ({"look": "middle", "cloth_price": "x"}, "core"), ({"look": "middle", "sold_in": "ell"}, "quick"),
    ],
)  # fmt: skip
def test_a_quick_price_of_nothing_is_refused_in_words(owner, priced, body, code):
    status, answer = owner("POST", "/quick-prices", {"styles": ["palazzo"], "width": "58"} | body)
    assert (status, answer["code"]) == (422, code), answer
    assert answer["title"].endswith(".")


def test_the_range_is_near_the_price_of_who_is_measured_then(owner, priced):
    """What an order costs by its plan is no more than 15 % beyond a quick price for its client's hip alone."""
    order = owner.get(f"/orders/{priced}")
    hip = next(one["typed"] for one in order["sheet"]["readings"] if one["key"] == "hip")
    cloth = order["cloth"]
    asked = {"styles": [one["style"] for one in order["garments"]], "hip": hip, "width": cloth["width"],
             "cloth_price": cloth["price"], "sold_in": cloth["unit_of_sale"]}  # fmt: skip
    quick = owner("POST", "/quick-prices", asked)[1]
    total = Decimal(owner.get(f"/orders/{priced}/money")["now"]["written"])
    assert (
        Decimal(quick["low"]["written"]) * Decimal("0.85") < total < Decimal(quick["high"]["written"]) * Decimal("1.15")
    )


def test_papers_say_what_was_agreed_and_paid(owner, agreed, new_id):
    paid = new_id()
    pay(owner, agreed, "40", paid, "deposit")
    money = owner.get(f"/orders/{agreed}/money")

    def text(path):
        answer = owner.http.get(f"/api{path}")
        assert answer["Content-Type"] == "application/pdf"
        return " ".join(" ".join(page.extract_text() for page in PdfReader(io.BytesIO(answer.content)).pages).split())

    quote, receipt, ticket = (text(path) for path in (
        f"/orders/{agreed}/quote", f"/payments/{paid}/receipt", f"/orders/{agreed}/ticket",
    ))  # fmt: skip
    for line in money["agreed"]["quote"]["lines"]:
        assert line["title"] in quote
    assert money["total"] in quote
    assert all(part in receipt for part in (money["payments"][0]["receipt"], "\u20ac40.00", money["left"], "Deposit"))
    assert "Marit Sol" in ticket
    assert "Palazzo" in ticket


def test_open_money_asks_as_often_for_many_as_for_few(owner, agreed, new_id):
    few, one = owner.counted("/money")
    assert [row["order"] for row in one["open"]] == [agreed]
    for row in owner.get("/orders")[1:]:
        pay(owner, row["id"], "10", new_id(), "deposit", paid="0.00")
    many, more = owner.counted("/money")
    assert many == few
    assert len(more["open"]) == len(owner.get("/orders"))
    # A deposit before any price is agreed is not to be given back.
    assert [row["back"] for row in more["open"]] == [False] * len(more["open"])
    assert sorted(row["left"] == "" for row in more["open"]) == [False] + [True] * (len(more["open"]) - 1)
    assert more["months"][0]["amount"] == f"\u20ac{10 * (len(more['open']) - 1)}.00"


def test_a_sewer_sees_no_price_and_a_cutter_settles_none(owner, agreed, new_id):
    workshop = User.objects.get(username="ebba").workshop
    cutter, sewer = (
        Caller(User.objects.create(username=role, workshop=workshop, role=role)) for role in ("cutter", "sewer")
    )
    for path in (f"/orders/{agreed}/money", "/money", "/prices", f"/orders/{agreed}/quote"):
        assert sewer("GET", path)[0] == 403
        assert cutter("GET", path)[0] == 200
    assert cutter("PUT", "/prices", PRICES)[0] == 403
    assert sewer("GET", f"/orders/{agreed}/ticket")[0] == 200


def test_what_is_exported_of_a_client_has_what_was_agreed_paid_and_reminded_of(owner, agreed, new_id):
    pay(owner, agreed, "40", new_id(), "deposit", note="in coins")
    money = owner.get(f"/orders/{agreed}/money")
    order = owner.get(f"/orders/{agreed}")
    day = str(timezone.localdate() + timedelta(days=2))
    owner("PUT", f"/client-days/{new_id()}", {"order": agreed, "kind": "fit", "day": day})
    whole = owner("GET", f"/clients/{order['client']['id']}/export")[1]
    [quote], [payment] = whole["quotes"], whole["payments"]
    assert (quote["order"], quote["total"]) == (order["title"], money["agreed"]["quote"]["written"])
    assert len(quote["lines"]) == len(money["agreed"]["quote"]["lines"])
    assert (payment["amount"], payment["note"], payment["receipt"]) == (
        "40.00",
        "in coins",
        f"{timezone.localdate().year}-0001",
    )
    assert whole["days"] == [{"order": order["title"], "kind": "fit", "day": day}]
    assert whole["reminders"] == []


def test_erasing_a_client_keeps_the_money_and_the_day_alone(owner, agreed, new_id):
    pay(owner, agreed, "40", new_id(), note="paid by her brother xyzzy")
    client = owner.get(f"/orders/{agreed}")["client"]["id"]
    assert owner("DELETE", f"/clients/{client}")[0] == 200
    [row] = Payment._base_manager.all()
    assert (row.order_id, row.amount, row.note) == (None, 40, "")
    assert Quote._base_manager.count() == 0
    assert owner.get("/money")["months"][0]["number"] == 40
    assert owner("PUT", f"/taken-back/{new_id()}", {"payment": str(row.id)})[1]["code"] == "quote"
