"""Cloth and notions that are bought, as answers have them."""

from ninja import Schema


class ClothBought(Schema):
    kind: str
    colour: str
    width: str
    orders: int
    length_mm: float
    buy_mm: float
    cost: str | None
    sold_in: str


class NotionBought(Schema):
    name: str
    count: int
    length_mm: float | None
