"""Fittings: what is seen, what cures it on a client's draft, and what is kept of that for the next one."""

from collections.abc import Sequence
from datetime import date, datetime
from typing import Literal, cast
from uuid import UUID

from django.http import HttpRequest, HttpResponse
from ninja import Field, Router, Schema

from shop.accounts.writing import own
from shop.api.auth import person
from shop.api.incoming import Day, Version
from shop.bridge.fitting import ChangeOut, CureOut, OfSide, ViewOut, cure_name, said_changes, sign_name, views
from shop.chalk.queries import name_of
from shop.clients import seen
from shop.clients.corrections import every_correction
from shop.clients.models import Client, Correction, FittingPhoto
from shop.clients.photos import of_order, remove_photo
from shop.orders.models import Order
from shop.plans.fitting import change_correction, put_correction, put_photo, try_cures
from shop.plans.pace import check_files

router = Router(tags=["fitting"])
ON_A_PAGE = 40


class SeenIn(Schema):
    """What is seen on a garment of an order, by its name there and its half, and how much is pinned."""

    garment: str = Field("", max_length=40)
    half: Literal["", "top", "lower"] = ""
    sign: str = Field(max_length=40)
    pinned: str = Field(max_length=40)
    side: OfSide = "both"


class FittingCorrectionIn(Schema):
    """A cure that is kept for the client of an order; with `only` for that garment of it alone."""

    version: Version = 0
    order: UUID
    garment: str = Field("", max_length=40)
    only: bool = False
    sign: str = Field(max_length=40)
    cure: str = Field(max_length=40)
    pinned: str = Field(max_length=40)
    side: OfSide = "both"
    fitted_on: Day
    reason: str = Field("", max_length=200)


class HoldsIn(Schema):
    """Whether a correction is dropped, and whether it holds for its garment alone; what is left out stays."""

    version: Version = 0
    removed: bool | None = None
    only: bool | None = None


class FittingCorrectionOut(Schema):
    """A correction in words; `against` are those of the same choice that go the other way."""

    id: UUID
    version: int
    order: UUID | None
    garment: str
    only: bool
    sign: str
    cure: str
    pinned: str
    side: OfSide
    fitted_on: date
    reason: str
    removed: bool
    kind: str
    sign_name: str
    cure_name: str
    changes: list[ChangeOut]
    by: str
    at: datetime
    against: list[UUID]


class PhotoIn(Schema):
    """A picture taken at a fitting of an order: JPEG, PNG or WebP in base64."""

    order: UUID
    taken_on: Day
    picture: str = Field(max_length=950_000)


class PhotoOut(Schema):
    """A photo without its picture."""

    id: UUID
    taken_on: date
    by: str


@router.get("/signs", response=list[ViewOut])
def signs(request: HttpRequest) -> list[ViewOut]:
    """Everything that may be seen at a fitting, by the side it is seen from."""
    return views(person(request).workshop.unit)


@router.post("/orders/{id}/cures", response=list[CureOut], by_alias=True)
def cures(request: HttpRequest, id: UUID, body: SeenIn) -> list[CureOut]:
    """Each cure of what is seen, tried on the order's draft: nothing is kept."""
    actor = person(request)
    seen.note(actor, [own(Order, actor, id).client_id], "measures")
    return try_cures(actor=actor, order=id, **body.dict())


@router.get("/orders/{id}/photos", response=list[PhotoOut])
def photos(request: HttpRequest, id: UUID) -> list[PhotoOut]:
    """The photos of an order's fittings, the oldest first: never more than a page."""
    actor = person(request)
    order = own(Order, actor, id)
    seen.note(actor, [order.client_id], "measures")
    return [_photo(one) for one in of_order(actor, order.id).select_related("changed_by")]


@router.put("/photos/{id}", response=PhotoOut)
def add_photo(request: HttpRequest, id: UUID, body: PhotoIn) -> PhotoOut:
    """Keep a photo of a fitting: its pixels alone."""
    check_files(person(request))
    return _photo(put_photo(actor=person(request), id=id, **body.dict()))


@router.get("/photos/{id}/picture")
def picture(request: HttpRequest, id: UUID) -> HttpResponse:
    """The picture itself."""
    actor = person(request)
    row = own(FittingPhoto, actor, id)
    seen.note(actor, [row.client_id], "measures")
    return HttpResponse(bytes(row.picture), content_type="image/jpeg")


@router.delete("/photos/{id}", response={204: None})
def drop_photo(request: HttpRequest, id: UUID) -> tuple[int, None]:
    """A photo goes for good."""
    remove_photo(actor=person(request), id=id)
    return 204, None


def _photo(row: FittingPhoto) -> PhotoOut:
    return PhotoOut(id=row.id, taken_on=row.taken_on, by=name_of(row.changed_by))


@router.get("/clients/{id}/fitting-corrections", response=list[FittingCorrectionOut])
def corrections(request: HttpRequest, id: UUID, page: int = 1) -> list[FittingCorrectionOut]:
    """A client's corrections, the newest first, also those that were dropped."""
    actor = person(request)
    client = own(Client, actor, id)
    seen.note(actor, [client.id], "measures")
    first = (max(1, page) - 1) * ON_A_PAGE
    rows = every_correction(actor, client.id).select_related("changed_by")[first : first + ON_A_PAGE]
    return _out(list(rows), actor.workshop.unit)


@router.put("/fitting-corrections/{id}", response=FittingCorrectionOut)
def keep(request: HttpRequest, id: UUID, body: FittingCorrectionIn) -> FittingCorrectionOut:
    """Keep a cure for the client's next drafts, or change it."""
    actor = person(request)
    row = put_correction(actor=actor, id=id, **body.dict())
    return _out([row], actor.workshop.unit)[0]


@router.patch("/fitting-corrections/{id}", response=FittingCorrectionOut)
def change(request: HttpRequest, id: UUID, body: HoldsIn) -> FittingCorrectionOut:
    """Drop a correction, take it back, or let it hold for its garment alone or for every draft."""
    actor = person(request)
    row = change_correction(actor=actor, id=id, **body.dict())
    return _out([row], actor.workshop.unit)[0]


def _out(rows: Sequence[Correction], unit: str) -> list[FittingCorrectionOut]:
    more = {
        (one.id, one.side, each["choice"]): not each["by"].startswith("-")
        for one in rows if not one.removed for each in one.changes
    }  # fmt: skip

    def against(row: Correction) -> list[UUID]:
        mine = {choice: up for (id, _, choice), up in more.items() if id == row.id}
        found = (
            id for (id, side, choice), up in more.items()
            if choice in mine and up != mine[choice] and (side == row.side or "both" in (side, row.side))
        )  # fmt: skip
        return list(dict.fromkeys(found))

    return [
        FittingCorrectionOut(
            id=row.id, version=row.version, order=row.order, garment=row.garment, only=row.only, sign=row.sign,
            cure=row.cure, pinned=row.pinned, side=cast(OfSide, row.side),
            fitted_on=row.fitted_on, reason=row.reason, removed=row.removed, kind=row.kind,
            sign_name=sign_name(row.sign, unit), cure_name=cure_name(row.cure, unit),
            changes=said_changes(row.kind, row.changes), by=name_of(row.changed_by), at=row.created_at,
            against=against(row),
        )
        for row in rows
    ]  # fmt: skip
