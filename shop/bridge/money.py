"""What an order costs: from its plans and the workshop's prices to the lines of a quote, and what they say."""

from collections.abc import Iterable, Mapping, Sequence
from dataclasses import dataclass, field, replace
from decimal import Decimal
from fractions import Fraction
from typing import Any, Literal, TypeAlias, get_args

from cutting.errors import CuttingError, refuse
from cutting.garments.notions import NotionCode
from cutting.money import (
    BY_THE_PIECE,
    Line,
    Per,
    Quote,
    Terms,
    balance,
    changes,
    cloth_line,
    digits_of,
    drivers,
    extra_line,
    notion_lines,
    paid,
    quote_of,
    read_amount,
    read_discount,
    read_percent,
    signed,
    tidy,
    work_lines,
)
from cutting.scheduling import KINDS, takes_of
from cutting.where import Where
from shop.bridge.drafting import bought
from shop.bridge.problems import CoreRefusal
from shop.bridge.sewing import usual_minutes
from shop.bridge.words import words

Priced: TypeAlias = Quote
PricedLine: TypeAlias = Line
MOST_EXTRAS = 12
STEPS = ("0.01", "0.05", "0.10", "0.50", "1", "5", "10", "50", "100")
"""To which multiples a total can be rounded."""


@dataclass(frozen=True)
class PriceList:
    """What a workshop takes: an hour's work, notions by their code, how it rounds, its tax; in its currency, by yard or
    by metre. Amounts are as they are stored.
    """

    currency: str = ""
    unit: str = "in"
    rate: str = ""
    notions: Mapping[str, str] = field(default_factory=dict)
    step: str = ""
    tax: str = ""
    tax_percent: str = ""
    tax_within: bool = True

    @property
    def digits(self) -> int:
        return digits_of(self.currency)

    @property
    def per(self) -> Per:
        """The length that prices are for."""
        return "yard" if self.unit == "in" else "metre"

    @property
    def terms(self) -> Terms:
        percent = Decimal(self.tax_percent or 0)
        return Terms(self.digits, Decimal(self.step) if self.step else None, self.tax, percent, self.tax_within)


@dataclass(frozen=True)
class ClothNeed:
    """So many mm of a cloth as it is cut; `sold_in` is empty where it is cut off one that is in hand."""

    code: Literal["cloth", "other_cloth"]
    kind: str
    mm: float
    sold_in: str
    price: str


@dataclass(frozen=True)
class Needs:
    """What an order needs: its cloths, its notions as plans have them, the codes of its operations, its pieces."""

    cloths: Sequence[ClothNeed]
    notions: Sequence[Mapping[str, Any]]
    operations: Sequence[str]
    pieces: int


def notion_codes() -> list[str]:
    """What can have a price besides cloth."""
    return [*get_args(NotionCode)]


def currencies() -> list[tuple[str, str]]:
    """Every currency: code and name."""
    return words().currencies()


def checked_prices(currency: str, rate: str, notions: Mapping[str, str], step: str, tax_percent: str) -> PriceList:
    """What is typed of a price list, as it is stored. Raises CoreRefusal."""
    try:
        return PriceList(
            currency=currency, rate=checked_amount(rate, currency, "rate"),
            notions={code: checked_amount(text, currency, f"notions.{code}") for code, text in notions.items() if text},
            step=step, tax_percent=f"{read_percent(tax_percent, _at('tax_percent'))}" if tax_percent else "",
        )  # fmt: skip
    except CuttingError as error:
        raise CoreRefusal(error) from None


def checked_amount(text: str, currency: str, where: str) -> str:
    """An amount as it is stored; empty where nothing is typed. Raises CuttingError, as read_amount does."""
    digits = digits_of(currency)
    return tidy(read_amount(text, digits, _at(where)), digits) if text else ""


def checked_extras(extras: Sequence[tuple[str, str]], discount: str, currency: str) -> list[list[str]]:
    """Extras as they are stored, each with its name. Raises CoreRefusal where one cannot be, or the discount."""
    digits = digits_of(currency)
    try:
        names = [" ".join(name.split()) for name, _ in extras]
        for k, name in enumerate(names):
            if not name:
                raise refuse("amount.unnamed", _at(f"extras.{k}"))
            if name.casefold() in (one.casefold() for one in names[:k]):
                raise refuse("amount.twice", _at(f"extras.{k}"), word=name)
        read_discount(discount, digits, _at("discount"))
        amounts = [tidy(read_amount(typed, digits, _at(f"extras.{k}")), digits) for k, (_, typed) in enumerate(extras)]
        return [list(one) for one in zip(names, amounts, strict=True)]
    except CuttingError as error:
        raise CoreRefusal(error) from None


def price(
    needs: Needs, prices: PriceList, own: Mapping[str, float], extras: Sequence[Sequence[str]] = (),
    discount: str = "", fitting: bool = False,
) -> Priced:  # fmt: skip
    """What an order costs; `own` are the workshop's own minutes. Raises CoreRefusal where more is taken off than there
    is.
    """
    digits, per = prices.digits, prices.per
    lines = [
        cloth_line(
            one.code, one.kind, _bought(one, prices.unit), per,
            Fraction(one.price.replace(",", ".")) if one.price else None, digits,
        ) for one in needs.cloths
    ]  # fmt: skip
    lines += notion_lines(
        [(one["code"], one["count"], one["length_mm"]) for one in needs.notions],
        {code: Decimal(text) for code, text in prices.notions.items()}, per, digits,
    )  # fmt: skip
    long = [(code, own.get(code, usual_minutes(code))) for code in needs.operations]
    takes = takes_of(long, needs.pieces, fitting)
    rate = Decimal(prices.rate) if prices.rate else None
    lines += work_lines(
        {kind: (takes[kind].minutes, takes[kind].summed) for kind in KINDS if kind in takes}, rate, digits
    )
    lines += [extra_line(name, Decimal(amount)) for name, amount in extras]
    try:
        where = _at("discount")
        return quote_of(lines, read_discount(discount, digits, where), prices.terms, where)
    except CuttingError as error:
        raise CoreRefusal(error) from None


def _bought(one: ClothNeed, unit: str) -> float:
    return float(bought(one.mm, unit, one.sold_in)["buy_mm"]) if one.sold_in else one.mm


def _at(where: str) -> Where:
    return Where("job", tuple(where.split(".")))


def keep_lines(quote: Priced) -> list[dict[str, Any]]:
    """The lines of a quote as plain data."""
    return [
        {
            "code": one.code, "of": one.of, "quantity": None if one.quantity is None else str(one.quantity),
            "per": one.per, "price": None if one.price is None else str(one.price),
            "amount": None if one.amount is None else str(one.amount), "summed": one.summed,
        } for one in quote.lines
    ]  # fmt: skip


def kept_quote(lines: Iterable[Mapping[str, Any]]) -> Priced:
    """A quote as it was kept."""
    return Quote(
        tuple(
            Line(
                one["code"], one["of"], None if one["quantity"] is None else Fraction(one["quantity"]), one["per"],
                None if one["price"] is None else Decimal(one["price"]),
                None if one["amount"] is None else Decimal(one["amount"]), one["summed"],
            ) for one in lines
        )
    )  # fmt: skip


@dataclass(frozen=True)
class SaidLine:
    """A line in words: what it is for, its sum in numbers, its amount as it is said; empty where it has no price.
    `counts` is false where it says only how much of the total is something.
    """

    code: str
    title: str
    summed: str
    amount: str
    counts: bool


def said_lines(quote: Priced, currency: str) -> list[SaidLine]:
    """The lines of a quote, in words."""
    return [_said(one, currency) for one in quote.lines]


def _said(one: Line, currency: str) -> SaidLine:
    return SaidLine(
        one.code, words().line_title(one), words().line_sum(one, currency), said_amount(one.amount, currency),
        one.code != "tax_within",
    )  # fmt: skip


def said_amount(amount: Decimal | None, currency: str) -> str:
    """An amount with its currency; empty without one."""
    return "" if amount is None else words().money(amount, currency)


def written(amount: Decimal, currency: str) -> str:
    """An amount as it is typed and compared: `35.00`."""
    return tidy(amount, digits_of(currency))


@dataclass(frozen=True)
class SaidChange:
    """A line that has another amount than before; empty where it was not there, or is not any more."""

    title: str
    was: str
    now: str


def said_changes(was: Priced, now: Priced, currency: str) -> list[SaidChange]:
    """What a newer quote has otherwise, in words."""
    found = []
    for one in changes(was, now):
        line = one.now or one.was
        assert line is not None
        found.append(SaidChange(words().line_title(line), *(_amount(side, currency) for side in (one.was, one.now))))
    return found


def _amount(line: Line | None, currency: str) -> str:
    if line is None:
        return ""
    return said_amount(line.amount, currency) or "no price"


@dataclass(frozen=True)
class SaidDriver:
    """What makes the one price dearer than the other: each with its sum."""

    title: str
    low: str
    high: str
    by: str


def said_drivers(low: Priced, high: Priced, currency: str) -> list[SaidDriver]:
    """What a range hangs on, in words, what drives it most first."""
    found = []
    for one in drivers(low, high):
        line = one.high or one.low
        assert line is not None
        sums = [words().line_sum(side, currency) if side else "" for side in (one.low, one.high)]
        found.append(SaidDriver(words().line_title(line), sums[0], sums[1], said_amount(one.by, currency)))
    return found


def changing_hands(typed: str, back: bool, before: Iterable[Decimal], currency: str) -> Decimal:
    """An amount as it is typed, with its sign: `back` is given back. Raises CoreRefusal."""
    try:
        return signed(read_amount(typed, digits_of(currency), _at("amount")), back, before, _at("amount"))
    except CuttingError as error:
        raise CoreRefusal(error) from None


def paid_of(amounts: Iterable[Decimal]) -> Decimal:
    """What came in and was not given back."""
    return paid(amounts)


def balance_of(total: Decimal, amounts: Iterable[Decimal]) -> Decimal:
    """What is still to be paid."""
    return balance(total, amounts)


def pay_name(kind: str) -> str:
    """What an entry of money is."""
    return words().pay_name(kind)


def way_of_paying(way: str) -> str:
    """How money changed hands."""
    return words().way_of_paying(way)


def notion_price_name(code: str, prices: PriceList) -> tuple[str, str]:
    """Something that has a price, and what the price is for."""
    return words().notion_title(code), words().per_name("each" if code in BY_THE_PIECE else prices.per)


def prices_here(currency: str, unit: str, typed_in: str, prices: PriceList) -> PriceList:
    """A price list in the unit that the workshop has now: what was priced by the length in another has no price."""
    kept = prices.notions if typed_in == unit else {
        code: amount for code, amount in prices.notions.items() if code in BY_THE_PIECE
    }  # fmt: skip
    return replace(prices, currency=currency, unit=unit, notions=kept)
