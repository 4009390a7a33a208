"""A price before anybody is measured."""

from typing import Annotated

from django.http import HttpRequest
from ninja import Field, Router, Schema

from shop.accounts.rights import allow
from shop.api.auth import person
from shop.api.quotes import CodeNameOut, QuoteOut, TypedAmount, quote_out
from shop.bridge.money import said_drivers
from shop.bridge.quick import QuickAsked, looks, quick_price
from shop.money.queries import price_list
from shop.sewing.queries import own_minutes

router = Router(tags=["money"])


class QuickIn(Schema):
    """What is asked for before anybody is measured: a hip as it is typed, or a look."""

    styles: list[Annotated[str, Field(max_length=40)]] = Field(max_length=4)
    hip: str = Field("", max_length=40)
    look: str = Field("", max_length=12)
    width: str = Field(max_length=40)
    cloth_price: TypedAmount = ""
    sold_in: str = Field("", max_length=16)
    fitting: bool = False


class DriverOut(Schema):
    """What makes the dearer end dearer, with both sums."""

    title: str
    low: str
    high: str
    by: str


class QuickOut(Schema):
    """A range: from the smallest who have such a hip to the largest; hips in mm; what it hangs on."""

    low: QuoteOut
    high: QuoteOut
    low_hip_mm: float
    high_hip_mm: float
    drivers: list[DriverOut]


@router.get("/looks", response=list[CodeNameOut])
def all_looks(request: HttpRequest) -> list[CodeNameOut]:
    """How large somebody can look, for a price without a tape."""
    return [CodeNameOut(code=code, name=name) for code, name in looks()]


@router.post("/quick-prices", response=QuickOut)
def quick(request: HttpRequest, body: QuickIn) -> QuickOut:
    """What an outfit costs before anybody is measured: a range, and what it hangs on. Nothing is stored."""
    actor = person(request)
    allow(actor, "money")
    asked = QuickAsked(tuple(body.styles), body.hip, body.look, body.width, body.cloth_price, body.sold_in)
    own = {one.code: one.minutes for one in own_minutes(actor)}
    low, high = quick_price(asked, price_list(actor), own, body.fitting)
    currency = actor.workshop.currency
    return QuickOut(
        low=quote_out(low.quote, currency), high=quote_out(high.quote, currency), low_hip_mm=low.hip_mm,
        high_hip_mm=high.hip_mm,
        drivers=[DriverOut(**vars(one)) for one in said_drivers(low.quote, high.quote, currency)],
    )  # fmt: skip
