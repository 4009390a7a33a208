"""Photos of a fitting: what a camera writes beside the picture, place, day and device, is never kept."""

import io
from base64 import b64decode
from datetime import date
from uuid import UUID

from django.db import transaction
from django.db.models import QuerySet
from PIL import Image, ImageOps

from shop.accounts.models import User
from shop.accounts.rights import allow
from shop.accounts.writing import check_room, own, put_row
from shop.clients.models import FittingPhoto
from shop.errors import ShopError

MOST_OF_AN_ORDER = 12
LARGEST = 700_000
"""So many bytes of a picture are read; the page sends less."""
PIXELS = 30_000_000
"""A picture of more is not opened."""
LONG = 1600
"""So many pixels its longer side has when it is kept."""


class PhotoError(ShopError):
    """What is no picture that can be kept."""

    code = "photo"


def keep_photo(*, actor: User, id: UUID, client: UUID, order: UUID, taken_on: date, picture: str) -> FittingPhoto:
    """Keep a photo of a client's order, given as JPEG, PNG or WebP in base64. Raises PhotoError, FullError."""
    plain = bare(picture)
    with transaction.atomic():
        if not FittingPhoto.of(actor.workshop).filter(pk=id).exists():
            check_room(of_order(actor, order), MOST_OF_AN_ORDER)
        return put_row(
            FittingPhoto, actor=actor, id=id, version=0, client_id=client, order=order, taken_on=taken_on, picture=plain
        )


def of_order(actor: User, order: UUID) -> QuerySet[FittingPhoto]:
    """The photos of an order, the oldest first, without their pictures."""
    rows = FittingPhoto.of(actor.workshop).filter(order=order).defer("picture")
    return rows.order_by("taken_on", "created_at", "id")


def remove_photo(*, actor: User, id: UUID) -> None:
    """A photo goes for good."""
    allow(actor, "fit")
    own(FittingPhoto, actor, id).delete()


def bare(picture: str) -> bytes:
    """A picture in base64 as a JPEG of its pixels alone, upright, no larger than needed. Raises PhotoError."""
    try:
        raw = b64decode(picture, validate=True)
    except ValueError:
        raise PhotoError("The picture did not come whole. Choose it again.") from None
    if len(raw) > LARGEST:
        raise PhotoError("The picture is too large. Choose one of less than 700 kB.")
    try:
        with Image.open(io.BytesIO(raw), formats=("JPEG", "PNG", "WEBP")) as read:
            if read.width * read.height > PIXELS:
                raise PhotoError("The picture has too many pixels. Choose a smaller one.")
            upright = ImageOps.exif_transpose(read).convert("RGB")
    except (OSError, ValueError, SyntaxError, Image.DecompressionBombError):
        raise PhotoError("This is no picture that can be read. Choose a JPEG, PNG or WebP.") from None
    upright.thumbnail((LONG, LONG))
    plain = Image.new("RGB", upright.size)
    plain.paste(upright)
    out = io.BytesIO()
    plain.save(out, "JPEG", quality=82)
    return out.getvalue()
