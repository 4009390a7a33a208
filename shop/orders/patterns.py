"""House patterns: kept for the workshop, and cut with the garments of an order."""

from collections.abc import Iterable, Sequence
from uuid import UUID

from django.db.models import QuerySet

from shop.accounts.models import User
from shop.accounts.rights import allow
from shop.accounts.writing import own, put_row
from shop.bridge.patterns import FileUnit, SaidPiece, pieces_of, said_otherwise
from shop.errors import ShopError
from shop.orders.models import Order, Pattern

ON_A_PAGE = 20
MOST_OF_AN_ORDER = 8


class NoFileError(ShopError):
    """A new pattern without the file that its pieces are in."""

    code = "no_file"


def patterns(actor: User) -> QuerySet[Pattern]:
    """The workshop's patterns by their names, without those that were taken off."""
    return Pattern.of(actor.workshop).filter(removed=False).order_by("name", "id")


def patterns_of(actor: User, orders: Iterable[Order]) -> dict[str, Pattern]:
    """The patterns of some orders by their ids, also those that were taken off since."""
    wanted = {id for order in orders for id in order.patterns}
    found = Pattern.of(actor.workshop).filter(pk__in=wanted) if wanted else ()
    return {str(one.id): one for one in found}


def put_pattern(
    *, actor: User, id: UUID, version: int, name: str, text: str, unit: FileUnit, pieces: Sequence[SaidPiece],
    removed: bool = False,
) -> Pattern:  # fmt: skip
    """Keep the pieces of a file under a name, each with what is said of it; later, without a file, something else is
    said of them, or the pattern is taken off. Raises NoFileError, and as `pieces_of`.
    """
    allow(actor, "orders")
    house_unit = actor.workshop.unit
    known = Pattern.of(actor.workshop).filter(pk=id).first()
    if text:
        kept = pieces_of(text, unit, house_unit, pieces)
    elif known is None:
        raise NoFileError("This pattern is not kept yet. Choose its file.")
    else:
        kept = said_otherwise(known.pieces, house_unit, pieces) if pieces else known.pieces
    return put_row(Pattern, actor=actor, id=id, version=version, name=name, pieces=kept, removed=removed)


def set_patterns(*, actor: User, order: UUID, patterns: Iterable[UUID]) -> Order:
    """Which patterns are cut with an order's garments, in this order."""
    allow(actor, "orders")
    row = own(Order, actor, order)
    chosen = [str(own(Pattern, actor, id).id) for id in dict.fromkeys(patterns)]
    Order.of(actor.workshop).filter(pk=row.pk).update(patterns=chosen)
    row.patterns = chosen
    return row
