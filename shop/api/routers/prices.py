"""The workshop's currency, and what it takes for its work and for what it buys."""

from typing import Annotated

from django.http import HttpRequest
from ninja import Field, Router, Schema

from shop.accounts.models import User
from shop.accounts.rights import allow
from shop.api.auth import person
from shop.api.incoming import Version
from shop.api.quotes import CodeNameOut, TypedAmount
from shop.bridge.money import STEPS, currencies, notion_codes, notion_price_name
from shop.money import actions, queries
from shop.money.models import Prices

router = Router(tags=["money"])


class NotionPriceOut(Schema):
    """Something that is bought besides cloth: its price as it is written, empty where it has none, and what that is
    for.
    """

    code: str
    name: str
    per: str
    price: str


class PricesOut(Schema):
    """What the workshop takes. `currencies` and `steps` are what can be chosen; `per` is the length that prices are
    for.
    """

    version: int
    currency: str
    rate: str
    notions: list[NotionPriceOut]
    step: str
    tax: str
    tax_percent: str
    tax_within: bool
    per: str
    currencies: list[CodeNameOut]
    steps: list[str]


class PricesIn(Schema):
    """Prices as they are typed; empty: none."""

    version: Version = 0
    currency: str = Field("", max_length=3)
    rate: TypedAmount = ""
    notions: dict[Annotated[str, Field(max_length=20)], TypedAmount] = Field(default_factory=dict, max_length=40)
    step: str = Field("", max_length=6)
    tax: str = Field("", max_length=30)
    tax_percent: str = Field("", max_length=8)
    tax_within: bool = True


def _prices(actor: User, row: Prices) -> PricesOut:
    prices = queries.price_list(actor)
    return PricesOut(
        version=row.version, currency=actor.workshop.currency, rate=row.rate,
        notions=[
            NotionPriceOut(code=code, name=name, per=per, price=prices.notions.get(code, ""))
            for code in notion_codes() for name, per in [notion_price_name(code, prices)]
        ],
        step=row.step, tax=row.tax, tax_percent=row.tax_percent, tax_within=row.tax_within, per=prices.per,
        currencies=[CodeNameOut(code=code, name=name) for code, name in currencies()], steps=[*STEPS],
    )  # fmt: skip


@router.get("/prices", response=PricesOut)
def prices(request: HttpRequest) -> PricesOut:
    """The workshop's currency and prices."""
    allow(person(request), "money")
    return _prices(person(request), queries.prices_of(person(request)))


@router.put("/prices", response=PricesOut)
def put_prices(request: HttpRequest, body: PricesIn) -> PricesOut:
    """Settle them."""
    return _prices(person(request), actions.put_prices(actor=person(request), **body.dict()))
