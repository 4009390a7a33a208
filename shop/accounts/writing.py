"""Writing a row a workshop owns: repeated writes are one, a stale one is refused with both values."""

from typing import Any, TypeVar
from uuid import UUID

from django.db import IntegrityError, transaction
from django.db.models import QuerySet
from django.forms.models import model_to_dict
from django.http import Http404

from shop.accounts.models import User, Workshop, WorkshopRow
from shop.errors import ShopError

Row = TypeVar("Row", bound=WorkshopRow)


class StaleError(ShopError):
    """Somebody else changed the row since it was read; `row` is how it stands."""

    status = 409
    code = "stale"

    def __init__(self, row: WorkshopRow):
        super().__init__("Somebody else changed this meanwhile. Keep yours or take theirs.")
        self.row = row

    def theirs(self) -> dict[str, Any]:
        """The fields of the row as it stands."""
        return model_to_dict(self.row) | {"version": self.row.version}


class BlankError(ShopError):
    """A row that people call by a name or a title has none; `where` is the field."""

    code = "blank"

    def __init__(self, where: str):
        what, mend = f"The {where} is missing", f"Type a {where}."
        super().__init__(f"{what}. {mend}", [{"where": where, "code": self.code, "what": what, "mend": mend}])


class FullError(ShopError):
    """There are as many rows of a kind as are kept: waiting does not help, taking off does."""

    code = "full"

    def __init__(self, most: int, what: str):
        super().__init__(f"There are {most:,} {what} already, more are not kept. Take off what is not needed.")


class TurningError(ShopError):
    """The workshop's unit is being changed: a length without a unit could be read as either."""

    status = 409
    code = "turning"

    def __init__(self) -> None:
        super().__init__(
            "The workshop's unit is being changed. Wait a moment and try again: what you typed is still here."
        )


def unit_for_writing(workshop: Workshop) -> str:
    """The unit of lengths that are typed without one. Raises TurningError while it is being changed."""
    if workshop.turning_to:
        raise TurningError
    return workshop.unit


def check_room(rows: QuerySet[Any], most: int) -> None:
    """Raises FullError where there are as many of these rows as are kept."""
    if rows.order_by()[most - 1 : most].exists():
        raise FullError(most, str(rows.model._meta.verbose_name_plural))


CALLED_BY = ("name", "title")
ONE_LINE = (*CALLED_BY, "phone", "email")


def _tidy(key: str, value: Any) -> Any:
    """A text trimmed; of what is written on one line every gap is one space."""
    if not isinstance(value, str):
        return value
    return " ".join(value.split()) if key in ONE_LINE else value.strip()


def put_row(model: type[Row], *, actor: User, id: UUID, version: int, **fields: Any) -> Row:
    """Make or change the row `id` of the actor's workshop.

    Texts are trimmed, names are on one line; the same content again changes nothing. Raises BlankError, StaleError
    where `version` is not the row's, Http404 where the id is another workshop's.
    """
    fields = {key: _tidy(key, value) for key, value in fields.items()}
    for key in CALLED_BY:
        if fields.get(key) == "":
            raise BlankError(key)
    for _ in range(2):
        try:
            with transaction.atomic():
                return _put(model, actor, id, version, fields)
        except IntegrityError:
            # A twin of this request was quicker: it is found at the second try. An id of another workshop is not.
            if not model.of(actor.workshop).filter(pk=id).exists():
                raise Http404 from None
    raise Http404


def _put(model: type[Row], actor: User, id: UUID, version: int, fields: dict[str, Any]) -> Row:
    row = model.of(actor.workshop).select_for_update(no_key=True).filter(pk=id).first()
    if row is None:
        check_room(model.of(actor.workshop), model.MOST)
        made = model(id=id, workshop=actor.workshop, changed_by=actor, **fields)
        made.save(force_insert=True)
        return made
    if all(getattr(row, key) == value for key, value in fields.items()):
        return row
    if version != row.version:
        raise StaleError(row)
    for key, value in fields.items():
        setattr(row, key, value)
    row.version += 1
    row.changed_by = actor
    row.save()
    return row


def add(row: Row) -> Row:
    """A new row, or the one that a twin of this request was quicker to make. Raises Http404 where its id is taken: by
    another workshop, or by a row that belongs to something else.
    """
    try:
        with transaction.atomic():
            row.save(force_insert=True)
    except IntegrityError:
        twin = type(row).of(row.workshop).filter(pk=row.pk).first()
        belongs = [field.attname for field in row._meta.concrete_fields if field.is_relation and field.name != BY]
        if twin is None or any(getattr(twin, name) != getattr(row, name) for name in belongs):
            raise Http404 from None
        return twin
    return row


BY = "changed_by"


def locked(model: type[Row], actor: User, id: UUID) -> Row:
    """The row of that id in the actor's workshop, for nobody else to change until this write is over. What refers to it
    may be added meanwhile (`no_key`): who adds a row under one lock would else wait for who holds another.

    Twins of a request wait here for each other. Raises Http404 for anybody else's.
    """
    row = model.of(actor.workshop).select_for_update(no_key=True).filter(pk=id).first()
    if row is None:
        raise Http404
    return row


def own(model: type[Row], actor: User, id: UUID) -> Row:
    """The row of that id in the actor's workshop. Raises Http404 for anybody else's."""
    row = model.of(actor.workshop).filter(pk=id).first()
    if row is None:
        raise Http404
    return row
