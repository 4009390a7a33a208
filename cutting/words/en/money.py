"""What things cost: the lines of a quote with their sums, amounts with their currency, what was paid."""

from decimal import Decimal
from fractions import Fraction

from babel.core import get_global
from babel.numbers import format_decimal, get_currency_name, get_currency_symbol

from cutting.money import Line, Per, digits_of, tidy
from cutting.words.en.marks import panel_name
from cutting.words.en.scheduling import TASKS
from cutting.words.en.sewing import NOTIONS

LOCALE = "en"
LENGTH_OF: dict[Per, tuple[str, str]] = {"yard": ("yd", "a yard"), "metre": ("m", "a metre")}
PAYS = {
    "deposit": "deposit", "payment": "payment", "refund": "given back", "correction": "correction",
}  # fmt: skip
WAYS = {"cash": "cash", "card": "card", "bank": "bank transfer", "other": "another way"}


def currencies() -> list[tuple[str, str]]:
    """Every currency that is paid with somewhere today: its code and its name, by name. Source: CLDR, by Babel."""
    places = get_global("territory_currencies").values()
    today = {code for place in places for code, _, until, tender in place if until is None and tender}
    return sorted(((code, get_currency_name(code, locale=LOCALE)) for code in today), key=lambda one: one[1])


def money(amount: Decimal, currency: str) -> str:
    """An amount with its currency: `€1,234.50`, `1,234.50 SEK`; the currency's code where it has no sign of its own."""
    digits = digits_of(currency)
    form = "#,##0" + ("." + "0" * digits if digits else "")
    number = format_decimal(abs(amount), form, locale=LOCALE)
    sign = get_currency_symbol(currency, locale=LOCALE) if currency else ""
    shown = f"{number} {sign}" if sign[-1:].isalpha() else f"{sign}{number}"
    return f"\u2212{shown.strip()}" if amount < 0 else shown.strip()


def line_title(line: Line) -> str:
    """What a line of a quote is for."""
    if line.code == "cloth":
        return f"Cloth: {line.of}" if line.of else "Cloth"
    if line.code == "other_cloth":
        return f"Other cloth: {line.of}"
    if line.code == "notion":
        return notion_title(line.of)
    if line.code == "work":
        return TASKS[line.of].capitalize()
    if line.code == "extra":
        return line.of
    if line.code == "discount":
        return "Discount"
    if line.code == "rounding":
        return f"Rounded to {tidy(line.price or Decimal(0), 2)}"
    tax = line.of or "Tax"
    share = _number(line.quantity or Fraction(0))
    return f"{tax} {share} %" if line.code == "tax" else f"of that {tax} {share} %"


def notion_title(code: str) -> str:
    """Something that is bought besides cloth, for whichever panel."""
    return "Interfacing" if code == "interfacing" else NOTIONS[code].format(panel=panel_name("")).capitalize()


def line_sum(line: Line, currency: str) -> str:
    """Where the amount of a line comes from, in numbers; empty where it was typed."""
    digits = max(digits_of(currency), 0)
    if line.quantity is None:
        return line.summed
    if line.per == "percent":
        of = tidy(line.price or Decimal(0), digits)
        share = _number(line.quantity)
        if line.code == "tax_within":
            return f"{of} x {share} / {_number(100 + line.quantity)}"
        return f"{of} x {share} / 100"
    price = "no price" if line.price is None else tidy(line.price, digits)
    if line.per == "hour":
        minutes = _number(line.quantity)
        summed = f"{line.summed} = {minutes} min" if line.summed else f"{minutes} min"
        return f"{summed}; {minutes} x {price} / 60"
    if line.per == "each":
        return f"{_number(line.quantity)} x {price}"
    return f"{_number(line.quantity)} {LENGTH_OF[line.per][0]} x {price}"


def per_name(per: Per) -> str:
    """What a price is for."""
    return {"each": "each", "hour": "an hour"}.get(per) or LENGTH_OF[per][1]


def pay_name(kind: str) -> str:
    """What an entry of money is."""
    return PAYS[kind]


def way_of_paying(way: str) -> str:
    """How money changed hands."""
    return WAYS[way]


def _number(value: Fraction) -> str:
    """A number to three digits after the point at most."""
    return f"{float(value):.3f}".rstrip("0").rstrip(".")
