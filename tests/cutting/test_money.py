"""Money: amounts as they are typed, lines with their sums, totals, tax, rounding, payments. Expected values are worked
out here by decimal's own arithmetic, or by hand.
"""

from decimal import ROUND_HALF_UP, Decimal, localcontext
from fractions import Fraction
from itertools import permutations

import pytest
from babel.numbers import parse_decimal
from hypothesis import given
from hypothesis import strategies as st

from cutting.errors import CuttingError
from cutting.money import (
    Discount,
    Line,
    Quote,
    Terms,
    balance,
    changes,
    cloth_line,
    digits_of,
    drivers,
    extra_line,
    notion_lines,
    quote_of,
    read_amount,
    read_discount,
    read_percent,
    rounded,
    signed,
    tidy,
    work_lines,
)
from cutting.scheduling import takes_of
from cutting.where import Where
from cutting.words import LANGUAGES

WORDS = LANGUAGES["en"]
HERE = Where("job", ("amount",))
CENTS = st.integers(0, 500_000).map(lambda cents: Decimal(cents).scaleb(-2))
PRICES = st.integers(1, 20_000).map(lambda cents: Decimal(cents).scaleb(-2))


def code_of(call, *args):
    with pytest.raises(CuttingError) as refused:
        call(*args)
    [problem] = refused.value.problems
    what, mend = WORDS.say_problem(problem, "in")
    assert what
    assert mend.endswith(".")
    return problem.code


@pytest.mark.parametrize(
    ("typed", "digits", "amount"),
    [
        ("12.50", 2, "12.50"), ("12,5", 2, "12.50"), (" 1 200 ", 2, "1200.00"), ("1,200.50", 2, "1200.50"),
        ("1.200,50", 2, "1200.50"), ("1'200.5", 2, "1200.50"), ("7", 0, "7"), ("7.0", 0, "7"), ("0.125", 3, "0.125"),
        (".5", 2, "0.50"), ("5.", 2, "5.00"), ("1,234,567.89", 2, "1234567.89"),
    ],
)  # fmt: skip
def test_an_amount_is_read_as_it_is_meant(typed, digits, amount):
    assert tidy(read_amount(typed, digits, HERE), digits) == amount


@pytest.mark.parametrize(
    ("typed", "digits", "code"),
    [
        ("", 2, "amount.empty"), ("  ", 2, "amount.empty"), ("-3", 2, "amount.negative"), ("\u22123", 2, "amount.negative"),
        ("1,200", 2, "amount.thousands"), ("1.200.000", 2, "amount.thousands"), ("12.505", 2, "amount.thousands"), ("12.5051", 2, "amount.digits"),
        ("7.5", 0, "amount.digits"), ("ten", 2, "amount.unreadable"), ("12 EUR", 2, "amount.unreadable"),
        (".", 2, "amount.unreadable"), ("1 20", 2, "amount.unreadable"), ("99999999", 2, "amount.large"),
        ("NaN", 2, "amount.unreadable"), ("1e3", 2, "amount.unreadable"), ("\u0661\u0662", 2, "amount.unreadable"),
    ],
)  # fmt: skip
def test_what_could_mean_two_things_or_none_is_refused_in_words(typed, digits, code):
    assert code_of(read_amount, typed, digits, HERE) == code


@given(CENTS)
def test_what_is_written_is_read_again_with_and_without_its_currency(amount):
    assert read_amount(tidy(amount, 2), 2, HERE) == amount
    for currency in ("EUR", "SEK", ""):
        shown = WORDS.money(amount, currency)
        assert parse_decimal(shown.strip("\u20acSEK "), locale="en") == amount


@given(st.fractions(-100_000, 100_000), st.integers(0, 3))
def test_rounding_is_decimals_half_up(exact, digits):
    with localcontext() as context:
        context.prec = 60
        long = Decimal(exact.numerator) / Decimal(exact.denominator)
        assert rounded(exact, digits) == long.quantize(Decimal(1).scaleb(-digits), ROUND_HALF_UP)


@given(st.integers(1, 40), PRICES, st.lists(st.tuples(st.integers(1, 9), PRICES), max_size=4), PRICES,
       st.lists(st.integers(1, 4000), min_size=1, max_size=6), st.lists(CENTS, max_size=4))  # fmt: skip
def test_every_line_is_its_sum_and_all_lines_are_the_total(quarters, price, pieces, rate, tenths, extras):
    codes = ("zip", "hook", "button", "fly-zip")
    lines = [
        cloth_line("cloth", "wool", quarters * 228.6, "yard", Fraction(price), 2),
        *notion_lines(
            [(code, count, None) for code, (count, _) in zip(codes, pieces, strict=False)],
            {code: each for code, (_, each) in zip(codes, pieces, strict=False)}, "yard", 2,
        ),
        *work_lines({f"{k}": (ten / 10, "") for k, ten in enumerate(tenths)}, rate, 2),
        *(extra_line(f"{k}", amount) for k, amount in enumerate(extras)),
    ]  # fmt: skip

    def cents(amount):
        return amount.quantize(Decimal("0.01"), ROUND_HALF_UP)

    with localcontext() as context:
        context.prec = 60
        expected = [cents(Decimal(quarters) / 4 * price)]
        expected += [cents(count * each) for _, (count, each) in zip(codes, pieces, strict=False)]
        expected += [cents(Decimal(ten) / 10 * rate / 60) for ten in tenths]
    assert [one.amount for one in lines] == [*expected, *extras]
    assert quote_of(lines, None, Terms()).total == sum([*expected, *extras])


@given(st.lists(CENTS, min_size=1, max_size=5), st.integers(0, 100), st.integers(0, 400), st.booleans(),
       st.sampled_from(["", "0.05", "0.50", "1", "10"]))  # fmt: skip
def test_discount_tax_and_rounding_follow_one_after_the_other(amounts, off, tenths, within, step):
    percent = Decimal(tenths) / 10
    terms = Terms(2, Decimal(step) if step else None, "VAT", percent, within)
    made = quote_of([extra_line(f"{k}", one) for k, one in enumerate(amounts)], Discount(percent=Decimal(off)), terms)
    by = {one.code: one.amount for one in made.lines if one.code != "extra"}
    all_ = sum(amounts)
    assert by["discount"] == -rounded(Fraction(all_) * off / 100, 2)
    left = all_ + by["discount"]
    if percent:
        expected = Fraction(left) * Fraction(percent) / (100 + Fraction(percent) if within else 100)
        assert abs(Fraction(by["tax_within" if within else "tax"]) - expected) <= Fraction(1, 200)
    before = left + by.get("tax", 0)
    assert made.total == before + by.get("rounding", 0)
    if step:
        assert made.total % Decimal(step) == 0
        assert abs(by.get("rounding", 0)) <= Decimal(step) / 2
    assert made.total >= 0
    # The words have a sentence and, but for what was typed, a sum for every line.
    assert all(WORDS.line_title(one) for one in made.lines)
    assert all(WORDS.line_sum(one, "EUR") for one in made.lines if one.code in ("discount", "tax", "tax_within"))


def test_a_quote_worked_out_by_hand():
    """Three and a half yards at 14.00, a zip, 24 in of elastic at 1.20 a yard, 56 and 200 minutes at 30.00 an hour, less
    a tenth, with 25 % tax on top, to the nearest 0.50.
    """
    lines = [
        cloth_line("cloth", "wool", 3.5 * 914.4, "yard", Fraction(14), 2),  # 49.00
        *notion_lines([("zip", 1, 230.0), ("elastic", 2, 304.8)], {"zip": Decimal("2.35"), "elastic": Decimal("1.20")},
                      "yard", 2),  # 2.35 + 0.80
        *work_lines({"cut": (56, "20 + 9 x 4"), "sew": (200, "")}, Decimal(30), 2),  # 28.00 + 100.00
    ]  # fmt: skip
    made = quote_of(lines, read_discount("10 %", 2, HERE), Terms(2, Decimal("0.50"), "VAT", Decimal(25), False))
    # 180.15; less 18.02 (18.015, a half away from nothing) = 162.13; tax 40.53 = 202.66; rounded 202.50.
    assert [str(one.amount) for one in made.lines] == [
        "49.00", "2.35", "0.80", "28.00", "100.00", "-18.02", "40.53", "-0.16",
    ]  # fmt: skip
    assert str(made.total) == "202.50"
    assert [WORDS.line_sum(one, "EUR") for one in made.lines] == [
        "3.5 yd x 14.00", "1 x 2.35", "0.667 yd x 1.20", "20 + 9 x 4 = 56 min; 56 x 30.00 / 60",
        "200 min; 200 x 30.00 / 60", "180.15 x 10 / 100", "162.13 x 25 / 100", "202.50 \u2212 202.66",
    ]  # fmt: skip
    assert WORDS.money(made.total, "EUR") == "\u20ac202.50"
    assert WORDS.money(-made.total, "SEK") == "\u2212202.50 SEK"


def test_a_line_without_a_price_is_left_out_and_said():
    lines = [cloth_line("cloth", "wool", 914.4, "yard", None, 2), extra_line("Express", Decimal(5))]
    made = quote_of(lines, None, Terms())
    assert made.total == 5
    assert [one.of for one in made.without_price] == ["wool"]
    assert WORDS.line_sum(lines[0], "EUR") == "1 yd x no price"


def test_more_than_there_is_is_not_taken_off_and_no_share_is_over_all():
    lines = [extra_line("Hem", Decimal(10))]
    assert code_of(quote_of, lines, Discount(amount=Decimal("10.01")), Terms(), HERE) == "amount.discount"
    assert quote_of(lines, Discount(amount=Decimal(10)), Terms()).total == 0
    for typed in ("101", "-1", "x", "1e1"):
        assert code_of(read_percent, typed, HERE) == "amount.percent"
    assert read_discount("", 2, HERE) is None
    assert read_percent("8,1 %", HERE) == Decimal("8.1")


@given(st.lists(CENTS.filter(bool), min_size=1, max_size=5), CENTS)
def test_the_balance_is_the_same_in_any_order_of_payments(amounts, total):
    given_back = signed(amounts[0], True, amounts, HERE)
    assert given_back == -amounts[0]
    found = {balance(total, order) for order in permutations([*amounts, given_back])}
    assert found == {total - sum(amounts[1:])}
    assert code_of(signed, sum(amounts) + Decimal("0.01"), True, amounts, HERE) == "amount.refund"
    assert code_of(signed, Decimal(0), False, amounts, HERE) == "amount.nothing"


def test_what_changed_is_named_line_by_line_and_drivers_add_up():
    def quote(cloth, zip_, extra):
        lines = [Line("cloth", "wool", amount=Decimal(cloth)), Line("notion", "zip", amount=Decimal(zip_))]
        return Quote((*lines, *(extra_line(name, Decimal(amount)) for name, amount in extra)))

    was = quote(40, 2, [("Express", 10)])
    assert changes(was, was) == []
    found = changes(was, quote(44, 2, [("Lining", 5)]))
    assert [(one.was and one.was.of, one.now and one.now.of) for one in found] == [
        ("wool", "wool"), (None, "Lining"), ("Express", None),
    ]  # fmt: skip
    low, high = quote(40, 2, []), quote(55, 3, [("Fitting", 20)])
    by = drivers(low, high)
    assert [one.by for one in by] == [20, 15, 1]
    assert sum(one.by for one in by) == high.total - low.total


@pytest.mark.parametrize("pieces", [0, 9])
@pytest.mark.parametrize("fitting", [False, True])
def test_the_minutes_of_a_task_are_their_own_sum(pieces, fitting):
    operations = [("darts", 8.0), ("side", 12.5), ("band", 20.0), ("hem", 11.0)]
    takes = takes_of(operations, pieces, fitting)
    assert takes["sew"].minutes + takes["finish"].minutes == 51.5
    assert takes["cut"].minutes == 20 + 4 * pieces
    assert ("fit" in takes) == fitting
    for one in takes.values():
        if one.summed:
            parts = [part.split(" x ") for part in one.summed.split(" + ")]
            assert sum(float(part[0]) * (float(part[1]) if len(part) > 1 else 1) for part in parts) == one.minutes


def test_every_currency_of_today_has_its_digits_and_its_name():
    listed = dict(WORDS.currencies())
    assert {"EUR", "SEK", "USD", "JPY", "KWD"} <= set(listed)
    assert [digits_of(code) for code in ("EUR", "JPY", "KWD", "")] == [2, 0, 3, 2]  # ISO 4217, from memory
    assert WORDS.money(Decimal(1234567), "JPY") == "\u00a51,234,567"
    assert WORDS.money(Decimal("0.125"), "KWD") == "0.125 KWD"
